import { brush, circle, closed, smooth, smoothClosed, straight, type Drawing, type Point } from './mark.ts'

/** A membrane standing at the joint, seen from the side, and a fingertip pushed against it. */
const pushed = (membrane: Point[], finger: number): Drawing => [
  { d: closed([2, 78], [98, 78], [98, 99], [2, 99]), ink: 'leafDark' },
  { d: straight([2, 78], [98, 78]), ink: 'line' },
  { d: smooth([[2, 26], [finger - 22, 26], [finger - 4, 34], [finger, 46], [finger - 6, 57], [finger - 22, 60], [2, 60]]), ink: 'line' },
  { d: smooth([[finger - 16, 34], [finger - 8, 44], [finger - 14, 52]]), ink: 'fine' },
  brush(membrane, [8, 6, 2.4]),
]

export const liguleFirmness: Record<string, () => Drawing> = {
  soft: () => pushed([[48, 78], [49, 62], [56, 50], [72, 44], [90, 52]], 52),
  hard: () => pushed([[62, 78], [62, 48], [62, 12]], 58),
}

/** One claw, enlarged. */
const bigClaw = (): Drawing => {
  const shape = smoothClosed([[30, 26], [50, 22], [72, 34], [84, 58], [78, 80], [70, 60], [54, 50], [30, 52]])
  return [
    { d: closed([6, 0], [30, 0], [30, 100], [6, 100]), ink: 'leafDark' },
    { d: straight([30, 0], [30, 26]), ink: 'line' },
    { d: straight([30, 52], [30, 100]), ink: 'line' },
    { d: shape, ink: 'leaf' },
    { d: shape, ink: 'line' },
  ]
}
const clawEdge: Point[] = [[34, 24], [44, 22], [54, 23], [63, 27], [71, 33], [77, 40], [81, 48], [84, 57], [83, 67], [80, 77]]

export const auricleEdge: Record<string, () => Drawing> = {
  bare: () => bigClaw(),
  'hair-fringed': () => [...bigClaw(), ...clawEdge.map(([x, y], i) => brush([[x, y], [x + (i - 1) * 0.9, y - 9 + i * 0.9], [x + (i - 1) * 1.6 + (i % 2), y - 17 + i * 1.7]], [2, 1.4, 0.5]))],
}

/** The joint from behind: sheath below, blade above, the collar between. */
const fromBehind = (collar: Drawing, over: Drawing = []): Drawing => [
  { d: closed([30, 58], [22, 0], [78, 0], [70, 58]), ink: 'leaf' },
  { d: closed([34, 100], [32, 58], [68, 58], [66, 100]), ink: 'leafDark' },
  ...collar,
  { d: straight([50, 0], [50, 100]), ink: 'fine' },
  brush([[30, 58], [27, 30], [22, 0]], [2.2, 2.6, 1.6]),
  brush([[70, 58], [73, 30], [78, 0]], [2.2, 2.6, 1.6]),
  brush([[30, 58], [32, 78], [34, 100]], [2.2, 2.6, 2]),
  brush([[70, 58], [68, 78], [66, 100]], [2.2, 2.6, 2]),
  ...over,
]
const half = (s: -1 | 1): Point[] => [[50 + s * 1.5, 53], [50 + s * 12, 48], [50 + s * 20.5, 46], [50 + s * 19, 62], [50 + s * 10, 63], [50 + s * 1.5, 60]]
const zone: Point[] = [[29.5, 46], [40, 50], [50, 51], [60, 50], [70.5, 46], [69, 62], [60, 63], [50, 64], [40, 63], [31, 62]]

export const collarLook: Record<string, () => Drawing> = {
  plain: () => fromBehind([{ d: straight([31, 58], [69, 58]), ink: 'fine' }]),
  'pale-band': () => fromBehind([{ d: closed(...zone), ink: 'paper' }, { d: closed(...zone), ink: 'line' }]),
  'red-tinged': () => fromBehind([{ d: closed(...zone), ink: 'purple' }, ...[36, 44, 52, 60].map((x) => ({ d: straight([x, 61], [x + 5, 51]), ink: 'purpleLine' as const })), { d: closed(...zone), ink: 'line' }]),
  divided: () => fromBehind(([-1, 1] as const).flatMap((s): Drawing => [{ d: smoothClosed(half(s).map(([x, y]): Point => [x + s * 3, y])), ink: 'paper' }, { d: smoothClosed(half(s).map(([x, y]): Point => [x + s * 3, y])), ink: 'line' }]), [brush([[50, 42], [50, 56], [50, 70]], [3, 5, 3])]),
  'hairy-edges': () => fromBehind([{ d: straight([31, 58], [69, 58]), ink: 'fine' }], [-1, 1].flatMap((s) => Array.from({ length: 8 }, (_, i) => brush([[50 + s * 20, 48 + i * 2], [50 + s * 31, 44 + i * 1.2], [50 + s * (40 - (i % 3) * 2), 38 + i * 1.5]], [1.5, 1.1, 0.4])))),
}

const tube = (over: Drawing): Drawing => [
  { d: closed([28, 20], [72, 20], [72, 99], [28, 99]), ink: 'leaf' },
  brush([[28, 20], [27.4, 60], [28, 99]], [2.4, 2.8, 2.4]),
  brush([[72, 20], [72.6, 60], [72, 99]], [2.4, 2.8, 2.4]),
  ...over,
]

export const sheathMargin: Record<string, () => Drawing> = {
  open: () =>
    tube([
      { d: closed([40, 20], [61, 20], [50, 99], [45, 99]), ink: 'paper' },
      { d: closed([40, 20], [38, 60], [45, 99], [28, 99], [28, 20]), ink: 'leafDark' },
      brush([[41, 20], [43, 60], [50, 99]], [3, 3, 2.4]),
      brush([[62, 20], [57, 60], [46, 99]], [3, 3, 2.4]),
      { d: circle([50, 20], 22, 6), ink: 'hollow' },
      { d: smooth([[41, 15], [30, 17], [28, 20], [34, 24], [42, 25]]), ink: 'line' },
      { d: smooth([[61, 25], [70, 23], [72, 20], [66, 16], [58, 15]]), ink: 'line' },
    ]),
  closed: () =>
    tube([
      ...[37, 44, 56, 63].map((x) => ({ d: straight([x, 27], [x, 98]), ink: 'fine' as const })),
      { d: circle([50, 20], 22, 7), ink: 'hollow' },
      { d: circle([50, 20], 22, 7), ink: 'line' },
      { d: smooth([[28, 20], [38, 28], [50, 31], [62, 28], [72, 20]]), ink: 'line' },
    ]),
}

const strokeArrow = (x: number): Drawing => [brush([[x, 88], [x, 50], [x, 18]], [2.4, 2.4, 2.4]), { d: closed([x - 6, 24], [x, 10], [x + 6, 24]), ink: 'brush' }]

export const sheathFeel: Record<string, () => Drawing> = {
  smooth: () => [{ d: closed([20, 0], [62, 0], [62, 100], [20, 100]), ink: 'leaf' }, ...[20, 62].map((x) => brush([[x, 0], [x, 50], [x, 100]], [2.4, 2.8, 2.4])), ...strokeArrow(84)],
  rough: () => [
    { d: closed([20, 0], [62, 0], [62, 100], [20, 100]), ink: 'leaf' },
    brush([[20, 0], [20, 50], [20, 100]], [2.4, 2.8, 2.4]),
    ...Array.from({ length: 9 }, (_, i) => ({ d: closed([60, 4 + i * 11], [70, 13 + i * 11], [60, 12 + i * 11]), ink: 'brush' as const })),
    brush([[62, 0], [62, 50], [62, 100]], [2.4, 2.8, 2.4]),
    ...Array.from({ length: 18 }, (_, i) => ({ d: straight([27 + (i % 3) * 11, 7 + Math.floor(i / 3) * 17 + (i % 2) * 6], [30 + (i % 3) * 11, 13 + Math.floor(i / 3) * 17 + (i % 2) * 6]), ink: 'line' as const })),
    ...strokeArrow(86),
  ],
}

type Row = { step: number; long: number; drop: number; widths: [number, number, number]; face?: boolean }
const sleeve = (row?: Row, edge = false): Drawing => {
  const hair = (x: number, y: number, s: number, r: Row) => brush([[x, y], [x + s * r.long * 0.55, y + r.drop * 0.4], [x + s * r.long, y + r.drop]], r.widths)
  const out: Drawing = tube([{ d: closed([28, 20], [72, 20], [72, 24], [28, 24]), ink: 'leafDark' }, brush([[55, 22], [52, 60], [50, 99]], [2.2, 2.2, 2])])
  if (edge) for (let y = 24; y < 96; y += 5) out.push(hair(54.5 - (y - 22) * 0.055, y, 1, { step: 5, long: 13, drop: -4, widths: [1.6, 1.1, 0.4] }))
  if (row)
    for (let y = 24, i = 0; y < 98; y += row.step, i++) {
      out.push(hair(28, y, -1, row), hair(72, y + row.step / 2, 1, row))
      if (row.face !== false) out.push(hair(36 + ((i * 7) % 27), y + 2, i % 2 ? 1 : -1, { ...row, long: row.long * 0.6 }))
    }
  return out
}

export const sheathHairs: Record<string, () => Drawing> = {
  none: () => sleeve(),
  sparse: () => sleeve({ step: 17, long: 14, drop: -3, widths: [2.4, 1.8, 0.5] }),
  'dense-soft': () => sleeve({ step: 4, long: 9, drop: 2, widths: [1.2, 0.9, 0.4] }),
  'long-shaggy': () => sleeve({ step: 7, long: 25, drop: 11, widths: [1.4, 1.1, 0.4] }),
  'stiff-out-standing': () => sleeve({ step: 9, long: 20, drop: -1, widths: [3, 1.8, 0.6] }),
  'edge-only': () => sleeve(undefined, true),
}

/** The foot of a shoot with its oldest sheaths. */
const foot = (over: Drawing): Drawing => [
  { d: closed([42, 0], [40, 60], [38, 99], [62, 99], [60, 60], [58, 0]), ink: 'leaf' },
  brush([[42, 0], [40, 60], [38, 99]], [2, 2.6, 2.4]),
  brush([[58, 0], [60, 60], [62, 99]], [2, 2.6, 2.4]),
  ...over,
]
const OLD: Point[] = [[34, 99], [30, 60], [34, 34], [46, 26], [62, 30], [69, 58], [66, 99]]

export const baseSheaths: Record<string, () => Drawing> = {
  whole: () => foot([{ d: smoothClosed(OLD), ink: 'straw' }, ...[40, 50, 60].map((x) => ({ d: straight([x, 40], [x, 97]), ink: 'fine' as const })), { d: smoothClosed(OLD), ink: 'line' }]),
  'shreds-to-fibres': () => foot([28, 33, 38, 43, 48, 53, 58, 63, 68, 73].map((x, i) => brush([[50 + (x - 50) * 0.55, 99], [50 + (x - 50) * 0.8, 64], [x + (x - 50) * 0.5 + (i % 2 ? 3 : -3), 24 + (i % 3) * 7]], [2.4, 1.8, 0.6]))),
  'net-of-fibres': () => foot([{ d: smoothClosed(OLD), ink: 'paper' }, ...[0, 1, 2, 3, 4, 5].flatMap((i) => [-1, 1].map((s) => brush([[50 - s * 16, 40 + i * 11], [50, 34 + i * 11 + 6], [50 + s * 16, 30 + i * 11 + 10]], [1.5, 1.8, 1.5]))), { d: smoothClosed(OLD), ink: 'line' }]),
}
