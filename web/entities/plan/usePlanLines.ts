import { movedTo, type PlanDate, type PlanLine } from '@/core/records/planItem.ts'
import { dayWords } from '../../language/dates.ts'
import { say } from '../../language/say.ts'
import { toast } from '../../ui/toast/toastStore.ts'
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
  const put = (line: PlanLine) => {
    const { id, paddockId, roundId, plant, text, owner, dueOn, backOn, lookFor, doneOn, outcome } = line
    post({ do: 'save-plan-item', item: { id, paddockId, roundId, plant, text, owner, dueOn, backOn, lookFor, doneOn, outcome } }) // prettier-ignore
  }
  return {
    lines: paddockId === undefined ? lines : lines.filter((l) => l.paddockId === paddockId),
    problem,
    again,
    put,
    /** Taken out at once, with a way back: put in anew, for what was taken out stays out under its own id. */
    drop: (line: PlanLine) => {
      post({ do: 'delete-plan-item', id: line.id })
      toast(say('Taken out of the plan: {{text}}', { text: line.text }), () =>
        put({ ...line, id: crypto.randomUUID() }),
      )
    },
    /** On another day, with a way back. */
    move: (line: PlanLine, kind: PlanDate['kind'], day: string) => {
      const moved = movedTo(line, kind, day)
      put(moved)
      const to = kind === 'do' ? moved.dueOn : moved.backOn!
      toast(say('{{text}}: now {{dayWords}}', { text: line.text, dayWords: dayWords(to) }), () => put(line))
    },
  }
}
