import { leaf, leafOutline, oval, type LeafForm, type Profile } from './leafShape.ts'
import { brush, closed, placed, smooth, smoothClosed, type Drawing, type Point } from './mark.ts'

const BASE: Point = [50, 90]
const stalk = (): Drawing => [brush([[50, 99], [50, 95], [50, 89]], [2.6, 2.6, 2.2])]
const simple = (form: LeafForm, veins = 4): Drawing => [...stalk(), ...leaf(form, BASE, -90, { veins })]

/** A leaf whose sides swing in and out: lobes that reach part of the way to the midrib. */
const waved = (plain: Profile, lobes: number, depth: number): Profile => (t) => plain(t) * (1 - depth * (0.5 + 0.5 * Math.cos(t * lobes * 2 * Math.PI)))

function pinnae(count: number, length: (t: number) => number, each: (at: Point, degrees: number, long: number) => Drawing): Drawing {
  return Array.from({ length: count }, (_, i) => {
    const t = (i + 0.5) / count
    const y = 84 - t * 72
    return [...each([50, y], -38 - t * 18, length(t)), ...each([50, y], -142 + t * 18, length(t))]
  }).flat()
}

/** Fine threads cut again and again: a stalk with side threads, each with its own. */
function threads(at: Point, degrees: number, long: number, depth: number): Drawing {
  const tip = placed([[long, 0]], at, degrees)[0]!
  const mid = placed([[long * 0.5, long * 0.03]], at, degrees)[0]!
  const own = brush([at, mid, tip], depth === 0 ? [0.7, 0.6, 0.3] : [1.1, 0.9, 0.4])
  if (depth === 0) return [own]
  const side = [0.3, 0.54, 0.78].flatMap((t) => {
    const p = placed([[long * t, 0]], at, degrees)[0]!
    return [...threads(p, degrees - 48, long * 0.4 * (1.15 - t * 0.6), depth - 1), ...threads(p, degrees + 48, long * 0.4 * (1.15 - t * 0.6), depth - 1)]
  })
  return [own, ...side]
}

/** Many small parts: outlined as boldly as one large leaf they would run together. */
const thinly = (marks: Drawing): Drawing => marks.map((m) => (m.ink === 'line' ? { d: m.d, ink: 'fine' } : m))

const triangular = (t: number) => 42 * (1 - t) ** 0.85 + 5

/** Lobes that spread from one point and are one leaf: its outline goes from tip to tip and back to the cleft between them. */
const palmLobes = (count: number, reach: number, width: number): Drawing => {
  const spread = count <= 3 ? 100 : 190
  const middle: Point = [50, 66]
  const lobes = Array.from({ length: count }, (_, i) => -90 - spread / 2 + (spread * i) / (count - 1))
  const long = lobes.map((d) => reach * (1 - 0.14 * Math.abs((d + 90) / (spread / 2))))
  // Each lobe keeps to its own sector, so that neighbours meet in a cleft and do not cross; the outer sides are free.
  const reaches = Math.tan((spread / (count - 1) / 2) * (Math.PI / 180))
  const outline = lobes.flatMap((d, i): Point[] => {
    const all = leafOutline({ length: long[i]!, width, profile: oval(0.5), teeth: { depth: 0.14, count: 6 } })
    const free = (y: number) => (y < 0 ? i === 0 : i === count - 1)
    return placed(all.filter(([x, y]) => (free(y) ? x > long[i]! * 0.1 : Math.abs(y) < x * reaches)), middle, d)
  })
  const foot: Point[] = [[50 + width * 0.2, 74], [50, 71], [50 - width * 0.2, 74]]
  return [
    ...stalk(),
    brush([[50, 90], [50, 80], [50, 70]], [2.2, 2, 1.6]),
    { d: closed(...outline, ...foot), ink: 'leaf' },
    { d: closed(...outline, ...foot), ink: 'line' },
    ...lobes.map((d, i) => brush([[50, 70], placed([[long[i]! * 0.45, 0]], middle, d)[0]!, placed([[long[i]! * 0.92, 0]], middle, d)[0]!], [1.6, 1.2, 0.4])),
  ]
}

const small = (length: number, width: number): LeafForm => ({ length, width, profile: oval(0.5) })

/** A leaf cut into threads. In a small picture the last threads are left out (depth 0): they would run together to black. */
export const feathery = (depth: 0 | 1): Drawing => [
  ...stalk(),
  brush([[50, 99], [50, 50], [50, 4]], [2.2, 1.6, 0.5]),
  ...pinnae(9, (t) => 30 * Math.sin(Math.PI * (0.12 + t * 0.8)) ** 0.7 + 3, (at, d, long) => [
    { d: closed(...placed(leafOutline({ length: long, width: long * (depth ? 0.44 : 0.3), profile: oval(0.5) }), at, d)), ink: 'leaf' },
    ...threads(at, d, long, depth),
  ]),
]

/** The outline of one grown leaf laid flat. */
export const leafOutlines: Record<string, () => Drawing> = {
  'narrow-lance': () => simple({ length: 86, width: 20, profile: oval(0.45) }),
  'broad-oval': () => simple({ length: 66, width: 56, profile: oval(0.5) }),
  'egg-widest-middle': () => simple({ length: 82, width: 38, profile: oval(0.5) }),
  'egg-widest-base': () => simple({ length: 80, width: 48, profile: oval(0.3) }),
  diamond: () => simple({ length: 80, width: 54, profile: (t) => (t < 0.4 ? t / 0.4 : (1 - t) / 0.6) }),
  'heart-or-arrow': () => {
    const shape: Point[] = [[50, 84], [38, 93], [24, 90], [20, 74], [30, 46], [43, 20], [50, 6], [57, 20], [70, 46], [80, 74], [76, 90], [62, 93]]
    return [
      brush([[50, 99], [50, 92], [50, 84]], [2.6, 2.6, 2]),
      { d: smoothClosed(shape), ink: 'leaf' },
      { d: smoothClosed(shape), ink: 'line' },
      brush([[50, 84], [50, 50], [50, 10]], [2, 1.4, 0.5]),
      ...[[34, 76], [36, 56], [41, 38]].flatMap(([x, y]) => [1, -1].map((s): { d: string; ink: 'fine' } => ({ d: smooth([[50, y! + 10], [50 - s * (50 - x!) * 0.5, y! + 3], [50 - s * (50 - x!), y!]]), ink: 'fine' }))),
    ]
  },
  lobed: () => {
    // Lobes lean back toward the base, the end lobe is the largest.
    const half: Point[] = [[48, 90], [44, 84], [37, 88], [40, 76], [43, 72], [33, 75], [37, 62], [42, 57], [29, 59], [34, 45], [41, 40], [26, 38], [33, 22], [50, 5]]
    const right = half.map(([x, y]): Point => [100 - x, y]).reverse()
    const all = [...half, ...right]
    return [...stalk(), { d: closed(...all), ink: 'leaf' }, { d: closed(...all), ink: 'line' }, brush([[50, 90], [50, 50], [50, 10]], [2.6, 1.8, 0.5])]
  },
  'three-to-five-lobed': () => palmLobes(3, 56, 34),
  'pinnate-cut': () => [
    ...simple({ length: 86, width: 66, profile: waved(oval(0.5), 5.5, 0.82) }, 0),
    ...[78, 62, 47, 31].flatMap((y) => [1, -1].map((s): { d: string; ink: 'fine' } => ({ d: smooth([[50, y], [50 + s * 10, y - 5], [50 + s * 21, y - 8]]), ink: 'fine' }))),
  ],
  'palmate-cut': () => palmLobes(7, 52, 15),
  'fern-like': () => [
    ...stalk(),
    brush([[50, 99], [50, 50], [50, 6]], [2.6, 1.8, 0.5]),
    ...thinly([
      ...pinnae(7, triangular, (at, d, long) => leaf({ length: long, width: long * 0.46, profile: oval(0.34), teeth: { depth: 0.62, count: 6 } }, at, d)),
      ...leaf({ length: 14, width: 7, profile: oval(0.4), teeth: { depth: 0.5, count: 4 } }, [50, 16], -90),
    ]),
  ],
  feathery: () => feathery(1),
  fingered: () => [...stalk(), brush([[50, 99], [50, 80], [50, 62]], [2.4, 2, 1.6]), ...[-196, -160, -125, -90, -55, -20, 16].flatMap((d) => leaf({ length: 50, width: 17, profile: oval(0.6), teeth: { depth: 0.1, count: 9 } }, [50, 60], d))],
  'paired-leaflets': () => [
    ...stalk(),
    brush([[50, 99], [50, 60], [50, 24]], [2.4, 1.8, 1]),
    ...[80, 62, 44].flatMap((y) => [...leaf({ ...small(36, 15), teeth: { depth: 0.16, count: 9, forward: true } }, [50, y], -24), ...leaf({ ...small(36, 15), teeth: { depth: 0.16, count: 9, forward: true } }, [50, y], -156)]),
    ...leaf({ ...small(28, 14), teeth: { depth: 0.16, count: 8, forward: true } }, [50, 32], -90),
  ],
  'three-leaflets': () => [...stalk(), brush([[50, 99], [50, 80], [50, 58]], [2.4, 2, 1.6]), ...[-162, -18, -90].flatMap((d) => leaf(small(42, 29), [50, 57], d, { veins: 3 }))],
  'spoon-shaped': () => simple({ length: 86, width: 44, profile: (t) => (t < 0.5 ? 0.14 + 0.3 * (t / 0.5) ** 3 : 0.44 + 0.56 * Math.sin(((t - 0.5) / 0.5) * Math.PI * 0.62)) * (t > 0.82 ? Math.sqrt(Math.max(0, 1 - ((t - 0.82) / 0.18) ** 2)) : 1) }, 0),
  'round-kidney': () => {
    const shape: Point[] = [[50, 74], [38, 86], [18, 80], [8, 56], [18, 30], [50, 16], [82, 30], [92, 56], [82, 80], [62, 86]]
    return [
      brush([[50, 99], [50, 88], [50, 74]], [2.6, 2.4, 2]),
      { d: smoothClosed(shape), ink: 'leaf' },
      { d: smoothClosed(shape), ink: 'line' },
      ...[-160, -125, -90, -55, -20].map((d) => brush([[50, 74], placed([[22, 0]], [50, 74], d)[0]!, placed([[42, 0]], [50, 74], d)[0]!], [1.8, 1.2, 0.4])),
    ]
  },
  'scale-like': () => [
    brush([[50, 99], [50, 50], [50, 4]], [3, 2.6, 1.6]),
    ...Array.from({ length: 13 }, (_, i) => i).flatMap((i) => [-1, 1].flatMap((s) => leaf({ length: 13, width: 8, profile: oval(0.32) }, [50 + s, 95 - i * 7], s > 0 ? -62 : -118, { midrib: false }))),
  ],
  wedge: () => {
    const shape: Point[] = [[48, 92], [40, 58], [30, 22], [32, 12], [40, 17], [46, 8], [50, 14], [54, 8], [60, 17], [68, 12], [70, 22], [60, 58], [52, 92]]
    return [...stalk(), { d: closed(...shape), ink: 'leaf' }, { d: closed(...shape), ink: 'line' }, brush([[50, 90], [50, 50], [50, 18]], [2.2, 1.6, 0.5])]
  },
  linear: () => [...stalk(), ...leaf({ length: 88, width: 8, profile: (t) => Math.min(1, 8 * t, 6 * (1 - t)) }, BASE, -90)],
}
