import { leaf, oval } from './leafShape.ts'
import { brush, circle, closed, smooth, smoothClosed, straight, type Drawing, type Mark, type Point } from './mark.ts'

/** The foot of the blade, going on beyond the picture. */
const BLADE_FOOT: Point[] = [[50, 1], [4, 1], [8, 16], [24, 27], [42, 31], [58, 31], [76, 27], [92, 16], [96, 1]]

/** A length of leaf stalk with the foot of the blade above it. */
const stalk = (inside: Drawing = [], over: Drawing = []): Drawing => [
  { d: smoothClosed(BLADE_FOOT), ink: 'leaf' },
  ...[-1, 1].map((s) => ({ d: smooth([[50, 26], [50 + s * 14, 16], [50 + s * 30, 4]]), ink: 'fine' as const })),
  { d: smooth(BLADE_FOOT.slice(1)), ink: 'line' },
  { d: closed([41, 99], [42, 28], [58, 28], [59, 99]), ink: 'leaf' },
  ...inside,
  brush([[41, 99], [41.6, 60], [42, 28]], [2.4, 2.6, 1.6]),
  brush([[59, 99], [58.4, 60], [58, 28]], [2.4, 2.6, 1.6]),
  ...over,
]

const downStalk = (step: number, hair: (at: Point, side: -1 | 1, i: number) => Drawing): Drawing => {
  const out: Drawing = []
  for (let y = 34, i = 0; y < 98; y += step, i++) out.push(...hair([41, y], -1, i), ...hair([59, y + step / 2], 1, i))
  return out
}

export const petioleHairs: Record<string, () => Drawing> = {
  none: () => stalk(),
  soft: () => stalk([], downStalk(4.6, ([x, y], s, i) => [brush([[x, y], [x + s * 8, y + 2], [x + s * (15 + (i % 3) * 2), y + 6]], [1.3, 1, 0.4])])),
  bristly: () =>
    stalk([], downStalk(12, ([x, y], s) => [brush([[x, y], [x + s * 14, y - 1], [x + s * 30, y - 3]], [4.8, 2.6, 0.5]), { d: circle([x + s, y], 3), ink: 'brush' }])),
}

const blotch = (x: number, y: number, r: number, i: number): Mark => ({
  d: smoothClosed([[x - r, y], [x - r * 0.4, y - r * (1.2 + (i % 3) * 0.3)], [x + r * 0.7, y - r * 0.8], [x + r, y + r * 0.3], [x, y + r * 1.4], [x - r * 0.8, y + r * 0.6]]),
  ink: 'purple',
})

export const petioleMarks: Record<string, () => Drawing> = {
  plain: () => stalk([{ d: straight([50, 34], [50, 99]), ink: 'fine' }]),
  'red-tinged': () => stalk([{ d: closed([41, 99], [41.6, 56], [58.4, 56], [59, 99]), ink: 'purple' }, ...[62, 70, 78, 86, 94].map((y) => ({ d: straight([43, y + 3], [57, y - 3]), ink: 'purpleLine' as const }))]),
  'purple-blotched': () => stalk(([[47, 36, 4], [54, 46, 5], [45, 55, 4], [55, 64, 5.5], [47, 73, 5], [55, 82, 4], [46, 90, 5], [54, 95, 3]] as const).map(([x, y, r], i) => blotch(x, y, r, i))),
  'purple-striped': () => stalk([44, 48, 52, 56].map((x) => ({ ...brush([[x, 34], [x, 66], [x, 99]], [2, 2.6, 2]), ink: 'purple' as const }))),
}

/** A stem with one leaf stalk leaving it to the right. */
const joint = (between: Drawing, over: Drawing = []): Drawing => [
  { d: closed([30, 100], [30, 0], [46, 0], [46, 100]), ink: 'leaf' },
  brush([[30, 100], [29.6, 50], [30, 0]], [2.2, 2.6, 2]),
  brush([[46, 100], [46.4, 84], [46, 68]], [2.2, 2.4, 2]),
  brush([[46, 40], [46.4, 20], [46, 0]], [2, 2.4, 2]),
  ...between,
  ...over,
]
const leafStalk = (wide = 7): Mark => brush([[44, 60], [66, 36], [94, 10]], [wide, wide * 0.8, wide * 0.6])

export const petioleBase: Record<string, () => Drawing> = {
  plain: () => joint([leafStalk()]),
  'papery-tube': () => {
    const tube: Point[] = [[26, 66], [27, 34], [32, 24], [38, 30], [43, 22], [49, 30], [50, 66], [38, 70]]
    return joint([leafStalk()], [{ d: closed(...tube), ink: 'straw' }, ...[32, 38, 44].map((x) => ({ d: straight([x, 64], [x, 34]), ink: 'fine' as const })), { d: closed(...tube), ink: 'line' }])
  },
  'broad-sheath': () => {
    const sheath: Point[] = [[26, 92], [24, 66], [30, 46], [46, 34], [66, 28], [62, 42], [56, 60], [52, 80], [48, 94]]
    return joint([leafStalk(8)], [{ d: smoothClosed(sheath), ink: 'leafDark' }, ...[0, 1, 2, 3].map((i) => ({ d: smooth([[32 + i * 5, 90], [33 + i * 6, 64], [48 + i * 4, 38]]), ink: 'line' as const })), { d: smoothClosed(sheath), ink: 'line' }])
  },
  ears: () =>
    joint(
      [leafStalk(9)],
      ([[[46, 66], [30, 84], [16, 80], [24, 70], [14, 62], [34, 58]], [[46, 50], [32, 34], [20, 34], [28, 42], [16, 48], [36, 56]]] as Point[][]).flatMap((p) => [
        { d: closed(...p), ink: 'leafDark' as const },
        { d: closed(...p), ink: 'line' as const },
      ]),
    ),
  'running-down': () => {
    const wing: Point[] = [[92, 22], [66, 46], [58, 62], [60, 78], [52, 99], [46, 99], [46, 58], [60, 40], [88, 12]]
    return joint([{ d: smoothClosed(wing), ink: 'leafDark' }, { d: smoothClosed(wing), ink: 'line' }, leafStalk(5)], [{ d: smooth([[22, 99], [18, 70], [26, 40], [30, 10]]), ink: 'line' }])
  },
}

const cutEnd = (outline: string, inside: Drawing = []): Drawing => [{ d: outline, ink: 'leaf' }, ...inside, { d: outline, ink: 'line' }, brush([[6, 96], [50, 98], [94, 96]], [0.8, 1.4, 0.8])]

/** A narrow leaf cut across. */
export const leafSection: Record<string, () => Drawing> = {
  flat: () => cutEnd(smoothClosed([[4, 48], [26, 43], [50, 42], [74, 43], [96, 48], [74, 56], [50, 57], [26, 56]])),
  'v-keeled': () => cutEnd(closed([6, 16], [14, 10], [50, 66], [86, 10], [94, 16], [50, 90]), [{ d: circle([50, 74], 4), ink: 'fine' }]),
  'round-hollow': () => cutEnd(circle([50, 48], 40), [{ d: circle([50, 48], 30), ink: 'hollow' }, { d: circle([50, 48], 30), ink: 'line' }]),
  'round-solid': () => cutEnd(circle([50, 48], 30), [14, 22].map((r) => ({ d: circle([50, 48], r), ink: 'fine' as const }))),
}

const feather = (pairs: number, long: number): Drawing => [
  brush([[50, 99], [50, 60], [50, 22]], [2.6, 2, 1.4]),
  ...Array.from({ length: pairs }, (_, i) => 88 - (i * 66) / Math.max(1, pairs)).flatMap((y) =>
    [-24, -156].flatMap((d) => leaf({ length: long, width: long * 0.42, profile: oval(0.5) }, [50, y], d, { midrib: pairs < 6 })),
  ),
  ...leaf({ length: Math.min(26, long), width: Math.min(26, long) * 0.46, profile: oval(0.5) }, [50, 26], -90, { midrib: pairs < 6 }),
]

export const leafletCount: Record<string, () => Drawing> = {
  'three-to-five': () => feather(1, 42),
  'six-to-twelve': () => feather(4, 32),
  'thirteen-to-twenty': () => feather(8, 26),
  'over-twenty': () => feather(13, 20),
}
