import { useEffect } from 'react'
import { create } from 'zustand'
import { planAfter } from '@/contract/applied.ts'
import type { Command } from '@/contract/commands.ts'
import type { PlanLine } from '@/core/records/planItem.ts'
import type { Paddock } from '@/core/records/round.ts'
import { getPlanLines } from '../../api/client.ts'
import { readPlaces } from '../../data/readPlaces.ts'
import { pendingCommands, useOutbox } from '../../stores/outboxStore.ts'

/** What the server has, with what waits to be sent. */
export async function readPlan(): Promise<PlanLine[]> {
  const kept = await getPlanLines()
  const waiting = pendingCommands().filter((c) => c.do === 'save-plan-item' || c.do === 'delete-plan-item')
  if (waiting.length === 0) return kept
  const places = await readPlaces()
  return waiting.reduce((lines, c) => planAfter(lines, c, places), kept)
}

/** The plan as every panel of this page sees it, once it was read: a line put into it in one is there in the others. */
const usePlan = create<{ lines: PlanLine[] | undefined }>(() => ({ lines: undefined }))

/** Names of places are known from the line itself. */
const placesOf = (line: PlanLine) => ({
  holdings: [{ id: line.holding, name: line.holding, client: '' }],
  paddocks: [{ id: line.paddockId, name: line.paddock, holdingId: line.holding } as Paddock],
})

/** The plan of a paddock, or of all, to read and to write; what is written goes through the outbox. */
export function usePlanLines(paddockId?: string, first: PlanLine[] = []) {
  const lines = usePlan((s) => s.lines) ?? first
  useEffect(() => {
    readPlan().then(
      (read) => usePlan.setState({ lines: read }),
      () => undefined,
    )
    // The next screen reads it anew, whoever is signed in by then.
    return () => usePlan.setState({ lines: undefined })
  }, [])
  const change = (command: Command, line: PlanLine) => {
    usePlan.setState((s) => ({ lines: planAfter(s.lines ?? first, command, placesOf(line)) }))
    useOutbox.getState().post(command)
  }
  return {
    lines: paddockId === undefined ? lines : lines.filter((l) => l.paddockId === paddockId),
    put: (line: PlanLine) => {
      const { id, paddockId, roundId, plant, text, owner, dueOn, backOn, lookFor, doneOn, outcome } = line
      const item = { id, paddockId, roundId, plant, text, owner, dueOn, backOn, lookFor, doneOn, outcome }
      change({ do: 'save-plan-item', item }, line)
    },
    drop: (line: PlanLine) => change({ do: 'delete-plan-item', id: line.id }, line),
  }
}
