import { openDB, type IDBPDatabase } from 'idb'
import { commandOf } from '@/contract/commandRequests.ts'
import type { Command, WriteRequest } from '@/contract/commands.ts'
import { say } from '../language/say.ts'

/** A command that waits to be sent. */
export interface PendingCommand {
  /** A later one of the same key takes its place while it waits. */
  key: string
  command: Command
}

/** As it is kept: one to send, one the server would not take, or one that meets another device's. */
export interface Entry extends PendingCommand {
  id: string
  /** Place in the order of sending. */
  n: number
  state: 'waiting' | 'refused' | 'conflict'
  message?: string
  theirs?: unknown
  /** Version of the record that was on the screen when it was changed. */
  base?: number
  /** What was seen of a record that others may change too, and what this one took the place of; the earliest first. */
  seen?: (object | null)[]
  /** Ids of commands that this one took the place of: one of them may have arrived. */
  after?: string[]
  /** Whose it is: it goes out under no other name. */
  account?: string
  /** How often the server failed at it. */
  failed?: number
}

/** As earlier versions kept it: a request. */
type EarlierEntry = Omit<Entry, 'command'> & WriteRequest

const entryNow = (kept: Entry | EarlierEntry): Entry => {
  if ('command' in kept) return kept
  const { method, url, body, ...entry } = kept
  return { ...entry, command: commandOf({ method, url, body }) }
}

/** What is left of an entry that was dealt with: enough to know it again. */
export interface Done {
  id: string
  n: number
  state: 'done'
  /** When, by the clock of the device; earlier versions kept none. */
  at?: number
}

// Named so by the first versions: what they kept is still read.
const JOURNAL = 'fold-sprig-letter/'
const STORE = 'letters'
/** Entries dealt with that are still known, against one that comes back out of the journal. */
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

export function deleteFromJournal(id: string): void {
  try {
    localStorage.removeItem(JOURNAL + id)
  } catch {
    // Where nothing can be kept there is nothing to drop.
  }
}

function journalled(): Entry[] {
  try {
    return Object.keys(localStorage)
      .filter((k) => k.startsWith(JOURNAL))
      .map((k) => entryNow(JSON.parse(localStorage.getItem(k)!) as Entry | EarlierEntry))
  } catch {
    return []
  }
}

/** Where commands lie until they are sent. Each is a record of its own, so that two pages do not write over one another. */
export interface OutboxStorage {
  read: () => Promise<Entry[]>
  /** Whether any page of the device was done with an entry at that time or later. */
  doneSince: (at: number) => Promise<boolean>
  /** All or none; on the disk when it is done. */
  write: (changes: (Entry | Done)[]) => Promise<void>
}

/** Where the browser has no such store, what stands in the journal is all there is. */
const onlyJournal: OutboxStorage = {
  read: async () => journalled().sort(inOrder),
  doneSince: async () => false,
  write: () => Promise.reject(new Error(say('there is no store'))),
}

export const inOrder = (a: { n: number; id: string }, b: { n: number; id: string }): number =>
  a.n - b.n || (a.id < b.id ? -1 : 1)

async function write(db: IDBPDatabase, changes: (Entry | Done)[]): Promise<void> {
  const tx = db.transaction(STORE, 'readwrite', { durability: 'strict' })
  await Promise.all([...changes.map((c) => tx.store.put(c)), tx.done])
}

async function read(db: IDBPDatabase): Promise<Entry[]> {
  const all = (await db.getAll(STORE)) as (Entry | EarlierEntry | Done)[]
  const known = new Set(all.map((e) => e.id))
  // A store that is full leaves them in the journal.
  const only = journalled().filter((e) => !known.has(e.id))
  return [...all.filter((e): e is Entry | EarlierEntry => e.state !== 'done').map(entryNow), ...only].sort(inOrder)
}

/** What a page that was closed too soon left in the journal, unless it has been dealt with since. */
async function takeIn(db: IDBPDatabase): Promise<void> {
  for (const entry of journalled()) {
    if (!(await db.get(STORE, entry.id))) await write(db, [entry])
    deleteFromJournal(entry.id)
  }
  const done = ((await db.getAll(STORE)) as (Entry | Done)[]).filter((e) => e.state === 'done').sort(inOrder)
  for (const { id } of done.slice(0, -MOST_DONE)) await db.delete(STORE, id)
}

export async function openOutboxStorage(): Promise<OutboxStorage> {
  try {
    const db = await openDB('fold-sprig', 1, { upgrade: (d) => void d.createObjectStore(STORE, { keyPath: 'id' }) })
    await takeIn(db).catch(() => undefined)
    return {
      read: () => read(db),
      doneSince: async (at) =>
        ((await db.getAll(STORE)) as (Entry | Done)[]).some((e) => e.state === 'done' && (e.at ?? 0) >= at),
      write: (changes) => write(db, changes),
    }
  } catch {
    return onlyJournal
  }
}
