/**
 * What a mark is made with. Colour is never the only sign: every coloured mark also has a shape or a hatch of its own.
 * ink, fine, bold: strokes, or brush shapes filled with ink. The rest are fills.
 */
export type Ink =
  | 'brush'
  | 'line'
  | 'fine'
  | 'dotted'
  | 'leaf'
  | 'leafDark'
  | 'paper'
  | 'hollow'
  | 'purple'
  | 'purpleLine'
  | 'yellow'
  | 'straw'
  | 'silver'
  | 'pinkLine'
  | 'soil'
  | Tint

/** Colours that are themselves what the state says; a hatch or a word always goes with them. */
export type Tint = 'greenMid' | 'greenDark' | 'greenLight' | 'greenBlue' | 'greenGrey' | 'greenBright' | 'pink' | 'rose' | 'crimson' | 'violet' | 'rust' | 'beige' | 'sand'

export interface Mark {
  d: string
  ink: Ink
}

/** A drawing in a box of 100 by 100, y downward. */
export type Drawing = Mark[]

export type Point = [x: number, y: number]

const hundredths = Array.from({ length: 100 }, (_, i) => (i === 0 ? '' : `.${String(i).padStart(2, '0').replace(/0$/, '')}`))

/** A number to two places. Put together from whole numbers: writing out fractions is what a drawing would spend its time on. */
function n(x: number): string {
  const size = Math.round(Math.abs(x) * 100)
  return `${x < 0 && size > 0 ? '-' : ''}${(size / 100) | 0}${hundredths[size % 100]!}`
}
const at = ([x, y]: Point) => `${n(x)} ${n(y)}`

export const straight = (...points: Point[]): string => `M${points.map(at).join('L')}`
export const closed = (...points: Point[]): string => `${straight(...points)}Z`

export const circle = ([x, y]: Point, rx: number, ry = rx): string =>
  `M${at([x - rx, y])}A${n(rx)} ${n(ry)} 0 1 0 ${at([x + rx, y])}A${n(rx)} ${n(ry)} 0 1 0 ${at([x - rx, y])}Z`

/** Points along a smooth curve through the given ones (Catmull-Rom), both ends kept. */
export function along(points: Point[], perSpan = 8): Point[] {
  const last = points.length - 1
  const out: Point[] = []
  for (let i = 0; i < last; i++) {
    const [ax, ay] = points[Math.max(0, i - 1)]!
    const [bx, by] = points[i]!
    const [cx, cy] = points[i + 1]!
    const [dx, dy] = points[Math.min(last, i + 2)]!
    for (let s = 0; s < perSpan; s++) {
      const t = s / perSpan
      const bend = (a: number, b: number, c: number, d: number) => 0.5 * (2 * b + (c - a) * t + (2 * a - 5 * b + 4 * c - d) * t * t + (3 * b - a - 3 * c + d) * t * t * t)
      out.push([bend(ax, bx, cx, dx), bend(ay, by, cy, dy)])
    }
  }
  out.push(points[last]!)
  return out
}

/** The same curve as `along`, written as one cubic piece from point to point. */
export function smooth(points: Point[]): string {
  const p = (i: number) => points[Math.max(0, Math.min(points.length - 1, i))]!
  const handle = ([x, y]: Point, [ax, ay]: Point, [bx, by]: Point, side: 1 | -1): Point => [x + (side * (bx - ax)) / 6, y + (side * (by - ay)) / 6]
  let d = `M${at(p(0))}`
  for (let i = 0; i < points.length - 1; i++) d += `C${at(handle(p(i), p(i - 1), p(i + 1), 1))} ${at(handle(p(i + 1), p(i), p(i + 2), -1))} ${at(p(i + 1))}`
  return d
}
export const smoothClosed = (points: Point[]): string => `${smooth([...points, points[0]!])}Z`

/** A closed curve without a corner anywhere. */
export function rounded(points: Point[]): string {
  const n = points.length
  const p = (i: number) => points[(i + n) % n]!
  const handle = (i: number, side: 1 | -1): Point => [p(i)[0] + (side * (p(i + 1)[0] - p(i - 1)[0])) / 6, p(i)[1] + (side * (p(i + 1)[1] - p(i - 1)[1])) / 6]
  return `M${at(p(0))}${points.map((_, i) => `C${at(handle(i, 1))} ${at(handle(i + 1, -1))} ${at(p(i + 1))}`).join('')}Z`
}

/** Steps from point to point that a curve needs to look smooth at six times its size: a hair few, a stem more. */
function stepsFor(points: Point[]): number {
  let long = 0
  for (let i = 1; i < points.length; i++) long += Math.hypot(points[i]![0] - points[i - 1]![0], points[i]![1] - points[i - 1]![1])
  const each = long / (points.length - 1)
  return each < 3 ? 2 : each < 6 ? 3 : each < 12 ? 4 : 6
}

/**
 * A stroke that swells and thins like one of a brush: a closed shape round a smooth curve.
 *
 * @param widths full widths at start, middle and end
 */
export function brush(points: Point[], widths: [number, number, number] = [1.2, 2.6, 0.8]): Mark {
  return brushOver(along(points, points.length === 2 ? 2 : stepsFor(points)), widths)
}

/** The same over points that already lie close along their curve, as the edges of a blade do. */
export function brushOver(spine: Point[], widths: [number, number, number]): Mark {
  const last = spine.length - 1
  let there = 'M'
  let back = ''
  for (let i = 0; i <= last; i++) {
    const [x, y] = spine[i]!
    const before = spine[Math.max(0, i - 1)]!
    const after = spine[Math.min(last, i + 1)]!
    const [dx, dy] = [after[0] - before[0], after[1] - before[1]]
    const t = i / last
    const width = t < 0.5 ? widths[0] + (widths[1] - widths[0]) * t * 2 : widths[1] + (widths[2] - widths[1]) * (t - 0.5) * 2
    const across = width / 2 / (Math.hypot(dx, dy) || 1)
    there += `${i > 0 ? 'L' : ''}${n(x - dy * across)} ${n(y + dx * across)}`
    back = `L${n(x + dy * across)} ${n(y - dx * across)}${back}`
  }
  return { d: `${there}${back}Z`, ink: 'brush' }
}

/** The same picture in fewer marks: neighbours in one ink are drawn as one. */
export function merged(marks: Drawing): Drawing {
  const out: Drawing = []
  for (const m of marks) {
    const last = out.at(-1)
    if (last?.ink === m.ink) out[out.length - 1] = { d: last.d + m.d, ink: m.ink }
    else out.push(m)
  }
  return out
}

/** Turn and move points: from their own frame (x forward) to a place on the sheet. */
export function placed(points: Point[], [x, y]: Point, degrees: number, scale = 1): Point[] {
  const a = (degrees * Math.PI) / 180
  const [c, s] = [Math.cos(a) * scale, Math.sin(a) * scale]
  return points.map(([px, py]) => [x + px * c - py * s, y + px * s + py * c])
}
