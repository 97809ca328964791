import { betaQuantile } from './betaQuantile.ts'
import { tQuantile } from './tQuantile.ts'

/** What one stop gives for one species: its hits (or cover) and all that was counted there. */
export interface StopCount {
  hits: number
  points: number
}

export interface ClusterRatio {
  /** Share, 0 to 1. */
  estimate: number
  /** Standard error of the share; undefined with a single stop. */
  se: number | undefined
  /** Stops less one. */
  df: number
  points: number
  /** Variance against that of as many points spread at random; undefined where that is 0. */
  designEffect: number | undefined
}

/**
 * Share of a species over stops of several points: the ratio estimator, with the stops as clusters.
 *
 *   R = sum(hits) / sum(points),  se^2 = (1 - f) m/(m-1) sum((hits - R points)^2) / sum(points)^2
 *
 * Points of one stop lie close together and are alike, so the stop is the unit. Source: Cochran 1977, ch. 6.
 * The design effect compares with R(1 - R)/(n - 1).
 *
 * @param stops hits from 0 to points, points above 0 in at least one stop
 * @param stopsInAll number of stops the field could hold, for the finite population factor; left out: endless
 * @throws RangeError no stop, or nothing counted
 */
export function clusterRatio(stops: StopCount[], stopsInAll?: number): ClusterRatio {
  return clusterRatioOf(
    stops.map((c) => c.hits),
    stops.map((c) => c.points),
    stopsInAll,
  )
}

/** The same from a list of hits and one of points, stop by stop. */
export function clusterRatioOf(
  hits: ArrayLike<number>,
  pointsAt: ArrayLike<number>,
  stopsInAll?: number,
): ClusterRatio {
  const m = hits.length
  let [found, points] = [0, 0]
  for (let i = 0; i < m; i++) {
    found += hits[i]!
    points += pointsAt[i]!
  }
  if (m === 0 || !(points > 0)) throw new RangeError(`nothing was counted: ${m} stops, ${points} points`)
  const estimate = found / points
  if (m === 1) return { estimate, se: undefined, df: 0, points, designEffect: undefined }
  const f = stopsInAll === undefined ? 0 : m / stopsInAll
  let squares = 0
  for (let i = 0; i < m; i++) squares += (hits[i]! - estimate * pointsAt[i]!) ** 2
  const variance = ((1 - f) * m * squares) / ((m - 1) * points * points)
  const random = (estimate * (1 - estimate)) / (points - 1)
  return {
    estimate,
    se: Math.sqrt(variance),
    df: m - 1,
    points,
    designEffect: random > 0 ? variance / random : undefined,
  }
}

export type Interval = [low: number, high: number]

/**
 * Interval of a clustered share by Clopper-Pearson limits at the effective number of points,
 * n_eff = R(1 - R)/se^2 x (t_{n-1} / t_{m-1})^2. Never leaves 0 to 1 and holds for rare species.
 *
 * Source: Korn & Graubard 1998, Survey Methodology 24:193 (from memory); equals R's `svyciprop(method = "beta")`.
 *
 * @returns undefined where the share is 0 or 1 at every stop, or with one stop: the stops then say nothing of the error
 */
export function kornGraubard(ratio: ClusterRatio, conf = 0.95): Interval | undefined {
  const { estimate: p, se, df, points } = ratio
  if (se === undefined || !(se > 0)) return undefined
  const alpha = 1 - conf
  const t = (d: number) => tQuantile(1 - alpha / 2, d)
  const effective = ((p * (1 - p)) / se ** 2) * (t(points - 1) / t(df)) ** 2
  const hits = p * effective
  const low = betaQuantile(alpha / 2, hits, effective - hits + 1)
  const high = betaQuantile(1 - alpha / 2, hits + 1, effective - hits)
  return [low, high]
}

/** Interval on the log-odds scale with t of m - 1 degrees; equals R's `svyciprop(method = "xlogit")`. */
export function logitInterval({ estimate: p, se, df }: ClusterRatio, conf = 0.95): Interval | undefined {
  if (se === undefined || !(se > 0) || p <= 0 || p >= 1) return undefined
  const half = (tQuantile(1 - (1 - conf) / 2, df) * se) / (p * (1 - p))
  const logit = Math.log(p / (1 - p))
  const back = (x: number) => 1 / (1 + Math.exp(-x))
  return [back(logit - half), back(logit + half)]
}
