import { create } from 'zustand'
import type { Stop } from '@/core/records/round.ts'
import { ApiError, send } from '../api/client.ts'
import { deviceId } from './device.ts'
import { noteSent } from './fieldCache.ts'
import { inOrder, journal, openLetterBox, strike, type Done, type Entry, type Letter, type LetterBox } from './letterBox.ts' // prettier-ignore
import { openVersionStore, type VersionStore } from './versionStore.ts'

/** A stop that two devices counted: both are kept until the person has chosen. */
export interface Conflict {
  url: string
  mine: Omit<Stop, 'version' | 'seq'>
  theirs: Stop
}

type Kept = Letter & Partial<Pick<Entry, 'id' | 'n'>>
export type Refused = Kept & { message: string }

interface OutboxState {
  letters: Kept[]
  /** What the server refused: shown with what was typed, never dropped in silence. */
  refused: Refused[]
  conflicts: (Conflict & { id?: string })[]
  /** Letters that this browser could not store: only this open page has them. */
  unkept: string[]
  /** The server wants somebody to sign in before it takes anything. */
  signIn: boolean
  /** The version of each stop that this device has seen last. */
  versions: Record<string, number>
  /** Put something in; a later one with the same key takes the place of one still waiting. */
  post: (letter: Letter) => void
  drain: () => Promise<void>
  /** Send what was refused once more. */
  again: () => void
  dismiss: () => void
  saw: (versions: Record<string, number>) => void
  /** Conflicts met while a file was opened. */
  met: (conflicts: Conflict[]) => void
  /** Settle a conflict: what is kept is sent again, over the version of the other device. */
  settle: (url: string, keep: 'mine' | 'theirs') => void
}

type Set = (change: (s: OutboxState) => Partial<OutboxState>) => void

let box: Promise<LetterBox> | undefined
let versionStore: VersionStore | undefined
/** Writes into the store follow one another, so that the last word on a letter is the last one said. */
let storing: Promise<void> = Promise.resolve()
/** The run under way: whoever asks meanwhile waits for the same one. */
let running: Promise<void> | undefined
let others: BroadcastChannel | undefined
/** Another page tells of each letter; after so long all of them are read at once. */
const TOLD_MS = 100

/** What is on its way into the box, or could not be brought there: it stands above what is read from it. */
const onTheWay = new Map<string, Entry | Done>()

/** Bring what is to be kept to the store: at once into the journal, then, on the disk, into the box. */
function store(changes: (Entry | Done)[], set: Set): void {
  if (!box || changes.length === 0) return
  const journalled = new Set<string>()
  for (const change of changes) {
    onTheWay.set(change.id, change)
    if (change.state === 'done') strike(change.id)
    else if (journal(change)) journalled.add(change.id)
  }
  const where = box
  storing = storing.then(async () => {
    const written = await (await where).write(changes).then(
      () => true,
      () => false,
    )
    const lost = changes.filter((c) => !written && c.state !== 'done' && !journalled.has(c.id)).map((c) => c.id)
    set((s) => ({ unkept: [...s.unkept.filter((id) => !changes.some((c) => c.id === id)), ...lost] }))
    if (!written) return
    for (const change of changes) {
      if (onTheWay.get(change.id) !== change) continue
      onTheWay.delete(change.id)
      strike(change.id)
    }
    others?.postMessage('changed')
  })
}

const done = (...entries: { id?: string; n?: number }[]): Done[] =>
  entries.flatMap((e) => (e.id ? [{ id: e.id, n: e.n ?? 0, state: 'done' as const }] : []))

const entryOf = (letter: Kept, n: number, rest: Pick<Entry, 'state'> & Partial<Entry>): Entry => ({
  ...letter,
  id: letter.id ?? crypto.randomUUID(),
  n: letter.n ?? n,
  ...rest,
})

const conflictOf = (e: Entry): Conflict & { id: string } => ({
  id: e.id,
  url: e.url,
  mine: e.body as Conflict['mine'],
  theirs: e.theirs as Stop,
})

/** What lies in the box, another page's letters too; what is on its way there stays as it is here. */
async function readBox(set: Set): Promise<void> {
  if (!box) return
  const kept = new Map<string, Entry | Done>((await (await box).read()).map((e) => [e.id, e]))
  for (const [id, change] of onTheWay) kept.set(id, change)
  const entries = [...kept.values()].filter((e): e is Entry => e.state !== 'done').sort(inOrder)
  set(() => ({
    letters: entries.filter((e) => e.state === 'waiting'),
    refused: entries.filter((e) => e.state === 'refused').map((e) => ({ ...e, message: e.message ?? '' })),
    conflicts: entries.filter((e) => e.state === 'conflict').map(conflictOf),
  }))
}

/** What the server said to a letter it would not take. */
function notTaken(letter: Kept, error: ApiError, set: Set): void {
  const { theirs } = error
  const conflict = letter.stop && error.status === 409 && theirs
  const entry = entryOf(letter, 0, conflict ? { state: 'conflict', theirs } : { state: 'refused', message: error.message }) // prettier-ignore
  set((s) =>
    conflict
      ? { conflicts: [...s.conflicts.filter((c) => c.url !== letter.url), conflictOf(entry)] }
      : { refused: [...s.refused, { ...entry, message: error.message }] },
  )
  store([entry], set)
}

/** Not the letter's fault: it is sent later. Nobody is signed in, it took too long, or it was too often. */
const LATER = new Set([401, 408, 425, 429])
const isRefusal = (e: unknown): e is ApiError =>
  e instanceof ApiError && e.status >= 400 && e.status < 500 && !LATER.has(e.status)

async function sendAll(get: () => OutboxState, set: Set): Promise<void> {
  await readBox(set)
  for (;;) {
    // What the server has, this device must know to be newer than what it had before, whatever happens to it.
    await storing
    const sent = get().letters[0]
    if (!sent) return
    const base = get().versions[sent.url] ?? 0
    const stamped = sent.stop ? { ...(sent.body as object), by: await deviceId(), base } : sent.body
    const gone = () => set((s) => ({ letters: s.letters.filter((l) => l !== sent && (!sent.id || l.id !== sent.id)) }))
    try {
      const answer = await send<{ version?: number } | undefined>(sent.method, sent.url, stamped)
      const version = answer?.version
      await noteSent(sent.url, sent.body, version)
      if (sent.stop && version !== undefined) void keepVersions({ [sent.url]: version }, set)
      set((s) => (s.signIn ? { signIn: false } : {}))
      gone()
      store(done(sent), set)
    } catch (error) {
      if (error instanceof ApiError && error.status === 401) set(() => ({ signIn: true }))
      if (!isRefusal(error)) return
      gone()
      notTaken(sent, error, set)
    }
  }
}

/** Versions seen: known to this page at once, to later ones when they are written. */
async function keepVersions(news: Record<string, number>, set: Set): Promise<void> {
  set((s) => ({ versions: { ...s.versions, ...news } }))
  await versionStore?.write(news).catch(() => undefined)
}

/** One page sends at a time; the next one waits and then sends what is left. */
const alone = (work: () => Promise<void>): Promise<void> =>
  globalThis.navigator?.locks ? navigator.locks.request('fold-sprig-outbox', work) : work()

/** Writes wait here, in the browser's own store, until the server has them. */
export const useOutbox = create<OutboxState>()((set, get) => ({
  letters: [],
  refused: [],
  conflicts: [],
  unkept: [],
  signIn: false,
  versions: {},
  post: (letter) => {
    const { letters } = get()
    const replaced = letters.filter((l) => l.key === letter.key)
    const entry = entryOf({ ...letter }, (letters.at(-1)?.n ?? 0) + 1, { state: 'waiting' })
    set({ letters: [...letters.filter((l) => !replaced.includes(l)), entry] })
    store([...done(...replaced), entry], set)
    void get().drain()
  },
  drain: () => {
    running ??= alone(() => sendAll(get, set).then(() => storing)).finally(() => (running = undefined))
    return running
  },
  again: () => {
    const { refused } = get()
    set({ refused: [] })
    store(done(...refused), set)
    for (const { key, method, url, body, stop } of refused)
      get().post({ key, method, url, body, ...(stop ? { stop } : {}) })
  },
  dismiss: () => {
    store(done(...get().refused), set)
    set({ refused: [] })
  },
  saw: (versions) => {
    const { letters, versions: known } = get()
    // What still waits was written over the version that the device had then.
    const waiting = new Set(letters.map((l) => l.url))
    const news = Object.entries(versions).filter(([url, v]) => !waiting.has(url) && v !== (known[url] ?? 0))
    if (news.length > 0) void keepVersions(Object.fromEntries(news), set)
  },
  met: (news) => {
    const entries = news.map(({ url, mine, theirs }) =>
      entryOf({ key: url, method: 'PUT', url, body: mine, stop: true }, 0, { state: 'conflict', theirs }),
    )
    const { conflicts } = get()
    const replaced = conflicts.filter((c) => news.some((n) => n.url === c.url))
    set({ conflicts: [...conflicts.filter((c) => !replaced.includes(c)), ...entries.map(conflictOf)] })
    store([...done(...replaced), ...entries], set)
  },
  settle: (url, keep) => {
    const conflict = get().conflicts.find((c) => c.url === url)
    if (!conflict) return
    set((s) => ({ conflicts: s.conflicts.filter((c) => c !== conflict) }))
    void keepVersions({ [url]: conflict.theirs.version }, set)
    if (keep === 'mine') get().post({ key: url, method: 'PUT', url, body: conflict.mine, stop: true })
    store(done(conflict), set)
  },
}))

const set: Set = (change) => useOutbox.setState(change)

/** The one line in which an earlier version kept everything; the device's id in it is read in device.ts. */
const OLD_LINE = 'fold-sprig-outbox'

interface OldOutbox {
  letters?: Letter[]
  conflicts?: Conflict[]
  versions?: Record<string, number>
}

function readOldLine(): OldOutbox | undefined {
  try {
    const line = localStorage.getItem(OLD_LINE)
    return line === null ? undefined : ((JSON.parse(line) as { state?: OldOutbox }).state ?? {})
  } catch {
    return undefined
  }
}

/** Take over what the line holds, and only then do away with it. */
async function moveOldLine(): Promise<void> {
  const old = readOldLine()
  if (!old) return
  await keepVersions(old.versions ?? {}, set)
  for (const letter of old.letters ?? []) useOutbox.getState().post(letter)
  if (old.conflicts?.length) useOutbox.getState().met(old.conflicts)
  await deviceId()
  await storing
  if (useOutbox.getState().unkept.length > 0) return
  try {
    localStorage.removeItem(OLD_LINE)
  } catch {
    // It is read again the next time.
  }
}

/** Open the store; what waits in it is known when this is done. */
export async function openOutbox(): Promise<void> {
  box = openLetterBox()
  versionStore = await openVersionStore()
  await readBox(set)
  await moveOldLine()
  const versions = await versionStore.read().catch(() => ({}))
  set((s) => ({ versions: { ...versions, ...s.versions } }))
  if (!('BroadcastChannel' in globalThis)) return
  others = new BroadcastChannel('fold-sprig-outbox')
  let soon: ReturnType<typeof setTimeout> | undefined
  others.onmessage = () => {
    soon ??= setTimeout(() => {
      soon = undefined
      void readBox(set)
    }, TOLD_MS)
  }
}

/** Try again now and then, and as soon as the browser says it is back. */
export function keepDraining(): void {
  const drain = () => void useOutbox.getState().drain()
  window.addEventListener('online', drain)
  window.setInterval(drain, 5000)
  drain()
}
