/** A number from 0 to 1 that looks like chance and is the same each time, for a place on a grid. */
export function hash(x: number, y = 0, z = 0): number {
  const n = Math.sin(x * 127.1 + y * 311.7 + z * 74.7) * 43758.5453
  return n - Math.floor(n)
}

const smooth = (t: number) => t * t * (3 - 2 * t)

/** Soft spots over a plane, 0 to 1, about one a unit. */
export function spots(x: number, y: number): number {
  const [i, j] = [Math.floor(x), Math.floor(y)]
  const [u, v] = [smooth(x - i), smooth(y - j)]
  const top = hash(i, j) * (1 - u) + hash(i + 1, j) * u
  const bottom = hash(i, j + 1) * (1 - u) + hash(i + 1, j + 1) * u
  return top * (1 - v) + bottom * v
}
