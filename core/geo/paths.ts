import { type Metres } from './localPlane.ts'

/** Straight from one place to another, metres. */
export const between = (a: Metres, b: Metres): number => Math.hypot(a[0] - b[0], a[1] - b[1])

/** Length of a walked line, metres. */
export function pathLength(line: Metres[]): number {
  return line.slice(1).reduce((sum, p, i) => sum + between(line[i]!, p), 0)
}

/** A share of the way along a line. */
export function pointAt(line: Metres[], metres: number): Metres {
  let left = metres
  for (let i = 1; i < line.length; i++) {
    const [a, b] = [line[i - 1]!, line[i]!]
    const long = between(a, b)
    if (left <= long || i === line.length - 1) {
      const t = long > 0 ? Math.min(1, left / long) : 0
      return [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t]
    }
    left -= long
  }
  return line[0]!
}
