import type { Position } from '@/core/geo/route.ts'
import { byHaste } from '@/core/assess/harm/acuteness.ts'
import { lookFor } from '@/core/survey/planStops.ts'
import { methodWords } from '@/text/methodWords.ts'
import { useCallback, useDeferredValue, useMemo, useReducer, useState } from 'react'
import { useNavigate } from 'react-router'
import { moreStopsFor } from '@/core/survey/enough.ts'
import { figuresOf, type Figures } from '@/core/survey/figures.ts'
import { countingMethods } from '@/core/methods/index.ts'
import type { Round } from '@/core/records/round.ts'
import { markedLetter, type Taxon } from '@/core/records/taxon.ts'
import { TwoPane } from '../../parts/TwoPane.tsx'
import { useStable } from '../../parts/useStable.ts'
import { ownMark } from '../../stores/device.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { AddPlant } from '../../entities/plant/AddPlant.tsx'
import { ConflictPanel } from './ConflictPanel.tsx'
import { assignKeys, keyedPlants, letters } from './countKeys.ts'
import { countReducer, startCount } from './countReducer.ts'
import { entryOf, stopAt } from './countState.ts'
import { CoverTable } from './CoverTable.tsx'
import { LookedRound } from './entry/LookedRound.tsx'
import { PictureEntry } from './picture/PictureEntry.tsx'
import { StopTaps } from './entry/StopTaps.tsx'
import { valueChoices } from './entry/valueChoices.ts'
import { KeyStrip } from './KeyStrip.tsx'
import { SoFar } from './SoFar.tsx'
import { StopEntry } from './StopEntry.tsx'
import { StopHead } from './StopHead.tsx'
import { useCountKeys } from './useCountKeys.ts'
import { useSaving } from './useSaving.ts'
import { say } from '../../language/say.ts'
import { moreWords, tipOf, nodesOf, hints, shownOn } from './countWords.ts'

const HALF_WIDTH = 0.05

/** Count a round: keys and the stop in hand on the left, what the round says so far on the right. */
export function CountView({ round }: { round: Round }) {
  const { plants, byId } = useFlora()
  const [state, act] = useReducer(countReducer, round, startCount)
  const [added, setAdded] = useState<Taxon[]>(round.settings.targets ?? [])
  const [adding, setAdding] = useState(false)
  const [unknown, setUnknown] = useState<string>()
  const [times, setTimes] = useState('')
  const navigate = useNavigate()
  // Where one stands is told many times a walk and drawn nowhere here: it is kept beside what is drawn.
  const [stands] = useState<{ at: Position | null }>(() => ({ at: null }))
  const here = useCallback(() => stands.at, [stands])
  const onFix = useCallback((at: Position) => void Object.assign(stands, { at }), [stands])
  useSaving(round, state.stops, act)

  const live = useMemo<Round>(() => ({ ...round, stops: state.stops }), [round, state.stops])
  const { used, free } = letters(live)
  const inHand =
    unknown ??
    used.findLast((l) => !round.unknowns.some((u) => u.letter === l && u.namedAs)) ??
    free ??
    markedLetter('A', ownMark())
  const [firstExpected] = useState(() => keyedPlants(round, plants))
  const keys = assignKeys([...new Set([...firstExpected, ...added])], inHand, !countingMethods[round.method].forHarm)
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
    here,
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
  const onName = useStable(
    (letter: string, how: 'drawings' | 'words') =>
      void navigate(`/rounds/${round.id}/name/${letter}${how === 'words' ? '?say' : ''}`),
  )
  const onGo = useStable((seq: number) => act({ kind: 'go', seq }))
  const stop = stopAt(state)
  const harmful = useMemo(() => {
    const { region } = round.paddock
    return byHaste(lookFor(plants, region), region)
  }, [plants, round.paddock])
  const left =
    stop && !imported ? (
      <>
        <ConflictPanel round={round} onTheirs={(theirs) => act({ kind: 'theirs', stop: theirs })} />
        <StopHead round={round} state={state} stop={stop} onAct={act} here={here} onFix={onFix} />
        {adding ? (
          <AddPlant
            onAdd={(id) => {
              if (!keys.some((k) => k.taxon === id)) setAdded((a) => [...a, id])
              onTaxon(id)
            }}
            onClose={() => setAdding(false)}
          />
        ) : null}
        {countingMethods[round.method].picture ? (
          <PictureEntry
            key={stop.id}
            stop={stop}
            points={round.pointsPerStop}
            onMapped={(of, picture) => act({ kind: 'mapped', of, picture })}
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
        {entry === 'points' ? (
          <LookedRound stop={stop} harmful={harmful} onMeasure={(patch) => act({ kind: 'measure', patch })} />
        ) : null}
        <StopTaps stop={stop} onMeasure={(patch) => act({ kind: 'measure', patch })} />
      </>
    ) : (
      <CoverTable round={live} />
    )
  return (
    <TwoPane
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
      tip={tipOf(round, state, moreWords(more, halfWidth, methodWords(round.method).units), act, here)}
      nodes={nodesOf(state, act)}
    />
  )
}
