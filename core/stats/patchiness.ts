import chiSquareCdf from '@stdlib/stats-base-dists-chisquare-cdf'

/** How a plant lies over the stops at which it was counted. */
export interface Patchiness {
  stops: number
  mean: number
  variance: number
  /** Variance over mean: 1 where it falls at random, more in clumps, less where it is spread evenly. */
  varianceToMean: number
  /** Chance of counts so unlike or more so, were they of one Poisson. */
  pClumped: number
  /** Chance that two draws fall on one stop, against that of a random scatter (Morisita 1959); undefined from one hit. */
  morisita: number | undefined
  /** Others that one of them meets at its stop, on average (Lloyd 1967). */
  meanCrowding: number
  /** Mean crowding over mean: 1 at random. */
  patchiness: number
  /** k of a negative binomial by its moments: the smaller, the more clumped; undefined where the variance is not above the mean. */
  k: number | undefined
}

/**
 * Indices of how clumped counts are. Variance with n - 1; sources: Fisher 1922 (index of dispersion), Morisita 1959, Lloyd 1967.
 *
 * @param counts hits of a plant at each stop, whole numbers, two stops or more
 * @throws RangeError fewer than two stops, nothing counted
 */
export function patchiness(counts: readonly number[]): Patchiness {
  const n = counts.length
  const total = counts.reduce((a, b) => a + b, 0)
  if (n < 2 || !(total > 0)) throw new RangeError('patchiness needs two stops and a plant that was met')
  const mean = total / n
  const variance = counts.reduce((s, x) => s + (x - mean) ** 2, 0) / (n - 1)
  const ratio = variance / mean
  const crowding = counts.reduce((s, x) => s + x * (x - 1), 0)
  return {
    stops: n,
    mean,
    variance,
    varianceToMean: ratio,
    pClumped: 1 - chiSquareCdf((n - 1) * ratio, n - 1),
    morisita: total > 1 ? (n * crowding) / (total * (total - 1)) : undefined,
    meanCrowding: mean + ratio - 1,
    patchiness: (mean + ratio - 1) / mean,
    k: variance > mean ? mean ** 2 / (variance - mean) : undefined,
  }
}
