import { along, brush, brushOver, closed, smooth, straight, type Drawing, type Point } from './mark.ts'

const strip = (top: number, half = 22): Point[] => [[50 - half, 99], [50 - half, top], [50 + half, top], [50 + half, 99]]

function tip(edge: Point[], inside: Drawing): Drawing {
  const mirrored = edge.map(([x, y]): Point => [100 - x, y])
  const outline: Point[] = [...edge, ...[...mirrored].reverse()]
  return [
    { d: closed(...outline), ink: 'leaf' },
    ...inside,
    brush(edge, [1.4, 2.8, 2]),
    brush(mirrored, [1.4, 2.8, 2]),
  ]
}

/** The end of an uncut leaf, seen from above. */
export const bladeTip: Record<string, () => Drawing> = {
  boat: () => {
    // Edges stay apart to the end, then close and stand up like a bow: the inner rim shows that the end is hollow.
    const edge: Point[] = [[28, 99], [28, 60], [29, 40], [33, 24], [41, 12], [50, 7]]
    const rim: Point[] = [[37, 99], [37, 60], [38, 42], [41, 30], [45.5, 22], [50, 18]]
    const rimRight = rim.map(([x, y]): Point => [100 - x, y])
    return [
      ...tip(edge, [
        { d: closed(...rim, ...[...rimRight].reverse()), ink: 'leafDark' },
        { d: smooth(rim), ink: 'line' },
        { d: smooth(rimRight), ink: 'line' },
      ]),
      brush([[50, 7], [50, 12], [50, 18]], [2.4, 2.4, 2.4]),
      { d: straight([48.6, 22], [48.6, 99]), ink: 'fine' },
      { d: straight([51.4, 22], [51.4, 99]), ink: 'fine' },
    ]
  },
  pointed: () => tip([[28, 99], [30, 74], [37, 44], [45, 18], [50, 6]], [42, 50, 58].map((x) => ({ d: smooth([[x, 99], [50 + (x - 50) * 0.8, 60], [50, 16]]), ink: 'fine' }))),
  'long-drawn': () => tip([[30, 99], [37, 80], [44, 60], [47.5, 38], [49, 18], [50, 2]], [{ d: smooth([[50, 99], [50, 60], [50, 20]]), ink: 'fine' }]),
}

function face(inside: Drawing, ink: 'leaf' | 'leafDark' = 'leaf'): Drawing {
  return [
    { d: closed(...strip(2)), ink },
    ...inside,
    brush([[28, 99], [27, 50], [28, 1]], [1.6, 2.8, 1.6]),
    brush([[72, 99], [73, 50], [72, 1]], [1.6, 2.8, 1.6]),
  ]
}

/** A length of blade from above, with the cut end below where it says more. */
export const bladeMidrib: Record<string, () => Drawing> = {
  'none-distinct': () => face([33, 38, 43, 48, 53, 58, 63, 68].map((x) => ({ d: straight([x, 2], [x, 98]), ink: 'fine' }))),
  'single-keel': () => [
    ...face([36, 43, 57, 64].map((x) => ({ d: straight([x, 2], [x, 74]), ink: 'fine' }))),
    brush([[50, 1], [50, 40], [50, 78]], [4, 4.4, 4.4]),
    { d: closed([26, 76], [74, 76], [74, 100], [26, 100]), ink: 'paper' },
    brush([[28, 78], [40, 86], [50, 97], [60, 86], [72, 78]], [2, 5, 2]),
  ],
  'double-line': () => [
    ...face([34, 66].map((x) => ({ d: straight([x, 2], [x, 98]), ink: 'fine' }))),
    brush([[46.5, 1], [46.5, 50], [46.5, 99]], [2.4, 2.6, 2.4]),
    brush([[53.5, 1], [53.5, 50], [53.5, 99]], [2.4, 2.6, 2.4]),
    { d: closed([47.8, 1], [52.2, 1], [52.2, 99], [47.8, 99]), ink: 'paper' },
  ],
  'brown-stripe': () => [
    ...face([33, 38, 62, 67].map((x) => ({ d: straight([x, 2], [x, 98]), ink: 'fine' })), 'leafDark'),
    { d: closed([43, 1], [57, 1], [57, 99], [43, 99]), ink: 'rust' },
    ...Array.from({ length: 16 }, (_, i) => ({ d: straight([43, 6 + i * 6], [57, 2 + i * 6]), ink: 'line' as const })),
    { d: straight([43, 1], [43, 99]), ink: 'line' },
    { d: straight([57, 1], [57, 99]), ink: 'line' },
  ],
  'white-stripe': () => [
    ...face([33, 38, 62, 67].map((x) => ({ d: straight([x, 2], [x, 98]), ink: 'fine' })), 'leafDark'),
    { d: closed([43, 1], [57, 1], [57, 99], [43, 99]), ink: 'paper' },
    { d: straight([43, 1], [43, 99]), ink: 'line' },
    { d: straight([57, 1], [57, 99]), ink: 'line' },
  ],
}

/** A block of blade: its upper face running back, and the cut edge in front where the ribs stand. */
function block(profile: Point[], lines: number[], ink: 'fine' | 'line'): Drawing {
  const back = (x: number) => 50 + (x - 50) * 0.62
  return [
    { d: closed([8, 58], [back(8), 14], [back(92), 14], [92, 58]), ink: 'leaf' },
    ...lines.map((x) => ({ d: straight([x, 58], [back(x), 14]), ink })),
    { d: closed(...profile, [92, 82], [8, 82]), ink: 'leafDark' },
    { d: smooth(profile), ink: 'line' },
    brush([[8, 58], [8, 70], [8, 83]], [2, 2.4, 2]),
    brush([[92, 58], [92, 70], [92, 83]], [2, 2.4, 2]),
    brush([[7, 82], [50, 84], [93, 82]], [2, 3, 2]),
    brush([[8, 58], [back(8), 14], [50, 13]], [2, 1.4, 1]),
    brush([[92, 58], [back(92), 14], [50, 13]], [2, 1.4, 1]),
  ]
}

const ridges = (count: number, high: number): Point[] =>
  Array.from({ length: count * 4 + 1 }, (_, i) => [8 + (84 * i) / (count * 4), 60 - (high / 2) * (1 - Math.cos((i / 4) * 2 * Math.PI))])
const crests = (count: number) => Array.from({ length: count }, (_, i) => 8 + (84 * (i + 0.5)) / count)

export const bladeRibs: Record<string, () => Drawing> = {
  smooth: () => block([[8, 59], [30, 57], [50, 57], [70, 57], [92, 59]], [], 'fine'),
  'fine-veins': () => block(ridges(15, 3.5), crests(15), 'fine'),
  'deep-ribs': () => block(ridges(6, 17), crests(6), 'line'),
}

/** A blade of a given width beside a strip in millimetres. */
export function bladeToScale(widthMm: number, perMm: number): Drawing {
  const half = Math.min(48, (widthMm * perMm) / 2)
  const edge = (s: -1 | 1): Point[] => along([[50 + s * half, 99], [50 + s * half, 68], [50 + s * half, 40], [50 + s * half * 0.7, 16], [50, 3]], 5)
  return [
    { d: closed(...edge(-1), ...edge(1).reverse()), ink: 'leaf' },
    brushOver(edge(-1), [1.6, 2.4, 1]),
    brushOver(edge(1), [1.6, 2.4, 1]),
    { d: straight([50, 99], [50, 14]), ink: 'fine' },
  ]
}
