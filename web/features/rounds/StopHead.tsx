import { partName } from '@/text/partWords.ts'
import { methodWords } from '@/text/methodWords.ts'
import type { Round, Stop } from '@/core/records/round.ts'
import { groupOf } from '@/core/records/taxon.ts'
import { Link } from 'react-router'
import type { Position } from '@/core/geo/route.ts'
import { GroupMark } from '../../parts/HatchDefs.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { entryOf, lacking, layered, pointsAt, stopAt, type CountAction, type CountState } from './countState.ts'
import { nextNow } from './countWords.ts'
import { WalkStrip } from './WalkStrip.tsx'
import { say } from '../../language/say.ts'

interface Props {
  round: Round
  state: CountState
  stop: Stop
  onAct: (action: CountAction) => void
  /** Where one stands, and what is told of it as one walks. */
  here: () => Position | null
  onFix: (at: Position) => void
}

const step = 'min-h-12 min-w-12 rounded-xl border border-rule px-2 text-lg disabled:opacity-40'

/** The points of a stop as they fall, each in the mark of its group. */
function PointMarks({ state, stop }: { state: CountState; stop: Stop }) {
  const byId = useFlora((s) => s.byId)
  const taken = pointsAt(state, stop)
  const everyLayer = layered(state)
  const firstOfPin = (pin: number) => stop.hits.find((h) => h.part === pin)
  return (
    <div
      className="mt-2 flex min-h-11 flex-wrap content-start gap-1"
      role="img"
      aria-label={say('{{taken}} of {{pointsPerStop}} points taken', { taken, pointsPerStop: state.pointsPerStop })}
    >
      {Array.from({ length: state.pointsPerStop }, (_, i) => {
        const hit = everyLayer ? firstOfPin(i + 1) : stop.hits[i]
        if (!hit)
          return (
            <span
              key={i}
              className={`size-5 rounded border border-dashed border-ink-soft/60 ${everyLayer && state.pin === i + 1 ? 'outline-2 outline-straw' : ''}`}
            />
          )
        return <GroupMark key={i} group={byId.get(hit.taxon)?.role === 'toxic' ? 'harm' : groupOf(hit.taxon, byId)} />
      })}
    </div>
  )
}

function progress(state: CountState, stop: Stop): string {
  if (entryOf(state) === 'points')
    return say('{{pointsAt}} of {{pointsPerStop}} points', {
      pointsAt: pointsAt(state, stop),
      pointsPerStop: state.pointsPerStop,
    })
  if (entryOf(state) === 'reading')
    return stop.measures.reading === undefined ? say('no reading yet') : say('reading taken')
  const plants = new Set(stop.hits.map((h) => h.taxon)).size
  return say('{{count}} plants', { count: plants })
}

/** Where one stands: the stop, what was taken there, and the way to it. */
export function StopHead({ round, state, stop, onAct, here, onFix }: Props) {
  const { unitName: unit } = methodWords(round.method)
  const before = stopAt(state, stop.seq - 1)
  const lacks = lacking(state, stop)
  const ready = lacks === undefined
  return (
    <div>
      <p className="text-ink-soft">
        {round.paddock.name}, {round.holding}
        {stop.stratum ? `: ${partName(stop.stratum)}` : ''}
      </p>
      <div className="flex items-start justify-between gap-2">
        <h1 className="flex flex-wrap items-baseline gap-x-3 text-[1.65rem]">
          {state.asWalked
            ? `${unit[0]!.toUpperCase()}${unit.slice(1)} ${stop.seq}`
            : say('{{unit}} {{seq}} of {{n}}', {
                unit: unit[0]!.toUpperCase() + unit.slice(1),
                seq: stop.seq,
                n: state.stops.length,
              })}
          <span className="text-xl font-normal" data-testid="points">
            {progress(state, stop)}
          </span>
        </h1>
        <span className="flex shrink-0 gap-1.5">
          <button
            type="button"
            aria-label={say('The {{unit}} before', { unit })}
            disabled={!before}
            onClick={() => onAct({ kind: 'step', by: -1 })}
            className={step}
          >
            ‹ <kbd className="hidden text-sm min-[901px]:inline">[</kbd>
          </button>
          <button
            type="button"
            aria-label={say('The {{unit}} after', { unit })}
            disabled={!stopAt(state, stop.seq + 1)}
            onClick={() => onAct({ kind: 'step', by: 1 })}
            className={step}
          >
            › <kbd className="hidden text-sm min-[901px]:inline">]</kbd>
          </button>
        </span>
      </div>
      {entryOf(state) === 'points' ? <PointMarks state={state} stop={stop} /> : null}
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <button
          type="button"
          onClick={() => onAct(nextNow(here))}
          className={`min-h-12 rounded-xl px-5 font-semibold ${ready ? 'bg-culm text-on-culm' : 'border border-rule'}`}
        >
          {say('Next {{unit}}', { unit })} <kbd className="ml-1 text-sm">{say('Enter')}</kbd>
        </button>
        <button
          type="button"
          onClick={() => onAct({ kind: 'undo' })}
          className="min-h-12 rounded-xl border border-rule px-5"
        >
          {say('Undo')} <kbd className="ml-1 text-sm">z</kbd>
        </button>
        {state.asWalked && state.stops.some((s) => s.doneAt !== null) ? (
          <Link
            to={`/rounds/${round.id}/weigh-up`}
            className="inline-flex min-h-12 items-center rounded-xl border border-rule px-5"
          >
            {say('Weigh up what is counted')}
          </Link>
        ) : null}
        {layered(state) ? (
          <button
            type="button"
            onClick={() => onAct({ kind: 'same' })}
            className="min-h-12 rounded-xl border border-rule px-5"
          >
            {say('Next pin')} <kbd className="ml-1 text-sm">{say('space')}</kbd>
          </button>
        ) : null}
      </div>
      <WalkStrip key={round.id} stop={stop} before={before} parts={round.paddock.strata} onAct={onAct} onFix={onFix} />
      {state.shortWarned && lacks ? (
        <p role="alert" className="mt-2 rounded-xl border-2 border-straw bg-straw/20 px-3 py-2">
          {say('{{unit}} {{seq}} {{lacks}}. Press Next {{unit2}} again to {{what}}.', {
            unit: unit[0]!.toUpperCase() + unit.slice(1),
            seq: stop.seq,
            lacks,
            unit2: unit,
            what:
              entryOf(state) === 'values' || entryOf(state) === 'cells'
                ? say('write it down as empty')
                : say('leave it {{what}}', { what: stop.hits.length === 0 ? 'uncounted' : 'short' }),
          })}
        </p>
      ) : null}
    </div>
  )
}
