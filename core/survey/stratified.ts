import { tQuantile } from '../stats/tQuantile.ts'
import { clusterRatio, type ClusterRatio, type StopCount } from '../stats/clusterRatio.ts'

/** The stops of one part of the paddock. */
export interface Stratum {
  name: string
  /** Share of the whole that this part is, or the number of stops it could hold: only proportions matter. */
  size: number
  stops: StopCount[]
}

/**
 * Share over parts of a paddock that were walked at unlike density: the combined ratio estimator.
 *
 *   R = sum_h w_h sum(hits) / sum_h w_h sum(points),  w_h = size_h / m_h
 *   se^2 = sum_h w_h^2 (1 - f_h) m_h/(m_h - 1) sum((e - mean e)^2) / (sum_h w_h sum(points))^2,  e = hits - R points
 *
 * Degrees of freedom: stops less parts. Source: Cochran 1977, ch. 6.
 *
 * @param finite the sizes are numbers of stops, so that the finite population factor holds
 * @throws RangeError no part, a part with a single stop, or nothing counted
 */
export function stratifiedRatio(strata: Stratum[], finite = false): ClusterRatio {
  const counted = strata.filter((s) => s.stops.length > 0)
  if (counted.length === 0 || counted.some((s) => s.stops.length < 2 || !(s.size > 0)))
    throw new RangeError('each part of the paddock needs two stops or more, and a size')
  const sum = (stops: StopCount[], of: 'hits' | 'points') => stops.reduce((n, s) => n + s[of], 0)
  const weight = (s: Stratum) => s.size / s.stops.length
  const all = counted.reduce((n, s) => n + weight(s) * sum(s.stops, 'points'), 0)
  if (!(all > 0)) throw new RangeError('nothing was counted')
  const estimate = counted.reduce((n, s) => n + weight(s) * sum(s.stops, 'hits'), 0) / all
  const variance = counted.reduce((total, s) => {
    const m = s.stops.length
    const left = s.stops.map((c) => c.hits - estimate * c.points)
    const mean = left.reduce((a, b) => a + b, 0) / m
    const spread = left.reduce((a, e) => a + (e - mean) ** 2, 0) / (m - 1)
    return total + weight(s) ** 2 * (finite ? 1 - m / s.size : 1) * m * spread
  }, 0)
  const points = counted.reduce((n, s) => n + sum(s.stops, 'points'), 0)
  const m = counted.reduce((n, s) => n + s.stops.length, 0)
  const se = Math.sqrt(variance) / all
  const random = (estimate * (1 - estimate)) / (points - 1)
  return {
    estimate,
    se,
    df: m - counted.length,
    points,
    designEffect: random > 0 ? se ** 2 / random : undefined,
  }
}

export interface Disagreement {
  /** The two parts that are furthest apart. */
  high: { name: string; estimate: number }
  low: { name: string; estimate: number }
  /** Their difference in standard errors of it. */
  apart: number
}

/**
 * Do the parts of a paddock disagree on a share? The furthest pair is compared by Welch's test at 5 in 100, made
 * stricter for the number of pairs (Bonferroni).
 *
 * @param looks how many shares are looked at in all, for which it is made stricter too
 */
export function disagreement(strata: Stratum[], looks = 1): Disagreement | undefined {
  const parts = strata
    .filter((s) => s.stops.length >= 3 && s.stops.some((c) => c.points > 0))
    .map((s) => ({ name: s.name, ...clusterRatio(s.stops) }))
  const pairs = (parts.length * (parts.length - 1)) / 2
  let found: Disagreement | undefined
  for (const a of parts)
    for (const b of parts) {
      if (a === b || a.estimate <= b.estimate) continue
      const [va, vb] = [a.se! ** 2, b.se! ** 2]
      if (!(va + vb > 0)) continue
      const apart = (a.estimate - b.estimate) / Math.sqrt(va + vb)
      const df = (va + vb) ** 2 / (va ** 2 / a.df + vb ** 2 / b.df)
      if (apart > tQuantile(1 - 0.025 / (pairs * looks), df) && apart > (found?.apart ?? 0))
        found = { high: a, low: b, apart }
    }
  return found
}
