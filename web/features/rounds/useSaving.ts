import { stopAddress } from '@/contract/commands.ts'
import { useEffect, useRef } from 'react'
import type { Round, Stop } from '@/core/records/round.ts'
import { useOutbox } from '../../stores/outboxStore.ts'

/** Send each stop that changed, whole. */
export function useSaving(round: Round, stops: Stop[]): void {
  const saved = useRef(stops)
  const post = useOutbox((s) => s.post)
  const noteVersions = useOutbox((s) => s.noteVersions)
  useEffect(() => {
    noteVersions(Object.fromEntries(round.stops.map((s) => [stopAddress(round.id, s.seq), s.version])))
  }, [round, noteVersions])
  useEffect(() => {
    for (const stop of stops) {
      if (saved.current.includes(stop)) continue
      const { id, hits, doneAt, position, stratum, measures, skipped } = stop
      const body = { id, hits, doneAt, stratum, measures, skipped, ...(position ? { position } : {}) }
      post({ do: 'save-stop', roundId: round.id, seq: stop.seq, stop: body })
    }
    saved.current = stops
  }, [stops, round.id, post])
}
