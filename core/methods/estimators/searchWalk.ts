import gammaQuantile from '@stdlib/stats-base-dists-gamma-quantile'
import type { Interval } from '../../stats/clusterRatio.ts'

/**
 * Exact limits of the mean of a Poisson count (Garwood 1936).
 *
 * @param found whole number, 0 or more
 * @throws RangeError a count that is none
 */
export function poissonLimits(found: number, conf = 0.95): Interval {
  if (!Number.isInteger(found) || found < 0) throw new RangeError(`a count is a whole number, 0 or more, not ${found}`)
  const tail = (1 - conf) / 2
  return [found === 0 ? 0 : gammaQuantile(tail, found, 1), gammaQuantile(1 - tail, found + 1, 1)]
}

export interface SearchWalk {
  lengthM: number
  /** Full width of the strip looked over. */
  widthM: number
  found: number
  /** Share of the plants in the strip that the walker would see, above 0 to 1, in the walker's own judgement. */
  seenShare: number
}

/**
 * Plants per hectare from a walked strip, with the limits of the count; what share is seen is taken as said, and is not
 * in the limits.
 *
 * @throws RangeError nothing walked, or a share not above 0 to 1
 */
export function plantsPerHectare(walk: SearchWalk, conf = 0.95): { perHa: number; limitsPerHa: Interval } {
  const { lengthM, widthM, found, seenShare } = walk
  if (!(lengthM > 0 && widthM > 0)) throw new RangeError('a search walk needs a length and a width')
  if (!(seenShare > 0 && seenShare <= 1)) throw new RangeError('the share seen must be above 0 and at most 1')
  const areaHa = (lengthM * widthM) / 10_000
  const [low, high] = poissonLimits(found, conf)
  const scale = 1 / (areaHa * seenShare)
  return { perHa: found * scale, limitsPerHa: [low * scale, high * scale] }
}

/** Metres to walk so that, with nothing found, no more than so many plants a hectare could be there (one-sided). */
export function metresToExclude(perHa: number, widthM: number, seenShare: number, conf = 0.95): number {
  if (!(perHa > 0 && widthM > 0 && seenShare > 0 && seenShare <= 1))
    throw new RangeError('density, width and share must be above 0')
  return (-Math.log(1 - conf) * 10_000) / (perHa * widthM * seenShare)
}
