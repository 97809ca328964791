import gammaQuantile from '@stdlib/stats-base-dists-gamma-quantile'
import normalQuantile from '@stdlib/stats-base-dists-normal-quantile'
import { tQuantile } from '../../stats/tQuantile.ts'
import type { Interval } from '../../stats/clusterRatio.ts'
import { clopperPearson } from '../../stats/proportionIntervals.ts'

/** Share of the plants in a strip that eyes see where nobody tried it, fewest and most: common practice, no source. */
export const USUAL_EYE: Interval = [0.6, 0.9]
/** How clumped plants may stand on a leg for a bound that holds in clumps: k of a negative binomial (from memory; lower is worse). */
export const CLUMPED_K = 0.2

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

/** Planted flags: how many of them a walker saw. */
export interface FlagTrial {
  planted: number
  seen: number
}

/**
 * The share that a walker sees, fewest and most: by a trial with planted flags (limits of Clopper & Pearson 1934), else
 * a quarter less and an eighth more than was judged, as the usual eye lies about 8 in 10.
 *
 * @param judged above 0 to 1
 * @throws RangeError a share or a trial that cannot be
 */
export function eyeRange(judged: number, trial?: FlagTrial): Interval {
  if (!(judged > 0 && judged <= 1)) throw new RangeError('the share seen must be above 0 and at most 1')
  if (!trial) return [judged * 0.75, Math.min(1, judged * 1.125)]
  const { planted, seen } = trial
  if (!(planted >= 1 && seen >= 1 && seen <= planted)) throw new RangeError('of the flags planted one or more is seen')
  return clopperPearson({ x: seen, n: planted })
}

export interface SearchLeg {
  lengthM: number
  found: number
}

export interface SearchLimits {
  /** Plants a hectare, with what the eye was judged to see. */
  perHa: number
  /** 95 %; where none was found from 0 to the one-sided bound for plants that stand singly. */
  limitsPerHa: Interval
  /** Where none was found: the one-sided bound if they stand in clumps; undefined from a single leg, which cannot tell. */
  clumpedPerHa?: number
  /** Variance of the legs over their mean, 1 or more; undefined where it cannot be told. */
  dispersion?: number
}

/**
 * Plants per hectare from the legs of a walked strip. The leg is the unit: where legs differ by more than chance the
 * limits widen (quasi-Poisson, McCullagh & Nelder 1989, ch. 6; gamma limits of the count that is left, scaled for few legs as
 * Korn & Graubard 1998 do for shares). The upper limit goes by the least the eye may see, the lower by the most.
 *
 * None found: -ln 0.05 over the area for plants that stand singly; k (0.05^(-1/(k m)) - 1) a leg over m legs where they stand
 * in clumps (none of m negative binomial counts).
 *
 * @param legs walked, each of a length above 0
 * @param widthM full width of the strip, above 0
 * @param seen what the eye was judged to see, and its range
 * @throws RangeError nothing walked
 */
export function searchLimits(
  legs: readonly SearchLeg[],
  widthM: number,
  seen: { judged: number; range: Interval },
  conf = 0.95,
): SearchLimits {
  const lengthM = legs.reduce((sum, l) => sum + l.lengthM, 0)
  if (!(lengthM > 0 && widthM > 0)) throw new RangeError('a search walk needs a length and a width')
  const found = legs.reduce((sum, l) => sum + l.found, 0)
  const areaHa = (lengthM * widthM) / 10_000
  const perHa = found / (areaHa * seen.judged)
  const m = legs.length
  if (found === 0) {
    const singly = -Math.log(1 - conf) / (areaHa * seen.range[0])
    const clumped = (CLUMPED_K * ((1 - conf) ** (-1 / (CLUMPED_K * m)) - 1) * m) / (areaHa * seen.range[0])
    return { perHa, limitsPerHa: [0, singly], ...(m > 1 ? { clumpedPerHa: clumped } : {}) }
  }
  const expected = legs.map((l) => (found * l.lengthM) / lengthM)
  const dispersion =
    m > 1 ? Math.max(1, legs.reduce((sum, l, i) => sum + (l.found - expected[i]!) ** 2 / expected[i]!, 0) / (m - 1)) : 1
  const tail = (1 - conf) / 2
  // Few legs tell the dispersion badly: the count that is left is scaled by the squares of z over t.
  const few = m > 1 && dispersion > 1 ? (normalQuantile(1 - tail, 0, 1) / tQuantile(1 - tail, m - 1)) ** 2 : 1
  const left = (found / dispersion) * few
  const [low, high] = [gammaQuantile(tail, left, 1), gammaQuantile(1 - tail, left + 1, 1)]
  const scale = found / left / areaHa
  return {
    perHa,
    limitsPerHa: [(low * scale) / seen.range[1], (high * scale) / seen.range[0]],
    ...(m > 1 ? { dispersion } : {}),
  }
}

/** Metres to walk so that, with nothing found, no more than so many plants a hectare could be there if they stand singly (one-sided). */
export function metresToExclude(perHa: number, widthM: number, leastSeen: number, conf = 0.95): number {
  if (!(perHa > 0 && widthM > 0 && leastSeen > 0 && leastSeen <= 1))
    throw new RangeError('density, width and share must be above 0')
  return (-Math.log(1 - conf) * 10_000) / (perHa * widthM * leastSeen)
}
