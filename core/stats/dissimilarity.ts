/**
 * How unlike two swards are, 0 the same and 1 nothing in common, by amounts: sum |a - b| / sum (a + b) (Bray & Curtis 1957).
 * Of shares it is the share that would have to change plants.
 *
 * @param a amounts of each plant, 0 or more; `b` in the same order
 * @throws RangeError lists of unlike length, or nothing in either
 */
export function brayCurtis(a: readonly number[], b: readonly number[]): number {
  if (a.length !== b.length) throw new RangeError('two swards are compared plant by plant')
  const all = a.reduce((s, x, i) => s + x + b[i]!, 0)
  if (!(all > 0)) throw new RangeError('two swards without plants cannot be compared')
  return a.reduce((s, x, i) => s + Math.abs(x - b[i]!), 0) / all
}

const asShares = (a: readonly number[]) => {
  const total = a.reduce((s, x) => s + x, 0)
  return a.map((x) => (total > 0 ? x / total : 0))
}

/** The same of the shares of each sward. @throws RangeError as `brayCurtis` */
export const brayCurtisOfShares = (a: readonly number[], b: readonly number[]): number =>
  brayCurtis(asShares(a), asShares(b))

/**
 * Share of the plants of both together that only one of them has (Jaccard 1901).
 *
 * @throws RangeError as `brayCurtis`
 */
export function jaccard(a: readonly number[], b: readonly number[]): number {
  if (a.length !== b.length) throw new RangeError('two swards are compared plant by plant')
  const either = a.filter((x, i) => x > 0 || b[i]! > 0).length
  if (either === 0) throw new RangeError('two swards without plants cannot be compared')
  return 1 - a.filter((x, i) => x > 0 && b[i]! > 0).length / either
}
