import { brush, closed, placed, smooth, type Drawing, type Point } from './mark.ts'

/** Half width of a leaf at a share of its length, both 0 to 1; the greatest half width is 1. */
export type Profile = (t: number) => number

/** An oval that is widest at a given share of its length. */
export function oval(widestAt: number): Profile {
  return (t) => Math.sin(Math.PI * t ** (Math.log(0.5) / Math.log(widestAt))) ** 0.8
}

export interface LeafForm {
  length: number
  width: number
  profile: Profile
  /** Teeth: depth as a share of the half width, how many a side, and from which share of the length on. */
  teeth?: { depth: number; count: number; from?: number; forward?: boolean }
  /** A notch at the tip, as a share of the length. */
  notch?: number
}

/** Outline of a leaf in its own frame: base at 0,0, tip along x. */
export function leafOutline({ length, width, profile, teeth, notch = 0 }: LeafForm): Point[] {
  // A small leaf needs few points to look round, a tooth of two straight sides none between its corners, one that leans some.
  const steps = teeth ? teeth.count * (!teeth.forward || length < 25 ? 4 : 8) : Math.max(12, Math.min(36, Math.round(length * 0.9)))
  const side = (sign: 1 | -1): Point[] =>
    Array.from({ length: steps + 1 }, (_, i) => {
      const t = i / steps
      const plain = profile(t)
      const from = teeth?.from ?? 0
      let cut = 0
      let lean = 0
      if (teeth && t >= from && t < 0.985) {
        const phase = (((t - from) / (1 - from)) * teeth.count) % 1
        cut = teeth.depth * (teeth.forward ? 1 - phase : Math.abs(phase - 0.5) * 2)
        lean = teeth.forward ? phase * 0.012 : 0
      }
      return [length * (t + lean) - notch * length * Math.max(0, t - 0.86) * 7.1 * (1 - plain), sign * (width / 2) * plain * (1 - cut)]
    })
  const upper = side(-1)
  const lower = side(1).reverse()
  if (notch === 0) return [...upper, ...lower]
  const dent: Point = [length * (1 - notch), 0]
  return [...upper.slice(0, -1), dent, ...lower.slice(1)]
}

export interface LeafLook {
  midrib?: boolean
  /** Side veins on each side. */
  veins?: number
  dark?: boolean
}

/** A leaf on the sheet: filled, outlined, with its veins. */
export function leaf(form: LeafForm, base: Point, degrees: number, look: LeafLook = {}): Drawing {
  const outline = placed(leafOutline(form), base, degrees)
  const marks: Drawing = [
    { d: closed(...outline), ink: look.dark ? 'leafDark' : 'leaf' },
    { d: closed(...outline), ink: 'line' },
  ]
  const on = (points: Point[]) => placed(points, base, degrees)
  const end = form.length * (0.96 - (form.notch ?? 0))
  if (look.midrib !== false) marks.push(brush(on([[0, 0], [end * 0.52, 0], [end, 0]]), [1.8, 1.2, 0.4]))
  for (let i = 1; i <= (look.veins ?? 0); i++) {
    // Where the tip is notched the last veins end below the notch.
    const t = (i / ((look.veins ?? 0) + 1)) * (form.notch ? 0.8 : 1)
    const half = (form.width / 2) * form.profile(Math.min(1, t + 0.12)) * 0.8
    for (const sign of [1, -1] as const)
      marks.push({ d: smooth(on([[form.length * t, 0], [form.length * (t + 0.07), sign * half * 0.5], [form.length * (t + 0.12), sign * half]])), ink: 'fine' })
  }
  return marks
}
