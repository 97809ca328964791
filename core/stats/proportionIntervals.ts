import { betaQuantile } from './betaQuantile.ts'
import gammaQuantile from '@stdlib/stats-base-dists-gamma-quantile'
import normalQuantile from '@stdlib/stats-base-dists-normal-quantile'
import type { Interval } from './clusterRatio.ts'

function checkCounts(x: number, n: number): void {
  if (!(n > 0) || !(x >= 0 && x <= n)) throw new RangeError(`hits must be 0 to n, and n above 0: ${x} of ${n}`)
}

/**
 * Wilson score interval of x in n independent looks. Source: Wilson 1927.
 *
 * @throws RangeError x not in 0 to n
 */
export function wilson({ x, n, conf = 0.95 }: { x: number; n: number; conf?: number }): Interval {
  checkCounts(x, n)
  const z = normalQuantile(1 - (1 - conf) / 2, 0, 1)
  const p = x / n
  const mid = (p + (z * z) / (2 * n)) / (1 + (z * z) / n)
  const half = (z / (1 + (z * z) / n)) * Math.sqrt((p * (1 - p)) / n + (z * z) / (4 * n * n))
  return [x === 0 ? 0 : mid - half, x === n ? 1 : mid + half]
}

/**
 * Exact interval of x in n independent looks. Source: Clopper & Pearson 1934.
 *
 * @throws RangeError x not in 0 to n
 */
export function clopperPearson({ x, n, conf = 0.95 }: { x: number; n: number; conf?: number }): Interval {
  checkCounts(x, n)
  const a = (1 - conf) / 2
  return [x === 0 ? 0 : betaQuantile(a, x, n - x + 1), x === n ? 1 : betaQuantile(1 - a, x + 1, n - x)]
}

/**
 * Largest share that could be there although none was found in n independent looks: 1 - (1 - conf)^(1/n), about 3/n.
 * Source: Hanley & Lippman-Hand 1983.
 *
 * @throws RangeError n below 1
 */
export function noneFoundUpperBound(n: number, conf = 0.95): number {
  if (!(n >= 1)) throw new RangeError(`at least one look is needed: ${n}`)
  return 1 - (1 - conf) ** (1 / n)
}

/**
 * Looks that must find nothing for no more than this share to be possible: the same sum solved for n.
 *
 * @param share above 0, below 1
 * @throws RangeError a share out of bounds
 */
export function looksToBound(share: number, conf = 0.95): number {
  if (!(share > 0 && share < 1)) throw new RangeError(`a share between 0 and 1 is needed: ${share}`)
  return Math.ceil(Math.log(1 - conf) / Math.log(1 - share))
}

/**
 * Exact limits of a density when `found` plants were counted on an area. Source: Garwood 1936.
 *
 * @param area in any unit above 0; the limits are per that unit
 * @returns two-sided limits, and the one-sided upper limit
 * @throws RangeError
 */
export function poissonLimits({ found, area, conf = 0.95 }: { found: number; area: number; conf?: number }) {
  if (!(found >= 0) || !(area > 0)) throw new RangeError(`found must be 0 or more and area above 0: ${found}, ${area}`)
  const a = (1 - conf) / 2
  const low = found === 0 ? 0 : gammaQuantile(a, found, 1) / area
  return {
    rate: found / area,
    twoSided: [low, gammaQuantile(1 - a, found + 1, 1) / area] as Interval,
    oneSidedUpper: gammaQuantile(conf, found + 1, 1) / area,
  }
}

/**
 * Intervals of all shares of a count at once, so that together they hold with the confidence asked.
 *
 *   (c + 2x +- sqrt(c (c + 4x(n - x)/n))) / (2(n + c)),  c the chi-square quantile at 1 - alpha/k with 1 degree
 *
 * Source: Goodman 1965.
 *
 * @param counts independent looks that fell in each of two classes or more
 * @throws RangeError fewer than two classes, or nothing counted
 */
export function goodman(counts: readonly number[], conf = 0.95): Interval[] {
  const n = counts.reduce((a, b) => a + b, 0)
  if (counts.length < 2 || !(n > 0)) throw new RangeError('shares of a whole need two classes and a count')
  const c = normalQuantile(1 - (1 - conf) / counts.length / 2, 0, 1) ** 2
  return counts.map((x) => {
    const root = Math.sqrt(c * (c + (4 * x * (n - x)) / n))
    return [(c + 2 * x - root) / (2 * (n + c)), (c + 2 * x + root) / (2 * (n + c))]
  })
}
