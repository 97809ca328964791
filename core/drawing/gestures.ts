import { leaf, oval } from './leafShape.ts'
import { brush, circle, closed, merged, smooth, smoothClosed, straight, type Drawing, type Point } from './mark.ts'
import type { Character } from '../flora/flora.ts'

/** A fingertip from the right, its end at a point. */
const finger = ([x, y]: Point, wide = 12): Drawing => [
  { d: smoothClosed([[x, y], [x + 4, y - wide * 0.55], [x + 16, y - wide * 0.75], [100, y - wide * 0.5], [100, y + wide * 0.9], [x + 16, y + wide * 0.7], [x + 4, y + wide * 0.5]]), ink: 'hollow' },
  { d: smooth([[100, y - wide * 0.5], [x + 16, y - wide * 0.75], [x + 4, y - wide * 0.55], [x, y], [x + 4, y + wide * 0.5], [x + 16, y + wide * 0.7], [100, y + wide * 0.9]]), ink: 'line' },
  { d: smooth([[x + 3, y - wide * 0.3], [x + 8, y], [x + 4, y + wide * 0.3]]), ink: 'fine' },
]
const lensOver = ([x, y]: Point, r = 20): Drawing => [
  { d: circle([x, y], r), ink: 'line' },
  { d: circle([x, y], r - 3), ink: 'fine' },
  brush([[x + r * 0.72, y + r * 0.72], [x + r * 1.2, y + r * 1.2], [x + r * 1.7, y + r * 1.7]], [5, 5, 4]),
]
const arrow = (points: Point[]): Drawing => {
  const [b, a] = [points.at(-1)!, points.at(-2)!]
  const t = Math.atan2(b[1] - a[1], b[0] - a[0])
  const wing = (d: number): Point => [b[0] - 9 * Math.cos(t + d), b[1] - 9 * Math.sin(t + d)]
  return [brush(points, [1.8, 2.2, 2]), { d: closed(wing(0.5), [b[0] + 2 * Math.cos(t), b[1] + 2 * Math.sin(t)], wing(-0.5)), ink: 'brush' }]
}
const shoot = (x = 40): Drawing => [
  { d: closed([x - 5, 99], [x - 4, 44], [x + 4, 44], [x + 5, 99]), ink: 'leafDark' },
  { d: closed([x - 5, 99], [x - 4, 44], [x + 4, 44], [x + 5, 99]), ink: 'line' },
  brush([[x - 1, 46], [x - 12, 26], [x - 30, 12]], [5, 4, 0.8]),
  brush([[x + 1, 46], [x + 4, 24], [x + 2, 4]], [4, 3, 0.8]),
]
const broad = (at: Point, degrees: number, long = 60): Drawing => leaf({ length: long, width: long * 0.5, profile: oval(0.5) }, at, degrees, { veins: 4 })
const soil = (y: number): Drawing => [{ d: straight([2, y], [98, y]), ink: 'line' }, ...[10, 40, 76].map((x) => ({ d: straight([x, y + 7], [x + 7, y + 7]), ink: 'soil' as const }))]

/** Things a hand or an eye does when looking at a plant. */
const gestures: Record<string, () => Drawing> = {
  'pull-shoot': () => [...soil(80), ...[-8, -3, 4, 9].map((dx) => brush([[44 + dx, 80], [44 + dx * 2, 56], [44 + dx * 3.4, 36]], [3, 2.6, 0.6])), brush([[44, 80], [44, 50], [44, 24]], [4.6, 4, 1]), ...finger([50, 52]), ...arrow([[26, 50], [24, 36], [26, 18]])],
  'cut-across': () => [...shoot(42), { d: closed([36, 62], [98, 40], [98, 48], [40, 68]), ink: 'silver' }, { d: closed([36, 62], [98, 40], [98, 48], [40, 68]), ink: 'line' }, { d: straight([28, 68], [54, 60]), ink: 'dotted' }],
  'bend-back': () => [{ d: closed([34, 99], [35, 50], [45, 50], [46, 99]), ink: 'leafDark' }, { d: closed([34, 99], [35, 50], [45, 50], [46, 99]), ink: 'line' }, brush([[40, 50], [30, 40], [14, 52], [8, 76]], [6, 6, 1]), { d: smoothClosed([[36, 50], [38, 40], [44, 40], [46, 50]]), ink: 'paper' }, { d: smoothClosed([[36, 50], [38, 40], [44, 40], [46, 50]]), ink: 'line' }, ...arrow([[40, 26], [26, 22], [14, 32]]), ...finger([54, 52])],
  lens: () => [...shoot(36), ...lensOver([40, 46], 22)],
  'lens-leaf': () => [...broad([16, 84], -50, 84), ...lensOver([52, 42], 20)],
  stroke: () => [{ d: closed([2, 66], [98, 66], [98, 82], [2, 82]), ink: 'leaf' }, { d: straight([2, 66], [98, 66]), ink: 'line' }, { d: straight([2, 82], [98, 82]), ink: 'line' }, ...finger([48, 56], 16), ...arrow([[40, 40], [26, 40], [10, 40]])],
  'against-sky': () => [{ d: circle([78, 22], 12), ink: 'yellow' }, { d: circle([78, 22], 12), ink: 'line' }, ...[0, 45, 90, 135, 180, 225, 270, 315].map((d) => ({ d: straight([78 + 15 * Math.cos((d * Math.PI) / 180), 22 + 15 * Math.sin((d * Math.PI) / 180)], [78 + 20 * Math.cos((d * Math.PI) / 180), 22 + 20 * Math.sin((d * Math.PI) / 180)]), ink: 'line' as const })), ...broad([14, 92], -52, 70)],
  'over-finger': () => [{ d: smoothClosed([[30, 99], [28, 56], [40, 34], [60, 34], [72, 56], [70, 99]]), ink: 'hollow' }, { d: smooth([[30, 99], [28, 56], [40, 34], [60, 34], [72, 56], [70, 99]]), ink: 'line' }, brush([[6, 70], [26, 40], [50, 28], [74, 40], [94, 70]], [7, 8, 2]), ...[34, 44, 56, 66].map((x) => brush([[x, 30], [x + (x - 50) * 0.1, 22], [x + (x - 50) * 0.24, 13]], [1.4, 1, 0.4]))],
  'crush-smell': () => [...broad([8, 70], 8, 58), ...finger([46, 66], 15), ...[26, 40, 54].map((x, i) => brush([[x, 44], [x + 5, 34], [x - 4, 24], [x + 3, 10 + (i % 2) * 4]], [1, 2.2, 0.6]))],
  'break-stem': () => [{ d: closed([8, 70], [44, 52], [50, 60], [14, 80]), ink: 'leaf' }, { d: closed([8, 70], [44, 52], [50, 60], [14, 80]), ink: 'line' }, { d: closed([56, 52], [92, 70], [86, 80], [50, 60]), ink: 'leaf' }, { d: closed([56, 52], [92, 70], [86, 80], [50, 60]), ink: 'line' }, ...[-14, 0, 14].map((dx) => ({ d: straight([50 + dx * 0.4, 44], [50 + dx, 28]), ink: 'line' as const })), { d: smoothClosed([[50, 66], [55, 76], [50, 82], [45, 76]]), ink: 'paper' }, { d: smoothClosed([[50, 66], [55, 76], [50, 82], [45, 76]]), ink: 'line' }],
  dig: () => [...soil(54), ...[-6, 0, 6].map((dx) => brush([[34 + dx, 54], [34 + dx * 1.8, 36], [34 + dx * 3.2, 18]], [3, 2.6, 0.6])), ...[-5, 0, 5].map((dx) => brush([[34 + dx * 0.3, 54], [34 + dx, 66], [34 + dx * 1.8, 80]], [1.2, 0.9, 0.3])), brush([[86, 2], [72, 34], [60, 62]], [4, 4, 4]), { d: closed([52, 58], [68, 66], [54, 94], [40, 84]), ink: 'silver' }, { d: closed([52, 58], [68, 66], [54, 94], [40, 84]), ink: 'line' }],
  'stand-back': () => [...soil(84), ...[8, 18, 28, 70, 80, 92].flatMap((x) => [-2, 2].map((dx) => ({ d: straight([x, 84], [x + dx, 72]), ink: 'fine' as const }))), ...[-6, -2, 2, 6].map((dx) => brush([[50 + dx * 0.6, 84], [50 + dx, 66], [50 + dx * 1.8, 52]], [2.6, 2.2, 0.5])), { d: smooth([[14, 24], [32, 10], [50, 24], [32, 36], [14, 24]]), ink: 'line' }, { d: circle([32, 23], 7), ink: 'brush' }, ...[[40, 36], [46, 44]].map(([x, y]) => ({ d: straight([x!, y!], [x! + 3, y! + 4]), ink: 'dotted' as const }))],
  'from-above': () => [{ d: smooth([[30, 14], [50, 2], [70, 14], [50, 26], [30, 14]]), ink: 'line' }, { d: circle([50, 14], 6), ink: 'brush' }, ...arrow([[50, 30], [50, 36], [50, 44]]), ...[0, 72, 144, 216, 288].flatMap((d) => leaf({ length: 32, width: 13, profile: oval(0.55) }, [50, 74], d - 90)), { d: circle([50, 74], 4), ink: 'brush' }],
  'turn-over': () => [...broad([46, 92], -110, 62), { d: smoothClosed([[50, 90], [64, 66], [88, 48], [84, 70], [66, 88]]), ink: 'silver' }, { d: smoothClosed([[50, 90], [64, 66], [88, 48], [84, 70], [66, 88]]), ink: 'line' }, ...arrow([[34, 20], [54, 12], [72, 22], [80, 36]])],
  'split-stem': () => [{ d: closed([34, 99], [34, 46], [24, 10], [36, 8], [48, 44], [48, 99]), ink: 'leaf' }, { d: closed([34, 99], [34, 46], [24, 10], [36, 8], [48, 44], [48, 99]), ink: 'line' }, { d: closed([64, 99], [64, 46], [74, 10], [62, 8], [50, 44], [50, 99]), ink: 'leaf' }, { d: closed([64, 99], [64, 46], [74, 10], [62, 8], [50, 44], [50, 99]), ink: 'line' }, ...arrow([[40, 26], [28, 24], [16, 26]]), ...arrow([[60, 26], [72, 24], [84, 26]])],
  roll: () => [{ d: circle([48, 50], 13), ink: 'leaf' }, { d: circle([48, 50], 13), ink: 'line' }, { d: circle([48, 50], 6), ink: 'hollow' }, ...finger([36, 28], 15), ...finger([36, 74], 15), ...arrow([[26, 62], [16, 50], [24, 36]])],
  measure: () => [...broad([10, 56], -8, 80), { d: closed([4, 70], [96, 70], [96, 88], [4, 88]), ink: 'straw' }, { d: closed([4, 70], [96, 70], [96, 88], [4, 88]), ink: 'line' }, ...Array.from({ length: 16 }, (_, i) => ({ d: straight([9 + i * 5.4, 70], [9 + i * 5.4, i % 5 === 0 ? 80 : 75]), ink: 'line' as const }))],
  'lay-flat': () => [{ d: closed([16, 54], [84, 54], [98, 96], [2, 96]), ink: 'paper' }, { d: closed([16, 54], [84, 54], [98, 96], [2, 96]), ink: 'line' }, ...broad([14, 80], -6, 72), ...[32, 64].flatMap((x) => arrow([[x, 14], [x, 28], [x, 42]]))],
  'how-wide': () => [...broad([50, 98], -90, 92), { d: straight([22, 52], [78, 52]), ink: 'dotted' }, ...arrow([[2, 52], [12, 52], [20, 52]]), ...arrow([[98, 52], [88, 52], [80, 52]])],
  'middle-stalk': () => [brush([[50, 98], [50, 66], [50, 42]], [3, 2.4, 2]), ...[[44, 62, 200], [56, 62, -20], [50, 42, -90]].flatMap(([x, y, d]) => broad([x!, y!], d!, 38)), { d: circle([50, 53], 12, 13), ink: 'dotted' }, ...arrow([[94, 90], [78, 78], [65, 64]])],
  several: () => [...soil(88), ...[20, 50, 80].flatMap((x) => [-4, 0, 4].map((dx) => brush([[x + dx * 0.5, 88], [x + dx, 60], [x + dx * 2, 30]], [3, 2.6, 0.6]))), ...[20, 50, 80].map((x) => ({ d: straight([x - 5, 16], [x - 1, 21], [x + 6, 10]), ink: 'line' as const }))],
}

/** The two steps of each look; where a character is not named, its effort says how. */
const STEPS: Record<string, [string, string]> = {
  'life.form': ['stand-back', 'pull-shoot'],
  habit: ['dig', 'stand-back'],
  posture: ['stand-back', 'from-above'],
  'stand.look': ['stand-back', 'from-above'],
  texture: ['stand-back', 'stroke'],
  tug: ['pull-shoot', 'several'],
  regrowth: ['stand-back', 'several'],
  vernation: ['pull-shoot', 'cut-across'],
  'stem.section': ['pull-shoot', 'roll'],
  'stem.inside': ['cut-across', 'split-stem'],
  'stem.hairs': ['against-sky', 'lens'],
  'base.colour': ['pull-shoot', 'several'],
  'base.form': ['dig', 'pull-shoot'],
  sap: ['break-stem', 'several'],
  smell: ['crush-smell', 'several'],
  'ligule.type': ['bend-back', 'lens'],
  'ligule.height': ['bend-back', 'measure'],
  'ligule.shape': ['bend-back', 'lens'],
  'ligule.firmness': ['bend-back', 'stroke'],
  auricles: ['bend-back', 'lens'],
  'auricle.edge': ['bend-back', 'lens'],
  'collar.look': ['turn-over', 'bend-back'],
  'sheath.margin': ['pull-shoot', 'lens'],
  'sheath.feel': ['pull-shoot', 'stroke'],
  'sheath.hairs': ['against-sky', 'lens'],
  'blade.width': ['pull-shoot', 'measure'],
  'blade.midrib': ['against-sky', 'turn-over'],
  'blade.ribs': ['over-finger', 'stroke'],
  'blade.sheen': ['turn-over', 'against-sky'],
  'blade.edge': ['stroke', 'lens'],
  'blade.feel': ['stroke', 'several'],
  'blade.break': ['break-stem', 'several'],
  'hairs.upper': ['over-finger', 'lens-leaf'],
  'hairs.lower': ['turn-over', 'lens-leaf'],
  'leaf.outline': ['lay-flat', 'how-wide'],
  'leaf.margin': ['lay-flat', 'lens-leaf'],
  'leaf.plan': ['lay-flat', 'middle-stalk'],
  'leaflet.shape': ['lay-flat', 'how-wide'],
  'leaflet.margin': ['against-sky', 'lens-leaf'],
  'leaflet.mark': ['from-above', 'against-sky'],
  'leaflet.tip': ['lay-flat', 'lens-leaf'],
  'blade.tip': ['pull-shoot', 'stroke'],
  'petiole.length': ['lay-flat', 'measure'],
  'leaf.ranks': ['from-above', 'several'],
  'leaf.mark': ['against-sky', 'several'],
  'leaf.veins': ['turn-over', 'against-sky'],
  'leaf.coat': ['stroke', 'turn-over'],
  'leaf.set': ['stand-back', 'from-above'],
  'leaf.length': ['pull-shoot', 'measure'],
  'leaflet.length': ['several', 'measure'],
  'leaflet.veins': ['against-sky', 'lens-leaf'],
  'seed.size': ['lens', 'measure'],
  'petiole.form': ['cut-across', 'split-stem'],
  'petiole.hairs': ['stroke', 'lens-leaf'],
  'petiole.marks': ['stand-back', 'lay-flat'],
  'petiole.base': ['bend-back', 'turn-over'],
  'leaf.section': ['break-stem', 'cut-across'],
  'leaflet.count': ['lay-flat', 'several'],
  'root.cut': ['dig', 'split-stem'],
  'leaf.keep': ['stand-back', 'lay-flat'],
  'bud.set': ['lay-flat', 'lens'],
  'bud.look': ['stroke', 'lens'],
  'twig.inside': ['break-stem', 'split-stem'],
  'twig.look': ['against-sky', 'stroke'],
  'bark.look': ['stand-back', 'stroke'],
  'petiole.knobs': ['lay-flat', 'lens-leaf'],
  'rhizome.look': ['dig', 'lens'],
  'base.sheaths': ['pull-shoot', 'lens'],
  'fruit.ripe': ['stroke', 'lens'],
  'spikes.kind': ['stand-back', 'lay-flat'],
  'sac.length': ['lens', 'measure'],
  'heads.low': ['stand-back', 'from-above'],
  'seedleaf.shape': ['pull-shoot', 'lay-flat'],
  'seedleaf.length': ['lay-flat', 'measure'],
  'seedleaf.stalk': ['lay-flat', 'how-wide'],
  'seedleaf.hairs': ['pull-shoot', 'lens-leaf'],
}
const BY_EFFORT: Record<Character['effort'], [string, string]> = { glance: ['stand-back', 'several'], hand: ['pull-shoot', 'several'], lens: ['against-sky', 'lens-leaf'], dig: ['dig', 'several'] }

const made = new Map<string, Drawing>()
const once = (gesture: string): Drawing => {
  const drawing = made.get(gesture) ?? merged(gestures[gesture]!())
  made.set(gesture, drawing)
  return drawing
}

/** Two drawn steps of how to look for a character. */
export const lookSteps = (character: Character): [Drawing, Drawing] => {
  const [a, b] = STEPS[character.id] ?? BY_EFFORT[character.effort]
  return [once(a), once(b)]
}
