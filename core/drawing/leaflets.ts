import { leaf, leafOutline, oval, type LeafForm } from './leafShape.ts'
import { brush, circle, closed, placed, smooth, type Drawing, type Point } from './mark.ts'

const leaflet = (length: number, width: number): LeafForm => ({ length, width, profile: oval(0.55) })
const stalk = (points: Point[]): Drawing => [brush(points, [2.6, 2.2, 1.8])]

/** Pairs of small leaflets up a stalk. */
function pinnate(last: 'leaflet' | 'tendril'): Drawing {
  const pairs = [80, 67, 54, 41, 28]
  const small = leaflet(21, 8)
  const end: Drawing =
    last === 'leaflet'
      ? leaf(small, [50, 22], -90)
      : [
          brush([[50, 22], [49, 12], [56, 4], [62, 8], [58, 13], [55, 9]], [1.6, 1.3, 0.7]),
          brush([[50, 17], [43, 10], [38, 4], [33, 9], [37, 12]], [1.4, 1.1, 0.6]),
        ]
  return [...stalk([[50, 99], [50, 60], [50, 22]]), ...pairs.flatMap((y) => [...leaf(small, [50, y], -28), ...leaf(small, [50, y], -152)]), ...end]
}

/** How the leaflets of one leaf are set. */
export const leafPlan: Record<string, () => Drawing> = {
  'three-palmate': () => [
    ...stalk([[50, 99], [50, 80], [50, 57]]),
    ...leaf(leaflet(42, 31), [50, 56], -158, { veins: 3 }),
    ...leaf(leaflet(42, 31), [50, 56], -22, { veins: 3 }),
    ...leaf(leaflet(44, 32), [50, 55], -90, { veins: 3 }),
  ],
  'three-pinnate': () => [
    ...stalk([[50, 99], [50, 70], [50, 38]]),
    ...leaf(leaflet(40, 24), [50, 66], -162, { veins: 3 }),
    ...leaf(leaflet(40, 24), [50, 66], -18, { veins: 3 }),
    ...leaf(leaflet(38, 25), [50, 38], -90, { veins: 3 }),
  ],
  five: () => [
    ...stalk([[50, 90], [50, 70], [50, 50]]),
    brush([[30, 99], [50, 91], [74, 86]], [3, 3.4, 2.6]),
    ...leaf(leaflet(33, 19), [50, 50], -150),
    ...leaf(leaflet(33, 19), [50, 50], -30),
    ...leaf(leaflet(36, 20), [50, 48], -90),
    ...leaf(leaflet(25, 15), [50, 90], -163),
    ...leaf(leaflet(25, 15), [50, 90], -22),
  ],
  'many-no-tendril': () => pinnate('leaflet'),
  'many-with-tendril': () => pinnate('tendril'),
  'one-blade': () => [...stalk([[50, 99], [50, 90], [50, 80]]), ...leaf({ length: 76, width: 50, profile: oval(0.46) }, [50, 82], -90, { veins: 5 })],
  fingers: () => [
    ...stalk([[50, 99], [50, 78], [50, 56]]),
    ...[-200, -168, -142, -116, -90, -64, -38, -12, 20].flatMap((d) => leaf({ length: 45, width: 11, profile: oval(0.62) }, [50, 56], d)),
  ],
}

const one = (teeth?: LeafForm['teeth']): Drawing =>
  leaf({ length: 84, width: 62, profile: oval(0.56), ...(teeth ? { teeth } : {}) }, [50, 92], -90, { veins: 5 })

export const leafletMargin: Record<string, () => Drawing> = {
  entire: () => one(),
  'fine-all-round': () => one({ depth: 0.14, count: 22, forward: true }),
  'strong-all-round': () => one({ depth: 0.27, count: 10, forward: true }),
  'upper-half': () => one({ depth: 0.24, count: 9, from: 0.4, forward: true }),
  'tip-third-only': () => one({ depth: 0.2, count: 9, from: 0.66, forward: true }),
}

const round: LeafForm = { length: 80, width: 76, profile: oval(0.55), notch: 0.05 }

function marked(inside: Drawing): Drawing {
  const outline = placed(leafOutline(round), [50, 90], -90)
  return [{ d: closed(...outline), ink: 'leafDark' }, ...inside, { d: closed(...outline), ink: 'line' }, brush([[50, 90], [50, 60], [50, 18]], [1.6, 1.2, 0.4])]
}

const paleV = (): Drawing => [{ d: closed([17, 66], [50, 33], [83, 66], [83, 53], [50, 20.5], [17, 53]), ink: 'paper' }]
const flecks = (): Drawing =>
  ([[34, 76], [44, 82], [62, 78], [70, 66], [30, 58], [58, 66], [42, 68], [64, 52], [38, 46], [56, 44], [47, 56], [72, 46], [27, 48]] as Point[]).map((c, i) => ({
    d: circle(c, 2.2 + (i % 3) * 0.8, 1.5 + (i % 2)),
    ink: 'purple' as const,
  }))

export const leafletMark: Record<string, () => Drawing> = {
  none: () => marked([]),
  'pale-v': () => marked(paleV()),
  'dark-flecks': () => marked(flecks()),
  'pale-v-and-flecks': () => marked([...paleV(), ...flecks()]),
}

/** Sides almost parallel, then drawn to a point: the least of three bounds, rounded where they meet. */
const oblong = (t: number): number => {
  const bounds = [1, 3.2 * t ** 0.7, 2.6 * (1 - t) ** 0.9]
  return bounds.some((b) => b <= 0) ? 0 : bounds.reduce((sum, b) => sum + b ** -6, 0) ** (-1 / 6)
}

export const leafletShape: Record<string, () => Drawing> = {
  round: () => leaf({ length: 74, width: 72, profile: oval(0.5) }, [50, 88], -90, { veins: 4 }),
  heart: () => leaf({ length: 74, width: 78, profile: oval(0.68), notch: 0.2 }, [50, 90], -90, { veins: 4 }),
  egg: () => leaf({ length: 82, width: 56, profile: oval(0.56) }, [50, 92], -90, { veins: 4 }),
  'oblong-pointed': () => leaf({ length: 88, width: 40, profile: oblong }, [50, 95], -90, { veins: 5 }),
  teardrop: () => leaf({ length: 84, width: 52, profile: oval(0.74) }, [50, 94], -90, { veins: 4 }),
  narrow: () => leaf({ length: 90, width: 20, profile: oval(0.5) }, [50, 95], -90),
}

/** Half circle of leaves seen at the ground, or leaves up a stem. */
export const leafSet: Record<string, () => Drawing> = {
  rosette: () => [0, 45, 90, 135, 180, 225, 270, 315].flatMap((d) => leaf({ length: 44, width: 17, profile: oval(0.62) }, [50, 50], d + 12)),
  alternate: () => [...stalk([[50, 99], [50, 50], [50, 6]]), ...[84, 66, 48, 30].flatMap((y, i) => leaf({ length: 36, width: 15, profile: oval(0.5) }, [50, y], i % 2 ? -150 : -30)), ...leaf({ length: 20, width: 9, profile: oval(0.5) }, [50, 20], -90)],
  opposite: () => [...stalk([[50, 99], [50, 50], [50, 6]]), ...[82, 56, 30].flatMap((y) => [-30, -150].flatMap((d) => leaf({ length: 36, width: 15, profile: oval(0.5) }, [50, y], d)))],
  whorled: () => [...stalk([[50, 99], [50, 50], [50, 6]]), ...[78, 40].flatMap((y) => [-8, -40, -140, -172, 24, 156].flatMap((d) => leaf({ length: 32, width: 9, profile: oval(0.5) }, [50, y], d)))],
  'single-frond': () => [
    ...stalk([[50, 99], [50, 70], [50, 6]]),
    ...[60, 48, 36, 26, 17].flatMap((y, i) => [-28, -152].flatMap((d) => leaf({ length: 40 - i * 6, width: 10 - i, profile: oval(0.35), teeth: { depth: 0.5, count: 7 } }, [50, y], d))),
    { d: smooth([[50, 99], [50, 70]]), ink: 'line' },
  ],
}
