import { brush, circle, closed, smooth, smoothClosed, straight, type Drawing, type Point } from './mark.ts'

const spiral = (turns: number, from: number, to: number): Point[] => {
  const steps = Math.round(turns * 14)
  return Array.from({ length: steps + 1 }, (_, i) => {
    const r = from + ((to - from) * i) / steps
    const a = (i / steps) * turns * 2 * Math.PI + 0.6
    return [50 + r * Math.cos(a), 50 + r * Math.sin(a)]
  })
}

const arc = (rx: number, ry: number, fromDeg: number, toDeg: number): Point[] =>
  Array.from({ length: 13 }, (_, i) => {
    const a = ((fromDeg + ((toDeg - fromDeg) * i) / 12) * Math.PI) / 180
    return [50 + rx * Math.cos(a), 50 + ry * Math.sin(a)]
  })

/** A shoot cut across: how the newest leaf lies in it. */
export const vernation: Record<string, () => Drawing> = {
  rolled: () => [
    { d: circle([50, 50], 40), ink: 'leaf' },
    { d: circle([50, 50], 31), ink: 'hollow' },
    brush(arc(40, 40, -80, 250), [1.5, 3.2, 1.5]),
    brush(arc(36, 36, 40, 300), [1, 2, 1]),
    brush(spiral(2.6, 4, 28), [2.5, 4.2, 2.2]),
  ],
  folded: () => {
    const vee = (half: number, top: number, bottom: number): Point[] => [
      [50 - half, top], [50 - half * 0.95, top + 16], [50 - half * 0.5, bottom - 8], [50, bottom], [50 + half * 0.5, bottom - 8], [50 + half * 0.95, top + 16], [50 + half, top],
    ]
    return [
      { d: smoothClosed([[50, 4], [74, 22], [77, 56], [50, 97], [23, 56], [26, 22]]), ink: 'leaf' },
      { d: smoothClosed([[50, 14], [67, 26], [69, 56], [50, 86], [31, 56], [33, 26]]), ink: 'hollow' },
      brush([[47, 5], [27, 20], [22, 55], [50, 97], [78, 55], [73, 20], [53, 5]], [1.4, 4, 1.4]),
      brush(vee(15, 20, 80), [1.6, 4, 1.6]),
      brush(vee(8.5, 24, 64), [1.6, 3.4, 1.6]),
      brush(vee(3, 30, 50), [1.4, 2.4, 1.4]),
    ]
  },
}

function ring(outer: string, inner: string): Drawing {
  return [{ d: outer, ink: 'leaf' }, { d: outer, ink: 'line' }, { d: inner, ink: 'hollow' }, { d: inner, ink: 'fine' }]
}

const lens = (half: number, thick: number): string =>
  smoothClosed([[50 - half, 50], [50 - half * 0.6, 50 - thick * 0.75], [50, 50 - thick], [50 + half * 0.6, 50 - thick * 0.75], [50 + half, 50], [50 + half * 0.6, 50 + thick * 0.75], [50, 50 + thick], [50 - half * 0.6, 50 + thick * 0.75]])

const triangle = (r: number): string => {
  const corner = (deg: number, k: number): Point => [50 + k * Math.cos((deg * Math.PI) / 180), 54 + k * Math.sin((deg * Math.PI) / 180)]
  return smoothClosed([-90, -30, 30, 90, 150, 210].map((deg, i) => corner(deg, i % 2 === 0 ? r : r * 0.52)))
}

const square = (half: number): string => {
  const h = half
  const c = half * 0.86
  return closed([50 - c, 50 - h], [50 + c, 50 - h], [50 + h, 50 - c], [50 + h, 50 + c], [50 + c, 50 + h], [50 - c, 50 + h], [50 - h, 50 + c], [50 - h, 50 - c])
}

/** The shape of the shoot, cut across. */
export const stemSection: Record<string, () => Drawing> = {
  round: () => ring(circle([50, 50], 36), circle([50, 50], 22)),
  oval: () => ring(circle([50, 50], 40, 27), circle([50, 50], 26, 14)),
  flat: () => ring(lens(44, 17), lens(30, 8)),
  'wafer-flat': () => ring(lens(47, 9), lens(34, 3)),
  'three-angled': () => ring(triangle(48), triangle(25)),
  square: () => ring(square(33), square(20)),
}

const ROOTS: Point[][] = [
  [[47, 84], [40, 90], [33, 99]],
  [[50, 85], [50, 92], [48, 100]],
  [[53, 84], [60, 91], [66, 98]],
  [[45, 83], [34, 87], [24, 93]],
  [[55, 83], [67, 86], [77, 92]],
]

const BASE: Point[] = [[36, 84], [35, 70], [38, 50], [40, 42], [60, 42], [62, 50], [65, 70], [64, 84], [50, 88]]

function base(inside: Drawing): Drawing {
  return [
    { d: smoothClosed([[40, 46], [38, 20], [42, 4], [58, 4], [62, 20], [60, 46]]), ink: 'leaf' },
    { d: smoothClosed(BASE), ink: 'paper' },
    ...inside,
    brush([[36, 84], [35, 68], [40, 42], [38, 20], [41, 3]], [2.4, 2.6, 0.9]),
    brush([[64, 84], [65, 68], [60, 42], [62, 20], [59, 3]], [2.4, 2.6, 0.9]),
    brush([[36, 84], [50, 89], [64, 84]], [1.6, 2.6, 1.6]),
    brush([[44, 80], [43, 56], [48, 30], [47, 6]], [0.8, 1.2, 0.5]),
    ...ROOTS.map((r) => brush(r, [1.6, 1, 0.4])),
  ]
}

const hatch = (from: number, to: number, step: number, ink: 'purpleLine' | 'fine'): Drawing =>
  Array.from({ length: Math.floor((to - from) / step) }, (_, i) => ({ d: straight([37, from + i * step + 8], [63, from + i * step]), ink }))

/** Colour at the base, under the oldest sheaths. */
export const baseColour: Record<string, () => Drawing> = {
  'green-or-white': () => base([{ d: smoothClosed([[40, 62], [39, 48], [41, 42], [59, 42], [61, 48], [60, 62]]), ink: 'leaf' }]),
  'purple-red': () => base([{ d: smoothClosed(BASE), ink: 'purple' }, ...hatch(46, 84, 6, 'purpleLine')]),
  'silvery-white': () => base([{ d: smoothClosed(BASE), ink: 'silver' }, ...[41, 46, 54, 59].map((x) => ({ d: smooth([[x, 48], [x, 66], [x + 1, 82]]), ink: 'paper' as const }))]),
  yellow: () => base([{ d: smoothClosed(BASE), ink: 'yellow' }, ...[50, 58, 66, 74].map((y) => ({ d: straight([38, y], [62, y]), ink: 'fine' as const }))]),
  'pink-veined': () => base([39, 43, 47, 51, 55, 59].map((x) => ({ d: smooth([[x + 1, 46], [x, 62], [x - (50 - x) * 0.05, 83]]), ink: 'pinkLine' as const }))),
  'dark-brown': () => base([{ d: smoothClosed(BASE), ink: 'rust' }, ...hatch(44, 84, 4, 'fine'), ...[41, 50, 59].map((x) => brush([[x, 46], [x, 64], [x + (50 - x) * 0.1, 84]], [1.2, 3, 1.6]))]),
  'straw-brown': () => base([
    { d: smoothClosed(BASE), ink: 'straw' },
    ...[[38, 46, 30, 34], [44, 44, 41, 28], [57, 44, 61, 29], [62, 48, 71, 35]].map(([x, y, x2, y2]) => brush([[x!, y! + 34], [x!, y!], [x2!, y2!]], [1.4, 1.4, 0.4])),
  ]),
}
