import tCdf from '@stdlib/stats-base-dists-t-cdf'
import { group } from 'd3-array'
import type { Interval } from '../stats/clusterRatio.ts'
import { linearCalibration } from '../stats/linearCalibration.ts'
import { tQuantile } from '../stats/tQuantile.ts'

export interface Trend {
  /** Change a year, in the unit of the values. */
  perYear: number
  se: number
  interval: Interval
  /** Fitted value at the mean of the years. */
  atMean: number
  years: number
  /** Degrees of freedom of the error. */
  df: number
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
    df: years.length - 2,
  }
}

/**
 * Straight line through the years of stops that were counted again and again, each stop at a height of its own (lm of R with
 * the stop as a factor): how much a stop changes a year.
 *
 * @param counts value at a stop in a year; a stop counted once tells nothing and is left out
 * @throws RangeError fewer than two stops counted twice, or no time between
 */
export function trendOverStops(
  counts: readonly { stop: number | string; year: number; value: number }[],
  conf = 0.95,
): Trend {
  const byStop = group(counts, (c) => c.stop)
  const again = [...byStop.values()].filter((list) => new Set(list.map((c) => c.year)).size > 1)
  const rows = again.flat()
  const df = rows.length - again.length - 1
  if (again.length < 2 || df < 1) throw new RangeError('a line over stops needs two stops that were counted twice')
  const mean = (list: readonly number[]) => list.reduce((a, b) => a + b, 0) / list.length
  const within = again.flatMap((list) => {
    const [my, mv] = [mean(list.map((c) => c.year)), mean(list.map((c) => c.value))]
    return list.map((c) => [c.year - my, c.value - mv] as const)
  })
  const sxx = within.reduce((s, [x]) => s + x * x, 0)
  const perYear = within.reduce((s, [x, y]) => s + x * y, 0) / sxx
  const left = within.reduce((s, [x, y]) => s + (y - perYear * x) ** 2, 0)
  const se = Math.sqrt(left / df / sxx)
  const half = tQuantile(1 - (1 - conf) / 2, df) * se
  return {
    perYear,
    se,
    df,
    interval: [perYear - half, perYear + half],
    atMean: mean(rows.map((c) => c.value)),
    years: new Set(rows.map((c) => c.year)).size,
  }
}

/** Chance of a change so far from none or farther, were there none: two-sided, by Student's t. @param df 1 or more */
export const changeP = (change: number, se: number, df: number): number =>
  se > 0 ? 2 * (1 - tCdf(Math.abs(change) / se, df)) : change === 0 ? 1 : 0

/**
 * Chance that a plant is met at `with` or more of `of` stops now though it was at none of `before` and nothing changed
 * (Fisher's exact test, one-sided).
 */
export function arrivalP(found: number, of: number, before: number): number {
  let p = 1
  // C(of, found) / C(of + before, found): all of the finds fall among the later stops.
  for (let i = 0; i < found; i++) p *= (of - i) / (of + before - i)
  return p
}

/**
 * Which of several changes stand when all are looked at together (Holm 1979): in at most 5 of 100 such sets is any said that is
 * none.
 *
 * @param p chances, one for each change, 0 to 1
 */
export function holm(p: readonly number[], alpha = 0.05): boolean[] {
  const order = p.map((_, i) => i).sort((a, b) => p[a]! - p[b]!)
  const stands = p.map(() => false)
  for (const [rank, i] of order.entries()) {
    if (p[i]! > alpha / (p.length - rank)) break
    stands[i] = true
  }
  return stands
}

export interface PairedChange {
  stops: number
  /** Mean of the later less the earlier value. */
  change: number
  se: number
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
  const se = sd / Math.sqrt(n)
  const half = tQuantile(1 - (1 - conf) / 2, n - 1) * se
  return { stops: n, change, se, interval: [change - half, change + half] }
}
