import type { Rgb } from './mesh.ts'

/** CIELAB: lightness 0 to 100, green to red, blue to yellow. */
export type Lab = readonly [number, number, number]

const CURVE = 6 / 29
const SLOPE = 3 * CURVE * CURVE
const straightened = (t: number): number => (t > CURVE ? t * t * t : SLOPE * (t - 4 / 29))
const within = (x: number): number => (x < 0 ? 0 : x > 1 ? 1 : x)

/**
 * Linear light of a colour, 0 to 1, as a renderer reckons with it: CIELAB of D50 to XYZ to linear sRGB (CIE 15;
 * IEC 61966-2-1, its white adapted to D50). What a screen cannot show is held at its edge.
 */
export function light([l, a, b]: Lab): Rgb {
  const f = (l + 16) / 116
  const x = 0.96422 * straightened(f + a / 500)
  const y = straightened(f)
  const z = 0.82521 * straightened(f - b / 200)
  return [
    within(3.1338561 * x - 1.6168667 * y - 0.4906146 * z),
    within(-0.9787684 * x + 1.9161415 * y + 0.033454 * z),
    within(0.0719453 * x - 0.2289914 * y + 1.4052427 * z),
  ]
}

export const mixed = (a: Lab, b: Lab, t: number): Lab => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
  a[2] + (b[2] - a[2]) * t,
]
export const lighter = ([l, a, b]: Lab, by: number): Lab => [Math.min(96, Math.max(4, l + by)), a, b]

/** Greens of blades and leaves by how they are coded; from memory of living leaves in daylight. */
export const greens: Record<string, Lab> = {
  'mid-green': [47, -31, 35],
  'dark-green': [37, -26, 26],
  'light-green': [61, -28, 42],
  'blue-green': [51, -21, 13],
  'grey-green': [57, -13, 16],
  'bright-emerald': [54, -42, 40],
}
export const MID_GREEN: Lab = greens['mid-green']!

/** Bases of shoots by how they are coded. */
export const bases: Record<string, Lab> = {
  'green-or-white': [84, -9, 22],
  'purple-red': [33, 31, 4],
  'silvery-white': [90, -1, 6],
  yellow: [80, -2, 52],
  'pink-veined': [72, 22, 10],
  'straw-brown': [68, 5, 30],
  'dark-brown': [32, 10, 18],
}

export const SOIL: Lab = [30, 6, 13]
export const STRAW: Lab = [70, 4, 32]
export const PALE_ROOT: Lab = [80, 3, 17]
export const roots: Record<string, Lab> = {
  pale: PALE_ROOT,
  reddish: [52, 24, 20],
  black: [22, 3, 5],
  yellow: [72, 8, 46],
}
export const MEMBRANE: Lab = [88, -3, 9]
export const PURPLE: Lab = [30, 26, -2]
export const PALE_MARK: Lab = [78, -12, 16]
export const SILVER: Lab = [74, -6, 8]
