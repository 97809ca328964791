import { leafOutline, oval } from './leafShape.ts'
import { brush, circle, closed, placed, smooth, smoothClosed, straight, type Drawing, type Point } from './mark.ts'

const GROUND = 88

const ground = (): Drawing => [{ d: straight([2, GROUND], [98, GROUND]), ink: 'line' }, ...[12, 30, 55, 78].map((x) => ({ d: straight([x, GROUND + 5], [x + 6, GROUND + 5]), ink: 'soil' as const }))]

const shoot = (points: Point[], wide = 3.2): Drawing => [brush(points, [wide, wide * 0.85, 0.6])]

/** A rosette seen from the side and a little above: leaves laid flat all round. */
function flatRosette(at: Point, long: number, wide: number, count = 9): Drawing {
  const form = { length: long, width: wide, profile: oval(0.62) }
  const turns = Array.from({ length: count }, (_, i) => (360 * i) / count + 8).sort((a, b) => Math.sin((a * Math.PI) / 180) - Math.sin((b * Math.PI) / 180))
  return turns.flatMap((d): Drawing => {
    const low = (points: Point[]): Point[] => placed(points, at, d).map(([x, y]): Point => [x, at[1] + (y - at[1]) * 0.42])
    const outline = low(leafOutline(form))
    return [{ d: closed(...outline), ink: 'leaf' }, { d: closed(...outline), ink: 'line' }, { d: smooth(low([[2, 0], [long * 0.9, 0]])), ink: 'fine' }]
  })
}

/** How the shoots of one plant stand. */
export const posture: Record<string, () => Drawing> = {
  upright: () => [...ground(), ...[-17, -10, -3, 4, 11, 17].flatMap((dx, i) => shoot([[50 + dx * 0.5, GROUND], [50 + dx * 0.9, 48], [50 + dx * 1.15, 6 + (i % 3) * 6]], 2.8))],
  'bent-then-rising': () => [
    ...ground(),
    ...[-1, 1].flatMap((s) => [
      ...shoot([[50, GROUND], [50 + s * 20, GROUND - 1], [50 + s * 33, GROUND - 6], [50 + s * 40, GROUND - 24], [50 + s * 43, 14]], 3.2),
      ...shoot([[50, GROUND], [50 + s * 10, GROUND - 2], [50 + s * 18, GROUND - 8], [50 + s * 23, GROUND - 28], [50 + s * 25, 22]], 3.2),
    ]),
  ],
  flat: () => [
    ...ground(),
    ...[-1, 1].flatMap((s) => [
      ...shoot([[50, GROUND - 1], [50 + s * 22, GROUND - 5], [50 + s * 47, GROUND - 3]], 3.8),
      ...shoot([[50, GROUND - 1], [50 + s * 18, GROUND - 10], [50 + s * 42, GROUND - 14]], 3.8),
      ...shoot([[50 + s * 16, GROUND - 4], [50 + s * 22, GROUND - 13], [50 + s * 31, GROUND - 22]], 2.6),
      ...shoot([[50, GROUND - 1], [50 + s * 6, GROUND - 12], [50 + s * 16, GROUND - 21]], 3),
    ]),
  ],
  rosette: () => [...ground(), ...flatRosette([50, 74], 44, 17)],
}

const neighbour = (x: number, y: number, tall = 8): Drawing => [-2.4, 0, 2.4].map((dx) => ({ d: straight([x, y], [x + dx, y - tall]), ink: 'fine' as const }))

const tuftAt = (x: number, y: number, tall: number, wide = tall * 0.4, blades = 5): Drawing =>
  Array.from({ length: blades }, (_, i) => {
    const s = (i / (blades - 1)) * 2 - 1
    const thick = Math.min(2.4, 0.5 + tall * 0.05)
    return brush([[x + s, y], [x + s * wide * 0.5, y - tall * 0.6], [x + s * wide, y - tall * (1 - 0.25 * Math.abs(s))]], [thick, thick * 0.9, 0.4])
  })

/** A piece of sward seen a little from above, others faint and the plant in ink. */
function sward(own: [x: number, y: number, tall: number][], skip: (x: number, y: number) => boolean = () => false): Drawing {
  const rows = [30, 46, 62, 78, 94]
  const others = rows.flatMap((y, r) => Array.from({ length: 8 }, (_, i) => [6 + i * 13 + (r % 2) * 6, y] as const)).filter(([x, y]) => !skip(x, y))
  return [...others.flatMap(([x, y]) => neighbour(x, y)), ...own.sort((a, b) => a[1] - b[1]).flatMap(([x, y, tall]) => tuftAt(x, y, tall))]
}

const near = (cx: number, cy: number, r: number) => (x: number, y: number) => Math.hypot(x - cx, (y - cy) * 1.4) < r

/** How the plant stands out among the rest. */
export const standLook: Record<string, () => Drawing> = {
  even: () => sward([32, 50, 68, 86].flatMap((y, r) => [14, 34, 54, 74, 92].map((x): [number, number, number] => [x + (r % 2) * 5 - 3, y, 13]))),
  clump: () => [...sward([], near(50, 66, 26)), ...Array.from({ length: 17 }, (_, i) => brush([[44 + (i * 11) % 13, 78], [50 + (i - 8) * 2.2, 48], [50 + (i - 8) * 4, 22 + Math.abs(i - 8) * 4]], [2.8, 2.4, 0.6]))],
  'in-rows': () => sward([[30, 38], [50, 38], [70, 38], [24, 52], [50, 52], [76, 52], [17, 70], [50, 70], [83, 70], [9, 92], [50, 92], [91, 92]].map(([x, y]): [number, number, number] => [x!, y!, 9 + (y! - 30) * 0.16]), () => false).concat([20, 50, 80].map((x) => ({ d: straight([50 + (x - 50) * 0.55, 26], [50 + (x - 50) * 1.6, 99]), ink: 'fine' as const }))),
  patch: () => [
    ...sward([[44, 48], [56, 50], [36, 58], [48, 60], [60, 60], [70, 58], [40, 70], [52, 72], [64, 70], [46, 80], [57, 80]].map(([x, y]): [number, number, number] => [x!, y!, 15]), near(53, 64, 25)),
    { d: smoothClosed([[28, 58], [36, 38], [58, 34], [78, 44], [80, 64], [66, 84], [42, 86]]), ink: 'dotted' },
  ],
  lone: () => sward([[50, 74, 52]], near(50, 70, 14)),
}

/** A piece of turf from the side: narrow leaves as strokes, wide ones as leaves. */
const turf = (count: number, half: number): Drawing => [
  ...ground(),
  ...Array.from({ length: count }, (_, i): Drawing => {
    const x = 8 + (84 * i) / (count - 1)
    const lean = (((i * 5) % 7) - 3) * 1.6
    const top = 20 + ((i * 3) % 5) * 4
    if (half < 1) return [brush([[x, GROUND], [x + lean * 0.4, 56], [x + lean, top]], [1.2, 1.1, 0.3])]
    const outline = smoothClosed([[x - half, GROUND], [x - half + lean * 0.4, 56], [x + lean - half * 0.3, top + 8], [x + lean, top], [x + lean + half * 0.3, top + 8], [x + half + lean * 0.4, 56], [x + half, GROUND]])
    return [{ d: outline, ink: 'leaf' }, { d: outline, ink: 'line' }]
  }).flat(),
]

export const texture: Record<string, () => Drawing> = {
  fine: () => turf(31, 0.6),
  medium: () => turf(11, 2.6),
  coarse: () => turf(5, 8),
}

const arrow = (x: number, from: number, to: number): Drawing => [brush([[x, from], [x, (from + to) / 2], [x, to]], [2.2, 2.2, 2.2]), { d: closed([x - 5, to + 7], [x, to - 3], [x + 5, to + 7]), ink: 'brush' }]
const rootsAt = (x: number, y: number, long: number): Drawing => [-12, -7, -2, 3, 8, 13].map((dx, i) => brush([[x + dx * 0.2, y], [x + dx * 0.7, y + long * 0.5], [x + dx, y + long * (0.8 + (i % 3) * 0.1)]], [1.7, 1.2, 0.4]))

/** A small plant tugged between two fingers. */
export const tug: Record<string, () => Drawing> = {
  holds: () => [{ d: straight([2, 62], [98, 62]), ink: 'line' }, ...[10, 24, 70, 86].map((x, i) => ({ d: straight([x, 70 + (i % 2) * 9], [x + 7, 70 + (i % 2) * 9]), ink: 'soil' as const })), ...tuftAt(44, 62, 44, 18, 6), ...rootsAt(44, 62, 32), ...arrow(78, 52, 26), { d: straight([70, 17], [86, 17]), ink: 'line' }],
  'pulls-out': () => [
    { d: straight([2, 82], [30, 82]), ink: 'line' },
    { d: smooth([[30, 82], [38, 92], [50, 92], [58, 82]]), ink: 'line' },
    { d: straight([58, 82], [98, 82]), ink: 'line' },
    ...tuftAt(44, 44, 40, 18, 6), ...rootsAt(44, 44, 28), ...arrow(78, 60, 14),
  ],
}

/** A week after cutting: the plant against the height of the rest. */
const cutSward = (tall: number): Drawing => [
  ...ground(),
  ...[6, 14, 22, 30, 70, 78, 86, 94].flatMap((x, i) => [-2, 2].map((dx) => ({ d: straight([x, GROUND], [x + dx, 50 + (i % 3)]), ink: 'fine' as const }))),
  { d: straight([2, 50], [98, 50]), ink: 'dotted' },
  ...[-11, -6, -2, 2, 6, 11].map((dx) => brush([[50 + dx * 0.6, GROUND], [50 + dx, GROUND - tall * 0.6], [50 + dx * 1.3, GROUND - tall]], [3.4, 3, 0.8])),
]

export const regrowth: Record<string, () => Drawing> = { level: () => cutSward(38), taller: () => cutSward(80), shorter: () => cutSward(19) }

const hang = (paths: Point[][]): Drawing => [...ground(), ...paths.flatMap((p) => [brush(p, [4.4, 4, 0.6])])]

/** How the leaves hang. */
export const bladePosture: Record<string, () => Drawing> = {
  'stiff-upright': () => hang([[[50, 88], [50, 46], [50, 4]], [[48, 88], [42, 48], [36, 10]], [[52, 88], [58, 48], [64, 10]], [[47, 88], [35, 52], [24, 22]], [[53, 88], [65, 52], [76, 22]]]),
  arching: () => hang([-1, 1].flatMap((s): Point[][] => [[[50, 88], [50 + s * 12, 44], [50 + s * 28, 24], [50 + s * 45, 30]], [[50, 88], [50 + s * 7, 34], [50 + s * 16, 12], [50 + s * 28, 10]]])),
  drooping: () => hang([-1, 1].flatMap((s): Point[][] => [[[50, 88], [50 + s * 8, 40], [50 + s * 20, 16], [50 + s * 35, 26], [50 + s * 41, 64]], [[50, 88], [50 + s * 9, 56], [50 + s * 18, 42], [50 + s * 25, 52], [50 + s * 27, 78]]])),
  'flat-spread': () => hang([-1, 1].flatMap((s): Point[][] => [[[50, 87], [50 + s * 20, 80], [50 + s * 47, 80]], [[50, 87], [50 + s * 16, 72], [50 + s * 42, 66]], [[50, 87], [50 + s * 8, 70], [50 + s * 22, 58]]])),
}

const ranked = (turns: number[]): Drawing => [
  ...turns.flatMap((d, i): Drawing => {
    const long = 45 - Math.floor(i / Math.max(1, turns.length / 2)) * 12
    const outline = placed([[4, -5], [long * 0.6, -5], [long, 0], [long * 0.6, 5], [4, 5]], [50, 50], d)
    return [{ d: closed(...outline), ink: 'leaf' }, { d: closed(...outline), ink: 'line' }, { d: straight(...placed([[6, 0], [long * 0.9, 0]], [50, 50], d)), ink: 'fine' }]
  }),
]

/** Seen from straight above. */
export const leafRanks: Record<string, () => Drawing> = {
  two: () => [...ranked([0, 180, 0, 180]), { d: circle([50, 50], 9, 6), ink: 'hollow' }, { d: circle([50, 50], 9, 6), ink: 'line' }, { d: straight([44, 50], [56, 50]), ink: 'line' }],
  three: () => [...ranked([-90, 30, 150, -90, 30, 150]), { d: closed([50, 40], [58.7, 55], [41.3, 55]), ink: 'hollow' }, { d: closed([50, 40], [58.7, 55], [41.3, 55]), ink: 'line' }],
  leafless: () => ([[50, 50], [30, 38], [70, 36], [34, 66], [66, 66], [50, 22], [50, 80]] as Point[]).flatMap((c): Drawing => [{ d: circle(c, 8.5), ink: 'leaf' }, { d: circle(c, 8.5), ink: 'line' }, { d: circle(c, 4.8), ink: 'paper' }]),
}
