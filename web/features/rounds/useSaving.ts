import { stopAddress } from '@/contract/commandRequests.ts'
import type { SentStop } from '@/contract/commands.ts'
import { useEffect, useRef } from 'react'
import { openStop, type Round, type Stop } from '@/core/records/round.ts'
import { lostStops } from '../../stores/countedStops.ts'
import { onElsewhere, onTaken, useOutbox } from '../../stores/outboxStore.ts'
import type { CountAction } from './countState.ts'

/** A stop as it is sent: whole, its place only where it has one. */
function sentStop({ id, hits, doneAt, position, stratum, measures, skipped }: Stop, added: boolean): SentStop {
  const rest = { ...(position ? { position } : {}), ...(added ? { added } : {}) }
  return { id, hits, doneAt, stratum, measures, skipped, ...rest }
}

/** Send each stop that changed, whole; take over what another page of this device has sent, so that this one is not stale. */
export function useSaving(round: Round, stops: Stop[], act: (action: CountAction) => void): void {
  const saved = useRef(stops)
  const now = useRef(stops)
  const { post, noteVersions } = useOutbox.getState()
  useEffect(() => {
    const { versions, addConflicts } = useOutbox.getState()
    const behind = round.stops.filter((s) => s.version < (versions[stopAddress(round.id, s.seq)] ?? 0))
    // A server that was put back to an earlier copy: what this device had counted there is offered again.
    if (behind.length > 0) void lostStops(round.id, behind).then((lost) => lost.length > 0 && addConflicts(lost))
    noteVersions(Object.fromEntries(round.stops.map((s) => [stopAddress(round.id, s.seq), s.version])))
  }, [round, noteVersions])
  useEffect(() => {
    now.current = stops
    const planned = new Set(round.stops.map((s) => s.id))
    for (const stop of stops) {
      if (saved.current.includes(stop)) continue
      post({ do: 'save-stop', roundId: round.id, seq: stop.seq, stop: sentStop(stop, !planned.has(stop.id)) })
    }
    saved.current = stops
  }, [stops, round, post])
  useEffect(
    () =>
      onTaken(({ command, seq }) => {
        if (command.do !== 'save-stop' || command.roundId !== round.id) return
        // Another device had added a stop of this number: ours goes on under the next one.
        if (seq !== undefined && seq !== command.seq) act({ kind: 'renumber', id: command.stop.id, seq })
      }),
    [round.id, act],
  )
  useEffect(
    () =>
      onElsewhere(({ roundId, seq, stop }, version) => {
        if (roundId !== round.id) return
        const here = now.current.find((s) => s.seq === seq) ?? openStop(stop.id, seq, null)
        const theirs = { ...here, ...stop, ...(version === undefined ? {} : { version }) }
        saved.current = [...saved.current, theirs]
        act({ kind: 'theirs', stop: theirs })
      }),
    [round.id, act],
  )
}
