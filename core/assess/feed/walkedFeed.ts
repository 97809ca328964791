import normalQuantile from '@stdlib/stats-base-dists-normal-quantile'
import { HORSE_DE_ERROR, horseDe, tdnErrorOfMixture, tdnOfMixture, type ClassShares } from './forageClass.ts'
import { forageQuality, hasFeed, LAB_POINTS, type FeedResult, type LabResult } from './labResult.ts'
import type { Estimate, FeedDraws, MixtureFeed } from './mixtureFeed.ts'

/** What needs are held against: figures with the draws that say how sure each is. */
export type NeedsFeed = Pick<MixtureFeed, 'cpPct' | 'ndfPct' | 'tdnPct' | 'horseDeMcalPerKg'> & { draws: FeedDraws }

/** What a feed stands on: a laboratory's sample, the growth that was noted, or whatever the month allows. */
export type FeedBasis = 'laboratory' | 'noted' | 'month'

export interface WalkedFeed {
  basis: FeedBasis
  feed: NeedsFeed
}

/** Quantiles by which the error of a laboratory is drawn: as many as make the ends of 95 % right to a tenth of a point. */
const DRAWS = 1000
const Z = 1.96
/** How far TDN by parts (fibre digested, fat, ash) lies off, points 95 times in 100: from memory. */
const SUMMATIVE_ERROR = 3

/** A normal spread as draws in even steps of chance, which is the same each time it is asked for. */
const spread = (middle: number, sd: number): number[] =>
  Array.from({ length: DRAWS }, (_, i) => normalQuantile((i + 0.5) / DRAWS, middle, sd))
const estimate = (middle: number, sd: number): Estimate => ({
  middle,
  low: Math.max(0, middle - Z * sd),
  high: middle + Z * sd,
})

/** Draws in an order of their own, so that two figures of a laboratory err each by itself. */
const shuffled = (draws: number[], step: number): number[] => draws.map((_, i) => draws[(i * step) % draws.length]!)

/** A laboratory's result as needs are held against it: the error of laboratories, and that of energy from fibre by class. */
function ofLab(lab: FeedResult, classes: ClassShares): NeedsFeed {
  const { cpPct, adfPct, ndfPct } = lab
  const quality = forageQuality(lab, classes)
  const fibre = { cp: cpPct, adf: adfPct, ndf: ndfPct }
  // Fibre that was digested in the laboratory says more than fibre alone.
  const tdn = quality?.tdnPct ?? tdnOfMixture(classes, fibre)
  const tdnSd = Math.hypot((0.95 * LAB_POINTS.adfPct) / Z, (quality ? SUMMATIVE_ERROR : tdnErrorOfMixture(classes)) / Z)
  const [cpSd, ndfSd, deSd] = [LAB_POINTS.cpPct / Z, LAB_POINTS.ndfPct / Z, HORSE_DE_ERROR / Z]
  const de = horseDe(fibre)
  return {
    cpPct: estimate(cpPct, cpSd),
    ndfPct: estimate(ndfPct, ndfSd),
    tdnPct: estimate(tdn, tdnSd),
    horseDeMcalPerKg: estimate(de, deSd),
    // Steps without a common divisor with the number of draws: each goes through all of them once.
    draws: {
      cpPct: spread(cpPct, cpSd).map((x) => Math.max(0, x)),
      ndfPct: shuffled(spread(ndfPct, ndfSd), 371).map((x) => Math.min(100, Math.max(1, x))),
      tdnPct: shuffled(spread(tdn, tdnSd), 617),
      horseDe: shuffled(spread(de, deSd), 829),
    },
  }
}

/**
 * The feed that needs are held against: a laboratory's result in place of any estimate, else the plants at the growth that was
 * walked. A result that was made up stands in for nothing.
 */
export function walkedFeed(walked: MixtureFeed | undefined, lab: LabResult | undefined): WalkedFeed | undefined {
  if (hasFeed(lab) && !lab.simulated) return { basis: 'laboratory', feed: ofLab(lab, walked?.classes ?? {}) }
  return walked && { basis: walked.at.by === 'month' ? 'month' : 'noted', feed: walked }
}
