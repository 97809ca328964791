import { betaQuantile } from './betaQuantile.ts'
import normalQuantile from '@stdlib/stats-base-dists-normal-quantile'
import type { Interval } from './clusterRatio.ts'

export type KappaWeights = 'unweighted' | 'linear' | 'quadratic'

export interface Kappa {
  kappa: number
  /** Large-sample standard error (Fleiss, Cohen & Everitt 1969). */
  se: number
  interval: Interval
  observed: number
  expected: number
}

/**
 * Agreement of two observers beyond chance (Cohen 1960, 1968).
 *
 * @param table rows: classes of one observer, columns: of the other; frames in each cell
 * @param weights linear and quadratic take the classes to be in order
 * @throws RangeError the table is not square or holds nothing
 */
export function cohenKappa(
  table: readonly (readonly number[])[],
  weights: KappaWeights = 'unweighted',
  conf = 0.95,
): Kappa {
  const k = table.length
  const n = table.flat().reduce((a, b) => a + b, 0)
  if (k < 2 || table.some((row) => row.length !== k) || !(n > 0))
    throw new RangeError('two observers need a square table of counts')
  const p = table.map((row) => row.map((x) => x / n))
  const rows = p.map((row) => row.reduce((a, b) => a + b, 0))
  const columns = p[0]!.map((_, j) => p.reduce((sum, row) => sum + row[j]!, 0))
  const w = (i: number, j: number): number =>
    weights === 'unweighted'
      ? Number(i === j)
      : weights === 'linear'
        ? 1 - Math.abs(i - j) / (k - 1)
        : 1 - ((i - j) / (k - 1)) ** 2
  let [observed, expected] = [0, 0]
  for (let i = 0; i < k; i++)
    for (let j = 0; j < k; j++) {
      observed += w(i, j) * p[i]![j]!
      expected += w(i, j) * rows[i]! * columns[j]!
    }
  const kappa = (observed - expected) / (1 - expected)
  const ofRow = rows.map((_, i) => columns.reduce((sum, c, j) => sum + w(i, j) * c, 0))
  const ofColumn = columns.map((_, j) => rows.reduce((sum, r, i) => sum + w(i, j) * r, 0))
  let spread = 0
  for (let i = 0; i < k; i++)
    for (let j = 0; j < k; j++) spread += p[i]![j]! * (w(i, j) - (ofRow[i]! + ofColumn[j]!) * (1 - kappa)) ** 2
  const variance = (spread - (kappa - expected * (1 - kappa)) ** 2) / (n * (1 - expected) ** 2)
  // Rounding may leave a variance of 0 a trace below it.
  const se = Math.sqrt(Math.max(0, variance))
  const z = normalQuantile(1 - (1 - conf) / 2, 0, 1)
  // The usual 1.96 is used as the books do, not cut at the ends.
  const half = (conf === 0.95 ? 1.959963984540054 : z) * se
  return { kappa, se, interval: [kappa - half, kappa + half], observed, expected }
}

export interface Intraclass {
  /** Two-way random, one observer, absolute agreement: ICC(2,1) of Shrout & Fleiss 1979. */
  icc: number
  interval: Interval
  /** Mean of each observer: who reads high, who low. */
  observerMeans: number[]
}

const fQuantile = (p: number, d1: number, d2: number): number => {
  const x = betaQuantile(p, d1 / 2, d2 / 2)
  return (d2 * x) / (d1 * (1 - x))
}

/**
 * How alike several observers rate the same frames, and each one's mean.
 *
 * @param ratings rows: frames, two or more; columns: observers, two or more
 * @throws RangeError too few frames or observers, or a gap
 */
export function intraclassCorrelation(ratings: readonly (readonly number[])[], conf = 0.95): Intraclass {
  const n = ratings.length
  const k = ratings[0]?.length ?? 0
  if (n < 2 || k < 2 || ratings.some((r) => r.length !== k))
    throw new RangeError('two observers must rate the same two frames or more')
  const all = ratings.flat().reduce((a, b) => a + b, 0) / (n * k)
  const frameMeans = ratings.map((r) => r.reduce((a, b) => a + b, 0) / k)
  const observerMeans = ratings[0]!.map((_, j) => ratings.reduce((sum, r) => sum + r[j]!, 0) / n)
  const between = (k * frameMeans.reduce((sum, m) => sum + (m - all) ** 2, 0)) / (n - 1)
  const observers = (n * observerMeans.reduce((sum, m) => sum + (m - all) ** 2, 0)) / (k - 1)
  const error =
    ratings.reduce(
      (sum, r, i) => sum + r.reduce((s, x, j) => s + (x - frameMeans[i]! - observerMeans[j]! + all) ** 2, 0),
      0,
    ) /
    ((n - 1) * (k - 1))
  const icc = (between - error) / (between + (k - 1) * error + (k * (observers - error)) / n)
  const a = (k * icc) / (n * (1 - icc))
  const b = 1 + (k * icc * (n - 1)) / (n * (1 - icc))
  const df =
    (a * observers + b * error) ** 2 / ((a * observers) ** 2 / (k - 1) + (b * error) ** 2 / ((n - 1) * (k - 1)))
  const tail = 1 - (1 - conf) / 2
  const [up, down] = [fQuantile(tail, n - 1, df), fQuantile(tail, df, n - 1)]
  const pooled = k * observers + (k * n - k - n) * error
  return {
    icc,
    interval: [
      (n * (between - up * error)) / (up * pooled + n * between),
      (n * (down * between - error)) / (pooled + n * down * between),
    ],
    observerMeans,
  }
}
