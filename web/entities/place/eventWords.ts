import type { EventKind } from '@/core/records/paddockEvent.ts'
import { say } from '../../language/say.ts'

/** What was done in a paddock, in a word. */
export const eventWords: Record<EventKind, string> = {
  get sown() {
    return say('Sown')
  },
  get cut() {
    return say('Cut')
  },
  get grazed() {
    return say('Grazed')
  },
  get fertilised() {
    return say('Fertilised')
  },
  get treated() {
    return say('Treated')
  },
  get other() {
    return say('Other')
  },
}
