import { clopperPearson } from '../../../stats/proportionIntervals.ts'
import { pct } from './ranges.ts'
import type { HazardModule, HazardSays, Range } from './hazard.ts'

/** Bodies in the seed, % by weight, from which on trouble is told of (extension tables, from memory). */
const CONCERN_PCT = 0.1
/** Ergot alkaloids of the feed, ppb, told for most stock (extension tables: 200 to 400, from memory); the lower is used. */
const CONCERN_PPB = 200
/** Seeds in a head, and seeds that weigh as much as one body. Wide on purpose; from memory. */
const SEEDS_PER_HEAD: Range = [40, 200]
const SEEDS_PER_BODY: Range = [2, 10]

/**
 * Bodies as percent of the weight of seed, low and high, where some heads have them; one body a head at the least.
 *
 * @param heads share of heads with bodies, 0 to 1
 */
export function ergotPct([low, high]: Range): Range {
  const of = (share: number, weight: number, seeds: number) => (100 * share * weight) / (share * weight + seeds)
  return [of(low, SEEDS_PER_BODY[0], SEEDS_PER_HEAD[1]), of(high, SEEDS_PER_BODY[1], SEEDS_PER_HEAD[0])]
}

/** Ergot and its kin in seed heads. */
export const ergot: HazardModule = {
  read: ({ conditions: c, lab, stage }) => {
    const looked = c.headsLooked !== undefined && c.headsLooked > 0 && (c.headsWithErgot ?? 0) <= c.headsLooked
    const heads = looked ? clopperPearson({ x: c.headsWithErgot ?? 0, n: c.headsLooked! }) : undefined
    const weight = heads && ergotPct(heads)
    const tell = (n: number) => Math.round(n * 100) / 100
    const ppb = lab?.ergotAlkaloidPpb
    const says: HazardSays[] = [
      ...(ppb === undefined ? [] : [{ code: 'ergot-lab' as const, values: { ppb, from: CONCERN_PPB } }]),
      ...(heads && weight
        ? [{ code: 'ergot-heads' as const, values: { x: c.headsWithErgot ?? 0, n: c.headsLooked!, low: pct(heads[0]), high: pct(heads[1]), weightLow: tell(weight[0]), weightHigh: tell(weight[1]), from: CONCERN_PCT } }] // prettier-ignore
        : [{ code: 'ergot-not-looked' as const }]),
      ...(stage === 'headed' || stage === 'ripe' ? [{ code: 'ergot-headed' as const }] : []),
    ]
    const met = (c.headsWithErgot ?? 0) > 0
    const passed = (ppb ?? 0) >= CONCERN_PPB || (met && weight !== undefined && weight[1] >= CONCERN_PCT)
    return {
      grade: passed ? 'act' : stage === 'headed' || stage === 'ripe' || met ? 'raised' : 'open',
      says,
      tests: looked ? ['ergot-alkaloids'] : ['fifty-heads', 'ergot-alkaloids'],
      acts: ['top-heads', 'no-hay-of-heads'],
    }
  },
}
