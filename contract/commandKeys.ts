import { requestOf } from './commandRequests.ts'
import type { Command } from './commands.ts'

/**
 * What a later command of the same key takes the place of while it still waits: the record it writes whole. Names written
 * down, signed pages and answers of practice are records of their own each time.
 */
export function keyOf(command: Command): string {
  if (command.do === 'plan-round') return `/api/rounds/${command.round.id}`
  if (command.do === 'write-naming') return `/api/namings/${command.naming.id}`
  if (command.do === 'sign-page') return `/api/rounds/${command.signed.roundId}/signed-pages/${command.signed.id}`
  if (command.do === 'keep-answers') return `/api/practice-answers/${command.answers.map((a) => a.id).join()}`
  if (command.do === 'add-paddock') return requestOf({ ...command, do: 'save-paddock' }).url
  if (command.do === 'add-holding') return requestOf({ ...command, do: 'save-holding' }).url
  return requestOf(command).url
}

/**
 * One command in place of another of the same key that still waits: what the server does not have yet is still added, with
 * what was changed since.
 */
export function inPlaceOf(before: Command, after: Command): Command {
  if (before.do === 'add-paddock' && after.do === 'save-paddock') return { do: 'add-paddock', paddock: after.paddock }
  if (before.do === 'add-holding' && after.do === 'save-holding') return { do: 'add-holding', holding: after.holding }
  return after
}
