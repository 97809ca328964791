import normalCdf from '@stdlib/stats-base-dists-normal-cdf'
import normalQuantile from '@stdlib/stats-base-dists-normal-quantile'
import type { Interval } from './clusterRatio.ts'

export interface BootstrapOptions {
  resamples?: number
  conf?: number
  /** Told how far it is, 0 to 1; stops the work by returning false. */
  progress?: (share: number) => boolean
}
const goOn = (): boolean => true

export interface Bootstrapped {
  estimate: number
  /** Standard deviation of the resampled estimates. */
  se: number
  percentile: Interval
  /** Bias-corrected and accelerated. */
  bca: Interval
}

/** Quantile of sorted values, between order statistics R * p apart (type 6, as boot.ci takes them). */
function quantile(sorted: Float64Array, p: number): number {
  const at = Math.min(sorted.length, Math.max(1, p * (sorted.length + 1)))
  const i = Math.floor(at)
  const [a, b] = [sorted[i - 1]!, sorted[Math.min(sorted.length - 1, i)]!]
  return a + (b - a) * (at - i)
}

/**
 * Interval of a share or mean by resampling whole stops (Efron & Tibshirani 1993): the estimate is the sum of hits over
 * the sum of points, so that stops of unequal size are taken as they are. With all points 1 it is the mean.
 *
 * @param hits of each stop
 * @param points of each stop
 * @param random uniform 0 to 1, seeded
 * @returns undefined where it was stopped
 * @throws RangeError fewer than two stops, or lists of unequal length
 */
export function bootstrapRatio(
  hits: readonly number[],
  points: readonly number[],
  random: () => number,
  { resamples = 10_000, conf = 0.95, progress = goOn }: BootstrapOptions = {},
): Bootstrapped | undefined {
  const m = hits.length
  if (m < 2 || points.length !== m) throw new RangeError('resampling needs two stops or more')
  const y = Float64Array.from(hits)
  const x = Float64Array.from(points)
  const [sumY, sumX] = [y.reduce((a, b) => a + b, 0), x.reduce((a, b) => a + b, 0)]
  const estimate = sumY / sumX
  const all = new Float64Array(resamples)
  let below = 0
  for (let r = 0; r < resamples; r++) {
    if (r % 1000 === 0 && !progress(r / resamples)) return undefined
    let [a, b] = [0, 0]
    for (let i = 0; i < m; i++) {
      const k = (random() * m) | 0
      a += y[k]!
      b += x[k]!
    }
    const drawn = a / b
    all[r] = drawn
    if (drawn < estimate) below++
    else if (drawn === estimate) below += 0.5
  }
  all.sort()
  const mean = all.reduce((a, b) => a + b, 0) / resamples
  const se = Math.sqrt(all.reduce((s, v) => s + (v - mean) ** 2, 0) / (resamples - 1))
  const tail = (1 - conf) / 2
  // Acceleration from leaving out one stop at a time.
  const left = Array.from(y, (v, i) => (sumY - v) / (sumX - x[i]!))
  const centre = left.reduce((a, b) => a + b, 0) / m
  const [two, three] = left.reduce(([s2, s3], v) => [s2 + (centre - v) ** 2, s3 + (centre - v) ** 3] as const, [
    0, 0,
  ] as readonly [number, number])
  const acceleration = two > 0 ? three / (6 * two ** 1.5) : 0
  const z0 = normalQuantile(Math.min(1 - 0.5 / resamples, Math.max(0.5 / resamples, below / resamples)), 0, 1)
  const corrected = (p: number): number => {
    const z = z0 + normalQuantile(p, 0, 1)
    return normalCdf(z0 + z / (1 - acceleration * z), 0, 1)
  }
  return {
    estimate,
    se,
    percentile: [quantile(all, tail), quantile(all, 1 - tail)],
    bca: [quantile(all, corrected(tail)), quantile(all, corrected(1 - tail))],
  }
}
