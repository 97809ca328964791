import { light, lighter, mixed, type Lab } from './colours.ts'
import { type Grid, roomForGrid } from './grid.ts'
import type { Look, MeshBuilder, Organ } from './mesh.ts'
import { frameAt, type Frame, put } from './spine.ts'
import { add, times } from './vec.ts'

/** Half width at a share of the length, as a share of half the greatest width. */
export type Outline = (t: number) => number

/** An oval that is widest at a share of its length. */
export const oval =
  (widestAt: number, blunt = 0.8): Outline =>
  (t) =>
    Math.sin(Math.PI * Math.min(1, Math.max(0, t)) ** (Math.log(0.5) / Math.log(widestAt))) ** blunt

export interface Lamina {
  /** Greatest width, millimetres; the length is that of the spine. */
  width: number
  outline: Outline
  upper: Lab
  lower: Lab
  gloss?: readonly [upper: number, lower: number]
  /** Radians by which each half stands up from flat. */
  fold?: number
  /** Teeth a side, how deep as a share of the half width, from which share of the length on, and whether they lean to the tip. */
  teeth?: { count: number; depth: number; from?: number; forward?: boolean }
  /** A notch at the tip, as a share of the length. */
  notch?: number
  /** Side veins on each side; how much paler; how deep they lie, millimetres. */
  veins?: { count: number; paler: number; deep: number; along?: boolean }
  /** How far the edge is drawn back to the stalk, as a share of its reach; below 0 to the tip. */
  sweep?: number
  /** Lobes at the foot: how far behind the stalk they reach, as a share of half the width (below 0 before it); round as a heart's, or pointed. */
  lobes?: { back: number; pointed: boolean }
  /** Waves of the edge, millimetres up. */
  wave?: number
  /** Changes the colour of the upper face at a share of the length and of the half width (-1 to 1). */
  mark?: (t: number, u: number, colour: Lab) => Lab
  organ?: Organ
  /** Its upper face alone: for the smallest parts of a cut leaf. */
  thin?: boolean
  /** Rows and columns; fewer where the leaf is small. */
  fine?: readonly [rows: number, columns: number]
}

/** Thickness, and as a share of the width: the two faces of a broad leaf that waves must not cross. */
const THICK_MM = 0.2
const THICK_SHARE = 0.006

/** How much of a half width teeth leave at a share of the length. */
function toothed(t: number, teeth: Lamina['teeth']): number {
  if (!teeth || t < (teeth.from ?? 0.04) || t > 0.985) return 1
  const from = teeth.from ?? 0.04
  const phase = (((t - from) / (1 - from)) * teeth.count) % 1
  return 1 - teeth.depth * (teeth.forward ? 1 - phase : Math.abs(phase - 0.5) * 2)
}

/** Side veins: 1 on a vein, 0 between them. They lean to the tip, or run along the leaf. */
function onVein(t: number, u: number, veins: NonNullable<Lamina['veins']>): number {
  const phase = veins.along ? Math.abs(u) * (veins.count + 0.5) : (t - 0.28 * Math.abs(u)) * veins.count
  const off = Math.abs(phase - Math.round(phase))
  return Math.max(0, 1 - off * 7)
}

/** How far along the leaf lobes of its foot are felt. */
const FOOT = 0.4

/** How far behind the stalk a point lies by the lobes of the foot, as a share of half the width. */
function behind(t: number, u: number, lobes: Lamina['lobes']): number {
  if (!lobes || t >= FOOT) return 0
  const reach = lobes.pointed ? Math.abs(u) : Math.sin(0.75 * Math.PI * Math.abs(u) ** 0.8)
  return lobes.back * reach * (1 - t / FOOT) ** 2
}

/** A broad leaf or leaflet along its spine: outline, teeth, fold, veins and marks, both faces. */
export function addLamina(to: MeshBuilder, spine: readonly Frame[], lamina: Lamina): void {
  if (to.full) return
  const {
    width,
    outline,
    teeth,
    notch = 0,
    fold = 0,
    veins,
    wave = 0,
    sweep = 0,
    lobes,
    mark,
    organ = 'leaf',
    gloss = [0.25, 0.15],
  } = lamina
  const [finest, widest] = lamina.fine ?? [teeth ? Math.min(72, Math.max(24, teeth.count * 4)) : 24, 13]
  const rows = Math.max(4, Math.round(finest * to.detail))
  const columns = Math.max(3, 2 * Math.round((widest * to.detail - 1) / 2) + 1)
  const share = (r: number) => r / (rows - 1)
  const thick = Math.max(THICK_MM, THICK_SHARE * width)
  const across = (c: number) => (c / (columns - 1)) * 2 - 1
  const [rise, wing] = [Math.sin(fold), Math.cos(fold)]
  const face = (lift: number, under = false): Grid => {
    const at = roomForGrid(rows, columns)
    for (let r = 0; r < rows; r++) {
      const t = share(r)
      // Where there is a notch the leaf ends before it has come to a point.
      const half = (width / 2) * Math.max(0, outline(notch > 0 ? 0.93 * t : t)) * toothed(t, teeth)
      const whole = frameAt(spine, t)
      for (let c = 0; c < columns; c++) {
        const u = across(under ? columns - 1 - c : c)
        // At the tip the middle falls back where there is a notch.
        const back = notch > 0 ? Math.max(0, (t - 0.8) / 0.2) * (notch * (1 - Math.abs(u)) ** 1.5 + 0.08 * u ** 4) : 0
        const f = back > 0 ? frameAt(spine, t - back) : whole
        const up =
          Math.abs(u) * half * rise +
          wave * u * u * Math.sin(t * 26 + (u > 0 ? 1.7 : 0)) -
          (veins ? veins.deep * onVein(t, u, veins) : 0) +
          lift
        const aft = sweep * half * u * u + behind(t, u, lobes) * (width / 2)
        put(at, r * columns + c, aft === 0 ? f : { ...f, at: add(f.at, times(f.along, -aft)) }, u * half * wing, up)
      }
    }
    return { at, rows, wide: columns }
  }
  const tint = (base: Lab, paler: number, marked: boolean) => (r: number, c: number) => {
    const [t, u] = [share(r), across(c)]
    const vein = veins ? onVein(t, u, veins) : 0
    const mid = Math.max(0, 1 - Math.abs(u) * 14)
    const plain = mixed(lighter(base, paler * vein * 0.7), [70, -16, 30], 0.55 * mid * (1 - 0.6 * t))
    return light(marked && mark ? mark(t, u, plain) : plain)
  }
  to.grid(face(thick / 2), { organ, gloss: gloss[0], colour: tint(lamina.upper, veins?.paler ?? 0, true) })
  if (lamina.thin) return
  const lower = tint(lamina.lower, (veins?.paler ?? 0) + 4, false)
  const look: Look = { organ, gloss: gloss[1], colour: (r, c) => lower(r, columns - 1 - c) }
  to.grid(face(-thick / 2, true), look)
}
