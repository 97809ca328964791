import { useEffect, useState } from 'react'
import type { PlanItem, PlanLine } from '@/core/records/planItem.ts'
import { getPlanLines } from '../api/client.ts'
import { readPlaces } from '../places/readPlaces.ts'
import { useOutbox } from '../stores/outboxStore.ts'

const address = (id: string) => `/api/plan-items/${id}`

/** What the server has, with what waits to be sent. */
export async function readPlan(): Promise<PlanLine[]> {
  const kept = await getPlanLines()
  const byId = new Map(kept.map((i) => [i.id, i]))
  const waiting = useOutbox.getState().letters.filter((l) => l.url.startsWith(address('')))
  if (waiting.length === 0) return kept
  const { paddocks, holdings } = await readPlaces()
  for (const { url, method, body } of waiting) {
    const id = url.slice(address('').length)
    if (method === 'DELETE') byId.delete(id)
    else {
      const item = body as Omit<PlanItem, 'id'>
      const paddock = paddocks.find((p) => p.id === item.paddockId)
      const holding = holdings.find((h) => h.id === paddock?.holdingId)
      byId.set(id, { ...item, id, paddock: paddock?.name ?? '', holding: holding?.name ?? '' })
    }
  }
  return [...byId.values()]
}

/** The plan of a paddock, or of all, to read and to write; what is written goes through the outbox. */
export function usePlanLines(paddockId?: string, first: PlanLine[] = []) {
  const [lines, setLines] = useState(first)
  const post = useOutbox((s) => s.post)
  useEffect(() => {
    let current = true
    readPlan().then(
      (all) => current && setLines(all),
      () => undefined,
    )
    return () => void (current = false)
  }, [])
  const send = (method: 'PUT' | 'DELETE', line: PlanLine) => {
    const { paddockId, roundId, plant, text, owner, dueOn, backOn, lookFor, doneOn, outcome } = line
    const body = { paddockId, roundId, plant, text, owner, dueOn, backOn, lookFor, doneOn, outcome }
    post({ key: `plan/${line.id}`, method, url: address(line.id), body })
  }
  return {
    lines: paddockId === undefined ? lines : lines.filter((l) => l.paddockId === paddockId),
    put: (line: PlanLine) => {
      setLines((all) =>
        all.some((l) => l.id === line.id) ? all.map((l) => (l.id === line.id ? line : l)) : [...all, line],
      )
      send('PUT', line)
    },
    drop: (line: PlanLine) => {
      setLines((all) => all.filter((l) => l.id !== line.id))
      send('DELETE', line)
    },
  }
}
