/** Plants met on average on so many stops, and how much that differs from one choice of stops to another. */
export interface Accumulated {
  stops: number
  mean: number
  sd: number
}

/** ln of n over k by sums of logarithms, made once for all k up to n. */
function logFactorials(n: number): Float64Array {
  const out = new Float64Array(n + 1)
  for (let i = 1; i <= n; i++) out[i] = out[i - 1]! + Math.log(i)
  return out
}

/**
 * How the list of plants grows with the stops: mean and standard deviation over all choices of 1 to n of the stops (exact;
 * Ugland, Gray & Ellingsen 2003; the joint absence of two plants is hypergeometric).
 *
 * @param at for each plant the stops (0 to n - 1) at which it was met, one or more
 * @param n stops in all, 1 or more
 */
export function speciesAccumulation(at: readonly (readonly number[])[], n: number): Accumulated[] {
  const logs = logFactorials(n)
  /** Chance that k of n stops miss all of x of them. */
  const missed = (x: number, k: number) => (n - x < k ? 0 : Math.exp(logs[n - x]! + logs[n - k]! - logs[n - x - k]! - logs[n]!)) // prettier-ignore
  const sets = at.map((stops) => new Set(stops))
  const together = sets.map((a, i) => sets.slice(i + 1).map((b) => a.size + [...b].filter((s) => !a.has(s)).length))
  return Array.from({ length: n }, (_, i): Accumulated => {
    const k = i + 1
    const absent = sets.map((s) => missed(s.size, k))
    let variance = absent.reduce((sum, p) => sum + p * (1 - p), 0)
    together.forEach((row, a) =>
      row.forEach((either, b) => (variance += 2 * (missed(either, k) - absent[a]! * absent[a + 1 + b]!))),
    )
    return { stops: k, mean: absent.reduce((sum, p) => sum + 1 - p, 0), sd: Math.sqrt(Math.max(0, variance)) }
  })
}
