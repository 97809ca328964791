import { tQuantile } from './tQuantile.ts'
import type { Interval } from './clusterRatio.ts'

/** One share over another of the same stops: so much clover to so much grass. */
export interface ShareRatio {
  ratio: number
  interval: Interval
  /** Correlation of the two shares over the stops, -1 to 1; undefined where one does not differ. */
  correlation: number | undefined
}

/**
 * Ratio of two shares with its 95 % interval: the stop is the unit, and shares that rise together narrow it (Fieller 1954, by
 * the variances and covariance of the two over the stops).
 *
 * @param a amounts of one at each stop, and `b` of the other, at the same three stops or more
 * @returns undefined where the lower one cannot be told from nothing: then a ratio has no end
 */
export function shareRatio(a: readonly number[], b: readonly number[], conf = 0.95): ShareRatio | undefined {
  const n = a.length
  if (n < 3 || b.length !== n) throw new RangeError('a ratio of shares needs three stops or more')
  const mean = (x: readonly number[]) => x.reduce((s, v) => s + v, 0) / n
  const [ma, mb] = [mean(a), mean(b)]
  const cross = (x: readonly number[], mx: number, y: readonly number[], my: number) =>
    x.reduce((s, v, i) => s + (v - mx) * (y[i]! - my), 0) / (n - 1) / n
  const [vaa, vbb, vab] = [cross(a, ma, a, ma), cross(b, mb, b, mb), cross(a, ma, b, mb)]
  const t2 = tQuantile(1 - (1 - conf) / 2, n - 1) ** 2
  // Ends of the ratios q for which mean(a - q b) does not differ from 0.
  const [A, B, C] = [mb ** 2 - t2 * vbb, ma * mb - t2 * vab, ma ** 2 - t2 * vaa]
  const root = B ** 2 - A * C
  if (!(A > 0) || root < 0) return undefined
  return {
    ratio: ma / mb,
    interval: [Math.max(0, (B - Math.sqrt(root)) / A), (B + Math.sqrt(root)) / A],
    correlation: vaa > 0 && vbb > 0 ? vab / Math.sqrt(vaa * vbb) : undefined,
  }
}
