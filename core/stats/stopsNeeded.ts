import tQuantile from '@stdlib/stats-base-dists-t-quantile'

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
