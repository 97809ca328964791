import quantile from '@stdlib/stats-base-dists-t-quantile'

const MOST_KNOWN = 1000
const known = new Map<string, number>()

/**
 * Quantile of Student's t. Plants that were counted at the same stops share their degrees of freedom, and each quantile is a
 * search, so one that was found before is found at once.
 *
 * @param p probability, 0 to 1
 * @param df degrees of freedom, over 0
 */
export function tQuantile(p: number, df: number): number {
  const key = `${p} ${df}`
  const before = known.get(key)
  if (before !== undefined) return before
  if (known.size >= MOST_KNOWN) known.clear()
  const found = quantile(p, df)
  known.set(key, found)
  return found
}
