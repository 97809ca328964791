import type { Round, Stop } from '@/core/records/round.ts'
import type { Hit } from '@/core/survey/tally.ts'
import type { Taxon } from '@/core/survey/taxon.ts'

export interface CountState {
  pointsPerStop: number
  stops: Stop[]
  current: number
  /** Said once when a stop would be closed short; the second press closes it. */
  shortWarned: boolean
}

export type CountAction =
  | { kind: 'hit'; taxon: Taxon }
  | { kind: 'same' }
  | { kind: 'undo' }
  | { kind: 'next'; at: string }
  | { kind: 'go'; seq: number }

export function startCount(round: Pick<Round, 'pointsPerStop' | 'stops'>): CountState {
  const open = round.stops.find((s) => s.doneAt === null) ?? round.stops.at(-1)
  return {
    pointsPerStop: round.pointsPerStop,
    stops: round.stops,
    current: open?.seq ?? 1,
    shortWarned: false,
  }
}

export const stopAt = (state: CountState, seq = state.current): Stop | undefined =>
  state.stops.find((s) => s.seq === seq)

const withStop = (state: CountState, stop: Stop): CountState => ({
  ...state,
  shortWarned: false,
  stops: state.stops.map((s) => (s.seq === stop.seq ? stop : s)),
})

const addHit = (state: CountState, stop: Stop, hit: Hit): CountState =>
  // A full stop takes no more: the thirty-first point belongs to the next stop.
  stop.hits.length >= state.pointsPerStop ? state : withStop(state, { ...stop, hits: [...stop.hits, hit] })

function undo(state: CountState, stop: Stop): CountState {
  if (stop.hits.length > 0) return withStop(state, { ...stop, hits: stop.hits.slice(0, -1), doneAt: null })
  const before = state.stops.filter((s) => s.seq < stop.seq).at(-1)
  return before ? { ...state, current: before.seq, shortWarned: false } : state
}

function next(state: CountState, stop: Stop, at: string): CountState {
  if (stop.hits.length < state.pointsPerStop && !state.shortWarned) return { ...state, shortWarned: true }
  const closed = withStop(state, { ...stop, doneAt: stop.hits.length > 0 ? (stop.doneAt ?? at) : null })
  const after =
    closed.stops.find((s) => s.seq > stop.seq && s.doneAt === null) ?? closed.stops.find((s) => s.seq > stop.seq)
  return { ...closed, current: after?.seq ?? stop.seq }
}

/** All that can happen while counting. */
export function countReducer(state: CountState, action: CountAction): CountState {
  const stop = stopAt(state)
  if (!stop) return state
  switch (action.kind) {
    case 'hit':
      return addHit(state, stop, { taxon: action.taxon, amount: 1 })
    case 'same': {
      const last = stop.hits.at(-1)
      return last ? addHit(state, stop, last) : state
    }
    case 'undo':
      return undo(state, stop)
    case 'next':
      return next(state, stop, action.at)
    case 'go':
      return { ...state, current: action.seq, shortWarned: false }
  }
}
