import normalQuantile from '@stdlib/stats-base-dists-normal-quantile'
import { tQuantile } from './tQuantile.ts'

/**
 * Smallest number of stops whose mean is known to within the half width wanted.
 *
 *   smallest n >= 2 with t_{n-1} sd / sqrt(n) sqrt(1 - n/N) <= halfWidth
 *
 * Source: Cochran 1977, ch. 4, with t in place of z.
 *
 * @param sd standard deviation between stops, in the unit of halfWidth
 * @param stopsInAll N, left out for an endless field
 * @throws RangeError halfWidth not above 0
 */
export function stopsNeeded({
  sd,
  halfWidth,
  conf = 0.95,
  stopsInAll,
}: {
  sd: number
  halfWidth: number
  conf?: number
  stopsInAll?: number
}): number {
  if (!(halfWidth > 0) || !(sd >= 0))
    throw new RangeError(`sd must be 0 or more and halfWidth above 0: ${sd}, ${halfWidth}`)
  const top = stopsInAll ?? 1e7
  const reached = (n: number) => {
    const left = stopsInAll === undefined ? 1 : Math.max(0, 1 - n / stopsInAll)
    return tQuantile(1 - (1 - conf) / 2, n - 1) * sd * Math.sqrt(left / n) <= halfWidth
  }
  let low = 2
  let high = 2
  while (high < top && !reached(high)) [low, high] = [high, Math.min(top, high * 2)]
  while (low < high) {
    const mid = Math.floor((low + high) / 2)
    if (reached(mid)) high = mid
    else low = mid + 1
  }
  return high
}

/** More stops needed for the half width, from the error met so far; 0 when there are enough. */
export function moreStops({ se, stops, halfWidth }: { se: number; stops: number; halfWidth: number }): number {
  return Math.max(0, stopsNeeded({ sd: se * Math.sqrt(stops), halfWidth }) - stops)
}

/**
 * Smallest number of independent looks whose share is known to within the half width wanted (Wilson limits), and of points
 * taken in clusters: so many times more as their design effect says.
 *
 * @param share expected, 0 to 1
 * @param halfWidth wanted, above 0
 * @param designEffect variance of the points of stops over that of as many looked at by themselves, above 0
 * @throws RangeError a share or width that cannot be
 */
export function looksNeeded({
  share,
  halfWidth,
  conf = 0.95,
  designEffect = 1,
}: {
  share: number
  halfWidth: number
  conf?: number
  designEffect?: number
}): number {
  if (!(share >= 0 && share <= 1 && halfWidth > 0 && designEffect > 0))
    throw new RangeError('a share lies between 0 and 1, a width above 0')
  const z = normalQuantile(1 - (1 - conf) / 2, 0, 1)
  const half = (n: number) => (z / (1 + z ** 2 / n)) * Math.sqrt((share * (1 - share)) / n + z ** 2 / (4 * n ** 2))
  let n = 1
  let step = 2 ** 22
  // The half width falls with n: the first n that reaches it lies one beyond the last that does not.
  if (half(1) <= halfWidth) return Math.ceil(designEffect)
  for (; step >= 1; step /= 2) if (half(n + step) > halfWidth) n += step
  return Math.ceil((n + 1) * designEffect)
}
