import { leaf, oval } from './leafShape.ts'
import { brush, circle, straight, type Drawing, type Point } from './mark.ts'

const GROUND = 62

const soil = (): Drawing => [
  { d: straight([2, GROUND], [98, GROUND]), ink: 'line' },
  ...[8, 20, 33, 47, 60, 74, 88].map((x, i) => ({ d: straight([x, GROUND + 4 + (i % 3) * 3], [x + 5, GROUND + 4 + (i % 3) * 3]), ink: 'soil' as const })),
]

/** A tuft of blades standing on the ground line. */
function tuft(x: number, tall: number, blades: number, spread: number): Drawing {
  return Array.from({ length: blades }, (_, i) => {
    const side = blades === 1 ? 0 : (i / (blades - 1)) * 2 - 1
    const high = tall * (1 - 0.28 * Math.abs(side))
    return brush([[x + side * 2.5, GROUND], [x + side * spread * 0.45, GROUND - high * 0.65], [x + side * spread, GROUND - high + Math.abs(side) * 7]], [2.4, 2.2, 0.5])
  })
}

const fibres = (x: number, deep = 20): Drawing =>
  [-9, -4, 0, 5, 10].map((dx, i) => brush([[x + dx * 0.2, GROUND], [x + dx * 0.7, GROUND + deep * 0.5], [x + dx, GROUND + deep - (i % 2) * 5]], [1.3, 0.9, 0.3]))

/** An underground stem with its scales, from one tuft to the next. */
function rhizome(from: number, to: number, deep: number): Drawing {
  const mid: Point[] = [[from, GROUND + 3], [from + (to - from) * 0.2, GROUND + deep], [from + (to - from) * 0.8, GROUND + deep], [to, GROUND]]
  const scales = [0.3, 0.42, 0.54, 0.66, 0.78].map((t) => from + (to - from) * t)
  return [brush(mid, [2.6, 4, 2.4]), ...scales.map((x) => brush([[x, GROUND + deep - 3.5], [x + 3, GROUND + deep + 0.5], [x + 1, GROUND + deep + 4]], [0.7, 1, 0.4]))]
}

/** A stem over the ground, rooting at its joints. */
function stolon(from: number, to: number): Drawing {
  return [
    brush([[from, GROUND - 2], [(from + to) / 2, GROUND - 7], [to, GROUND - 1]], [2.2, 3, 2]),
    ...[0.5, 1].flatMap((t) => {
      const x = from + (to - from) * t
      return [-3, 2].map((dx) => brush([[x, GROUND - 3], [x + dx * 0.6, GROUND + 6], [x + dx, GROUND + 13]], [1.2, 0.9, 0.3]))
    }),
  ]
}

const herbLeaf = (x: number, y: number, degrees: number, long = 20): Drawing => leaf({ length: long, width: 8, profile: oval(0.6) }, [x, y], degrees)

export const habit: Record<string, () => Drawing> = {
  bunch: () => [...soil(), ...tuft(50, 52, 11, 26), ...fibres(50, 30)],
  rhizome: () => [...soil(), ...rhizome(24, 76, 18), ...tuft(22, 46, 5, 11), ...tuft(78, 40, 5, 11), ...fibres(22), ...fibres(78, 14)],
  stolon: () => [...soil(), ...stolon(24, 78), ...tuft(22, 46, 5, 11), ...tuft(51, 22, 3, 6), ...tuft(79, 36, 5, 9), ...fibres(22)],
  'rhizome-and-stolon': () => [...soil(), ...rhizome(50, 86, 18), ...stolon(48, 12), ...tuft(49, 46, 5, 11), ...tuft(12, 28, 3, 7), ...tuft(87, 30, 3, 7), ...fibres(49, 16)],
  'single-crown': () => [
    ...soil(),
    brush([[50, GROUND - 1], [50, GROUND + 16], [49, 99]], [7, 5, 0.6]),
    brush([[50, GROUND + 12], [42, GROUND + 20], [37, GROUND + 24]], [1.4, 1, 0.3]),
    brush([[50, GROUND + 18], [58, GROUND + 25], [62, GROUND + 28]], [1.3, 0.9, 0.3]),
    ...[-150, -122, -90, -58, -30].flatMap((deg) => herbLeaf(50, GROUND - 1, deg, 36)),
  ],
  'runner-not-rooting': () => [
    ...soil(),
    brush([[50, GROUND], [50, GROUND + 14], [51, GROUND + 30]], [4, 2.4, 0.5]),
    ...([[50, 4], [50, 96]] as const).flatMap(([from, to]) => [
      brush([[from, GROUND - 2], [(from + to) / 2, GROUND - 9], [to, GROUND - 5]], [2.4, 2.2, 0.8]),
      ...[0.4, 0.7, 0.97].flatMap((t) => herbLeaf(from + (to - from) * t, GROUND - 6, to > from ? -70 : -110, 17)),
    ]),
    ...herbLeaf(50, GROUND - 2, -90, 22),
  ],
  climbing: () => [
    ...soil(),
    brush([[64, GROUND], [64, 30], [64, 2]], [3, 3, 3]),
    brush([[36, GROUND], [44, 48], [66, 40], [58, 26], [68, 16], [60, 5]], [2.4, 2, 0.8]),
    ...herbLeaf(46, 46, -150, 18),
    ...herbLeaf(58, 27, -160, 17),
    brush([[44, 47], [54, 40], [60, 46], [56, 50]], [1, 0.8, 0.4]),
    ...fibres(36, 20),
  ],
}

export const rootKind: Record<string, () => Drawing> = {
  fibrous: () => [...soil(), ...tuft(50, 46, 7, 18), ...fibres(46, 34), ...fibres(54, 34)],
  taproot: () => habit['single-crown']!(),
  'creeping-root': () => [
    ...soil(),
    brush([[2, GROUND + 20], [30, GROUND + 17], [70, GROUND + 20], [98, GROUND + 18]], [3, 3.4, 2.4]),
    ...[24, 76].flatMap((x) => [brush([[x, GROUND + 18], [x, GROUND + 8], [x, GROUND]], [2, 2, 2]), ...herbLeaf(x, GROUND, -120, 26), ...herbLeaf(x, GROUND, -60, 26), ...herbLeaf(x, GROUND, -90, 34)]),
  ],
  tubers: () => [
    ...soil(),
    ...[-120, -90, -60].flatMap((d) => herbLeaf(50, GROUND, d, 36)),
    ...([[34, 84, -24], [43, 90, -8], [57, 90, 8], [66, 84, 24]] as const).flatMap(([x, y]): Drawing => [
      { d: circle([x, y], 5.5, 10), ink: 'paper' },
      { d: circle([x, y], 5.5, 10), ink: 'line' },
      brush([[50, GROUND], [(50 + x) / 2, GROUND + 8], [x, y - 10]], [2, 1.6, 1.6]),
    ]),
  ],
  bulb: () => [
    ...soil(),
    ...[-105, -90, -75].map((d) => brush([[50, GROUND], [50 + Math.cos((d * Math.PI) / 180) * 26, 34], [50 + Math.cos((d * Math.PI) / 180) * 50, 6]], [2.6, 2.6, 0.6])),
    { d: circle([50, GROUND + 13], 12, 13), ink: 'paper' },
    { d: circle([50, GROUND + 13], 12, 13), ink: 'line' },
    brush([[50, GROUND + 1], [45, GROUND + 13], [50, GROUND + 26]], [0.8, 1.2, 0.8]),
    brush([[50, GROUND + 1], [55, GROUND + 13], [50, GROUND + 26]], [0.8, 1.2, 0.8]),
    ...[-6, 0, 6].map((dx) => brush([[50 + dx * 0.5, GROUND + 25], [50 + dx, GROUND + 30], [50 + dx * 1.5, GROUND + 36]], [1, 0.8, 0.3])),
  ],
}
