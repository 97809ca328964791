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

/** Depth of what lies across a leaflet, as a share of its length. */
const SMALL = 0.006

/** Leaflets that part from one point, as fingers do. */
export function addFan(
  to: MeshBuilder,
  spine: readonly Frame[],
  { parts, wide, widestAt }: (typeof FANS)[string],
  { length, traits, droop }: Hung,
): void {
  const { states, proportions = {} } = traits
  const teeth = TEETH[states['leaf.margin'] ?? '']
  const heart = states['leaflet.shape'] === 'heart'
  for (const [degrees, share] of parts) {
    const f = partFoot(frameAt(spine, 0), degrees)
    const own = grow({ from: f.at, along: f.along, face: f.face, length: length * share, steps: 10, droop: droop * 0.7, floor: 0.6 }) // prettier-ignore
    const coat = coatOf(traits)
    const long = length * share
    addLamina(to, own, {
      ...coat,
      // On a small leaflet veins and waves as deep as a big leaf's would read as teeth.
      ...(coat.veins ? { veins: { ...coat.veins, deep: Math.min(coat.veins.deep, SMALL * long) } } : {}),
      wave: Math.min(coat.wave ?? 0, SMALL * long),
      width: length * share * (proportions.leafWide ?? (heart ? 1.1 : wide)),
      outline: heart ? oval(0.7, 0.62) : oval(widestAt),
      // Hearts are folded along their middle.
      ...(heart ? { fold: 0.42, notch: 0.16 } : { fold: 0.1 }),
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
