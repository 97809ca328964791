import { useEffect, useReducer, useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import { moreStopsFor } from '@/core/survey/enough.ts'
import { composition } from '@/core/survey/composition.ts'
import { namedLetters } from '@/core/survey/figures.ts'
import type { Round, Stop } from '@/core/records/round.ts'
import type { Taxon } from '@/core/survey/taxon.ts'
import { isTyping } from '../bench/useBenchKeys.ts'
import { Leaf } from '../parts/Leaf.tsx'
import type { MidribNode, MidribTip } from '../parts/Midrib.tsx'
import { useFlora } from '../stores/floraStore.ts'
import { useOutbox } from '../stores/outboxStore.ts'
import { AddPlant } from './AddPlant.tsx'
import { assignKeys, expectedPlants, letters, type CountKey } from './countKeys.ts'
import { countReducer, startCount, stopAt, type CountAction, type CountState } from './countReducer.ts'
import { CoverTable } from './CoverTable.tsx'
import { KeyStrip } from './KeyStrip.tsx'
import { SoFar } from './SoFar.tsx'
import { StopHead } from './StopHead.tsx'

const HALF_WIDTH = 0.05

/** Send each stop that changed, whole. */
function useSaving(round: Round, stops: Stop[]): void {
  const saved = useRef(stops)
  const post = useOutbox((s) => s.post)
  useEffect(() => {
    for (const stop of stops) {
      if (saved.current.includes(stop)) continue
      const url = `/api/rounds/${round.id}/stops/${stop.seq}`
      post({ key: url, method: 'PUT', url, body: { id: stop.id, hits: stop.hits, doneAt: stop.doneAt } })
    }
    saved.current = stops
  }, [stops, round.id, post])
}

function useCountKeys(
  keys: CountKey[],
  act: (action: CountAction) => void,
  add: () => void,
  newUnknown: () => void,
): void {
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || isTyping(e.target)) return
      const pressed = keys.find((k) => k.key === e.key.toLowerCase())
      if (e.key === 'x') newUnknown()
      else if (pressed) act({ kind: 'hit', taxon: pressed.taxon })
      else if (e.key === ' ') act({ kind: 'same' })
      else if (e.key === 'Enter') act({ kind: 'next', at: new Date().toISOString() })
      else if (e.key === 'z') act({ kind: 'undo' })
      else if (e.key === '/') add()
      else return
      e.preventDefault()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  })
}

function tipOf(round: Round, state: CountState, more: number | undefined): MidribTip {
  const stop = stopAt(state)
  const left = stop ? state.pointsPerStop - stop.hits.length : 0
  const toDo = state.stops.filter((s) => s.doneAt === null).length
  if (toDo === 0) return { label: 'Weigh it up', detail: 'every stop is counted', to: `/rounds/${round.id}/weigh-up` }
  if (left > 0 && stop)
    return {
      label: `${left} more ${left === 1 ? 'point' : 'points'} at stop ${stop.seq}`,
      ...(more === undefined ? {} : { detail: more === 0 ? 'enough stops for ±5 %' : `${more} more stops for ±5 %` }),
    }
  return { label: 'Walk to the next stop', hotkey: 'Enter', detail: `${toDo - 1} left after this one` }
}

function nodesOf(state: CountState, act: (action: CountAction) => void): MidribNode[] {
  const done = state.stops.filter((s) => s.doneAt !== null)
  return done.slice(-9).map((s) => ({
    id: s.id,
    label: `Stop ${s.seq}`,
    detail: `${s.hits.length} points`,
    onPress: () => act({ kind: 'go', seq: s.seq }),
    pressLabel: `Go back to stop ${s.seq}, ${s.hits.length} points`,
  }))
}

/** Count a round: keys and the stop in hand on the left, what the round says so far on the right. */
export function CountView({ round }: { round: Round }) {
  const { plants, byId } = useFlora()
  const [state, act] = useReducer(countReducer, round, startCount)
  const [added, setAdded] = useState<Taxon[]>([])
  const [adding, setAdding] = useState(false)
  const [unknown, setUnknown] = useState<string>()
  const navigate = useNavigate()
  useSaving(round, state.stops)

  const live: Round = { ...round, stops: state.stops }
  const { used, free } = letters(live)
  const inHand =
    unknown ?? used.findLast((l) => !round.unknowns.some((u) => u.letter === l && u.namedAs)) ?? free ?? 'A'
  const [firstExpected] = useState(() => expectedPlants(round, plants, []))
  const keys = assignKeys([...new Set([...firstExpected, ...added])], inHand)
  const newUnknown = () => free && setUnknown(free)
  useCountKeys(round.method === 'step-points' ? keys : [], act, () => setAdding(true), newUnknown)

  const made = composition(state.stops, namedLetters(round), byId)
  const more = made ? moreStopsFor(made, HALF_WIDTH) : undefined
  const stop = stopAt(state)
  const left =
    round.method === 'step-points' && stop ? (
      <>
        <StopHead round={round} state={state} stop={stop} onAct={act} />
        {adding ? (
          <AddPlant
            onAdd={(id) => {
              if (!keys.some((k) => k.taxon === id)) setAdded((a) => [...a, id])
              act({ kind: 'hit', taxon: id })
            }}
            onClose={() => setAdding(false)}
          />
        ) : null}
        <KeyStrip
          keys={keys}
          stop={stop}
          onHit={(taxon) => act({ kind: 'hit', taxon })}
          onAdd={() => setAdding(true)}
          onNewUnknown={newUnknown}
          newLetter={free}
        />
      </>
    ) : (
      <CoverTable round={live} />
    )
  return (
    <Leaf
      left={left}
      right={
        <SoFar
          round={live}
          made={made}
          more={more}
          current={state.current}
          onName={(letter) => void navigate(`/rounds/${round.id}/name/${letter}`)}
        />
      }
      names={{ left: 'Count', right: 'So far' }}
      tip={tipOf(round, state, more)}
      nodes={nodesOf(state, act)}
    />
  )
}
