import { randomNormal } from 'd3-random'

/** Amounts of one plant at each stop. */
export type Column = ArrayLike<number>

/**
 * Sums of each plant over stops drawn again with replacement: one fewer than there are, weighed up to as many, since as
 * many would make the spread of few stops too small by the root of (m - 1)/m. Source: Rao & Wu 1988, J. Am. Stat. Assoc. 83.
 */
export function drawStops(columns: readonly Column[], random: () => number): () => number[] {
  const m = columns[0]!.length
  const drawn = Math.max(1, m - 1)
  return () => {
    const sums = columns.map(() => 0)
    for (let s = 0; s < drawn; s++) {
      const stop = Math.floor(random() * m)
      for (let j = 0; j < columns.length; j++) sums[j]! += (columns[j]![stop]! * m) / drawn
    }
    return sums
  }
}

/**
 * The same sums by the central limit theorem: normal with the mean and covariance that drawing stops again has, plants
 * that grow together moving together (by the Cholesky factor). Sums below 0 are taken as 0.
 */
export function drawSums(columns: readonly Column[], random: () => number): () => number[] {
  const m = columns[0]!.length
  const p = columns.length
  const mean = columns.map((c) => {
    let sum = 0
    for (let s = 0; s < m; s++) sum += c[s]!
    return sum / m
  })
  const factor = mean.map(() => new Float64Array(p))
  for (let i = 0; i < p; i++)
    for (let j = 0; j <= i; j++) {
      const [a, b, meanA, meanB] = [columns[i]!, columns[j]!, mean[i]!, mean[j]!]
      let sum = 0
      for (let s = 0; s < m; s++) sum += ((a[s]! - meanA) * (b[s]! - meanB) * m) / Math.max(1, m - 1)
      for (let k = 0; k < j; k++) sum -= factor[i]![k]! * factor[j]![k]!
      factor[i]![j] = i === j ? Math.sqrt(Math.max(0, sum)) : factor[j]![j]! > 0 ? sum / factor[j]![j]! : 0
    }
  const normal = randomNormal.source(random)(0, 1)
  return () => {
    const z = mean.map(() => normal())
    return mean.map((mu, i) => {
      let sum = m * mu
      for (let k = 0; k <= i; k++) sum += factor[i]![k]! * z[k]!
      return Math.max(0, sum)
    })
  }
}

/** From so many stops on, the sums of stops drawn again are as good as normal, and drawn as such. */
export const MANY_STOPS = 300
