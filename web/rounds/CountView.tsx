import { useDeferredValue, useMemo, useReducer, useState } from 'react'
import { useNavigate } from 'react-router'
import { moreStopsFor } from '@/core/survey/enough.ts'
import { figuresOf, type Figures } from '@/core/survey/figures.ts'
import { methodInfo, type Entry } from '@/core/survey/methods.ts'
import type { Round, Stop } from '@/core/records/round.ts'
import type { Taxon } from '@/core/survey/taxon.ts'
import { Leaf } from '../parts/Leaf.tsx'
import type { MidribNode, MidribTip } from '../parts/Midrib.tsx'
import { useStable } from '../parts/useStable.ts'
import { useFlora } from '../stores/floraStore.ts'
import { AddPlant } from './AddPlant.tsx'
import { ConflictPanel } from './ConflictPanel.tsx'
import { assignKeys, keyedPlants, letters } from './countKeys.ts'
import {
  countReducer,
  entryOf,
  lacking,
  pointsAt,
  startCount,
  stopAt,
  type CountAction,
  type CountState,
} from './countReducer.ts'
import { CoverTable } from './CoverTable.tsx'
import { StopTaps } from './entry/StopTaps.tsx'
import { valueChoices, valueLabel, type ValueChoice } from './entry/valueChoices.ts'
import { KeyStrip } from './KeyStrip.tsx'
import { SoFar } from './SoFar.tsx'
import { StopEntry } from './StopEntry.tsx'
import { StopHead } from './StopHead.tsx'
import { useCountKeys } from './useCountKeys.ts'
import { useSaving } from './useSaving.ts'

const HALF_WIDTH = 0.05

function moreWords(more: number | undefined, halfWidth: number, unit: string): string | undefined {
  if (more === undefined) return undefined
  const wanted = `±${Math.round(halfWidth * 100)} %`
  return more === 0 ? `enough ${unit}s for ${wanted}` : `${more} more ${unit}s for ${wanted}`
}

function tipOf(
  round: Round,
  state: CountState,
  more: string | undefined,
  act: (action: CountAction) => void,
): MidribTip {
  const onPress = () => act({ kind: 'next', at: new Date().toISOString() })
  const stop = stopAt(state)
  const { unit } = methodInfo[round.method]
  const toDo = state.stops.filter((s) => s.doneAt === null && s.skipped === null).length
  if (toDo === 0)
    return { label: 'Weigh it up', detail: `every ${unit} is counted`, to: `/rounds/${round.id}/weigh-up` }
  const left = stop ? state.pointsPerStop - pointsAt(state, stop) : 0
  if (stop && entryOf(state) === 'points' && left > 0)
    return {
      label: `${left} more ${left === 1 ? 'point' : 'points'} at ${unit} ${stop.seq}`,
      ...(more === undefined ? {} : { detail: more }),
    }
  if (stop && lacking(state, stop))
    return { label: `Write down ${unit} ${stop.seq}`, ...(more ? { detail: more } : {}) }
  if (toDo === 1 && stop?.doneAt === null)
    return { label: `Close ${unit} ${stop.seq}`, hotkey: 'Enter', detail: 'the last one', onPress }
  return { label: `Walk to the next ${unit}`, hotkey: 'Enter', detail: `${toDo - 1} left after this one`, onPress }
}

function nodesOf(state: CountState, act: (action: CountAction) => void): MidribNode[] {
  const done = state.stops.filter((s) => s.doneAt !== null)
  const unit = methodInfo[state.method].unit
  const Unit = unit[0]!.toUpperCase() + unit.slice(1)
  const what = (s: Stop) =>
    entryOf(state) === 'points'
      ? `${pointsAt(state, s)} points`
      : entryOf(state) === 'reading'
        ? String(s.measures.reading ?? '')
        : `${new Set(s.hits.map((h) => h.taxon)).size} plants`
  return done.slice(-9).map((s) => ({
    id: s.id,
    label: `${Unit} ${s.seq}`,
    detail: what(s),
    onPress: () => act({ kind: 'go', seq: s.seq }),
    pressLabel: `Go back to ${unit} ${s.seq}, ${what(s)}`,
  }))
}

const hints: Record<Entry, string> = {
  points: 'Space: the same plant again. A number first: that many',
  values: '0: take it out',
  cells: 'Arrow keys: from cell to cell',
  reading: '',
  search: 'One key press: one plant found',
}

/** What stands on a key: how often the plant was met here, its class, its rank. */
function shownOn(state: CountState, stop: Stop, choices: ValueChoice[]) {
  return (taxon: Taxon): string => {
    const here = stop.hits.filter((h) => h.taxon === taxon)
    if (here.length === 0) return ''
    const entry = entryOf(state)
    if (entry === 'values') return valueLabel(choices, here[0]!.amount)
    return String(entry === 'search' ? here[0]!.amount : here.length)
  }
}

/** Count a round: keys and the stop in hand on the left, what the round says so far on the right. */
export function CountView({ round }: { round: Round }) {
  const { plants, byId } = useFlora()
  const [state, act] = useReducer(countReducer, round, startCount)
  const [added, setAdded] = useState<Taxon[]>(round.settings.targets ?? [])
  const [adding, setAdding] = useState(false)
  const [unknown, setUnknown] = useState<string>()
  const [times, setTimes] = useState('')
  const navigate = useNavigate()
  useSaving(round, state.stops)

  const live = useMemo<Round>(() => ({ ...round, stops: state.stops }), [round, state.stops])
  const { used, free } = letters(live)
  const inHand =
    unknown ?? used.findLast((l) => !round.unknowns.some((u) => u.letter === l && u.namedAs)) ?? free ?? 'A'
  const [firstExpected] = useState(() => keyedPlants(round, plants))
  const keys = assignKeys([...new Set([...firstExpected, ...added])], inHand, round.method !== 'search-walk')
  const choices = valueChoices(round.method, round.settings)
  const newUnknown = () => free && setUnknown(free)
  const entry = entryOf(state)
  const onTaxon = (taxon: Taxon) => {
    if (entry === 'values' || entry === 'cells') act({ kind: 'choose', taxon })
    else act({ kind: 'hit', taxon, ...(times ? { times: Number(times) } : {}) })
    setTimes('')
  }
  const imported = round.source !== ''
  useCountKeys({
    state,
    keys: imported || entry === 'reading' ? [] : keys,
    choices,
    act,
    onTaxon,
    add: () => setAdding(true),
    newUnknown,
    times,
    setTimes,
  })

  // The key pressed is echoed first; the figures follow when there is time.
  const settled = useDeferredValue(live)
  const figures = useMemo<Figures>(() => figuresOf(settled, byId), [settled, byId])
  const halfWidth = round.settings.halfWidth ?? HALF_WIDTH
  const more = figures.composition ? moreStopsFor(figures.composition, halfWidth) : undefined
  const onName = useStable((letter: string) => void navigate(`/rounds/${round.id}/name/${letter}`))
  const onGo = useStable((seq: number) => act({ kind: 'go', seq }))
  const stop = stopAt(state)
  const left =
    stop && !imported ? (
      <>
        <ConflictPanel round={round} onTheirs={(theirs) => act({ kind: 'theirs', stop: theirs })} />
        <StopHead round={round} state={state} stop={stop} onAct={act} />
        {adding ? (
          <AddPlant
            onAdd={(id) => {
              if (!keys.some((k) => k.taxon === id)) setAdded((a) => [...a, id])
              onTaxon(id)
            }}
            onClose={() => setAdding(false)}
          />
        ) : null}
        <StopEntry round={round} state={state} stop={stop} choices={choices} act={act} />
        {times ? (
          <p role="status" className="mt-2 font-semibold">
            {times} hits of …
          </p>
        ) : null}
        {entry === 'reading' ? null : (
          <KeyStrip
            keys={keys}
            chosen={state.chosen}
            shown={shownOn(state, stop, choices)}
            hint={hints[entry]}
            onHit={onTaxon}
            onAdd={() => setAdding(true)}
            onNewUnknown={newUnknown}
            newLetter={free}
          />
        )}
        <StopTaps stop={stop} onMeasure={(patch) => act({ kind: 'measure', patch })} />
      </>
    ) : (
      <CoverTable round={live} />
    )
  return (
    <Leaf
      left={left}
      right={
        <SoFar
          round={settled}
          figures={figures}
          more={more}
          halfWidth={halfWidth}
          current={state.current}
          onName={onName}
          onGo={onGo}
        />
      }
      names={{ left: 'Count', right: 'So far' }}
      tip={tipOf(round, state, moreWords(more, halfWidth, methodInfo[round.method].unit), act)}
      nodes={nodesOf(state, act)}
    />
  )
}
