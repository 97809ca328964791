/** A place or direction: x to the right, y up, z towards the eye; millimetres where it is a place. */
export type Vec = readonly [number, number, number]

export const add = (a: Vec, b: Vec): Vec => [a[0] + b[0], a[1] + b[1], a[2] + b[2]]
export const sub = (a: Vec, b: Vec): Vec => [a[0] - b[0], a[1] - b[1], a[2] - b[2]]
export const times = (a: Vec, k: number): Vec => [a[0] * k, a[1] * k, a[2] * k]
export const dot = (a: Vec, b: Vec): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
export const cross = (a: Vec, b: Vec): Vec => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
]
export const long = (a: Vec): number => Math.sqrt(a[0] * a[0] + a[1] * a[1] + a[2] * a[2])

/** The same direction of length 1; what has none points up. */
export function unit(a: Vec): Vec {
  const l = long(a)
  return l < 1e-9 ? [0, 1, 0] : times(a, 1 / l)
}

/** Turned round an axis of length 1 by so many radians (Rodrigues). */
export function turned(v: Vec, axis: Vec, angle: number): Vec {
  const [c, s] = [Math.cos(angle), Math.sin(angle)]
  return add(add(times(v, c), times(cross(axis, v), s)), times(axis, dot(axis, v) * (1 - c)))
}

/** A direction that is square to another one. */
export function squareTo(along: Vec): Vec {
  const other: Vec = Math.abs(along[1]) < 0.9 ? [0, 1, 0] : [1, 0, 0]
  return unit(sub(other, times(along, dot(along, other))))
}
