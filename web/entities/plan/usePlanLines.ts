import type { PlanLine } from '@/core/records/planItem.ts'
import { fresh, reads, useRead } from '../../data/reads.ts'
import { pendingCommands, useOutbox } from '../../stores/outboxStore.ts'

/** The plan with what waits to be sent; names of its places are read first where they may be needed. */
export async function readPlan(): Promise<PlanLine[]> {
  if (pendingCommands().some((c) => c.do === 'save-plan-item')) await fresh(reads.places)
  return fresh(reads.plan)
}

/** The plan of a paddock, or of all, to read and to write; what is written goes through the outbox. */
export function usePlanLines(paddockId?: string) {
  const { data: lines = [], problem, again } = useRead(reads.plan)
  const { post } = useOutbox.getState()
  return {
    lines: paddockId === undefined ? lines : lines.filter((l) => l.paddockId === paddockId),
    problem,
    again,
    put: (line: PlanLine) => {
      const { id, paddockId, roundId, plant, text, owner, dueOn, backOn, lookFor, doneOn, outcome } = line
      post({ do: 'save-plan-item', item: { id, paddockId, roundId, plant, text, owner, dueOn, backOn, lookFor, doneOn, outcome } }) // prettier-ignore
    },
    drop: (line: PlanLine) => post({ do: 'delete-plan-item', id: line.id }),
  }
}
