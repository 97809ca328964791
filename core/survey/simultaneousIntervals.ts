import normalQuantile from '@stdlib/stats-base-dists-normal-quantile'
import { tQuantile } from '../stats/tQuantile.ts'
import type { Interval } from '../stats/clusterRatio.ts'
import type { Composition } from './composition.ts'
import { goodman } from '../stats/proportionIntervals.ts'
import type { Taxon } from '../records/taxon.ts'

/**
 * Intervals of all shares of a round at once: whoever reads several of them, or compares two plants, needs limits that hold
 * together. Points of one stop are alike, so they are counted as fewer: each count is divided by the mean design effect,
 * `sum (1 - p) d / (k - 1)`. The design effect is itself known from few stops, so the normal quantile gives way to Student's
 * with one degree fewer than stops, as it does for a single share.
 *
 * Sources: Goodman 1965 (the limits); Rao and Scott 1981 (first-order correction by the mean design effect); Korn and
 * Graubard 1998 (Student's quantile); the last two from memory.
 *
 * @param made shares of points; for cover values, which are no counts, it says nothing
 * @returns limits between 0 and 1 by taxon; undefined with fewer than two taxa or where the stops tell no design effect
 */
export function simultaneousIntervals(made: Composition, conf = 0.95): Map<Taxon, Interval> | undefined {
  const { taxa } = made
  const effects = taxa.filter((t) => t.designEffect !== undefined)
  if (taxa.length < 2 || effects.length < 2 || made.stops < 2) return undefined
  const weights = effects.reduce((s, t) => s + (1 - t.estimate), 0)
  const mean = effects.reduce((s, t) => s + (1 - t.estimate) * t.designEffect!, 0) / weights
  const level = 1 - (1 - conf) / taxa.length / 2
  const few = (normalQuantile(level, 0, 1) / tQuantile(level, made.stops - 1)) ** 2
  const effective = taxa.map((t) => (t.estimate * made.total * few) / Math.max(1, mean))
  return new Map(goodman(effective, conf).map((interval, i) => [taxa[i]!.taxon, interval]))
}
