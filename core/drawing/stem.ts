import { brush, circle, closed, smooth, smoothClosed, straight, type Drawing, type Mark, type Point } from './mark.ts'

const [LEFT, RIGHT] = [34, 66]

function segment(inside: Drawing = [], over: Drawing = []): Drawing {
  return [
    { d: closed([LEFT, 0], [RIGHT, 0], [RIGHT, 100], [LEFT, 100]), ink: 'leaf' },
    ...inside,
    brush([[LEFT, 0], [LEFT - 0.6, 50], [LEFT, 100]], [2, 2.8, 2]),
    brush([[RIGHT, 0], [RIGHT + 0.6, 50], [RIGHT, 100]], [2, 2.8, 2]),
    ...over,
  ]
}

type Hair = (base: Point, side: -1 | 1, i: number) => Mark[]

/** Hairs down both edges, and shorter ones on the face towards the eye. */
function haired(step: number, hair: Hair, face = true): Drawing {
  const edge: Drawing = []
  for (let y = 5, i = 0; y < 98; y += step, i++) edge.push(...hair([LEFT, y], -1, i), ...hair([RIGHT, y + step / 2], 1, i))
  const middle: Drawing = []
  if (face)
    for (let y = 8, i = 0; y < 98; y += step * 1.5, i++) middle.push(...hair([42 + ((i * 7) % 17), y], i % 2 ? 1 : -1, i))
  return segment([], [...middle, ...edge])
}

const plainHair = (long: number, drop: number, widths: [number, number, number] = [1.4, 1, 0.4]): Hair => ([x, y], side, i) => [
  brush([[x, y], [x + side * long * 0.55, y + drop * 0.4 + (i % 2)], [x + side * long, y + drop + (i % 3) - 1]], widths),
]

const star: Hair = ([x, y], side) => {
  const [cx, cy]: Point = [x + side * 5, y]
  return [0, 60, 120].map((d) => {
    const [c, s] = [Math.cos((d * Math.PI) / 180) * 5, Math.sin((d * Math.PI) / 180) * 5]
    return { d: straight([cx - c, cy - s], [cx + c, cy + s]), ink: 'line' as const }
  })
}

export const stemHairs: Record<string, () => Drawing> = {
  none: () => segment(),
  sparse: () => haired(19, plainHair(17, -3, [2.8, 2, 0.5]), false),
  dense: () => haired(5, plainHair(8, -1)),
  'long-shaggy': () => haired(7, plainHair(27, 9)),
  'stiff-bristly': () => haired(12, ([x, y], side, i) => [brush([[x, y], [x + side * 9, y - 1], [x + side * (17 + (i % 2) * 3), y - 2]], [4.6, 2.4, 0.6]), { d: circle([x + side, y], 2.6), ink: 'brush' }]),
  'pointing-down': () => haired(7, plainHair(9, 12)),
  'one-line': () =>
    segment([], [{ d: straight([50, 0], [50, 100]), ink: 'fine' }, ...Array.from({ length: 18 }, (_, i) => brush([[50, 4 + i * 5.4], [55, 2 + i * 5.4], [60, i * 5.4]], [1.4, 1, 0.4]))]),
  stinging: () =>
    haired(17, ([x, y], side) => [
      brush([[x + side * 6, y - 1], [x + side * 16, y - 3], [x + side * 26, y - 6]], [3.4, 1.6, 0.3]),
      { d: circle([x + side * 4, y - 0.6], 4.4, 3.2), ink: 'paper' },
      { d: circle([x + side * 4, y - 0.6], 4.4, 3.2), ink: 'line' },
    ]),
  'star-shaped': () => haired(14, star),
  sticky: () =>
    haired(13, ([x, y], side) => [brush([[x, y], [x + side * 6, y - 1], [x + side * 11, y - 2]], [1.2, 1, 1]), { d: circle([x + side * 13, y - 2], 3.2), ink: 'yellow' }, { d: circle([x + side * 13, y - 2], 3.2), ink: 'line' }]),
}

const blotch = (x: number, y: number, r: number, i: number): Mark => ({
  d: smoothClosed([[x - r, y], [x - r * 0.4, y - r * (1.1 + (i % 3) * 0.3)], [x + r * 0.7, y - r * 0.8], [x + r, y + r * 0.3], [x + r * 0.2, y + r * (1.2 + (i % 2) * 0.5)], [x - r * 0.7, y + r * 0.7]]),
  ink: 'purple',
})

export const stemMarks: Record<string, () => Drawing> = {
  plain: () => segment(),
  'red-tinged': () => segment([{ d: closed([LEFT, 0], [46, 0], [46, 100], [LEFT, 100]), ink: 'purple' }, ...[50, 54].map((x) => ({ d: straight([x, 0], [x, 100]), ink: 'purpleLine' as const }))]),
  'purple-blotched': () =>
    segment(([[41, 9, 4], [57, 17, 6], [44, 30, 5], [60, 38, 3], [51, 48, 5.5], [40, 56, 3], [60, 62, 4.5], [45, 73, 6], [58, 82, 3.4], [42, 92, 3.6], [55, 95, 3], [50, 22, 2]] as const).map(([x, y, r], i) => blotch(x, y, r, i))),
  'purple-striped': () => segment([40, 47, 54, 61].map((x, i) => brush([[x, 0], [x + (i % 2 ? 0.8 : -0.8), 50], [x, 100]], [2.6, 3.6, 2.6])).map((m) => ({ ...m, ink: 'purple' as const }))),
  'white-bloom': () =>
    segment([
      { d: smoothClosed([[38, 0], [37, 50], [38, 100], [52, 100], [50, 50], [52, 0]]), ink: 'paper' },
      ...Array.from({ length: 26 }, (_, i) => ({ d: circle([51 + ((i * 5) % 13), 3 + i * 3.7], 1.1), ink: 'paper' as const })),
      { d: smooth([[44, 62], [50, 58], [56, 60]]), ink: 'fine' },
    ]),
}
