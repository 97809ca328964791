import type { Round, Stop } from '@/core/records/round.ts'
import { metresBetween } from '@/core/survey/route.ts'
import { groupOf } from '@/core/survey/taxon.ts'
import { GroupMark } from '../parts/HatchDefs.tsx'
import { useFlora } from '../stores/floraStore.ts'
import { stopAt, type CountAction, type CountState } from './countReducer.ts'

interface Props {
  round: Round
  state: CountState
  stop: Stop
  onAct: (action: CountAction) => void
}

/** Where one stands: the stop, its points as they fall, and the way to the next. */
export function StopHead({ round, state, stop, onAct }: Props) {
  const byId = useFlora((s) => s.byId)
  const before = stopAt(state, stop.seq - 1)
  const paces =
    before?.position && stop.position ? Math.round(metresBetween(before.position, stop.position)) : undefined
  const full = stop.hits.length >= state.pointsPerStop
  return (
    <div>
      <p className="text-ink-soft">
        {round.paddock.name}, {round.holding}
      </p>
      <h1 className="text-[1.65rem]">
        Stop {stop.seq} of {state.stops.length}
        <span className="ml-3 text-xl font-normal" data-testid="points">
          {stop.hits.length} of {state.pointsPerStop} points
        </span>
      </h1>
      <div
        className="mt-2 flex min-h-11 flex-wrap gap-1"
        role="img"
        aria-label={`${stop.hits.length} of ${state.pointsPerStop} points taken`}
      >
        {Array.from({ length: state.pointsPerStop }, (_, i) => {
          const hit = stop.hits[i]
          if (!hit) return <span key={i} className="size-5 rounded border border-dashed border-ink-soft/60" />
          return <GroupMark key={i} group={byId.get(hit.taxon)?.role === 'toxic' ? 'harm' : groupOf(hit.taxon, byId)} />
        })}
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <button
          type="button"
          onClick={() => onAct({ kind: 'next', at: new Date().toISOString() })}
          className={`min-h-12 rounded-xl px-5 font-semibold ${full ? 'bg-culm text-on-culm' : 'border border-rule'}`}
        >
          Next stop <kbd className="ml-1 text-sm">Enter</kbd>
        </button>
        <button
          type="button"
          onClick={() => onAct({ kind: 'undo' })}
          className="min-h-12 rounded-xl border border-rule px-5"
        >
          Undo <kbd className="ml-1 text-sm">z</kbd>
        </button>
        {paces !== undefined ? (
          <span className="text-ink-soft">
            {paces} m from stop {stop.seq - 1}
          </span>
        ) : null}
      </div>
      {state.shortWarned ? (
        <p role="alert" className="mt-2 rounded-xl border-2 border-straw bg-straw/20 px-3 py-2">
          Stop {stop.seq} has {stop.hits.length} of {state.pointsPerStop} points. Press Next stop again to leave it{' '}
          {stop.hits.length === 0 ? 'uncounted' : 'short'}.
        </p>
      ) : null}
    </div>
  )
}
