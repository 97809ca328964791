import { light, lighter, mixed, type Lab } from './colours.ts'
import { type Grid, roomForGrid } from './grid.ts'
import type { Look, MeshBuilder, Organ, Rgb } from './mesh.ts'
import { type Frame, put } from './spine.ts'

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

/** Corners of one face of a blade along its spine; the columns of its lower face go the other way. */
function faceOf(spine: readonly Frame[], blade: Blade, wide: number, under: boolean): Grid {
  const rows = spine.length
  const at = roomForGrid(rows, wide)
  const lift = under ? -THICK_MM / 2 : THICK_MM / 2
  const across = Float64Array.from({ length: wide }, (_, c) => ((under ? wide - 1 - c : c) / (wide - 1)) * 2 - 1)
  const bent = across.map((u) => {
    const ridge = blade.ribs && !under ? (blade.ribs.high * (1 + Math.cos(u * Math.PI * blade.ribs.count))) / 2 : 0
    return ridge + (blade.midrib === 'keel' && Math.abs(u) < 0.14 && under ? -0.35 : 0)
  })
  for (let r = 0; r < rows; r++) {
    const frame = spine[r]!
    const t = r / (rows - 1)
    const half = (blade.width / 2) * blade.taper(t)
    const fold = blade.fold?.(t) ?? 0
    const [rise, wing] = [Math.sin(fold), Math.cos(fold)]
    for (let c = 0; c < wide; c++) {
      const u = across[c]!
      const out = Math.abs(u) * half
      const up = out * rise + bent[c]! + lift + (blade.relief?.(t, u) ?? 0)
      put(at, r * wide + c, frame, Math.sign(u) * out * wing, up)
    }
  }
  return { at, rows, wide }
}

/** Colours of a blade's face by row and column, each made once. */
function tintsOf({ midrib }: Blade, base: Lab, last: number, wide: number): Look['colour'] {
  const rib = typeof midrib === 'object' ? light(midrib.colour) : undefined
  let row = -1
  let aged = base
  const made = new Map<number, Rgb>()
  const tint = (by: number): Rgb => {
    let colour = made.get(by)
    if (!colour) made.set(by, (colour = light(lighter(aged, by))))
    return colour
  }
  return (r, c) => {
    if (r !== row) {
      row = r
      made.clear()
      // A blade is pale where it leaves its sheath, and its tip is the oldest part of it.
      const t = r / last
      const young = mixed(base, [78, -12, 30], 0.5 * Math.max(0, 1 - t * 14))
      aged = mixed(young, [62, -8, 38], 0.25 * Math.max(0, t - 0.86) * 7)
    }
    const u = (c / (wide - 1)) * 2 - 1
    if (rib && typeof midrib === 'object' && Math.abs(u) < midrib.wide) return rib
    if (midrib === 'double-line' && Math.abs(Math.abs(u) - 0.16) < 0.09) return tint(17)
    if (midrib === 'keel' && Math.abs(u) < 0.12) return tint(-7)
    return tint(c % 2 ? 2.5 : -1.5)
  }
}

/** A grass blade with both of its faces: fold, ribs, midrib and colour along it. */
export function addBlade(to: MeshBuilder, spine: readonly Frame[], blade: Blade): void {
  if (to.full) return
  const wide = columnsOf(blade, to.detail)
  const { organ = 'blade', gloss = [0.25, 0.25] } = blade
  const last = spine.length - 1
  to.grid(faceOf(spine, blade, wide, false), {
    organ,
    gloss: gloss[0],
    colour: tintsOf(blade, blade.upper, last, wide),
  })
  const lower = tintsOf(blade, blade.lower, last, wide)
  const look: Look = { organ, gloss: gloss[1], colour: (row, c) => lower(row, wide - 1 - c) }
  to.grid(faceOf(spine, blade, wide, true), look)
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

interface Circle {
  angles: Float64Array
  right: Float64Array
  up: Float64Array
}
const circles = new Map<number, Circle>()

/** Angles round a tube with their cosines and sines, made once for each number of sides. They go with the clock, so that what is seen is its outside. */
function circleOf(sides: number): Circle {
  let circle = circles.get(sides)
  if (!circle) {
    const angles = Float64Array.from({ length: sides }, (_, c) => (-2 * Math.PI * c) / sides)
    circles.set(sides, (circle = { angles, right: angles.map(Math.cos), up: angles.map(Math.sin) }))
  }
  return circle
}

/** A stem, sheath, root or hair round its spine. */
export function addTube(
  to: MeshBuilder,
  spine: readonly Frame[],
  { organ, radius, colour, section, gloss = 0.2, sides: most = 10 }: Tube,
): void {
  if (to.full) return
  const sides = Math.max(3, Math.round(most * to.detail))
  const { angles, right, up } = circleOf(sides)
  const far = section && angles.map(section)
  const rows = spine.length
  const at = roomForGrid(rows, sides)
  for (let r = 0; r < rows; r++) {
    const thick = radius(r / (rows - 1))
    for (let c = 0; c < sides; c++) {
      const d = far ? thick * far[c]! : thick
      put(at, r * sides + c, spine[r]!, d * right[c]!, d * up[c]!)
    }
  }
  let [known, shown]: [Lab?, Rgb?] = []
  const shade = (row: number, c: number): Rgb => {
    const lab = colour(row / (rows - 1), angles[c]!)
    if (lab !== known || !shown) [known, shown] = [lab, light(lab)]
    return shown
  }
  to.grid({ at, rows, wide: sides }, { organ, gloss, close: true, colour: shade })
}
