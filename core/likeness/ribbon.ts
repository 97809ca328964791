import { light, lighter, mixed, type Lab } from './colours.ts'
import type { MeshBuilder, Organ } from './mesh.ts'
import type { Frame } from './spine.ts'
import { add, times, type Vec } from './vec.ts'

/** Half of the width at a share of the length, as a share of half the greatest width, 0 to 1. */
export type Taper = (t: number) => number

/** How grass blades end: both sides drawn together like the bow of a boat, pointed, or tapering all the way. */
export const tapers: Record<string, Taper> = {
  boat: (t) => Math.min(1, 0.78 + t) * (t < 0.94 ? 1 : Math.sqrt(Math.max(0, 1 - ((t - 0.94) / 0.06) ** 2))),
  pointed: (t) => Math.min(1, 0.74 + 1.2 * t) * (t < 0.45 ? 1 : Math.max(0, 1 - ((t - 0.45) / 0.55) ** 1.7)),
  'long-drawn': (t) => Math.min(1, 0.8 + t) * Math.max(0, 1 - t ** 1.25),
  cut: (t) => Math.min(1, 0.78 + t),
}

export interface Blade {
  /** Greatest width, millimetres. */
  width: number
  taper: Taper
  upper: Lab
  lower: Lab
  /** Radians by which each half stands up from flat; half a turn lays the two on each other. */
  fold?: (t: number) => number
  /** Ridges along it, and how high each is, millimetres. */
  ribs?: { count: number; high: number }
  midrib?: 'none' | 'keel' | 'double-line' | { colour: Lab; wide: number }
  /** Gloss of the upper and of the lower face. */
  gloss?: readonly [upper: number, lower: number]
  /** Crosswise waves or a crease, millimetres up. */
  relief?: (t: number, u: number) => number
  organ?: Organ
}

const THICK_MM = 0.16
/** How finely a blade is cut across: enough for its ribs to be seen. */
function columnsOf({ ribs, midrib }: Blade, detail: number): number {
  const finest = ribs ? Math.min(25, 4 * ribs.count + 1) : midrib === 'double-line' ? 13 : 9
  return Math.max(5, 2 * Math.round((finest * detail - 1) / 2) + 1)
}

/** Corners of one face of a blade along its spine. */
function faceOf(spine: readonly Frame[], blade: Blade, lift: number, wide: number): Vec[][] {
  return spine.map(({ at, side, face }, i) => {
    const t = i / (spine.length - 1)
    const half = (blade.width / 2) * blade.taper(t)
    const fold = blade.fold?.(t) ?? 0
    return Array.from({ length: wide }, (_, c): Vec => {
      const u = (c / (wide - 1)) * 2 - 1
      const across = Math.abs(u) * half
      const ridge = blade.ribs ? (blade.ribs.high * (1 + Math.cos(u * Math.PI * blade.ribs.count))) / 2 : 0
      const keel = blade.midrib === 'keel' && Math.abs(u) < 0.14 && lift < 0 ? -0.35 : 0
      const up = across * Math.sin(fold) + (lift > 0 ? ridge : 0) + keel + lift + (blade.relief?.(t, u) ?? 0)
      return add(at, add(times(side, Math.sign(u) * across * Math.cos(fold)), times(face, up)))
    })
  })
}

/** A grass blade with both of its faces: fold, ribs, midrib and colour along it. */
export function addBlade(to: MeshBuilder, spine: readonly Frame[], blade: Blade): void {
  const wide = columnsOf(blade, to.detail)
  const { midrib, organ = 'blade', gloss = [0.25, 0.25] } = blade
  const last = spine.length - 1
  const at = (base: Lab) => (row: number, c: number) => {
    const u = (c / (wide - 1)) * 2 - 1
    // A blade is pale where it leaves its sheath, and its tip is the oldest part of it.
    const t = row / last
    const aged = mixed(
      mixed(base, [78, -12, 30], 0.5 * Math.max(0, 1 - t * 14)),
      [62, -8, 38],
      0.25 * Math.max(0, t - 0.86) * 7,
    )
    if (typeof midrib === 'object' && Math.abs(u) < midrib.wide) return light(midrib.colour)
    if (midrib === 'double-line' && Math.abs(Math.abs(u) - 0.16) < 0.09) return light(lighter(aged, 17))
    if (midrib === 'keel' && Math.abs(u) < 0.12) return light(lighter(aged, -7))
    return light(lighter(aged, c % 2 ? 2.5 : -1.5))
  }
  to.sheet(faceOf(spine, blade, THICK_MM / 2, wide), { organ, gloss: gloss[0], colour: at(blade.upper) })
  const under = faceOf(spine, blade, -THICK_MM / 2, wide).map((r) => r.toReversed())
  const lower = at(blade.lower)
  to.sheet(under, { organ, gloss: gloss[1], colour: (row, c) => lower(row, wide - 1 - c) })
}

/** Cross-sections of stems: distance from the middle at an angle, about 1. */
export const sections: Record<string, (angle: number) => number> = {
  round: () => 1,
  oval: (a) => 1 / Math.hypot(Math.cos(a) / 1.25, Math.sin(a) / 0.85),
  flat: (a) => 1 / Math.hypot(Math.cos(a) / 1.5, Math.sin(a) / 0.62),
  'wafer-flat': (a) => 1 / Math.hypot(Math.cos(a) / 1.8, Math.sin(a) / 0.42),
  square: (a) => 0.86 / Math.pow(Math.abs(Math.cos(a)) ** 6 + Math.abs(Math.sin(a)) ** 6, 1 / 6),
  'three-angled': (a) => 0.72 / Math.max(0.5, Math.cos(((a + Math.PI / 3) % ((2 * Math.PI) / 3)) - Math.PI / 3)),
}

export interface Tube {
  organ: Organ
  /** Radius at a share of the length, millimetres. */
  radius: (t: number) => number
  /** Colour at a share of the length and at an angle. */
  colour: (t: number, angle: number) => Lab
  section?: (angle: number) => number
  gloss?: number
  sides?: number
}

/** A stem, sheath, root or hair round its spine. */
export function addTube(
  to: MeshBuilder,
  spine: readonly Frame[],
  { organ, radius, colour, section = () => 1, gloss = 0.2, sides: most = 10 }: Tube,
): void {
  const sides = Math.max(3, Math.round(most * to.detail))
  // With the clock, so that what is seen is its outside.
  const angle = (c: number) => (-2 * Math.PI * c) / sides
  const rows = spine.map(({ at, side, face }, i) => {
    const r = radius(i / (spine.length - 1))
    return Array.from({ length: sides }, (_, c): Vec => {
      const d = r * section(angle(c))
      return add(at, add(times(side, d * Math.cos(angle(c))), times(face, d * Math.sin(angle(c)))))
    })
  })
  to.sheet(rows, { organ, gloss, close: true, colour: (row, c) => light(colour(row / (spine.length - 1), angle(c))) })
}
