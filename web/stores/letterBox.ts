import { openDB, type IDBPDatabase } from 'idb'
import { say } from '../language/say.ts'

/** Something to be sent. */
export interface Letter {
  key: string
  method: 'POST' | 'PUT' | 'DELETE'
  url: string
  body: unknown
  /** A stop: it says which device writes, and which version of the stop that device had. */
  stop?: true
}

/** A letter as it is kept: one to send, one the server would not take, or one that meets another device's. */
export interface Entry extends Letter {
  id: string
  /** Place in the order of sending. */
  n: number
  state: 'waiting' | 'refused' | 'conflict'
  message?: string
  theirs?: unknown
}

/** What is left of a letter that was dealt with: enough to know it again. */
export interface Done {
  id: string
  n: number
  state: 'done'
}

const JOURNAL = 'fold-sprig-letter/'
/** Letters dealt with that are still known, against one that comes back out of the journal. */
const MOST_DONE = 5000

/** A line in a store that is written at once, for the moment until the real one has it: a page may be closed any time. */
export function journal(entry: Entry): boolean {
  try {
    localStorage.setItem(JOURNAL + entry.id, JSON.stringify(entry))
    return true
  } catch {
    return false
  }
}

export function strike(id: string): void {
  try {
    localStorage.removeItem(JOURNAL + id)
  } catch {
    // Where nothing can be kept there is nothing to strike.
  }
}

function journalled(): Entry[] {
  try {
    return Object.keys(localStorage)
      .filter((k) => k.startsWith(JOURNAL))
      .map((k) => JSON.parse(localStorage.getItem(k)!) as Entry)
  } catch {
    return []
  }
}

/** Where letters lie until they are sent. Each is a record of its own, so that two pages do not write over one another. */
export interface LetterBox {
  read: () => Promise<Entry[]>
  /** All or none; on the disk when it is done. */
  write: (changes: (Entry | Done)[]) => Promise<void>
}

/** Where the browser has no such store, what stands in the journal is all there is. */
const onlyJournal: LetterBox = {
  read: async () => journalled().sort(inOrder),
  write: () => Promise.reject(new Error(say('there is no store'))),
}

export const inOrder = (a: { n: number; id: string }, b: { n: number; id: string }): number =>
  a.n - b.n || (a.id < b.id ? -1 : 1)

async function write(db: IDBPDatabase, changes: (Entry | Done)[]): Promise<void> {
  const tx = db.transaction('letters', 'readwrite', { durability: 'strict' })
  await Promise.all([...changes.map((c) => tx.store.put(c)), tx.done])
}

async function read(db: IDBPDatabase): Promise<Entry[]> {
  const all = (await db.getAll('letters')) as (Entry | Done)[]
  const known = new Set(all.map((e) => e.id))
  // A store that is full leaves them in the journal.
  const only = journalled().filter((e) => !known.has(e.id))
  return [...all.filter((e): e is Entry => e.state !== 'done'), ...only].sort(inOrder)
}

/** What a page that was closed too soon left in the journal, unless it has been dealt with since. */
async function takeIn(db: IDBPDatabase): Promise<void> {
  for (const entry of journalled()) {
    if (!(await db.get('letters', entry.id))) await write(db, [entry])
    strike(entry.id)
  }
  const done = ((await db.getAll('letters')) as (Entry | Done)[]).filter((e) => e.state === 'done').sort(inOrder)
  for (const { id } of done.slice(0, -MOST_DONE)) await db.delete('letters', id)
}

export async function openLetterBox(): Promise<LetterBox> {
  try {
    const db = await openDB('fold-sprig', 1, { upgrade: (d) => void d.createObjectStore('letters', { keyPath: 'id' }) })
    await takeIn(db).catch(() => undefined)
    return { read: () => read(db), write: (changes) => write(db, changes) }
  } catch {
    return onlyJournal
  }
}
