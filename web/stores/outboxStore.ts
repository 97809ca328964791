import { create } from 'zustand'
import { requestOf } from '@/contract/commandRequests.ts'
import { keyOf } from '@/contract/commandKeys.ts'
import type { Command } from '@/contract/commands.ts'
import { chosenOver } from '@/contract/recordOf.ts'
import { sameValue } from '@/core/records/merge.ts'
import { conflictOf, done, entryInPlace, entryOf, isOfStop, type Kept } from './outboxEntry.ts'
import { isOwn, isShown, noteOwn, type Told } from './outboxPages.ts'
import { sendAll } from './outboxSending.ts'
import { isOurs, noteVersion, parts, type OutboxState } from './outboxState.ts'

export { isOurs } from './outboxState.ts'
export { isOfStop } from './outboxEntry.ts'
export type { Conflict, RecordConflict, Refused, StopConflict } from './outboxEntry.ts'
export { onElsewhere, onGone, onTaken } from './outboxPages.ts'

/** The run under way: whoever asks meanwhile waits for the same one. */
let running: Promise<void> | undefined
/** What the page shows of the record that a command changes; undefined: it was never read. */
type ShownOf = (command: Command) => object | null | undefined
let lookUp: ShownOf = () => undefined
/** Say how what the page shows is found. */
export const lookUpShown = (by: ShownOf): void => void (lookUp = by)

function shownOf(command: Command): (object | null)[] {
  const shown = lookUp(command)
  return shown === undefined ? [] : [shown]
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
      parts.box?.store([...done(open), mine])
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
    parts.box?.store([...done(...replaced), entry])
    // Told once it is on the disk, so that no page can be done with it before it is there.
    void parts.box?.settled().then(() => parts.others?.postMessage({ posted: entry } satisfies Told))
    void get().drain()
  },
  drain: () => {
    running ??= alone(() => sendAll(get, set).then(() => parts.box?.settled())).finally(() => (running = undefined))
    return running
  },
  retryRefused: () => {
    const { refused } = get()
    set({ refused: [] })
    parts.box?.store(done(...refused))
    for (const { command, base, seen } of refused) get().post(command, { base, seen })
  },
  dropRefused: () => {
    parts.box?.store(done(...get().refused))
    set({ refused: [] })
  },
  takeOver: () => {
    const { pending, account } = get()
    const now = pending.map((p) => (isOurs(p, account) ? p : { ...p, account: account! }))
    const changed = now.filter((p, i) => p !== pending[i])
    set({ pending: now })
    parts.box?.store(changed.map((p) => entryOf(p, 0, { state: 'waiting' })))
    void get().drain()
  },
  dropOthers: () => {
    const { pending, account } = get()
    parts.box?.store(done(...pending.filter((p) => !isOurs(p, account))))
    set({ pending: pending.filter((p) => isOurs(p, account)) })
  },
  noteVersions: (versions) => {
    const { pending, versions: known } = get()
    // What still waits was written over the version that the device had then.
    const waiting = new Set(pending.map((l) => requestOf(l.command).url))
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
    parts.box?.store([...done(...replaced), ...entries])
  },
  resolveConflict: (conflict, keep) => {
    set((s) => ({ conflicts: s.conflicts.filter((c) => c !== conflict) }))
    const { command, theirs } = conflict
    if (isOfStop(conflict)) void noteVersion(requestOf(command).url, conflict.theirs.version, true, set)
    if (keep === 'mine' && isOfStop(conflict)) get().post(command, { base: conflict.theirs.version })
    else if (keep === 'mine') get().post(chosenOver(command, theirs, conflict.seen?.[0]), { seen: [theirs] })
    parts.box?.store(done(conflict))
  },
}))

/** The commands that wait, in their order: what was read before is shown with them. */
export const pendingCommands = (): Command[] => useOutbox.getState().pending.map((p) => p.command)
