import { useEffect, useRef } from 'react'
import type { Round, Stop } from '@/core/records/round.ts'
import { useOutbox } from '../stores/outboxStore.ts'

export const stopUrl = (roundId: string, seq: number): string => `/api/rounds/${roundId}/stops/${seq}`

/** Send each stop that changed, whole. */
export function useSaving(round: Round, stops: Stop[]): void {
  const saved = useRef(stops)
  const post = useOutbox((s) => s.post)
  const saw = useOutbox((s) => s.saw)
  useEffect(() => {
    saw(Object.fromEntries(round.stops.map((s) => [stopUrl(round.id, s.seq), s.version])))
  }, [round, saw])
  useEffect(() => {
    for (const stop of stops) {
      if (saved.current.includes(stop)) continue
      const url = stopUrl(round.id, stop.seq)
      const { id, hits, doneAt, position, stratum, measures, skipped } = stop
      const body = { id, hits, doneAt, stratum, measures, skipped, ...(position ? { position } : {}) }
      post({ key: url, method: 'PUT', url, body, stop: true })
    }
    saved.current = stops
  }, [stops, round.id, post])
}
