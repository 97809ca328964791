import type { Lobe } from './palmate.ts'

export interface Palm {
  lobes: readonly Lobe[]
  cut: number
  point: number
}

/** A lobe in the middle and pairs beside it. */
const spread = (middle: Lobe, ...pairs: readonly Lobe[]): Lobe[] => [
  ...pairs.toReversed().map(([degrees, share, half]): Lobe => [-degrees, share, half]),
  middle,
  ...pairs,
]

/** Leaves whose lobes spread from the end of the stalk, in one piece. */
export const PALMS: Record<string, Palm> = {
  'three-to-five-lobed': { lobes: spread([0, 1, 32], [41, 0.86, 34], [82, 0.58, 36]), cut: 0.55, point: 0.9 },
  'palmate-cut': { lobes: spread([0, 1, 20], [31, 0.95, 21], [66, 0.84, 22], [104, 0.62, 24]), cut: 0.8, point: 0.7 },
  'round-kidney': { lobes: spread([0, 1, 26], [44, 0.98, 26], [88, 0.92, 26], [132, 0.8, 30]), cut: 0.12, point: 0.2 },
}

/** Leaves of separate leaflets that spread from the end of the stalk: degrees off the middle and length of each. */
export const FANS: Record<
  string,
  { parts: readonly [degrees: number, share: number][]; wide: number; widestAt: number }
> = {
  fingered: { parts: [[-88, 0.72], [88, 0.72], [-44, 0.92], [44, 0.92], [0, 1]], wide: 0.34, widestAt: 0.6 },
  'three-leaflets': { parts: [[-70, 0.86], [70, 0.86], [0, 1]], wide: 0.72, widestAt: 0.52 },
} // prettier-ignore

/** Edges of leaves whose lobes are round. */
export const ROUNDED = new Set(['entire', 'scalloped', 'wavy-curled'])
