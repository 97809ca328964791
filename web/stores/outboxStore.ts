import { create } from 'zustand'
import { inPlaceOf, keyOf, requestOf, type Command } from '@/contract/commands.ts'
import type { Stop } from '@/core/records/round.ts'
import { ApiError, send } from '../api/client.ts'
import { deviceId } from './device.ts'
import { dropEarlierOutbox, readEarlierOutbox } from './earlierOutbox.ts'
import { applyToCache } from './fieldCache.ts'
import { dropFromJournal, inOrder, journal, openOutboxStorage, type Done, type Entry, type OutboxStorage, type PendingCommand } from './outboxStorage.ts' // prettier-ignore
import { openVersionStore, type VersionStore } from './versionStore.ts'

/** A stop that two devices counted: both are kept until the person has chosen. */
export interface Conflict {
  key: string
  command: Of<'save-stop'>
  theirs: Stop
}

type Of<D extends Command['do']> = Extract<Command, { do: D }>
type Kept = PendingCommand & Partial<Pick<Entry, 'id' | 'n'>>
export type Refused = Kept & { message: string }

interface OutboxState {
  /** Commands to be sent, in their order. */
  pending: Kept[]
  /** What the server refused: shown with what was typed, never dropped in silence. */
  refused: Refused[]
  conflicts: (Conflict & { id?: string })[]
  /** Commands that this browser could not store: only this open page has them. */
  unkept: string[]
  /** The server wants somebody to sign in before it takes anything. */
  signIn: boolean
  /** The version of each stop that this device has seen last, by its address. */
  versions: Record<string, number>
  /** Put a command in; a later one with the same key takes the place of one still waiting. */
  post: (command: Command) => void
  drain: () => Promise<void>
  /** Send what was refused once more. */
  retryRefused: () => void
  dropRefused: () => void
  noteVersions: (versions: Record<string, number>) => void
  /** Conflicts met while a file was opened. */
  addConflicts: (conflicts: Conflict[]) => void
  /** Settle a conflict: what is kept is sent again, over the version of the other device. */
  resolveConflict: (key: string, keep: 'mine' | 'theirs') => void
}

type Set = (change: (s: OutboxState) => Partial<OutboxState>) => void

let box: Promise<OutboxStorage> | undefined
let versionStore: VersionStore | undefined
/** Writes into the storage follow one another, so that the last word on an entry is the last one said. */
let storing: Promise<void> = Promise.resolve()
/** The run under way: whoever asks meanwhile waits for the same one. */
let running: Promise<void> | undefined
let others: BroadcastChannel | undefined
/** Another page tells of each entry; after so long all of them are read at once. */
const TOLD_MS = 100

/** What is on its way into the box, or could not be brought there: it stands above what is read from it. */
const onTheWay = new Map<string, Entry | Done>()

/** Bring what is to be kept to the store: at once into the journal, then, on the disk, into the box. */
function store(changes: (Entry | Done)[], set: Set): void {
  if (!box || changes.length === 0) return
  const journalled = new Set<string>()
  for (const change of changes) {
    onTheWay.set(change.id, change)
    if (change.state === 'done') dropFromJournal(change.id)
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
      dropFromJournal(change.id)
    }
    others?.postMessage('changed')
  })
}

const done = (...entries: { id?: string; n?: number }[]): Done[] =>
  entries.flatMap((e) => (e.id ? [{ id: e.id, n: e.n ?? 0, state: 'done' as const }] : []))

const entryOf = (kept: Kept, n: number, rest: Pick<Entry, 'state'> & Partial<Entry>): Entry => ({
  ...kept,
  id: kept.id ?? crypto.randomUUID(),
  n: kept.n ?? n,
  ...rest,
})

const conflictOf = (e: Entry): Conflict & { id: string } => ({
  id: e.id,
  key: e.key,
  command: e.command as Conflict['command'],
  theirs: e.theirs as Stop,
})

/** What lies in the box, another page's entries too; what is on its way there stays as it is here. */
async function readBox(set: Set): Promise<void> {
  if (!box) return
  const kept = new Map<string, Entry | Done>((await (await box).read()).map((e) => [e.id, e]))
  for (const [id, change] of onTheWay) kept.set(id, change)
  const entries = [...kept.values()].filter((e): e is Entry => e.state !== 'done').sort(inOrder)
  set(() => ({
    pending: entries.filter((e) => e.state === 'waiting'),
    refused: entries.filter((e) => e.state === 'refused').map((e) => ({ ...e, message: e.message ?? '' })),
    conflicts: entries.filter((e) => e.state === 'conflict').map(conflictOf),
  }))
}

/** What the server said to a command it would not take. */
function notTaken(sent: Kept, error: ApiError, set: Set): void {
  const { theirs } = error
  const conflict = sent.command.do === 'save-stop' && error.status === 409 && theirs
  const entry = entryOf(sent, 0, conflict ? { state: 'conflict', theirs } : { state: 'refused', message: error.message }) // prettier-ignore
  set((s) =>
    conflict
      ? { conflicts: [...s.conflicts.filter((c) => c.key !== sent.key), conflictOf(entry)] }
      : { refused: [...s.refused, { ...entry, message: error.message }] },
  )
  store([entry], set)
}

/** Not the command's fault: it is sent later. Nobody is signed in, it took too long, or it was too often. */
const LATER = new Set([401, 408, 425, 429])
const isRefusal = (e: unknown): e is ApiError =>
  e instanceof ApiError && e.status >= 400 && e.status < 500 && !LATER.has(e.status)

async function sendAll(get: () => OutboxState, set: Set): Promise<void> {
  await readBox(set)
  for (;;) {
    // What the server has, this device must know to be newer than what it had before, whatever happens to it.
    await storing
    const sent = get().pending[0]
    if (!sent) return
    const { method, url, body } = requestOf(sent.command)
    const versioned = sent.command.do === 'save-stop'
    const stamped = versioned ? { ...(body as object), by: await deviceId(), base: get().versions[url] ?? 0 } : body
    const gone = () => set((s) => ({ pending: s.pending.filter((l) => l !== sent && (!sent.id || l.id !== sent.id)) }))
    try {
      const answer = await send<{ version?: number } | undefined>(method, url, stamped)
      const version = answer?.version
      await applyToCache(sent.command, version)
      if (versioned && version !== undefined) void keepVersions({ [url]: version }, set)
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

/** Changes wait here, in the browser's own store, until the server has them. */
export const useOutbox = create<OutboxState>()((set, get) => ({
  pending: [],
  refused: [],
  conflicts: [],
  unkept: [],
  signIn: false,
  versions: {},
  post: (command) => {
    const { pending } = get()
    const key = keyOf(command)
    const replaced = pending.filter((l) => l.key === key)
    const now = replaced.reduce((after, before) => inPlaceOf(before.command, after), command)
    const entry = entryOf({ key, command: now }, (pending.at(-1)?.n ?? 0) + 1, { state: 'waiting' })
    set({ pending: [...pending.filter((l) => !replaced.includes(l)), entry] })
    store([...done(...replaced), entry], set)
    void get().drain()
  },
  drain: () => {
    running ??= alone(() => sendAll(get, set).then(() => storing)).finally(() => (running = undefined))
    return running
  },
  retryRefused: () => {
    const { refused } = get()
    set({ refused: [] })
    store(done(...refused), set)
    for (const { command } of refused) get().post(command)
  },
  dropRefused: () => {
    store(done(...get().refused), set)
    set({ refused: [] })
  },
  noteVersions: (versions) => {
    const { pending, versions: known } = get()
    // What still waits was written over the version that the device had then.
    const waiting = new Set(pending.map((l) => requestOf(l.command).url))
    const news = Object.entries(versions).filter(([url, v]) => !waiting.has(url) && v !== (known[url] ?? 0))
    if (news.length > 0) void keepVersions(Object.fromEntries(news), set)
  },
  addConflicts: (news) => {
    const entries = news.map(({ key, command, theirs }) => entryOf({ key, command }, 0, { state: 'conflict', theirs }))
    const { conflicts } = get()
    const replaced = conflicts.filter((c) => news.some((n) => n.key === c.key))
    set({ conflicts: [...conflicts.filter((c) => !replaced.includes(c)), ...entries.map(conflictOf)] })
    store([...done(...replaced), ...entries], set)
  },
  resolveConflict: (key, keep) => {
    const conflict = get().conflicts.find((c) => c.key === key)
    if (!conflict) return
    set((s) => ({ conflicts: s.conflicts.filter((c) => c !== conflict) }))
    void keepVersions({ [requestOf(conflict.command).url]: conflict.theirs.version }, set)
    if (keep === 'mine') get().post(conflict.command)
    store(done(conflict), set)
  },
}))

/** The commands that wait, in their order: what was read before is shown with them. */
export const pendingCommands = (): Command[] => useOutbox.getState().pending.map((p) => p.command)

const set: Set = (change) => useOutbox.setState(change)

/** Take over what an earlier version kept, and only then do away with it. */
async function moveEarlier(): Promise<void> {
  const earlier = readEarlierOutbox()
  if (!earlier) return
  await keepVersions(earlier.versions, set)
  for (const command of earlier.commands) useOutbox.getState().post(command)
  if (earlier.conflicts.length > 0) useOutbox.getState().addConflicts(earlier.conflicts as Conflict[])
  await deviceId()
  await storing
  if (useOutbox.getState().unkept.length === 0) dropEarlierOutbox()
}

/** Open the store; what waits in it is known when this is done. */
export async function openOutbox(): Promise<void> {
  box = openOutboxStorage()
  versionStore = await openVersionStore()
  await readBox(set)
  await moveEarlier()
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
