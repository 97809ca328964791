import { leaf, oval } from './leafShape.ts'
import { brush, circle, closed, rounded, smooth, smoothClosed, straight, type Drawing, type Ink, type Point } from './mark.ts'

/** The end of a leaflet, enlarged. The two halves meet in a curve, or in a corner where there is a notch or a point. */
const tipOf = (edge: Point[], over: Drawing = [], corner = true): Drawing => {
  const right = edge.map(([x, y]): Point => [100 - x, y]).reverse()
  const curve = corner ? smooth(edge) + smooth(right).replace('M', 'L') : smooth([...edge, ...right.slice(1)])
  const line = `M4 100L${curve.slice(1)}L96 100`
  // The last pair of veins is the shortest: the leaflet narrows there.
  const veins = [[30, 0.5], [50, 1], [70, 1]] as const
  return [
    { d: `${line}Z`, ink: 'leaf' },
    ...veins.flatMap(([y, reach]) => [-1, 1].map((s) => ({ d: smooth([[50, y + 22], [50 + s * 16 * reach, y + 22 - 14 * reach], [50 + s * 30 * reach, y + 22 - 20 * reach]]), ink: 'fine' as const }))),
    { d: line, ink: 'line' },
    ...over,
  ]
}

export const leafletTip: Record<string, () => Drawing> = {
  plain: () => tipOf([[4, 84], [8, 60], [18, 38], [32, 23], [50, 18]], [brush([[50, 100], [50, 60], [50, 26]], [3.4, 2.6, 0.8])], false),
  notched: () => tipOf([[4, 84], [6, 56], [14, 32], [26, 18], [38, 16], [46, 24], [50, 40]], [brush([[50, 100], [50, 70], [50, 40]], [3.4, 2.8, 2])]),
  'tiny-point': () => tipOf([[4, 88], [9, 66], [20, 46], [34, 33], [44, 29.5], [47, 26], [48.4, 16], [50, 6]], [brush([[50, 100], [50, 50], [50, 7]], [3.4, 3, 1.4])]),
}

const veined = (strong: boolean): Drawing => {
  const outline = smoothClosed([[50, 96], [24, 74], [20, 44], [34, 16], [50, 6], [66, 16], [80, 44], [76, 74]])
  const ys = strong ? [30, 39, 48, 57, 66, 75, 84] : [40, 58, 76]
  return [
    { d: outline, ink: 'leaf' },
    ...ys.flatMap((y) => [-1, 1].map((s) => {
      const reach = 26 * Math.sin(Math.PI * Math.min(0.93, Math.max(0.16, (96 - y) / 92))) ** 0.7
      const points: Point[] = strong ? [[50, y], [50 + s * reach * 0.6, y - 9], [50 + s * reach, y - 12], [50 + s * (reach + 2), y - 7]] : [[50, y], [50 + s * reach * 0.5, y - 8], [50 + s * reach * 0.8, y - 15]]
      return strong ? brush(points, [1.8, 2.6, 2]) : { d: smooth(points), ink: 'fine' as const }
    })),
    { d: outline, ink: 'line' },
    brush([[50, 98], [50, 50], [50, 10]], [2.6, 2, 0.6]),
  ]
}
export const leafletVeins: Record<string, () => Drawing> = { faint: () => veined(false), 'strong-parallel': () => veined(true) }

/** A stem with a leaf stalk leaving it to the right; the stipules sit where they meet. */
const joint = (stipules: Drawing): Drawing => [
  { d: closed([36, 100], [36, 0], [48, 0], [48, 100]), ink: 'leaf' },
  brush([[36, 100], [35.6, 50], [36, 0]], [2.2, 2.6, 2]),
  brush([[48, 100], [48.4, 78], [48, 62]], [2.2, 2.4, 2]),
  brush([[48, 46], [48.4, 24], [48, 0]], [2, 2.4, 2]),
  brush([[46, 60], [64, 38], [90, 8]], [7, 5.6, 4]),
  ...stipules,
]
const scale = (points: Point[], ink: Ink = 'leafDark', over: Drawing = []): Drawing => [{ d: smoothClosed(points), ink }, ...over, { d: smoothClosed(points), ink: 'line' }]
const sharp = (points: Point[], ink: Ink = 'leafDark', over: Drawing = []): Drawing => [{ d: closed(...points), ink }, ...over, { d: closed(...points), ink: 'line' }]

export const stipuleForm: Record<string, () => Drawing> = {
  'thin-inconspicuous': () => joint(sharp([[40, 66], [44, 56], [52, 45], [50, 58], [46, 68]], 'paper')),
  'broad-veined': () => joint(scale([[32, 78], [30, 52], [40, 32], [54, 26], [58, 40], [52, 62], [44, 82]], 'leaf', [36, 42, 48].map((x) => ({ d: smooth([[x - 1, 78], [x, 54], [x + 6, 34]]), ink: 'line' as const })))),
  'leafy-large': () => joint([...leaf({ length: 48, width: 32, profile: oval(0.4) }, [46, 66], -58, { veins: 4 }), ...leaf({ length: 44, width: 30, profile: oval(0.4) }, [40, 66], 165, { veins: 4 })]),
  'narrow-pointed': () => joint([...sharp([[46, 66], [54, 60], [72, 58], [84, 56], [70, 62], [54, 70]], 'leaf'), ...sharp([[38, 66], [30, 58], [16, 54], [6, 50], [18, 60], [32, 72]], 'leaf')]),
  'long-sticking-out': () => joint([...sharp([[32, 88], [31, 60], [40, 44], [53, 42], [53, 64], [45, 90]], 'leaf', [38, 45].map((x) => ({ d: straight([x, 84], [x + 2, 50]), ink: 'fine' as const }))), brush([[48, 46], [63, 33], [70, 10]], [5, 3, 0.4]), brush([[37, 47], [24, 34], [17, 10]], [5, 3, 0.4])]),
  'brown-papery': () => joint([...sharp([[34, 76], [33, 46], [40, 22], [50, 14], [56, 34], [51, 60], [44, 78]], 'straw', [38, 43, 48].map((x) => ({ d: straight([x, 72], [x + 2, 32]), ink: 'fine' as const }))), { d: straight([40, 22], [44, 29], [50, 14]), ink: 'line' }]),
  'fringed-comb': () => {
    const teeth = [[28, 80], [24, 68], [22, 55], [24, 42], [30, 30], [40, 22], [52, 20], [60, 28], [62, 40]] as Point[]
    return joint([...scale([[40, 76], [35, 60], [36, 46], [44, 38], [52, 38], [54, 52], [48, 70]], 'leaf'), ...teeth.map(([x, y]) => brush([[45 + (x - 45) * 0.42, 56 + (y - 56) * 0.42], [45 + (x - 45) * 0.7, 56 + (y - 56) * 0.7], [x, y]], [3.6, 2.2, 0.5]))])
  },
  'broad-bristle-tip': () => joint([...scale([[31, 84], [29, 58], [38, 42], [50, 40], [56, 52], [52, 68], [44, 88]], 'leaf', [35, 41, 47].map((x) => ({ d: smooth([[x, 82], [x, 60], [x + 3, 46]]), ink: 'line' as const }))), brush([[43, 42], [46, 26], [45, 6]], [4.4, 2.4, 0.5]), brush([[35, 46], [28, 30], [25, 12]], [4, 2.2, 0.5])]),
  toothed: () => joint(sharp([[38, 82], [28, 72], [34, 68], [24, 58], [33, 55], [26, 44], [36, 42], [36, 28], [44, 36], [54, 26], [56, 44], [52, 62], [46, 84]], 'leaf', [{ d: smooth([[41, 78], [42, 56], [46, 38]]), ink: 'fine' }])),
}

const bigStipule = (ink: Ink, over: Drawing): Drawing => {
  const outline: Point[] = [[30, 98], [22, 70], [26, 40], [44, 16], [62, 4], [72, 20], [74, 50], [66, 80], [54, 98]]
  return [{ d: smoothClosed(outline), ink }, ...over, { d: smoothClosed(outline), ink: 'line' }]
}
const stipuleVeins: Point[][] = [[[36, 96], [33, 62], [52, 14]], [[44, 97], [46, 60], [60, 14]], [[52, 96], [60, 62], [67, 26]]]

export const stipuleColour: Record<string, () => Drawing> = {
  green: () => bigStipule('leaf', stipuleVeins.map((p) => ({ d: smooth(p), ink: 'fine' }))),
  'red-veined': () => bigStipule('leaf', stipuleVeins.map((p) => ({ ...brush(p, [3.4, 4, 1.6]), ink: 'purple' as const }))),
  'red-banded': () => bigStipule('leaf', [{ d: closed([21, 66], [70, 66], [74, 46], [25, 46]), ink: 'purple' }, ...[30, 40, 50, 60].map((x) => ({ d: straight([x, 64], [x + 6, 48]), ink: 'purpleLine' as const })), ...stipuleVeins.map((p) => ({ d: smooth(p), ink: 'fine' as const }))]),
  'dark-spot': () => bigStipule('leaf', [...stipuleVeins.map((p) => ({ d: smooth(p), ink: 'fine' as const })), { d: circle([48, 62], 13, 15), ink: 'purple' }, ...[52, 58, 64, 70].map((y) => ({ d: straight([38, y + 3], [58, y - 3]), ink: 'purpleLine' as const }))]),
  'solid-red': () => bigStipule('purple', stipuleVeins.map((p) => ({ d: smooth(p), ink: 'purpleLine' }))),
}

const seed = (outline: string, over: Drawing = [], ink: Ink = 'beige'): Drawing => [{ d: outline, ink }, ...over, { d: outline, ink: 'line' }]
const mitten = rounded([[36, 84], [26, 70], [21, 50], [26, 30], [39, 17], [56, 13], [71, 19], [79, 33], [78, 46], [70, 53], [63, 57], [62, 63], [64, 73], [59, 84], [47, 89]])
const egg = rounded([[50, 10], [72, 24], [78, 54], [68, 82], [50, 90], [32, 82], [22, 54], [28, 24]])

export const seedShape: Record<string, () => Drawing> = {
  mitten: () => seed(mitten, [brush([[64, 58], [52, 55], [41, 42]], [1.4, 2, 0.5])]),
  round: () => seed(circle([50, 50], 36), [brush([[50, 86], [56, 70], [60, 62]], [1.6, 1.6, 0.5])]),
  oval: () => seed(egg, [brush([[50, 90], [54, 74], [58, 66]], [1.6, 1.6, 0.5])]),
}

const speck = (xy: [number, number][], ink: Ink): Drawing => xy.map((c, i) => ({ d: circle(c, 4 + (i % 3), 3 + (i % 2)), ink }))

export const seedColour: Record<string, () => Drawing> = {
  'two-tone-red-beige': () => seed(egg, [{ d: smoothClosed([[50, 10], [72, 24], [78, 54], [62, 52], [40, 44], [24, 40], [28, 24]]), ink: 'rust' }, ...[34, 44, 54].map((x) => ({ d: straight([x, 38], [x + 6, 20]), ink: 'fine' as const }))]),
  'light-beige': () => seed(egg),
  'dark-sand': () => seed(egg, [24, 38, 52, 66, 80].map((y) => ({ d: straight([30, y + 4], [70, y - 4]), ink: 'fine' })), 'sand'),
  'beige-with-green': () => seed(egg, speck([[40, 34], [60, 44], [46, 62], [62, 70], [36, 52]], 'greenMid')),
  'yellow-brown': () => seed(egg, [38, 46, 54, 62].map((x) => ({ d: straight([x, 18], [x, 84]), ink: 'fine' })), 'yellow'),
  'purple-black': () => seed(egg, [{ d: smooth([[38, 30], [34, 48], [38, 62]]), ink: 'purpleLine' }], 'brush'),
}
