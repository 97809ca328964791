import type { Hit } from '@/core/records/hit.ts'
import { patched } from '@/core/records/measures.ts'
import { openStop, type Round, type Stop } from '@/core/records/round.ts'
import { GRID_CELLS } from '@/core/methods/estimators/frequency.ts'
import type { Taxon } from '@/core/records/taxon.ts'
import {
  entryOf,
  lacking,
  lastPin,
  layered,
  mayBeDone,
  stopAt,
  type CountAction,
  type CountState,
} from './countState.ts'

export function startCount(
  round: Pick<Round, 'pointsPerStop' | 'stops'> & Partial<Pick<Round, 'method' | 'settings'>>,
): CountState {
  const open = round.stops.find((s) => s.doneAt === null && s.skipped === null) ?? round.stops.at(-1)
  return {
    method: round.method ?? 'step-points',
    pointsPerStop: round.pointsPerStop,
    asWalked: round.settings?.asWalked === true,
    stops: round.stops,
    current: open?.seq ?? 1,
    shortWarned: false,
    chosen: null,
    pin: lastPin(open),
    past: [],
  }
}

const withStop = (state: CountState, stop: Stop): CountState => ({
  ...state,
  shortWarned: false,
  past: [...state.past, stopAt(state, stop.seq)!],
  stops: state.stops.map((s) => (s.seq === stop.seq ? stop : s)),
})

function addHits(state: CountState, stop: Stop, hit: Hit, times = 1): CountState {
  if (layered(state)) {
    const part = state.pin
    // A plant counts once on a pin, however many of its leaves are touched.
    if (part > state.pointsPerStop || stop.hits.some((h) => h.part === part && h.taxon === hit.taxon)) return state
    return withStop(state, { ...stop, hits: [...stop.hits, { ...hit, part }] })
  }
  if (entryOf(state) === 'search') {
    const found = stop.hits.find((h) => h.taxon === hit.taxon)?.amount ?? 0
    return setValue(state, stop, hit.taxon, found + times)
  }
  // A full stop takes no more: the thirty-first point belongs to the next stop.
  const room = Math.min(times, state.pointsPerStop - stop.hits.length)
  if (room <= 0) return state
  return withStop(state, { ...stop, hits: [...stop.hits, ...Array.from({ length: room }, () => hit)] })
}

function same(state: CountState, stop: Stop): CountState {
  if (layered(state)) {
    const touched = stop.hits.some((h) => h.part === state.pin)
    return touched && state.pin < state.pointsPerStop ? { ...state, pin: state.pin + 1 } : state
  }
  const last = stop.hits.at(-1)
  return last ? addHits(state, stop, { taxon: last.taxon, amount: 1 }) : state
}

function setValue(state: CountState, stop: Stop, taxon: Taxon, amount: number | null): CountState {
  const others = stop.hits.filter((h) => h.taxon !== taxon)
  const at = stop.hits.findIndex((h) => h.taxon === taxon)
  const hits =
    amount === null
      ? others
      : at < 0
        ? [...stop.hits, { taxon, amount }]
        : stop.hits.map((h) => (h.taxon === taxon ? { taxon, amount } : h))
  return { ...withStop(state, { ...stop, hits }), chosen: null }
}

function toggleCell(state: CountState, stop: Stop, taxon: Taxon, part: number): CountState {
  if (!(part >= 1 && part <= GRID_CELLS)) return state
  const there = stop.hits.some((h) => h.taxon === taxon && h.part === part)
  const hits = there
    ? stop.hits.filter((h) => !(h.taxon === taxon && h.part === part))
    : [...stop.hits, { taxon, amount: 1, part }]
  return withStop(state, { ...stop, hits })
}

function undo(state: CountState, stop: Stop): CountState {
  const before = state.past.at(-1)
  if (before) {
    const stops = state.stops.some((s) => s.seq === before.seq)
      ? state.stops.map((s) => (s.seq === before.seq ? { ...before, version: s.version } : s))
      : state.stops
    return {
      ...state,
      stops,
      past: state.past.slice(0, -1),
      current: before.seq,
      pin: lastPin(before),
      chosen: null,
      shortWarned: false,
    }
  }
  // After a reload the history is gone; what is on the paper can still be taken back.
  if (stop.hits.length > 0)
    return {
      ...state,
      shortWarned: false,
      stops: state.stops.map((s) => (s.seq === stop.seq ? { ...s, hits: s.hits.slice(0, -1), doneAt: null } : s)),
    }
  const previous = state.stops.filter((s) => s.seq < stop.seq).at(-1)
  return previous ? { ...state, current: previous.seq, shortWarned: false } : state
}

/** Nobody did this: it is no step to take back, and says nothing of points that were named otherwise since. */
function mapped(state: CountState, of: Stop, picture: NonNullable<Stop['measures']['picture']>): CountState {
  const holds = (s: Stop) =>
    s.id === of.id && s.hits.length === of.hits.length && s.hits.every((h, i) => h.taxon === of.hits[i]!.taxon)
  return {
    ...state,
    stops: state.stops.map((s) => (holds(s) ? { ...s, measures: { ...s.measures, picture } } : s)),
  }
}

const goTo = (state: CountState, seq: number): CountState => ({
  ...state,
  current: seq,
  shortWarned: false,
  chosen: null,
  pin: lastPin(stopAt(state, seq)),
})

function next(state: CountState, stop: Stop, { at, id, position }: Extract<CountAction, { kind: 'next' }>): CountState {
  if (stop.skipped === null && lacking(state, stop) !== undefined && !state.shortWarned)
    return { ...state, shortWarned: true }
  const done = stop.skipped === null && mayBeDone(state, stop)
  const doneAt = done ? (stop.doneAt ?? at) : null
  // A stop that was only passed by is not written: another device may be counting it.
  const placed = state.asWalked && done && !stop.position && position ? { position } : {}
  const closed = doneAt === stop.doneAt ? state : withStop(state, { ...stop, ...placed, doneAt })
  const open = (s: Stop) => s.doneAt === null && s.skipped === null
  const after = closed.stops.find((s) => s.seq > stop.seq && open(s)) ?? closed.stops.find((s) => s.seq > stop.seq)
  if (!after && state.asWalked && done && id) {
    const seq = stop.seq + 1
    return goTo({ ...closed, stops: [...closed.stops, openStop(id, seq, null)] }, seq)
  }
  return goTo(closed, after?.seq ?? stop.seq)
}

/** All that can happen while counting. */
export function countReducer(state: CountState, action: CountAction): CountState {
  const stop = stopAt(state)
  if (!stop) return state
  switch (action.kind) {
    case 'hit':
      return addHits(state, stop, { taxon: action.taxon, amount: 1 }, action.times)
    case 'same':
      return same(state, stop)
    case 'choose':
      return { ...state, chosen: action.taxon === state.chosen ? null : action.taxon }
    case 'value':
      return setValue(state, stop, action.taxon, action.amount)
    case 'cell':
      return toggleCell(state, stop, action.taxon, action.part)
    case 'measure':
      return withStop(state, { ...stop, measures: patched(stop.measures, action.patch) })
    case 'mapped':
      return mapped(state, action.of, action.picture)
    case 'skip':
      return withStop(state, { ...stop, skipped: action.reason, doneAt: action.reason === null ? stop.doneAt : null })
    case 'move':
      return withStop(state, { ...stop, position: action.position, stratum: action.stratum })
    case 'add': {
      const seq = Math.max(0, ...state.stops.map((s) => s.seq)) + 1
      return goTo({ ...state, stops: [...state.stops, openStop(action.id, seq, action.position, action.stratum)] }, seq)
    }
    case 'theirs':
      return {
        ...state,
        stops: state.stops.some((s) => s.seq === action.stop.seq)
          ? state.stops.map((s) => (s.seq === action.stop.seq ? action.stop : s))
          : [...state.stops, action.stop],
      }
    case 'renumber': {
      const moved = state.stops.find((s) => s.id === action.id)
      if (!moved) return state
      const stops = state.stops.map((s) => (s === moved ? { ...s, seq: action.seq } : s))
      return { ...state, stops, current: state.current === moved.seq ? action.seq : state.current, past: [] }
    }
    case 'undo':
      return undo(state, stop)
    case 'next':
      return next(state, stop, action)
    case 'step': {
      const at = state.stops.findIndex((s) => s.seq === state.current) + action.by
      return state.stops[at] ? goTo(state, state.stops[at].seq) : state
    }
    case 'go':
      return goTo(state, action.seq)
  }
}
