import { light, lighter, mixed } from './colours.ts'
import type { Lamina } from './lamina.ts'
import { type Grid, roomForGrid } from './grid.ts'
import type { Look, MeshBuilder } from './mesh.ts'
import { type Frame, put } from './spine.ts'
import { add, times } from './vec.ts'

/** A lobe that leaves the stalk's end: degrees off the middle, its length as a share, degrees to each side it fills. */
export type Lobe = readonly [degrees: number, share: number, half: number]

export interface Palmate extends Pick<Lamina, 'upper' | 'lower' | 'gloss'> {
  /** Millimetres from the stalk to the end of the middle lobe. */
  length: number
  lobes: readonly Lobe[]
  /** How far cuts between lobes go towards the stalk, 0 to 1. */
  cut: number
  /** 1: lobes run to a point; less: blunt. */
  point: number
  /** Teeth of each lobe, and their depth as a share of the length. */
  teeth?: { count: number; depth: number } | undefined
  /** Millimetres by which the edge bends down. */
  hang: number
}

const THICK_SHARE = 0.004
const RINGS = 6
const PER_LOBE = 12
/** A tooth is lost between corners that lie farther apart; its leaf is built of fewer rings instead. */
const PER_TOOTHED_LOBE = 24
const RINGS_TOOTHED = 4

/** How far the edge is from the stalk in a direction, as a share of the length. */
function edge(degrees: number, { lobes, cut, point, teeth }: Palmate): number {
  let far = 0
  for (const [at, share, half] of lobes) {
    const x = Math.abs(degrees - at) / half
    if (x > 1.25) continue
    const saw = teeth ? teeth.depth * (1 - Math.abs(((((x * teeth.count) % 1) + 1) % 1) - 0.5) * 2) : 0
    far = Math.max(far, share * (1 - cut * Math.min(1, x) ** (0.7 + 1.8 * (1 - point))) * (1 - saw))
  }
  return far
}

/** A leaf whose lobes and veins spread from the end of its stalk, in one piece. */
export function addPalmate(to: MeshBuilder, foot: Frame, leaf: Palmate): void {
  const { length, lobes, upper, lower, gloss = [0.25, 0.15], hang } = leaf
  const [least, most] = [Math.min(...lobes.map((l) => l[0] - l[2])), Math.max(...lobes.map((l) => l[0] + l[2]))]
  const rings = Math.round((leaf.teeth ? RINGS_TOOTHED : RINGS) * Math.max(1, to.detail))
  const columns = Math.max(
    9,
    Math.round(lobes.length * (leaf.teeth ? PER_TOOTHED_LOBE : PER_LOBE) * Math.max(0.75, to.detail)) + 1,
  )
  const thick = Math.max(0.2, THICK_SHARE * length)
  const degrees = (c: number) => least + ((most - least) * c) / (columns - 1)
  const lines = Array.from({ length: columns }, (_, c) => {
    const a = (degrees(c) * Math.PI) / 180
    const off = nearest(degrees(c), lobes)
    return {
      far: edge(degrees(c), leaf),
      right: Math.sin(a),
      ahead: Math.cos(a),
      off,
      pleat: Math.cos((off * Math.PI) / 2),
    }
  })
  const face = (lift: number, under = false): Grid => {
    const at = roomForGrid(rings, columns)
    for (let r = 0; r < rings; r++)
      for (let c = 0; c < columns; c++) {
        const line = lines[under ? columns - 1 - c : c]!
        const share = r / (rings - 1)
        const far = length * line.far * share
        const up = lift - hang * share * share - 0.02 * length * share * line.pleat
        const along = times(foot.along, far * line.ahead)
        put(at, r * columns + c, { ...foot, at: add(foot.at, along) }, far * line.right, up)
      }
    return { at, rows: rings, wide: columns }
  }
  const tint = (base: Lamina['upper'], paler: number) => (r: number, c: number) => {
    const vein = Math.max(0, 1 - lines[c]!.off * 7)
    return light(mixed(lighter(base, paler * vein), [70, -16, 30], 0.4 * vein * (1 - r / rings)))
  }
  const over = tint(upper, 5)
  const under = tint(lower, 8)
  // Columns go from left to right of the leaf, seen from above: that face looks up.
  to.grid(face(thick / 2), { organ: 'leaf', gloss: gloss[0], colour: over })
  const look: Look = { organ: 'leaf', gloss: gloss[1], colour: (r, c) => under(r, columns - 1 - c) }
  to.grid(face(-thick / 2, true), look)
}

/** How far a direction is from the middle of the nearest lobe, as a share of half that lobe. */
const nearest = (degrees: number, lobes: readonly Lobe[]): number =>
  Math.min(...lobes.map(([at, , half]) => Math.abs(degrees - at) / half))
