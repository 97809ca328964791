import { along, brush, brushOver, closed, smooth, type Drawing, type Point } from '../mark.ts'

export type Tip = 'boat' | 'pointed' | 'long-drawn' | 'cut'

/** Half width along a grass blade, as a share of the greatest. */
const profiles: Record<Tip, (t: number) => number> = {
  boat: (t) => (t > 0.93 ? Math.sqrt(Math.max(0, 1 - ((t - 0.93) / 0.07) ** 2)) : 0.8 + 0.2 * Math.min(1, t * 5)),
  pointed: (t) => (0.75 + 0.25 * Math.min(1, t * 5)) * (t > 0.5 ? (1 - ((t - 0.5) / 0.5) ** 1.7) : 1),
  'long-drawn': (t) => (0.75 + 0.25 * Math.min(1, t * 6)) * (1 - t) ** 0.75 * (t < 0.2 ? 1 : 1.06),
  // The mower takes the narrowing part away.
  cut: (t) => 0.75 + 0.25 * Math.min(1, t * 5),
}

/** Both edges of a strip of changing width round a smooth spine. */
function edges(spine: Point[], half: (t: number) => number, perSpan = 5): { left: Point[]; right: Point[]; middle: Point[] } {
  const middle = along(spine, perSpan)
  const left: Point[] = []
  const right: Point[] = []
  middle.forEach(([x, y], i) => {
    const [ax, ay] = middle[Math.max(0, i - 1)]!
    const [bx, by] = middle[Math.min(middle.length - 1, i + 1)]!
    const long = Math.hypot(bx - ax, by - ay) || 1
    const h = half(i / (middle.length - 1))
    const [nx, ny] = [(-(by - ay) / long) * h, ((bx - ax) / long) * h]
    left.push([x + nx, y + ny])
    right.push([x - nx, y - ny])
  })
  return { left, right, middle }
}

export interface Blade {
  width: number
  tip: Tip
  midrib?: string | undefined
  ribbed?: boolean | undefined
  crease?: boolean | undefined
  hairs?: number | undefined
  dark?: boolean | undefined
}

/** A grass blade along a spine from its collar to its tip. */
export function bladeAlong(spine: Point[], { width, tip, midrib, ribbed, crease, hairs, dark }: Blade): Drawing {
  const half = width / 2
  const { left, right, middle } = edges(spine, (t) => Math.max(0.12, half * profiles[tip](t)))
  if (width < 0.95) return [brush(spine, [width + 0.2, width * 0.9, tip === 'cut' ? width * 0.8 : 0.25])]
  const marks: Drawing = [{ d: closed(...left, ...[...right].reverse()), ink: dark ? 'leafDark' : 'leaf' }]
  const inner = (k: number): Point[] => middle.slice(0, -2).map(([x, y], i): Point => [x + (left[i]![0] - x) * k, y + (left[i]![1] - y) * k])
  if (midrib === 'white-stripe') marks.push({ d: closed(...inner(0.26), ...inner(-0.26).reverse()), ink: 'paper' })
  else if (midrib === 'double-line' && width > 2) marks.push({ d: smooth(inner(0.14)), ink: 'fine' }, { d: smooth(inner(-0.14)), ink: 'fine' })
  else if (midrib === 'single-keel') marks.push(brushOver(inner(0), [Math.min(0.9, width * 0.2), Math.min(0.8, width * 0.18), 0.2]))
  else if (width > 2.2) marks.push({ d: smooth(inner(0)), ink: 'fine' })
  if (ribbed && width > 2.4) marks.push(...[-0.5, 0.5].map((k) => ({ d: smooth(inner(k)), ink: 'fine' as const })))
  if (crease && width > 2) {
    const i = Math.floor(middle.length * 0.55)
    const [l, r, m] = [left[i]!, right[i]!, middle[i]!]
    const back = middle[i - 1]!
    const shift = (p: Point): Point => [p[0] + (back[0] - m[0]) * 1.1, p[1] + (back[1] - m[1]) * 1.1]
    const q = (a: Point, b: Point): Point => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]
    marks.push({ d: closed(l, shift(q(l, m)), m, shift(q(m, r)), r, shift(q(m, r)), m, shift(q(l, m))), ink: 'line' })
  }
  if (hairs)
    for (let i = 2; i < middle.length - 3; i += 2)
      for (const side of [left, right]) {
        const [x, y] = side[i]!
        const [mx, my] = middle[i]!
        const out = Math.hypot(x - mx, y - my) || 1
        marks.push(brush([[x, y], [x + ((x - mx) / out) * hairs * 0.6, y + ((y - my) / out) * hairs * 0.6 - 0.3], [x + ((x - mx) / out) * hairs, y + ((y - my) / out) * hairs - 0.8]], [0.34, 0.28, 0.14]))
      }
  const thick = Math.min(0.26 + Math.min(0.34, width * 0.06), width * 0.17)
  marks.push(brushOver(left, [thick, thick * 1.3, 0.4]), brushOver(right, [thick, thick * 1.3, 0.4]))
  if (tip === 'cut') marks.push(brush([left.at(-1)!, middle.at(-1)!, right.at(-1)!], [thick, thick, thick]))
  return marks
}

/** A tube (sheath or stem) along a spine. */
export function tubeAlong(spine: Point[], from: number, to: number, ink: 'leaf' | 'leafDark' | 'paper' = 'leafDark'): Drawing {
  const { left, right } = edges(spine, (t) => (from + (to - from) * t) / 2)
  return [{ d: closed(...left, ...[...right].reverse()), ink }, brushOver(left, [0.5, 0.7, 0.5]), brushOver(right, [0.5, 0.7, 0.5])]
}

/** Hairs standing off both sides of a tube. */
export function hairsAlong(spine: Point[], width: number, long: number, step: number, drop = 0): Drawing {
  const { left, right, middle } = edges(spine, () => width / 2, 7)
  const out: Drawing = []
  for (let i = 1; i < middle.length; i += step)
    for (const side of [left, right]) {
      const [x, y] = side[i]!
      const s = Math.sign(x - middle[i]![0]) || 1
      out.push(brush([[x, y], [x + s * long * 0.55, y + drop * 0.4], [x + s * long, y + drop]], [0.6, 0.5, 0.2]))
    }
  return out
}
