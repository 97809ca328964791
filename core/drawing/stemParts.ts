import { leaf, oval } from './leafShape.ts'
import { brush, circle, closed, placed, smooth, smoothClosed, straight, type Drawing, type Point } from './mark.ts'

const [L, R] = [30, 70]

const walls = (inside: Drawing): Drawing => [
  { d: closed([L, 6], [R, 6], [R, 99], [L, 99]), ink: 'leaf' },
  ...inside,
  brush([[L, 6], [L - 0.6, 50], [L, 99]], [2.6, 3, 2.6]),
  brush([[R, 6], [R + 0.6, 50], [R, 99]], [2.6, 3, 2.6]),
  { d: straight([L, 6], [R, 6]), ink: 'line' },
]
const bore = (): Drawing => [{ d: closed([L + 8, 6], [R - 8, 6], [R - 8, 99], [L + 8, 99]), ink: 'hollow' }, ...[L + 8, R - 8].map((x) => ({ d: straight([x, 6], [x, 99]), ink: 'line' as const }))]

/** A stem split down its length. */
export const stemInside: Record<string, () => Drawing> = {
  hollow: () => walls(bore()),
  solid: () => walls([{ d: closed([L, 6], [R, 6], [R, 99], [L, 99]), ink: 'leafDark' }, ...[36, 42, 48, 54, 60, 66].map((x) => ({ d: straight([x, 8], [x, 97]), ink: 'fine' as const }))]),
  pithy: () => walls([...bore(), ...Array.from({ length: 33 }, (_, i) => ({ d: circle([41 + ((i * 7) % 18), 10 + Math.floor(i / 3) * 8 + (i % 3)], 2.4), ink: 'fine' as const }))]),
  chambered: () => walls([...bore(), ...[22, 38, 54, 70, 86].map((y) => brush([[L + 7, y], [50, y + 2], [R - 7, y]], [2.4, 2, 2.4]))]),
}

const stem = (half = 9): Drawing => [
  { d: closed([50 - half, 0], [50 + half, 0], [50 + half, 100], [50 - half, 100]), ink: 'leaf' },
  brush([[50 - half, 0], [49.6 - half, 50], [50 - half, 100]], [2, 2.6, 2]),
  brush([[50 + half, 0], [50.4 + half, 50], [50 + half, 100]], [2, 2.6, 2]),
]

/** A wing along the stem, cut into spiny lobes. */
function wing(side: -1 | 1, from: number, to: number): Drawing {
  const x = 50 + side * 9
  const edge: Point[] = []
  for (let y = from; y < to; y += 11) edge.push([x + side * 7, y + 1], [x + side * 20, y + 3], [x + side * 6, y + 8])
  const outline = closed([x, from], ...edge, [x, to])
  return [{ d: outline, ink: 'leafDark' }, { d: outline, ink: 'line' }]
}
const bothWings = (from: number, to: number): Drawing => [...wing(-1, from, to), ...wing(1, from, to)]

/** A green wing without spines down one side of the stem. */
const softWing = (s: -1 | 1): Drawing => {
  const edge: Point[] = [[50 + s * 8, 99], [50 + s * 25, 84], [50 + s * 20, 62], [50 + s * 27, 40], [50 + s * 21, 20], [50 + s * 8, 2]]
  return [
    { d: smoothClosed(edge), ink: 'leafDark' },
    { d: smooth(edge), ink: 'line' },
    ...[26, 46, 68, 88].map((y) => ({ d: straight([50 + s * 10, y + 5], [50 + s * 21, y - 4]), ink: 'fine' as const })),
  ]
}

export const stemArmour: Record<string, () => Drawing> = {
  none: () => stem(),
  'soft-wings': () => [...softWing(-1), ...softWing(1), ...stem()],
  'spiny-wings-whole-length': () => [...bothWings(2, 98), ...stem()],
  'spiny-wings-part': () => [...bothWings(54, 88), ...bothWings(6, 17), ...stem()],
  prickles: () => [...stem(), ...([[14, 1], [30, -1], [46, 1], [60, -1], [76, 1], [90, -1]] as const).flatMap(([y, s]): Drawing => [{ d: smoothClosed([[50 + s * 9, y - 4], [50 + s * 18, y - 1], [50 + s * 27, y + 5], [50 + s * 17, y + 4], [50 + s * 9, y + 5]]), ink: 'brush' }])],
  'sharp-tipped-twigs': () => [
    brush([[50, 100], [50, 50], [50, 2]], [7, 5, 1]),
    ...([[78, -1], [62, 1], [44, -1], [28, 1]] as const).flatMap(([y, s]) => [brush([[50, y], [50 + s * 18, y - 10], [50 + s * 38, y - 20]], [4.4, 3.2, 0.3]), ...[0.3, 0.55].flatMap((t) => leaf({ length: 11, width: 6, profile: oval(0.5) }, [50 + s * 38 * t, y - 20 * t], -90, { midrib: false }))]),
  ],
}

/** A length of stem with its cut end towards the eye. */
const rod = (top: string, lines: number[], bold = false): Drawing => [
  { d: closed([26, 30], [74, 30], [74, 99], [26, 99]), ink: 'leaf' },
  ...lines.map((x) => (bold ? brush([[x, 34], [x, 66], [x, 99]], [2.4, 2.6, 2.4]) : { d: straight([x, 40], [x, 99]), ink: 'fine' as const })),
  brush([[26, 30], [25.4, 64], [26, 99]], [2.4, 2.8, 2.4]),
  brush([[74, 30], [74.6, 64], [74, 99]], [2.4, 2.8, 2.4]),
  { d: top, ink: 'leafDark' },
  { d: top, ink: 'line' },
]
const scalloped = (): string =>
  closed(...Array.from({ length: 81 }, (_, i): Point => {
    const a = (i / 80) * 2 * Math.PI
    const k = 1 + 0.11 * Math.cos(a * 10)
    return [50 + 25 * k * Math.cos(a), 28 + 13 * k * Math.sin(a)]
  }))

export const stemRidges: Record<string, () => Drawing> = {
  smooth: () => rod(circle([50, 30], 24, 12), []),
  ridged: () => rod(scalloped(), [32, 41, 50, 59, 68], true),
}

const jointed = (inside: Drawing, half = 12): Drawing => [
  { d: closed([50 - half, 0], [50 + half, 0], [50 + half, 100], [50 - half, 100]), ink: 'leaf' },
  brush([[50 - half, 0], [50 - half, 50], [50 - half, 100]], [2.2, 2.4, 2.2]),
  brush([[50 + half, 0], [50 + half, 50], [50 + half, 100]], [2.2, 2.4, 2.2]),
  ...inside,
]
const band = (half: number, tall: number): Point[] => [[50 - 12, 50 - tall], [50 - half, 50], [50 - 12, 50 + tall], [50 + 12, 50 + tall], [50 + half, 50], [50 + 12, 50 - tall]]

export const nodeLook: Record<string, () => Drawing> = {
  plain: () => jointed([brush([[37, 50], [50, 52], [63, 50]], [2.4, 3, 2.4])]),
  swollen: () => jointed([{ d: smoothClosed(band(27, 15)), ink: 'leafDark' }, { d: smoothClosed(band(27, 15)), ink: 'line' }, brush([[25, 50], [50, 54], [75, 50]], [1.6, 2.6, 1.6])]),
  'dark-purple-or-blue': () => jointed([{ d: smoothClosed(band(17, 10)), ink: 'purple' }, ...[42, 47, 52, 57].map((y) => ({ d: straight([34, y + 3], [66, y - 3]), ink: 'purpleLine' as const })), { d: smoothClosed(band(17, 10)), ink: 'line' }]),
  hairy: () => jointed([{ d: smoothClosed(band(17, 9)), ink: 'leafDark' }, { d: smoothClosed(band(17, 9)), ink: 'line' }, ...Array.from({ length: 9 }, (_, i) => i).flatMap((i) => [-1, 1].map((s) => brush([[50 + s * 15, 43 + i * 1.8], [50 + s * 24, 40 + i * 2.6], [50 + s * 33, 37 + i * 3.4]], [1.5, 1.1, 0.4]))), ...[40, 46, 52, 58].map((x) => brush([[x, 50], [x + 1, 43], [x, 37]], [1.4, 1, 0.4]))]),
  sheathed: () => jointed([
    { d: closed([34, 52], [35, 26], [39, 18], [43, 27], [48, 16], [53, 26], [58, 17], [62, 25], [65, 20], [66, 52]), ink: 'paper' },
    { d: closed([34, 52], [35, 26], [39, 18], [43, 27], [48, 16], [53, 26], [58, 17], [62, 25], [65, 20], [66, 52]), ink: 'line' },
    ...[40, 46, 53, 60].map((x) => ({ d: straight([x, 50], [x, 30]), ink: 'fine' as const })),
    brush([[33, 52], [50, 55], [67, 52]], [2.6, 3.2, 2.6]),
  ]),
}

const feet = (y: number): Drawing => [-13, -7, 0, 7, 13].map((dx, i) => brush([[50 + dx * 0.4, y], [50 + dx * 0.9, y + 6], [50 + dx * 1.5, Math.min(99, y + 12 - (i % 2) * 3)]], [1.6, 1.1, 0.4]))
function stub(outline: Point[], over: Drawing = []): Drawing {
  const mirrored = outline.map(([x, y]): Point => [100 - x, y]).reverse()
  const all = [...outline, ...mirrored]
  return [{ d: smoothClosed(all), ink: 'leaf' }, { d: smoothClosed(all), ink: 'line' }, ...over, ...feet(84)]
}

/** The very base of a shoot, old sheaths stripped. */
export const baseForm: Record<string, () => Drawing> = {
  plain: () => stub([[43, 3], [42, 40], [41, 70], [43, 85]]),
  'swollen-bulb': () => stub([[45, 3], [44, 36], [41, 54], [27, 68], [31, 82], [44, 86]], [{ d: smooth([[40, 60], [35, 70], [40, 82]]), ink: 'fine' }, { d: smooth([[60, 60], [65, 70], [60, 82]]), ink: 'fine' }]),
  'bead-string': () => [brush([[50, 3], [50, 22], [50, 38]], [6, 6, 6]), ...[38, 54, 69, 83].flatMap((y, i): Drawing => [{ d: circle([50, y], 13 - i * 1.6, 8 - i * 0.5), ink: 'leaf' }, { d: circle([50, y], 13 - i * 1.6, 8 - i * 0.5), ink: 'line' }]), ...feet(89)],
  'club-shaped': () => stub([[46, 3], [45, 22], [40, 40], [34, 58], [33, 76], [41, 86]], [{ d: smooth([[50, 12], [50, 60], [50, 82]]), ink: 'fine' }]),
}

const broken = (): Drawing => [
  { d: closed([36, 99], [36, 44], [44, 38], [50, 44], [57, 36], [64, 42], [64, 99]), ink: 'leaf' },
  brush([[36, 99], [35.5, 70], [36, 44]], [2.4, 2.6, 1.6]),
  brush([[64, 99], [64.5, 70], [64, 42]], [2.4, 2.6, 1.6]),
  { d: straight([36, 44], [44, 38], [50, 44], [57, 36], [64, 42]), ink: 'line' },
]
const drop = (x: number, y: number, r: number): string => smoothClosed([[x, y - r * 2], [x + r * 0.75, y - r * 0.5], [x + r * 0.8, y + r * 0.5], [x, y + r], [x - r * 0.8, y + r * 0.5], [x - r * 0.75, y - r * 0.5]])

/** What a broken stem bleeds. */
export const sap: Record<string, () => Drawing> = {
  clear: () => [...broken(), { d: drop(72, 66, 7), ink: 'line' }, { d: smooth([[70, 70], [73, 71], [75, 68]]), ink: 'fine' }, { d: smooth([[38, 50], [50, 53], [62, 50]]), ink: 'fine' }],
  milky: () => {
    const run = smoothClosed([[34, 42], [44, 33], [52, 38], [58, 31], [67, 40], [67, 58], [63, 80], [58, 62], [54, 54], [49, 72], [44, 54], [40, 60], [35, 54]])
    return [...broken(), { d: run, ink: 'silver' }, { d: run, ink: 'paper' }, { d: run, ink: 'line' }, { d: drop(76, 72, 8), ink: 'paper' }, { d: drop(76, 72, 8), ink: 'line' }, { d: drop(24, 82, 6), ink: 'paper' }, { d: drop(24, 82, 6), ink: 'line' }]
  },
  'yellow-orange': () => {
    const run = smoothClosed([[34, 42], [44, 33], [52, 38], [58, 31], [67, 40], [66, 62], [58, 56], [50, 66], [42, 54], [35, 56]])
    return [...broken(), { d: run, ink: 'yellow' }, { d: run, ink: 'line' }, ...[42, 48, 54, 60].map((x) => ({ d: straight([x, 42], [x - 3, 52]), ink: 'fine' as const })), { d: drop(76, 72, 8), ink: 'yellow' }, { d: drop(76, 72, 8), ink: 'line' }, { d: straight([73, 74], [78, 66]), ink: 'fine' }]
  },
}

const waft = (): Drawing => [30, 50, 70].map((x, i) => brush([[x, 26], [x + 5, 19], [x - 3, 12], [x + 3, 3 + (i % 2) * 3]], [1, 2, 0.6]))
const root = (ink: 'yellow' | 'paper', wide: number): Drawing => {
  const shape = smoothClosed([[50 - wide, 44], [50 - wide * 0.8, 60], [50 - wide * 0.3, 82], [50, 99], [50 + wide * 0.3, 82], [50 + wide * 0.8, 60], [50 + wide, 44], [50, 39]])
  return [{ d: shape, ink }, { d: shape, ink: 'line' }, ...[52, 62, 73].map((y, i) => ({ d: straight([50 - wide * 0.5 + i * 3, y], [50 - wide * 0.1, y]), ink: 'line' as const })), brush([[50, 40], [46, 34], [41, 29]], [2, 1.6, 0.6]), brush([[50, 40], [54, 34], [60, 29]], [2, 1.6, 0.6])]
}

/** What a crushed leaf smells like, by a thing everybody has smelt. */
export const smell: Record<string, () => Drawing> = {
  none: () => [...leaf({ length: 70, width: 40, profile: oval(0.5) }, [22, 78], -40, { veins: 4 }), { d: straight([16, 16], [84, 90]), ink: 'dotted' }],
  'sweet-hay': () => [...waft(), ...Array.from({ length: 13 }, (_, i) => brush([[50 + (i - 6) * 1.2, 64], [50 + (i - 6) * 3.2, 48], [50 + (i - 6) * 5.6, 32 + Math.abs(i - 6)]], [1.4, 1.6, 0.5])), ...Array.from({ length: 11 }, (_, i) => brush([[50 + (i - 5) * 1.2, 64], [50 + (i - 5) * 3, 82], [50 + (i - 5) * 4.4, 97]], [1.4, 1.6, 0.5])), { d: closed([40, 60], [60, 60], [60, 69], [40, 69]), ink: 'straw' }, { d: closed([40, 60], [60, 60], [60, 69], [40, 69]), ink: 'line' }],
  minty: () => [...waft(), brush([[50, 99], [50, 70], [50, 40]], [3, 2.6, 1.4]), ...([[84, 30], [64, 25]] as const).flatMap(([y, long]) => [-24, -156].flatMap((d) => leaf({ length: long + 6, width: long * 0.62, profile: oval(0.4), teeth: { depth: 0.16, count: 8, forward: true } }, [50, y], d, { veins: 3 }))), ...leaf({ length: 18, width: 11, profile: oval(0.4), teeth: { depth: 0.16, count: 6 } }, [50, 48], -90)],
  'mousy-rank': () => {
    const body = smoothClosed([[16, 74], [26, 56], [46, 48], [66, 52], [80, 68], [74, 80], [50, 84], [26, 84]])
    return [...waft(), { d: body, ink: 'silver' }, { d: body, ink: 'line' }, { d: circle([32, 54], 8), ink: 'paper' }, { d: circle([32, 54], 8), ink: 'line' }, { d: circle([25, 67], 2.2), ink: 'brush' }, { d: circle([15, 74], 2.4), ink: 'brush' }, brush([[78, 72], [92, 70], [96, 84], [86, 92]], [2.6, 2, 0.6]), ...[-3, 0, 3].map((dy) => ({ d: straight([20, 76 + dy * 0.4], [6, 80 + dy * 1.6]), ink: 'fine' as const }))]
  },
  'parsnip-celery': () => [...waft(), ...root('paper', 19)],
  carroty: () => [...waft(), ...root('yellow', 11)],
  medicinal: () => {
    const bottle = closed([36, 98], [32, 92], [32, 58], [42, 48], [42, 38], [58, 38], [58, 48], [68, 58], [68, 92], [64, 98])
    return [...waft(), { d: bottle, ink: 'leaf' }, { d: bottle, ink: 'line' }, { d: closed([40, 31], [60, 31], [60, 38], [40, 38]), ink: 'brush' }, { d: closed([37, 64], [63, 64], [63, 88], [37, 88]), ink: 'paper' }, brush([[50, 67], [50, 76], [50, 85]], [4, 4, 4]), brush([[41, 76], [50, 76], [59, 76]], [4, 4, 4])]
  },
  sage: () => [...waft(), brush([[50, 99], [50, 70], [50, 42]], [3, 2.4, 1.4]), ...[-20, -160, -55, -125, -90].flatMap((d, i): Drawing => {
    const at: Point = [50, i < 2 ? 84 : i < 4 ? 66 : 56]
    const wedge = placed([[0, -1.5], [20, -4], [29, -8], [28, -4], [31, 0], [28, 4], [29, 8], [20, 4], [0, 1.5]], at, d)
    return [{ d: closed(...wedge), ink: 'silver' }, { d: closed(...wedge), ink: 'line' }]
  })],
  pungent: () => [...[22, 36, 50, 64, 78].map((x, i) => brush([[x, 52], [x + 8, 40], [x - 6, 26], [x + 5, 6 + (i % 2) * 6]], [1.6, 4, 0.8])), ...leaf({ length: 62, width: 30, profile: oval(0.5) }, [20, 82], -6, { veins: 4 }), { d: straight([44, 70], [54, 92]), ink: 'line' }],
  'onion-garlic': () => {
    const bulb = smoothClosed([[50, 36], [56, 46], [76, 62], [76, 82], [60, 92], [40, 92], [24, 82], [24, 62], [44, 46]])
    return [...waft(), { d: bulb, ink: 'paper' }, { d: bulb, ink: 'line' }, ...[-14, -5, 5, 14].map((dx) => brush([[50 + dx * 0.2, 42], [50 + dx * 1.3, 68], [50 + dx * 0.7, 91]], [0.8, 1.4, 0.8])), ...[-8, -2, 4, 9].map((dx) => brush([[50 + dx * 0.7, 92], [50 + dx, 96], [50 + dx * 1.4, 100]], [1.2, 0.9, 0.4]))]
  },
  'bitter-almond': () => {
    const stone = smoothClosed([[50, 36], [66, 50], [73, 70], [64, 90], [50, 97], [36, 90], [27, 70], [34, 50]])
    return [...waft(), { d: stone, ink: 'sand' }, { d: stone, ink: 'line' }, ...[40, 47, 54, 61].map((x) => ({ d: smooth([[50 + (x - 50) * 0.3, 42], [x, 66], [50 + (x - 50) * 0.6, 92]]), ink: 'fine' as const })), ...([[42, 62], [57, 56], [60, 76], [45, 80], [51, 68]] as Point[]).map((at) => ({ d: circle(at, 1.8), ink: 'brush' as const }))]
  },
  cucumber: () => [...waft(), { d: circle([50, 66], 32, 31), ink: 'leafDark' }, { d: circle([50, 66], 32, 31), ink: 'line' }, { d: circle([50, 66], 27, 26), ink: 'paper' }, ...Array.from({ length: 9 }, (_, i) => ({ d: smoothClosed(placed([[10, 0], [15, -2.4], [19, 0], [15, 2.4]], [50, 66], i * 40)), ink: 'line' as const }))],
}
