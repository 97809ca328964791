import { changedFields } from '@/core/records/merge.ts'
import type { Command } from './commands.ts'

/** A record whole, as a command leaves it; null: it is taken out. Undefined where a command writes none that others edit. */
export function valueOf(command: Command): object | null | undefined {
  switch (command.do) {
    case 'keep-unknown':
      return command.unknown
    case 'save-holding':
    case 'add-holding':
      return command.holding
    case 'save-paddock':
    case 'add-paddock':
      return command.paddock
    case 'save-event':
      return command.event
    case 'save-plan-item':
      return command.item
    case 'keep-apart':
      return command.value
    case 'check-naming':
      return command.check
    case 'delete-event':
    case 'delete-plan-item':
    case 'drop-apart':
    case 'drop-check':
      return null
    default:
      return undefined
  }
}

/** Whether a command changes a record that others may have changed too: it says what of it was seen. */
export const saysSeen = (command: Command): boolean =>
  valueOf(command) !== undefined && command.do !== 'add-holding' && command.do !== 'add-paddock'

/** Where a command holds the record that it writes. */
const holds = {
  'keep-unknown': 'unknown',
  'save-holding': 'holding',
  'save-paddock': 'paddock',
  'save-event': 'event',
  'save-plan-item': 'item',
  'keep-apart': 'value',
  'check-naming': 'check',
} as const satisfies Partial<Record<Command['do'], string>>

/**
 * A command chosen over what somebody else wrote: its record keeps their value of each field that it had not changed.
 *
 * @param seen the record that was on the screen when it was made; undefined where that is not known
 */
export function chosenOver(command: Command, theirs: object | null, seen: object | null | undefined): Command {
  const mine = valueOf(command)
  const at = holds[command.do as keyof typeof holds] as string | undefined
  if (!at || !mine || !theirs || seen === undefined) return command
  const changed = changedFields(seen, mine)
  const kept = Object.fromEntries(Object.entries(mine).filter(([field]) => changed.includes(field)))
  return { ...command, [at]: { ...theirs, ...kept } } as Command
}
