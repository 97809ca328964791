import tQuantile from '@stdlib/stats-base-dists-t-quantile'
import type { Interval } from '../stats/clusterRatio.ts'
import { linearCalibration } from '../stats/linearCalibration.ts'

export interface Trend {
  /** Change a year, in the unit of the values. */
  perYear: number
  se: number
  interval: Interval
  /** Fitted value at the mean of the years. */
  atMean: number
  years: number
}

/**
 * Straight line through one value a year by least squares (lm of R), with the interval of its slope by Student's t.
 *
 * @throws RangeError fewer than three years, or all the same
 */
export function linearTrend(years: readonly number[], values: readonly number[], conf = 0.95): Trend {
  const { slope, slopeSe } = linearCalibration(years, values, conf)
  const half = tQuantile(1 - (1 - conf) / 2, years.length - 2) * slopeSe
  return {
    perYear: slope,
    se: slopeSe,
    interval: [slope - half, slope + half],
    atMean: values.reduce((a, b) => a + b, 0) / values.length,
    years: years.length,
  }
}

export interface PairedChange {
  stops: number
  /** Mean of the later less the earlier value. */
  change: number
  interval: Interval
}

/**
 * Change between two visits to the same stops: the mean difference with its interval by Student's t (paired).
 *
 * @throws RangeError fewer than two stops, or lists of unlike length
 */
export function pairedChange(earlier: readonly number[], later: readonly number[], conf = 0.95): PairedChange {
  const n = earlier.length
  if (n < 2 || later.length !== n) throw new RangeError('a change needs the same two stops or more, twice')
  const d = later.map((x, i) => x - earlier[i]!)
  const change = d.reduce((a, b) => a + b, 0) / n
  const sd = Math.sqrt(d.reduce((s, x) => s + (x - change) ** 2, 0) / (n - 1))
  const half = (tQuantile(1 - (1 - conf) / 2, n - 1) * sd) / Math.sqrt(n)
  return { stops: n, change, interval: [change - half, change + half] }
}
