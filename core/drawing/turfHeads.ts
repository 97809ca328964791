import { leaf, oval } from './leafShape.ts'
import { brush, circle, straight, type Drawing, type Point } from './mark.ts'

const GROUND = 92
const CUT = 34
/** Blades that end at the cut, a dotted line where the mower went. */
const turf = (): Drawing => [
  { d: straight([2, GROUND], [98, GROUND]), ink: 'line' },
  ...[8, 18, 30, 42, 58, 70, 82, 92].map((x, i) => brush([[x, GROUND], [x + (i % 2 ? 3 : -3), 64], [x + (i % 3) * 2 - 2, CUT]], [4, 3.4, 2.8])),
  { d: straight([2, CUT], [98, CUT]), ink: 'dotted' },
]
const stem = (to: Point, from: number): Drawing => [brush([[from, GROUND], [(from + to[0]) / 2, (GROUND + to[1]) / 2], to], [1.8, 1.6, 1.2])]
const grains = (from: Point, to: Point, count: number, wide = 7): Drawing =>
  Array.from({ length: count }, (_, i) => {
    const t = i / (count - 1)
    const at: Point = [from[0] + (to[0] - from[0]) * t, from[1] + (to[1] - from[1]) * t]
    return leaf({ length: wide, width: wide * 0.55, profile: oval(0.5) }, at, -90 + (i % 2 ? 36 : -36), { midrib: false })
  }).flat()

/** Seed heads at or below the height of the cut. */
export const headsLow: Record<string, () => Drawing> = {
  none: () => turf(),
  'small-pale-open': () => [
    ...turf(),
    ...[24, 52, 78].flatMap((x) => [
      ...stem([x, 44], x),
      ...[0, 1, 2].flatMap((k) => [-1, 1].flatMap((s): Drawing => {
        const tip: Point = [x + s * (15 - k * 4), 60 - k * 10 - 4]
        return [{ d: straight([x, 64 - k * 10], tip), ink: 'line' }, { d: circle(tip, 4.6, 3.2), ink: 'paper' }, { d: circle(tip, 4.6, 3.2), ink: 'line' }]
      })),
    ]),
  ],
  'two-spikes-in-a-v': () => [...turf(), ...stem([50, 58], 50), ...grains([50, 58], [22, 12], 9), ...grains([50, 58], [78, 12], 9)],
  fingers: () => [...turf(), ...stem([50, 62], 50), ...[-26, -10, 10, 26].flatMap((dx) => grains([50, 62], [50 + dx * 1.5, 24], 8, 6))],
  'single-spike': () => [...turf(), ...stem([50, 70], 50), ...grains([49, 70], [49, 26], 10, 9), ...grains([52, 68], [52, 28], 9, 9)],
}
