import { useEffect, useState } from 'react'
import type { PlanItem, PlanLine } from '@/core/records/planItem.ts'
import { getPlanLines } from '../api/client.ts'
import { useOutbox } from '../stores/outboxStore.ts'

const address = (id: string) => `/api/plan-items/${id}`

/** What the server has, with what waits to be sent. */
export async function readPlan(): Promise<PlanLine[]> {
  const kept = await getPlanLines()
  const byId = new Map(kept.map((i) => [i.id, i]))
  for (const { url, method, body } of useOutbox.getState().letters) {
    if (!url.startsWith('/api/plan-items/')) continue
    if (method === 'DELETE') byId.delete(url.split('/').at(-1)!)
    else byId.set((body as PlanLine).id, body as PlanLine)
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
  const send = (method: 'PUT' | 'DELETE', item: PlanItem) => {
    post({ key: `plan/${item.id}`, method, url: address(item.id), body: item })
    void useOutbox.getState().drain()
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
