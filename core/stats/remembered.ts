/**
 * A function of numbers that remembers what it found: for searches that are asked for the same thing again and again.
 *
 * @param most so many answers are kept; then all are forgotten
 */
export function remembered<A extends number[]>(find: (...of: A) => number, most = 2000): (...of: A) => number {
  const known = new Map<string, number>()
  return (...of) => {
    const key = of.join(' ')
    const before = known.get(key)
    if (before !== undefined) return before
    if (known.size >= most) known.clear()
    const found = find(...of)
    known.set(key, found)
    return found
  }
}
