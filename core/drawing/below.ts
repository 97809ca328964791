import { leaf, oval } from './leafShape.ts'
import { brush, circle, smooth, smoothClosed, straight, type Drawing, type Ink, type Point } from './mark.ts'

const GROUND = 30
const soil = (): Drawing => [{ d: straight([2, GROUND], [98, GROUND]), ink: 'line' }, ...[10, 26, 74, 90].map((x, i) => ({ d: straight([x, GROUND + 8 + (i % 2) * 6], [x + 6, GROUND + 8 + (i % 2) * 6]), ink: 'soil' as const }))]
const tops = (x: number, tall = 27, blades = 5): Drawing => Array.from({ length: blades }, (_, i) => {
  const s = (i / (blades - 1)) * 2 - 1
  return brush([[x + s, GROUND], [x + s * 5, GROUND - tall * 0.6], [x + s * 10, GROUND - tall * (1 - 0.2 * Math.abs(s))]], [2.6, 2.2, 0.5])
})

/** A bundle of roots washed clean and cut open. */
const washed = (ink: Ink, hatch: Drawing): Drawing => {
  const main = smoothClosed([[38, GROUND], [40, 52], [45, 76], [50, 98], [55, 76], [60, 52], [62, GROUND]])
  return [
    ...soil(),
    ...[-52, -90, -128].flatMap((d) => leaf({ length: 27, width: 11, profile: oval(0.55) }, [50, GROUND], d)),
    { d: main, ink },
    ...hatch,
    { d: main, ink: 'line' },
    ...([[42, 50, 22, 64], [58, 54, 80, 68], [45, 68, 30, 84], [55, 72, 70, 86]] as const).map(([x, y, x2, y2]) => brush([[x, y], [(x + x2) / 2, (y + y2) / 2 + 2], [x2, y2]], [2.2, 1.4, 0.4])),
  ]
}

export const rootColour: Record<string, () => Drawing> = {
  pale: () => washed('paper', [{ d: straight([46, 40], [48, 70]), ink: 'fine' }]),
  reddish: () => washed('rust', [40, 48, 56, 64].map((y) => ({ d: straight([42, y + 3], [58, y - 3]), ink: 'fine' }))),
  black: () => washed('brush', [{ d: straight([47, 36], [49, 70]), ink: 'purpleLine' }]),
  yellow: () => washed('yellow', [44, 50, 56].map((x) => ({ d: straight([x, 34], [50 + (x - 50) * 0.6, 66]), ink: 'fine' }))),
}

const roots = (x: number, y: number, long: number): Drawing => [-8, -3, 3, 8].map((dx, i) => brush([[x + dx * 0.2, y], [x + dx * 0.7, y + long * 0.5], [x + dx, y + long * (0.8 + (i % 2) * 0.2)]], [1.4, 1, 0.3]))
const scaled = (from: number, to: number, y: number): Drawing => {
  const path: Point[] = [[from, GROUND + 2], [from + (to - from) * 0.14, y], [from + (to - from) * 0.8, y + 1], [to, y - 2]]
  const n = Math.max(2, Math.round(Math.abs(to - from) / 11))
  return [brush(path, [3, 4.4, 1.6]), ...Array.from({ length: n }, (_, i) => from + ((to - from) * (i + 0.9)) / n).map((x) => brush([[x, y - 4], [x + 3 * Math.sign(to - from), y], [x, y + 4]], [0.8, 1.3, 0.5]))]
}

export const rhizomeLength: Record<string, () => Drawing> = {
  none: () => [...soil(), ...tops(50, 27, 9), ...roots(46, GROUND, 44), ...roots(54, GROUND, 40)],
  short: () => [...soil(), ...tops(44, 27, 7), ...tops(62, 18, 4), ...scaled(46, 62, GROUND + 15), brush([[61, GROUND + 14], [63, GROUND + 7], [62, GROUND]], [3, 2.6, 2.6]), ...roots(44, GROUND, 34), ...scaled(42, 31, GROUND + 14)],
  long: () => [...soil(), ...tops(12, 27, 5), ...tops(56, 20, 4), ...scaled(14, 97, GROUND + 30), brush([[54, GROUND + 30], [56, GROUND + 14], [56, GROUND]], [3, 2.6, 2.6]), ...roots(12, GROUND, 30), ...[34, 56, 78].flatMap((x) => roots(x, GROUND + 32, 20))],
}

const seedling = (seed: Drawing): Drawing => [...soil(), ...tops(50, 29, 3), brush([[50, GROUND], [50, 46], [50, 60]], [3, 2.6, 2.4]), ...seed, ...roots(50, 60, 32)]

export const seedAttached: Record<string, () => Drawing> = {
  'not-found': () => [...seedling([]), { d: circle([50, 61], 15), ink: 'dotted' }],
  tiny: () => seedling([{ d: circle([56, 60], 3.4, 2.4), ink: 'straw' }, { d: circle([56, 60], 3.4, 2.4), ink: 'line' }]),
  'large-pale': () => seedling([{ d: smoothClosed([[50, 46], [66, 48], [76, 60], [68, 76], [52, 76], [44, 62]]), ink: 'straw' }, { d: smooth([[52, 52], [62, 60], [66, 72]]), ink: 'line' }, { d: smoothClosed([[50, 46], [66, 48], [76, 60], [68, 76], [52, 76], [44, 62]]), ink: 'line' }]),
  'large-dark': () => seedling([{ d: smoothClosed([[50, 50], [64, 52], [70, 62], [62, 72], [50, 70], [46, 60]]), ink: 'brush' }, { d: straight([55, 56], [62, 64]), ink: 'purpleLine' }]),
}

/** Underground stems washed and laid side by side with their tips to the right. */
const laid = (widths: [number, number, number], over: (y: number) => Drawing): Drawing => [
  ...soil(),
  ...tops(12, 27, 5),
  ...[50, 76].flatMap((y, i) => [brush([[12, GROUND], [20, y - 2], [54, y + (i ? 1 : -1)], [94, y]], widths), ...over(y)]),
]
const joints = (y: number, step: number, tall: number): Drawing => {
  const out: Drawing = []
  for (let x = 24; x < 84; x += step) out.push(brush([[x, y - tall], [x + tall * 0.7, y], [x, y + tall]], [0.8, 1.5, 0.6]))
  return out
}

export const rhizomeLook: Record<string, () => Drawing> = {
  'thin-pale': () => laid([2, 2, 1], (y) => [...joints(y, 16, 2.4), ...roots(46, y, 12)]),
  'sharp-white-tip': () => laid([4.4, 4.6, 4], (y) => [...joints(y, 16, 3.4), { d: smoothClosed([[78, y - 4.4], [90, y - 3], [99, y], [90, y + 3], [78, y + 4.4]]), ink: 'paper' }, { d: smoothClosed([[78, y - 4.4], [90, y - 3], [99, y], [90, y + 3], [78, y + 4.4]]), ink: 'line' }]),
  'thick-scaly': () => laid([9, 11, 7], (y) => [22, 34, 46, 58, 70, 82].flatMap((x): Drawing => [{ d: smoothClosed([[x - 7, y - 7], [x + 4, y - 8], [x + 9, y], [x + 4, y + 8], [x - 7, y + 7]]), ink: 'straw' }, { d: smooth([[x - 7, y - 7], [x + 4, y - 8], [x + 9, y], [x + 4, y + 8], [x - 7, y + 7]]), ink: 'line' }, brush([[x + 2, y - 8], [x + 8, y], [x + 2, y + 8]], [1, 2.2, 1])]).reverse()),
}

/** The thick base slit lengthwise. */
const slit = (inside: Drawing): Drawing => {
  const body = smoothClosed([[38, 4], [36, 30], [24, 48], [30, 70], [44, 84], [50, 98], [56, 84], [70, 70], [76, 48], [64, 30], [62, 4]])
  return [{ d: body, ink: 'paper' }, ...inside, { d: body, ink: 'line' }, brush([[30, 70], [16, 80], [6, 94]], [3, 1.8, 0.5]), brush([[70, 70], [84, 80], [94, 94]], [3, 1.8, 0.5])]
}

export const rootCut: Record<string, () => Drawing> = {
  solid: () => slit([{ d: straight([50, 8], [50, 90]), ink: 'fine' }, ...[40, 60].map((x) => ({ d: straight([x, 12], [50 + (x - 50) * 1.4, 60]), ink: 'fine' as const }))]),
  chambered: () => slit([14, 27, 40, 53, 66].flatMap((y, i): Drawing => {
    const half = [9, 11, 18, 19, 14][i]!
    const room = smoothClosed([[50 - half, y], [50, y - 4.6], [50 + half, y], [50 + half, y + 4], [50, y + 5.6], [50 - half, y + 4]])
    return [{ d: room, ink: i === 3 ? 'yellow' : 'leafDark' }, { d: room, ink: 'line' }]
  })),
}
