import type { Entry } from '@/core/methods/method.ts'
import { countingMethods } from '@/core/methods/index.ts'
import type { Position } from '@/core/geo/route.ts'
import type { Method } from '@/core/records/method.ts'
import type { MeasuresPatch } from '@/core/records/measures.ts'
import type { Taxon } from '@/core/records/taxon.ts'
import type { Stop } from '@/core/records/round.ts'
import { say } from '../../language/say.ts'

export interface CountState {
  method: Method
  pointsPerStop: number
  /** Stops are made as one walks: after the last one comes another. */
  asWalked: boolean
  stops: Stop[]
  current: number
  /** Said once when a stop would be closed short; the second press closes it. */
  shortWarned: boolean
  /** Plant that the next value or cell belongs to. */
  chosen: Taxon | null
  /** Pin in hand where all layers are taken; 1 otherwise. */
  pin: number
  /** Every earlier state of a stop, for undo without limit. */
  past: Stop[]
}

export type CountAction =
  | { kind: 'hit'; taxon: Taxon; times?: number }
  | { kind: 'same' }
  | { kind: 'choose'; taxon: Taxon | null }
  | { kind: 'value'; taxon: Taxon; amount: number | null }
  | { kind: 'cell'; taxon: Taxon; part: number }
  | { kind: 'measure'; patch: MeasuresPatch }
  /** A map that took its time: of the stop as it was then, which may have been left since. */
  | { kind: 'mapped'; of: Stop; picture: NonNullable<Stop['measures']['picture']> }
  | { kind: 'skip'; reason: string | null }
  | { kind: 'move'; position: Position; stratum: string }
  | { kind: 'add'; id: string; position: Position | null; stratum: string }
  | { kind: 'theirs'; stop: Stop }
  | { kind: 'renumber'; id: string; seq: number }
  | { kind: 'undo' }
  /** Where one stands, and an id for the stop that a round without a route goes on with. */
  | { kind: 'next'; at: string; id?: string; position?: Position | null }
  | { kind: 'go'; seq: number }
  | { kind: 'step'; by: 1 | -1 }

/** The pin in hand at a stop of layers. */
export const lastPin = (stop: Stop | undefined): number => Math.max(1, ...(stop?.hits ?? []).map((h) => h.part ?? 1))

export const stopAt = (state: CountState, seq = state.current): Stop | undefined =>
  state.stops.find((s) => s.seq === seq)

export const entryOf = (state: Pick<CountState, 'method'>): Entry => countingMethods[state.method].entry

/** Whether every plant on a pin is written down. */
export const layered = (state: Pick<CountState, 'method'>): boolean => countingMethods[state.method].layered === true

/** Points taken at a stop, or pins looked at. */
export const pointsAt = (state: Pick<CountState, 'method'>, stop: Stop): number =>
  layered(state) ? new Set(stop.hits.map((h) => h.part)).size : stop.hits.length

/** What a stop still lacks before it may be closed without a word; undefined where it lacks nothing. */
export function lacking(state: CountState, stop: Stop): string | undefined {
  const points = pointsAt(state, stop)
  switch (entryOf(state)) {
    case 'points':
      return points < state.pointsPerStop
        ? say('has {{points}} of {{pointsPerStop}} points', { points, pointsPerStop: state.pointsPerStop })
        : undefined
    case 'reading':
      return stop.measures.reading === undefined ? say('has no reading') : undefined
    case 'search':
      return stop.measures.legM === undefined ? say('has no length walked') : undefined
    case 'values':
    case 'cells':
      return stop.hits.length === 0 ? say('has nothing written down') : undefined
  }
}

/** May a stop that lacks this be closed as done: an empty frame is a finding, an empty stop of points is not. */
export const mayBeDone = (state: CountState, stop: Stop): boolean => {
  const entry = entryOf(state)
  if (entry === 'points') return stop.hits.length > 0
  return entry === 'values' || entry === 'cells' || lacking(state, stop) === undefined
}
