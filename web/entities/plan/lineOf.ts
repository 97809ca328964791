import type { PlanLine } from '@/core/records/planItem.ts'
import type { Round } from '@/core/records/round.ts'

/** A new thing to do that follows from a round; what is not said of it is open. */
export const lineOf = (
  round: Round,
  said: Pick<PlanLine, 'text' | 'dueOn'> & Partial<Pick<PlanLine, 'plant' | 'backOn' | 'lookFor'>>,
): PlanLine => ({
  id: crypto.randomUUID(),
  paddockId: round.paddockId,
  roundId: round.id,
  plant: null,
  owner: '',
  backOn: null,
  lookFor: '',
  doneOn: null,
  outcome: '',
  paddock: round.paddock.name,
  holding: round.holding,
  ...said,
})
