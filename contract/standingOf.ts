import { without } from '@/core/records/merge.ts'
import type { Verification } from '@/core/records/verification.ts'
import type { PaddockEvent } from '@/core/records/paddockEvent.ts'
import type { PlanLine } from '@/core/records/planItem.ts'
import type { UndeterminedSpecimen } from '@/core/records/specimen.ts'
import type { Places } from './applied.ts'
import type { Command, KeptApart } from './commands.ts'

/** What was read, each undefined where it never was. */
export interface ReadSoFar {
  kept: () => KeptApart[] | undefined
  plan: () => PlanLine[] | undefined
  places: () => Places | undefined
  unknowns: () => UndeterminedSpecimen[] | undefined
  events: () => PaddockEvent[] | undefined
  checks: () => Verification[] | undefined
}

const byId = <T extends object>(list: T[] | undefined, is: (value: T) => boolean): T | null | undefined =>
  list && (list.find(is) ?? null)

/** A value without what is shown with it but is not the record's own. */
const own = <T extends object, K extends keyof T>(value: T | null | undefined, ...shownWith: K[]) =>
  value && without(value, ...shownWith)

/** The record that a command changes, as it was read; null where there is none, undefined where that is not known. */
export function standingOf(command: Command, read: ReadSoFar): object | null | undefined {
  switch (command.do) {
    case 'keep-apart':
    case 'drop-apart': {
      const kept = byId(read.kept(), (k) => k.kind === command.kind && k.subject === command.subject)
      return kept && kept.value
    }
    case 'save-plan-item':
      return own(byId(read.plan(), (l) => l.id === command.item.id), 'paddock', 'holding') // prettier-ignore
    case 'delete-plan-item':
      return own(byId(read.plan(), (l) => l.id === command.id), 'paddock', 'holding') // prettier-ignore
    case 'save-paddock':
      return byId(read.places()?.paddocks, (p) => p.id === command.paddock.id)
    case 'save-holding':
      return byId(read.places()?.holdings, (h) => h.id === command.holding.id)
    case 'keep-unknown':
      return own(byId(read.unknowns(), (u) => u.id === command.unknown.id), 'letter') // prettier-ignore
    case 'save-event':
      return byId(read.events(), (e) => e.id === command.event.id)
    case 'delete-event':
      return byId(read.events(), (e) => e.id === command.eventId)
    case 'check-naming':
      return byId(read.checks(), (c) => c.namingId === command.check.namingId)
    case 'drop-check':
      return byId(read.checks(), (c) => c.namingId === command.namingId)
    default:
      return undefined
  }
}
