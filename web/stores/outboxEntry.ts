import { inPlaceOf, keyOf, type Command } from '@/contract/commands.ts'
import type { Stop } from '@/core/records/round.ts'
import type { ApiError } from '../api/client.ts'
import type { Done, Entry, PendingCommand } from './outboxStorage.ts'

type Of<D extends Command['do']> = Extract<Command, { do: D }>

/** A stop that was counted in two places: both are kept until the person has chosen. */
export interface Conflict {
  id?: string
  n?: number
  key: string
  command: Of<'save-stop'>
  theirs: Stop
  after?: string[]
}

/** An entry as the page holds it; one of an earlier version may have no id yet. */
export type Kept = PendingCommand & Partial<Omit<Entry, 'state'>>
export type Refused = Kept & { message: string }

/** What is kept of how often a command took the place of another: more than these are never under way. */
const MOST_AFTER = 100

export const done = (...entries: { id?: string; n?: number }[]): Done[] =>
  entries.flatMap((e) => (e.id ? [{ id: e.id, n: e.n ?? 0, state: 'done' as const }] : []))

export const entryOf = (kept: Kept, n: number, rest: Pick<Entry, 'state'> & Partial<Entry>): Entry => ({
  ...kept,
  id: kept.id ?? crypto.randomUUID(),
  n: kept.n ?? n,
  ...rest,
})

export const conflictOf = (e: Entry): Conflict => ({
  ...{ id: e.id, n: e.n, key: e.key },
  command: e.command as Conflict['command'],
  theirs: e.theirs as Stop,
  ...(e.after ? { after: e.after } : {}),
})

/** A new entry in place of those of its key that still wait: what they changed stands on the same version, and one may have arrived. */
export function entryInPlace(command: Command, replaced: Kept[], base: number | undefined, n: number): Entry {
  const now = replaced.reduce((after, before) => inPlaceOf(before.command, after), command)
  const after = replaced.flatMap((r) => [...(r.after ?? []), ...(r.id ? [r.id] : [])]).slice(-MOST_AFTER)
  const from = replaced[0]?.base ?? base
  return entryOf({ key: keyOf(command), command: now }, n, {
    state: 'waiting',
    ...(from === undefined ? {} : { base: from }),
    ...(after.length > 0 ? { after } : {}),
  })
}

/** What a command that the server would not take is now: one that meets another count, or one that is shown with why. */
export function notTakenEntry(sent: Kept, error: ApiError): Entry {
  const { theirs } = error
  return sent.command.do === 'save-stop' && error.status === 409 && theirs
    ? entryOf(sent, 0, { state: 'conflict', theirs })
    : entryOf(sent, 0, { state: 'refused', message: error.message })
}
