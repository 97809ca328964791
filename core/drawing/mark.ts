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
  const p = (i: number) => points[Math.max(0, Math.min(points.length - 1, i))]!
  const out: Point[] = []
  for (let i = 0; i < points.length - 1; i++)
    for (let s = 0; s < perSpan; s++) {
      const t = s / perSpan
      const bend = (k: 0 | 1) => {
        const [a, b, c, d] = [p(i - 1)[k], p(i)[k], p(i + 1)[k], p(i + 2)[k]]
        return 0.5 * (2 * b + (c - a) * t + (2 * a - 5 * b + 4 * c - d) * t * t + (3 * b - a - 3 * c + d) * t * t * t)
      }
      out.push([bend(0), bend(1)])
    }
  out.push(points[points.length - 1]!)
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

/**
 * A stroke that swells and thins like one of a brush: a closed shape round a smooth curve.
 *
 * @param widths full widths at start, middle and end
 */
export function brush(points: Point[], widths: [number, number, number] = [1.2, 2.6, 0.8]): Mark {
  const spine = along(points, points.length === 2 ? 2 : 6)
  const left: Point[] = []
  const right: Point[] = []
  spine.forEach(([x, y], i) => {
    const [ax, ay] = spine[Math.max(0, i - 1)]!
    const [bx, by] = spine[Math.min(spine.length - 1, i + 1)]!
    const long = Math.hypot(bx - ax, by - ay) || 1
    const t = i / (spine.length - 1)
    const width = t < 0.5 ? widths[0] + (widths[1] - widths[0]) * t * 2 : widths[1] + (widths[2] - widths[1]) * (t - 0.5) * 2
    const [nx, ny] = [(-(by - ay) / long) * (width / 2), ((bx - ax) / long) * (width / 2)]
    left.push([x + nx, y + ny])
    right.push([x - nx, y - ny])
  })
  return { d: closed(...left, ...right.reverse()), ink: 'brush' }
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
