import type { Traits } from '../flora/traits.ts'
import { addLamina, oval } from './lamina.ts'
import type { FANS, Palm } from './leafLobes.ts'
import { type Foot, TEETH, coatOf } from './leafLook.ts'
import type { MeshBuilder } from './mesh.ts'
import { addPalmate } from './palmate.ts'
import { frameAt, grow, type Frame } from './spine.ts'
import { turned } from './vec.ts'

/** A part of a leaf as a leaf of its own: its foot on a rachis, and the way it points, in the plane of the leaf. */
export const partFoot = (f: Frame, degrees: number): Foot => ({
  at: f.at,
  along: turned(f.along, f.face, (-degrees * Math.PI) / 180),
  face: f.face,
})

/** How a whole leaf hangs, of which these are the parts; its length in millimetres. */
interface Hung {
  length: number
  traits: Traits
  droop: number
}

/** Leaflets that part from one point, as fingers do. */
export function addFan(
  to: MeshBuilder,
  spine: readonly Frame[],
  { parts, wide, widestAt }: (typeof FANS)[string],
  { length, traits, droop }: Hung,
): void {
  const { states, proportions = {} } = traits
  const teeth = TEETH[states['leaf.margin'] ?? '']
  for (const [degrees, share] of parts) {
    const f = partFoot(frameAt(spine, 0), degrees)
    const own = grow({ from: f.at, along: f.along, face: f.face, length: length * share, steps: 10, droop: droop * 0.7, floor: 0.6 }) // prettier-ignore
    addLamina(to, own, {
      ...coatOf(traits),
      width: length * share * (proportions.leafWide ?? wide),
      outline: oval(widestAt),
      fold: 0.1,
      ...(teeth ? { teeth } : {}),
      fine: [teeth ? Math.max(20, teeth.count * 4) : 20, 9],
    })
  }
}

/** A blade in one piece with lobes round its foot. */
export function addPalm(
  to: MeshBuilder,
  spine: readonly Frame[],
  { lobes: parts, cut, point }: Palm,
  { length, traits, droop }: Hung,
): void {
  const { states, proportions = {} } = traits
  const kind = TEETH[states['leaf.margin'] ?? '']
  addPalmate(to, frameAt(spine, 0), {
    ...coatOf(traits),
    // Lobes behind the stalk are part of the blade's length.
    length: length / (1 + 0.65 * Math.max(0, ...parts.map(([a, far]) => -Math.cos((a * Math.PI) / 180) * far))),
    lobes: parts,
    cut: proportions.cut ?? cut,
    point,
    teeth: kind && {
      count: Math.max(2, Math.round((proportions.teeth ?? kind.count) / 2)),
      depth: Math.min(0.16, kind.depth * 0.5),
    },
    hang: length * 0.12 * droop,
  })
}
