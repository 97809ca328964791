import { methodWords } from '@/text/methodWords.ts'
import { useDeferredValue, useMemo, useReducer, useState } from 'react'
import { useNavigate } from 'react-router'
import { moreStopsFor } from '@/core/survey/enough.ts'
import { figuresOf, type Figures } from '@/core/survey/figures.ts'
import { type Entry } from '@/core/survey/methods.ts'
import type { Round, Stop } from '@/core/records/round.ts'
import type { Taxon } from '@/core/records/taxon.ts'
import { Leaf } from '../../parts/Leaf.tsx'
import type { MidribNode, MidribTip } from '../../parts/Midrib.tsx'
import { useStable } from '../../parts/useStable.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { AddPlant } from '../../entities/plant/AddPlant.tsx'
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
import { say } from '../../language/say.ts'

const HALF_WIDTH = 0.05

function moreWords(more: number | undefined, halfWidth: number, units: string): string | undefined {
  if (more === undefined) return undefined
  const wanted = `±${Math.round(halfWidth * 100)} %`
  return more === 0
    ? say('enough {{units}} for {{wanted}}', { units, wanted })
    : say('{{more}} more {{units}} for {{wanted}}', { more, units, wanted })
}

function tipOf(
  round: Round,
  state: CountState,
  more: string | undefined,
  act: (action: CountAction) => void,
): MidribTip {
  const onPress = () => act({ kind: 'next', at: new Date().toISOString() })
  const stop = stopAt(state)
  const { unitName: unit } = methodWords(round.method)
  const toDo = state.stops.filter((s) => s.doneAt === null && s.skipped === null).length
  if (toDo === 0)
    return {
      label: say('Weigh it up'),
      detail: say('every {{unit}} is counted', { unit }),
      to: `/rounds/${round.id}/weigh-up`,
    }
  const left = stop ? state.pointsPerStop - pointsAt(state, stop) : 0
  if (stop && entryOf(state) === 'points' && left > 0)
    return {
      label: say('{{count}} more points at {{unit}} {{seq}}', {
        count: left,
        unit,
        seq: stop.seq,
      }),
      ...(more === undefined ? {} : { detail: more }),
    }
  if (stop && lacking(state, stop))
    return { label: say('Write down {{unit}} {{seq}}', { unit, seq: stop.seq }), ...(more ? { detail: more } : {}) }
  if (toDo === 1 && stop?.doneAt === null)
    return {
      label: say('Close {{unit}} {{seq}}', { unit, seq: stop.seq }),
      hotkey: say('Enter'),
      detail: say('the last one'),
      onPress,
    }
  return {
    label: say('Walk to the next {{unit}}', { unit }),
    hotkey: say('Enter'),
    detail: say('{{toDo}} left after this one', { toDo: toDo - 1 }),
    onPress,
  }
}

function nodesOf(state: CountState, act: (action: CountAction) => void): MidribNode[] {
  const done = state.stops.filter((s) => s.doneAt !== null)
  const unit = methodWords(state.method).unitName
  const Unit = unit[0]!.toUpperCase() + unit.slice(1)
  const what = (s: Stop) =>
    entryOf(state) === 'points'
      ? say('{{pointsAt}} points', { pointsAt: pointsAt(state, s) })
      : entryOf(state) === 'reading'
        ? String(s.measures.reading ?? '')
        : say('{{size}} plants', { size: new Set(s.hits.map((h) => h.taxon)).size })
  return done.slice(-9).map((s) => ({
    id: s.id,
    label: `${Unit} ${s.seq}`,
    detail: what(s),
    onPress: () => act({ kind: 'go', seq: s.seq }),
    pressLabel: say('Go back to {{unit}} {{seq}}, {{what}}', { unit, seq: s.seq, what: what(s) }),
  }))
}

const hints: Record<Entry, string> = {
  get points() {
    return say('Space: the same plant again. A number first: that many')
  },
  get values() {
    return say('0: take it out')
  },
  get cells() {
    return say('Arrow keys: from cell to cell')
  },
  reading: '',
  get search() {
    return say('One key press: one plant found')
  },
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
            {say('{{times}} hits of …', { times })}
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
      names={{ left: say('Count'), right: say('So far') }}
      tip={tipOf(round, state, moreWords(more, halfWidth, methodWords(round.method).units), act)}
      nodes={nodesOf(state, act)}
    />
  )
}
