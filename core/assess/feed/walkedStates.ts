import { northernMonthOf } from '../../flora/seasons.ts'
import { swardStages } from '../../records/measures.ts'
import type { Round } from '../../records/round.ts'
import { stateNoted, type FeedState } from './feedStates.ts'

/** The growth a sward is judged at. */
export type Walked =
  /** One state for all of it: what it would be. */
  | { by: 'state'; state: FeedState }
  /** What was noted, as shares of the stops that noted it. */
  | { by: 'noted'; shares: Partial<Record<FeedState, number>>; stops: number }
  /** Nobody noted it: whatever the month allows. @param month of the north, 1 to 12 */
  | { by: 'month'; month: number }

/** The growth that was walked, from what was noted at the stops. */
export function walkedStates(round: Pick<Round, 'stops' | 'plannedOn' | 'paddock'>): Walked {
  const noted = round.stops.filter((s) => s.skipped === null).flatMap((s) => s.measures.stage ?? [])
  if (noted.length === 0) return { by: 'month', month: northernMonthOf(round.plannedOn, round.paddock.region) }
  const shares: Partial<Record<FeedState, number>> = {}
  for (const stage of swardStages) {
    const n = noted.filter((s) => s === stage).length
    if (n > 0) shares[stateNoted[stage]] = n / noted.length
  }
  return { by: 'noted', shares, stops: noted.length }
}
