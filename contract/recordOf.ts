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
