import normalQuantile from '@stdlib/stats-base-dists-normal-quantile'
import type { SwardStage } from '../../records/measures.ts'
import { hasFeed, LAB_POINTS, type FeedResult, type LabResult } from './labResult.ts'
import { TDN_POINTS, type Estimate, type Growth, type MixtureFeed } from './mixtureFeed.ts'

/** What needs are held against: protein and TDN, with the draws that say how sure each is. */
export type NeedsFeed = Pick<MixtureFeed, 'cpPct' | 'tdnPct' | 'draws'>

/** What a feed stands on: a laboratory's sample, or the plants at the growth that was noted or might have been. */
export type FeedBasis = 'laboratory' | Growth

export interface WalkedFeed {
  basis: FeedBasis
  feed: NeedsFeed
}

/** Quantiles by which the error of a laboratory is drawn: as many as make the ends of 95 % right to a tenth of a point. */
const DRAWS = 1000
const Z = 1.96

/** A normal spread as draws in even steps of chance, which is the same each time it is asked for. */
const spread = (middle: number, sd: number): number[] =>
  Array.from({ length: DRAWS }, (_, i) => normalQuantile((i + 0.5) / DRAWS, middle, sd))
const estimate = (middle: number, sd: number): Estimate => ({
  middle,
  low: Math.max(0, middle - Z * sd),
  high: middle + Z * sd,
})

/** A laboratory's result as needs are held against it: the error of laboratories, and that of TDN from fibre. */
function ofLab({ cpPct, adfPct }: FeedResult): NeedsFeed {
  const cpSd = LAB_POINTS.cpPct / Z
  // TDN = 88.9 - 0.779 ADF (Rohweder, Barnes & Jorgensen 1978), as far as TDN_POINTS off 95 times in 100.
  const tdn = 88.9 - 0.779 * adfPct
  const tdnSd = Math.hypot((0.779 * LAB_POINTS.adfPct) / Z, TDN_POINTS / Z)
  return {
    cpPct: estimate(cpPct, cpSd),
    tdnPct: estimate(tdn, tdnSd),
    draws: { cpPct: spread(cpPct, cpSd), tdnPct: spread(tdn, tdnSd) },
  }
}

/**
 * The feed that needs are held against: a laboratory's result in place of any estimate, else the plants at the growth that was
 * walked, else both ends of it. A result that was made up stands in for nothing.
 */
export function walkedFeed(
  feed: { leafy: MixtureFeed | undefined; stemmy: MixtureFeed | undefined },
  stage: SwardStage | undefined,
  lab: LabResult | undefined,
): WalkedFeed[] {
  if (hasFeed(lab) && !lab.simulated) return [{ basis: 'laboratory', feed: ofLab(lab) }]
  const growths: Growth[] = stage === undefined ? ['leafy', 'stemmy'] : [stage === 'leafy' ? 'leafy' : 'stemmy']
  return growths.flatMap((basis) => {
    const of = feed[basis]
    return of ? [{ basis, feed: of }] : []
  })
}
