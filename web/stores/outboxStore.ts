import { create } from 'zustand'
import { isAnswerTo, requestOf } from '@/contract/commandRequests.ts'
import { keyOf } from '@/contract/commandKeys.ts'
import type { Command } from '@/contract/commands.ts'
import { chosenOver } from '@/contract/recordOf.ts'
import { sameValue } from '@/core/records/merge.ts'
import { ApiError, send } from '../api/client.ts'
import { say } from '../language/say.ts'
import { keepCounted } from './countedStops.ts'
import { deviceId } from './device.ts'
import type { Entry } from './outboxStorage.ts'
import { dropEarlierOutbox, readEarlierOutbox } from './earlierOutbox.ts'
import { applyToCache } from './fieldCache.ts'
import { Box, type InBox } from './outboxBox.ts'
import { conflictOf, done, entryInPlace, entryOf, isOfStop, notTakenEntry, type Conflict, type Kept, type StandsOn } from './outboxEntry.ts' // prettier-ignore
import { isOwn, isShown, mayShow, noteOwn, noteShown, tellElsewhere, tellGone, tellTaken, type SaveStop, type TakenElsewhere, type Told } from './outboxPages.ts' // prettier-ignore
import { openVersionStore, type VersionStore } from './versionStore.ts'

export { isOfStop } from './outboxEntry.ts'
export type { Conflict, RecordConflict, Refused, StopConflict } from './outboxEntry.ts'
export { onElsewhere, onGone, onTaken } from './outboxPages.ts'

interface OutboxState extends InBox {
  /** Commands that this browser could not store: only this open page has them. */
  unkept: string[]
  /** The server wants somebody to sign in before it takes anything. */
  signIn: boolean
  /** Who is signed in; null where there are no accounts. */
  account: string | null
  /** The version of each stop that stands on this page, by its address. */
  versions: Record<string, number>
  /** Put a command in; a later one with the same key takes the place of one still waiting. @param on what it stands on, where that is not what the page shows now */
  post: (command: Command, on?: StandsOn) => void
  drain: () => Promise<void>
  /** Send what was refused once more. */
  retryRefused: () => void
  dropRefused: () => void
  /** What another account left: take it over as one's own, or throw it away. */
  takeOver: () => void
  dropOthers: () => void
  noteVersions: (versions: Record<string, number>) => void
  /** Conflicts met while a file was opened. */
  addConflicts: (conflicts: Conflict[]) => void
  /** Settle a conflict: what is kept is sent again, over the version of the other device. */
  resolveConflict: (conflict: Conflict, keep: 'mine' | 'theirs') => void
}

type Set = (change: (s: OutboxState) => Partial<OutboxState>) => void

let box: Box | undefined
let versionStore: VersionStore | undefined
/** The run under way: whoever asks meanwhile waits for the same one. */
let running: Promise<void> | undefined
let others: BroadcastChannel | undefined
/** Another page tells of each entry; after so long all of them are read at once. */
const TOLD_MS = 100
/** So often the server may fail at one command before the others no longer wait for it. */
const MOST_FAILURES = 3

/** Show a stop of another page, unless this one holds a count of it that the other was made without. */
function show(command: SaveStop, id: string | undefined, after: string[], version?: number): void {
  const { versions } = useOutbox.getState()
  // What was taken before what stands here, or stands on another version than this page, would hide what this page has.
  if (version !== undefined && version <= (versions[requestOf(command).url] ?? 0)) return
  if (!mayShow(command, id, after, useOutbox.getState())) return
  noteShown(id)
  tellElsewhere(command, version)
  if (version !== undefined) void noteVersion(requestOf(command).url, version, true, set)
}

const readBox = async (set: Set): Promise<void> => {
  const inBox = await box?.read()
  if (!inBox) return
  const before = useOutbox.getState().pending
  set(() => inBox)
  const known = new globalThis.Set(Object.values(inBox).flatMap((list: Kept[]) => list.flatMap((e) => [e.id, ...(e.after ?? [])]))) // prettier-ignore
  const lost = before.filter((p) => p.id && !known.has(p.id))
  if (lost.length > 0) tellGone(lost.map((p) => p.command))
}

/** The page before this one was still sending while this one was being opened: what was asked for ahead may be older. */
let sentMeanwhile = false
export const wasSentWhileOpening = (): boolean => sentMeanwhile

/** Not the command's fault: it is sent later. Nobody is signed in, it took too long, or it was too often. */
const LATER = new globalThis.Set([401, 408, 425, 429])
const isRefusal = (e: ApiError): boolean => e.status >= 400 && e.status < 500 && !LATER.has(e.status)
/** The server is there and failed at this; one that is away, full or stopped fails at everything. */
const isFailure = (e: ApiError): boolean => e.status === 500

const notOurs = () => new ApiError(0, say('Something between this device and the server answered in its place. What you typed is kept here.')) // prettier-ignore

/** Whether it may go out under the name that is signed in. */
export const isOurs = (entry: Kept, account: string | null): boolean =>
  entry.account === undefined || account === null || entry.account === account

/** @returns what the server said, once it is surely the server that said it */
async function sendOne(sent: Kept): Promise<{ version?: number; seq?: number }> {
  const { method, url, body } = requestOf(sent.command)
  const stamp = { by: await deviceId(), base: sent.base ?? 0, command: sent.id, after: sent.after }
  const whole =
    sent.command.do === 'save-stop'
      ? { ...(body as object), ...stamp }
      : sent.seen
        ? { ...(body as object | undefined), seen: sent.seen }
        : body
  const answer = await send<{ version?: number; seq?: number }>(method, url, whole)
  if (!isAnswerTo(sent.command, answer)) throw notOurs()
  return answer
}

async function taken(sent: Kept, { version, seq }: { version?: number; seq?: number }, set: Set): Promise<void> {
  const { command } = sent
  await applyToCache(command, version)
  const mine = isOwn(sent.id)
  tellTaken({ command, version, seq, mine })
  others?.postMessage({ id: sent.id, command, version, seq } satisfies Told)
  if (command.do === 'save-stop' && version !== undefined) {
    await keepCounted(command, version)
    const here = isShown(sent.id)
    await noteVersion(requestOf(command).url, version, here, set)
    if (!here) show(command, sent.id, sent.after ?? [], version)
  }
  set((s) => (s.signIn ? { signIn: false } : {}))
}

async function sendAll(get: () => OutboxState, set: Set): Promise<void> {
  await readBox(set)
  for (;;) {
    // What the server has, this device must know to be newer than what it had before, whatever happens to it.
    await box?.settled()
    const sent = get().pending.find((p) => isOurs(p, get().account))
    if (!sent) return
    const gone = () => set((s) => ({ pending: s.pending.filter((l) => l !== sent && (!sent.id || l.id !== sent.id)) }))
    try {
      await taken(sent, await sendOne(sent), set)
      gone()
      box?.store(done(sent))
    } catch (error) {
      if (!(error instanceof ApiError)) return
      if (error.status === 401) set(() => ({ signIn: true }))
      const failed = (sent.failed ?? 0) + (isFailure(error) ? 1 : 0)
      if (isRefusal(error) || failed >= MOST_FAILURES) {
        gone()
        notTaken({ ...sent, failed: 0 }, error, get, set)
      } else if (failed > 0) {
        // The next run tries it again; meanwhile it keeps its place.
        set((s) => ({ pending: s.pending.map((p) => (p.id === sent.id ? { ...p, failed } : p)) }))
        if (sent.id) box?.store([entryOf({ ...sent, failed }, 0, { state: 'waiting' })])
        return
      } else return
    }
  }
}

/** What the server said to a command it would not take. */
function notTaken(sent: Kept, error: ApiError, get: () => OutboxState, set: Set): void {
  const entry = notTakenEntry(sent, error)
  // A count of this page holds the earlier ones whose place it took; that of another page does not.
  const earlier =
    entry.state === 'conflict' && sent.command.do === 'save-stop'
      ? get().conflicts.filter((c) => c.key === sent.key && c.id !== undefined && sent.after?.includes(c.id))
      : []
  set((s) =>
    entry.state === 'conflict'
      ? { conflicts: [...s.conflicts.filter((c) => !earlier.includes(c)), conflictOf(entry)] }
      : { refused: [...s.refused, { ...entry, message: error.message }] },
  )
  box?.store([...done(...earlier), entry])
}

/** What the page shows of the record that a command changes; undefined: it was never read. */
type ShownOf = (command: Command) => object | null | undefined
let lookUp: ShownOf = () => undefined
/** Say how what the page shows is found. */
export const lookUpShown = (by: ShownOf): void => void (lookUp = by)

function shownOf(command: Command): (object | null)[] {
  const shown = lookUp(command)
  return shown === undefined ? [] : [shown]
}

/** The version of a stop: on the disk for every page to come, on this page where it is its own. */
async function noteVersion(url: string, version: number, here: boolean, set: Set): Promise<void> {
  if (here) set((s) => ({ versions: { ...s.versions, [url]: version } }))
  await versionStore?.write({ [url]: version }).catch(() => undefined)
}

/** One page sends at a time; the next one waits and then sends what is left. */
const alone = (work: () => Promise<void>): Promise<void> =>
  globalThis.navigator?.locks ? navigator.locks.request('fold-sprig-outbox', work) : work()

/** Changes wait here, in the browser's own store, until the server has them. */
export const useOutbox = create<OutboxState>()((set, get) => ({
  ...{ pending: [], refused: [], conflicts: [], unkept: [], signIn: false, account: null, versions: {} },
  post: (command, on = {}) => {
    const { pending, conflicts, versions, account } = get()
    const key = keyOf(command)
    const open = conflicts.find((c) => c.key === key && c.id !== undefined && isOwn(c.id))
    if (open && isOfStop(open) && command.do === 'save-stop') {
      // Until it is settled what is counted on goes into this device's version, not over the other one.
      // It is another entry: what took the place of the earlier one does not hold what is counted now.
      const after = [...(open.after ?? []), open.id!]
      const mine = entryOf({ key, command }, Date.now(), { state: 'conflict', theirs: open.theirs, after })
      noteOwn(mine.id)
      set({ conflicts: conflicts.map((c) => (c === open ? conflictOf(mine) : c)) })
      box?.store([...done(open), mine])
      return
    }
    // A count of another page that this one has not shown is not replaced by it: the server tells the two apart.
    const known = (l: Kept) => command.do !== 'save-stop' || isShown(l.id)
    const replaced = pending.filter((l) => l.key === key && isOurs(l, account) && known(l))
    const stands =
      command.do === 'save-stop'
        ? { base: on.base ?? versions[requestOf(command).url] ?? 0 }
        : { seen: on.seen ?? shownOf(command) }
    const next = entryInPlace(command, replaced, stands, Math.max((pending.at(-1)?.n ?? 0) + 1, Date.now()))
    const entry = account === null ? next : { ...next, account }
    noteOwn(entry.id)
    set({ pending: [...pending.filter((l) => !replaced.includes(l)), entry] })
    box?.store([...done(...replaced), entry])
    // Told once it is on the disk, so that no page can be done with it before it is there.
    void box?.settled().then(() => others?.postMessage({ posted: entry } satisfies Told))
    void get().drain()
  },
  drain: () => {
    running ??= alone(() => sendAll(get, set).then(() => box?.settled())).finally(() => (running = undefined))
    return running
  },
  retryRefused: () => {
    const { refused } = get()
    set({ refused: [] })
    box?.store(done(...refused))
    for (const { command, base, seen } of refused) get().post(command, { base, seen })
  },
  dropRefused: () => {
    box?.store(done(...get().refused))
    set({ refused: [] })
  },
  takeOver: () => {
    const { pending, account } = get()
    const now = pending.map((p) => (isOurs(p, account) ? p : { ...p, account: account! }))
    const changed = now.filter((p, i) => p !== pending[i])
    set({ pending: now })
    box?.store(changed.map((p) => entryOf(p, 0, { state: 'waiting' })))
    void get().drain()
  },
  dropOthers: () => {
    const { pending, account } = get()
    box?.store(done(...pending.filter((p) => !isOurs(p, account))))
    set({ pending: pending.filter((p) => isOurs(p, account)) })
  },
  noteVersions: (versions) => {
    const { pending, versions: known } = get()
    // What still waits was written over the version that the device had then.
    const waiting = new globalThis.Set(pending.map((l) => requestOf(l.command).url))
    for (const [url, v] of Object.entries(versions))
      if (!waiting.has(url) && v !== (known[url] ?? 0)) void noteVersion(url, v, true, set)
  },
  addConflicts: (news) => {
    const entries = news.map(({ key, command, theirs }, i) =>
      entryOf({ key, command }, Date.now() + i, { state: 'conflict', theirs }),
    )
    const { conflicts } = get()
    // A file that is opened twice is asked about once.
    const replaced = conflicts.filter((c) => news.some((n) => sameValue(n.command, c.command)))
    set({ conflicts: [...conflicts.filter((c) => !replaced.includes(c)), ...entries.map(conflictOf)] })
    box?.store([...done(...replaced), ...entries])
  },
  resolveConflict: (conflict, keep) => {
    set((s) => ({ conflicts: s.conflicts.filter((c) => c !== conflict) }))
    const { command, theirs } = conflict
    if (isOfStop(conflict)) void noteVersion(requestOf(command).url, conflict.theirs.version, true, set)
    if (keep === 'mine' && isOfStop(conflict)) get().post(command, { base: conflict.theirs.version })
    else if (keep === 'mine') get().post(chosenOver(command, theirs, conflict.seen?.[0]), { seen: [theirs] })
    box?.store(done(conflict))
  },
}))

/** The commands that wait, in their order: what was read before is shown with them. */
export const pendingCommands = (): Command[] => useOutbox.getState().pending.map((p) => p.command)

const set: Set = (change) => useOutbox.setState(change)

/** Take over what an earlier version kept, and only then do away with it. */
async function moveEarlier(): Promise<void> {
  const earlier = readEarlierOutbox()
  if (!earlier) return
  for (const [url, v] of Object.entries(earlier.versions)) await noteVersion(url, v, true, set)
  for (const command of earlier.commands) useOutbox.getState().post(command)
  if (earlier.conflicts.length > 0) useOutbox.getState().addConflicts(earlier.conflicts as Conflict[])
  await deviceId()
  await box?.settled()
  if (useOutbox.getState().unkept.length === 0) dropEarlierOutbox()
}

/** Open the store; what waits in it is known when this is done. */
export async function openOutbox(): Promise<void> {
  box = new Box(
    (changed, lost) => set((s) => ({ unkept: [...s.unkept.filter((id) => !changed.includes(id)), ...lost] })),
    () => others?.postMessage('changed'),
  )
  versionStore = await openVersionStore()
  await readBox(set)
  // What this page shows is built on them.
  for (const { id } of useOutbox.getState().pending) noteShown(id)
  await moveEarlier()
  const versions = await versionStore.read().catch(() => ({}))
  set((s) => ({ versions: { ...versions, ...s.versions } }))
  if ('BroadcastChannel' in globalThis) listen()
  // Asked when the others are heard: what they are done with from now on they say.
  sentMeanwhile = await box.doneSince(performance.timeOrigin)
}

function listen(): void {
  others = new BroadcastChannel('fold-sprig-outbox')
  let soon: ReturnType<typeof setTimeout> | undefined
  others.onmessage = ({ data }: MessageEvent<Told>) => {
    if (data !== 'changed') return 'posted' in data ? heardPosted(data.posted) : heardTaken(data)
    soon ??= setTimeout(() => {
      soon = undefined
      void readBox(set)
    }, TOLD_MS)
  }
}

/** Another page has posted it: it waits here too, at once, and is shown where nothing speaks against it. */
function heardPosted(entry: Entry): void {
  const gone = [entry.id, ...(entry.after ?? [])]
  set((s) => ({ pending: [...s.pending.filter((p) => !p.id || !gone.includes(p.id)), entry] }))
  const { command, base = 0 } = entry
  if (command.do !== 'save-stop') return
  if (base === (useOutbox.getState().versions[requestOf(command).url] ?? 0)) show(command, entry.id, entry.after ?? [])
}

/** Another page sent it: perhaps one that this page had posted. */
function heardTaken({ id, command, version, seq }: TakenElsewhere): void {
  const sent = useOutbox.getState().pending.find((p) => p.id === id)
  tellTaken({ command, version, seq, mine: id !== undefined && isOwn(id) })
  if (id) set((s) => ({ pending: s.pending.filter((p) => p.id !== id) }))
  if (command.do !== 'save-stop' || version === undefined) return
  if (id !== undefined && isShown(id)) void noteVersion(requestOf(command).url, version, true, set)
  else show(command, id, sent?.after ?? [], version)
}

/** Try again now and then, and as soon as the browser says it is back. */
export function keepDraining(): void {
  const drain = () => void useOutbox.getState().drain()
  window.addEventListener('online', drain)
  window.setInterval(drain, 5000)
  drain()
}
