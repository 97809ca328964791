import { inPlaceOf, keyOf } from '@/contract/commandKeys.ts'
import type { Command } from '@/contract/commands.ts'
import { saysSeen, valueOf } from '@/contract/recordOf.ts'
import type { Stop } from '@/core/records/round.ts'
import type { ApiError } from '../api/client.ts'
import type { Done, Entry, PendingCommand } from './outboxStorage.ts'

type Of<D extends Command['do']> = Extract<Command, { do: D }>

interface Met<C extends Command, T> {
  id?: string
  n?: number
  key: string
  command: C
  theirs: T
  after?: string[]
  seen?: (object | null)[]
}
/** A stop that was counted in two places: both are kept until the person has chosen. */
export type StopConflict = Met<Of<'save-stop'>, Stop>
/** Another record that two people changed in the same field; theirs is null where it was taken out. */
export type RecordConflict = Met<Exclude<Command, { do: 'save-stop' }>, object | null>
export type Conflict = StopConflict | RecordConflict

export const isOfStop = (c: Conflict): c is StopConflict => c.command.do === 'save-stop'

/** An entry as the page holds it; one of an earlier version may have no id yet. */
export type Kept = PendingCommand & Partial<Omit<Entry, 'state'>>
export type Refused = Kept & { message: string }

/** What is kept of how often a command took the place of another: more than these are never under way. */
const MOST_AFTER = 100
/** Characters of what was sent of a record before. */
const MOST_SEEN_BYTES = 100_000

export const done = (...entries: { id?: string; n?: number }[]): Done[] =>
  entries.flatMap((e) => (e.id ? [{ id: e.id, n: e.n ?? 0, state: 'done' as const, at: Date.now() }] : []))

export const entryOf = (kept: Kept, n: number, rest: Pick<Entry, 'state'> & Partial<Entry>): Entry => ({
  ...kept,
  id: kept.id ?? crypto.randomUUID(),
  n: kept.n ?? n,
  ...rest,
})

export const conflictOf = (e: Entry): Conflict =>
  ({
    ...{ id: e.id, n: e.n, key: e.key, command: e.command, theirs: e.theirs ?? null },
    ...(e.after ? { after: e.after } : {}),
    ...(e.seen ? { seen: e.seen } : {}),
  }) as Conflict

/** What a command stands on: the version of a stop, or what was seen of another record. */
export interface StandsOn {
  base?: number | undefined
  seen?: (object | null)[] | undefined
}

/** What was seen of a record and sent of it since, the earliest first: the first one says what was changed. */
function seenOf(replaced: Kept[], seen: StandsOn['seen']): StandsOn['seen'] {
  if (!replaced[0]) return seen
  const sent = replaced.map((r) => valueOf(r.command)).filter((v) => v !== undefined)
  const [first = null, ...later] = [...(replaced[0].seen ?? []), ...sent]
  // A list that grows with each key would fill the request: the latest are those that may just have arrived. Where an earlier
  // one had, the server puts the two together, or shows both.
  let room = MOST_SEEN_BYTES
  const latest = later.slice(-MOST_AFTER).reverse()
  const kept = latest.filter((value) => (room -= JSON.stringify(value).length) >= 0)
  return [first, ...kept.reverse()]
}

/** A new entry in place of those of its key that still wait: what they changed stands on the same, and one may have arrived. */
export function entryInPlace(command: Command, replaced: Kept[], stands: StandsOn, n: number): Entry {
  const now = replaced.reduce((after, before) => inPlaceOf(before.command, after), command)
  const after = replaced.flatMap((r) => [...(r.after ?? []), ...(r.id ? [r.id] : [])]).slice(-MOST_AFTER)
  const base = replaced[0]?.base ?? stands.base
  const seen = saysSeen(now) ? seenOf(replaced, stands.seen) : undefined
  return entryOf({ key: keyOf(command), command: now }, n, {
    state: 'waiting',
    ...(base === undefined ? {} : { base }),
    ...(seen === undefined ? {} : { seen }),
    ...(after.length > 0 ? { after } : {}),
  })
}

/** Nothing else of an entry changes under its id. */
const CHANGING = ['id', 'n', 'account', 'failed', 'message'] as const
/** Whether two readings of one list of the box are the same. */
export const sameEntries = (a: readonly Partial<Entry>[], b: readonly Partial<Entry>[]): boolean =>
  a.length === b.length &&
  a.every((x, i) => {
    const y = b[i]!
    return x.id !== undefined && CHANGING.every((field) => x[field] === y[field])
  })
/** What a command that the server would not take is now: one that meets another count, or one that is shown with why. */
export function notTakenEntry(sent: Kept, error: ApiError): Entry {
  const { theirs } = error
  return error.status === 409 && theirs !== undefined
    ? entryOf(sent, 0, { state: 'conflict', theirs })
    : entryOf(sent, 0, { state: 'refused', message: error.message })
}
