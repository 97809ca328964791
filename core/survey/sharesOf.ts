import { abundanceMatrix, type AbundanceMatrix } from '../methods/tally.ts'
import type { Round } from '../records/round.ts'
import type { Taxon } from '../records/taxon.ts'
import { middleShareOf, shareOf, type Share } from './composition.ts'
import { countedStops, designOf } from './counted.ts'
import { resolvedUnknowns } from './figures.ts'

/** What was counted in a round, and the shares that are asked of it. */
export interface RoundShares {
  all: AbundanceMatrix
  /** Share of some plants together, 0 to 1, with its interval; 0 without one where nothing is counted. */
  share: (of: readonly Taxon[]) => Share
  /** The middle of that share alone. */
  middle: (of: readonly Taxon[]) => number
  /** Those that were found so far, by what they are of. */
  known: Map<string, Share>
}

const NOTHING_COUNTED: Share = {
  estimate: 0,
  interval: undefined,
  se: undefined,
  designEffect: undefined,
  method: 'none',
}

const made = new WeakMap<Round, RoundShares>()

/**
 * The shares of a round, each found once: dangers, the ground and the outlook ask for the same ones, for each kind of stock anew,
 * and the limits of one are a search.
 *
 * @param round not to be written to afterwards
 */
export function sharesOf(round: Round): RoundShares {
  const before = made.get(round)
  if (before) return before
  const all = abundanceMatrix(countedStops(round), resolvedUnknowns(round))
  const design = designOf(round)
  const known = new Map<string, Share>()
  const shares: RoundShares = {
    all,
    share: (of) => {
      if (all.totals.length === 0) return NOTHING_COUNTED
      const key = of.join(' ')
      const share = known.get(key) ?? shareOf(all, of, design)
      known.set(key, share)
      return share
    },
    middle: (of) => known.get(of.join(' '))?.estimate ?? (all.totals.length > 0 ? middleShareOf(all, of, design) : 0),
    known,
  }
  made.set(round, shares)
  return shares
}
