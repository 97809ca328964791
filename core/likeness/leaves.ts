import type { Traits } from '../flora/traits.ts'
import { mixed } from './colours.ts'
import { round, type Random } from './ground.ts'
import { addLamina, oval, type Lamina, type Outline } from './lamina.ts'
import type { MeshBuilder } from './mesh.ts'
import { addTube } from './ribbon.ts'
import { frameAt, grow, type Frame } from './spine.ts'
import { turned } from './vec.ts'
import { type Foot, SIMPLE, TEETH, lobed, coatOf, fuzz, spines } from './leafLook.ts'

/** A part of a leaf as a leaf of its own: its foot on a rachis, and the way it points, in the plane of the leaf. */
export const partFoot = (f: Frame, degrees: number): Foot => ({
  at: f.at,
  along: turned(f.along, f.face, (-degrees * Math.PI) / 180),
  face: f.face,
})

export interface Grown {
  foot: Foot
  length: number
  traits: Traits
  random: Random
  droop?: number
  /** How finely it is built: a small part of a cut leaf needs few corners. */
  depth?: number
}

/** Millimetres under which a part of a leaf is drawn uncut. */
const SMALLEST_CUT = 14

/** A broad leaf's blade, whole or cut, from its foot. */
export function addLeafBlade(to: MeshBuilder, grown: Grown): void {
  const { foot, length, traits, random, droop = 0.5, depth = 0 } = grown
  const { states } = traits
  const coded = states['leaf.outline'] ?? 'egg-widest-middle'
  // A part so small shows no cuts of its own.
  const outline = depth > 0 && length < SMALLEST_CUT && !(coded in SIMPLE) ? 'linear' : coded
  const coat = coatOf(traits)
  const spine = grow({
    from: foot.at,
    along: foot.along,
    face: foot.face,
    length,
    steps: 14,
    droop: round(random, droop, 0.3),
    late: 0.6,
    floor: 0.6,
  })
  const simple = (wide: number, shape: Outline, more: Partial<Lamina> = {}) => {
    const width = length * wide
    const teeth = TEETH[states['leaf.margin'] ?? '']
    addLamina(to, spine, {
      ...coat,
      width,
      outline: shape,
      fold: 0.14,
      ...(teeth && (depth === 0 || states['leaf.margin'] === 'lobe-ends') ? { teeth } : {}),
      ...(depth > 1 ? { thin: true } : {}),
      ...(depth > 0 ? { fine: depth > 1 ? ([6, 3] as const) : teeth ? ([18, 7] as const) : ([10, 5] as const) } : {}),
      ...more,
    })
    if (depth === 0) {
      const half = (t: number) => (width / 2) * shape(t)
      fuzz(to, spine, half, traits, random)
      spines(to, spine, half, traits)
    }
  }
  const rib = (thick: number) =>
    addTube(to, spine, {
      organ: 'leaf',
      radius: (t) => thick * (1 - 0.7 * t),
      colour: () => mixed(coat.upper, [72, -12, 30], 0.5),
      sides: 6,
    })
  const leafOf = (name: string): Traits => ({
    ...traits,
    states: {
      ...states,
      'leaf.outline': name,
      'leaf.margin': name === 'wedge' ? 'lobe-ends' : 'entire',
      'leaf.mark': 'none',
    },
  })
  const pairs = (count: number, from: number, degrees: number, share: (t: number) => number, name: string) => {
    const many = Math.max(3, Math.round(count * Math.min(1, to.detail + 0.25)))
    for (let i = 0; i < many; i++) {
      const t = from + ((1 - from) * i) / many
      for (const s of [-1, 1])
        addLeafBlade(to, {
          foot: partFoot(frameAt(spine, t), s * degrees),
          length: round(random, length * share(t), 0.06),
          traits: leafOf(name),
          random,
          droop: droop * 0.5,
          depth: depth + 1,
        })
    }
  }
  const end = (share: number, name: string) =>
    addLeafBlade(to, {
      foot: frameAt(spine, 0.97),
      length: length * share,
      traits: leafOf(name),
      random,
      droop: 0.2,
      depth: depth + 1,
    })
  const fan = (parts: readonly [degrees: number, share: number][], wide: number, shape: Outline, cut: boolean) => {
    for (const [degrees, share] of parts) {
      const f = partFoot(frameAt(spine, 0), degrees)
      const own = grow({
        from: f.at,
        along: f.along,
        face: f.face,
        length: length * share,
        steps: 10,
        droop: droop * 0.7,
        floor: 0.6,
      })
      const teeth = TEETH[states['leaf.margin'] ?? ''] ?? (cut ? { count: 3, depth: 0.4 } : undefined)
      addLamina(to, own, {
        ...coat,
        width: length * share * wide,
        outline: shape,
        fold: 0.1,
        ...(teeth ? { teeth } : {}),
        fine: [teeth ? Math.max(20, teeth.count * 4) : 20, 9],
      })
    }
  }
  switch (outline) {
    case 'lobed':
      return simple(0.34, lobed(5, 0.72, oval(0.66, 0.7)), { fine: [52, 9] })
    case 'pinnate-cut':
      rib(length * 0.012)
      if (depth > 0) {
        pairs(5, 0.18, 58, (t) => 0.3 * Math.sin(Math.PI * Math.min(1, 0.25 + t * 0.75)), 'linear')
        return end(0.26, 'narrow-lance')
      }
      // A wing along the middle, lobes that widen to ragged ends, the last one the broadest.
      simple(0.13, oval(0.6), { fine: [16, 5] })
      pairs(5, 0.2, 62, (t) => 0.27 * Math.sin(Math.PI * Math.min(1, 0.2 + t * 0.72)), 'wedge')
      return end(0.3, 'wedge')
    case 'fern-like':
      rib(length * 0.01)
      pairs(depth === 0 ? 9 : 4, 0.2, 62, (t) => 0.34 * (1.05 - t), depth === 0 ? 'pinnate-cut' : 'narrow-lance')
      return end(0.12, 'narrow-lance')
    case 'feathery':
      rib(length * 0.008)
      pairs(
        depth === 0 ? 8 : 5,
        0.16,
        55,
        (t) => (depth === 0 ? 0.36 : 0.3) * Math.sin(Math.PI * Math.min(1, 0.3 + t * 0.7)),
        depth === 0 ? 'feathery' : 'linear',
      )
      return end(0.12, 'linear')
    case 'paired-leaflets':
      rib(length * 0.01)
      pairs(5, 0.22, 66, () => 0.24, 'egg-widest-middle')
      return end(0.24, 'egg-widest-middle')
    case 'three-to-five-lobed':
      return fan(
        [
          [-78, 0.6],
          [78, 0.6],
          [-40, 0.86],
          [40, 0.86],
          [0, 1],
        ],
        0.66,
        oval(0.55),
        false,
      )
    case 'palmate-cut':
      return fan(
        [
          [-100, 0.6],
          [100, 0.6],
          [-62, 0.84],
          [62, 0.84],
          [-28, 0.96],
          [28, 0.96],
          [0, 1],
        ],
        0.3,
        oval(0.62),
        true,
      )
    case 'fingered':
      return fan(
        [
          [-88, 0.72],
          [88, 0.72],
          [-44, 0.92],
          [44, 0.92],
          [0, 1],
        ],
        0.34,
        oval(0.6),
        false,
      )
    case 'three-leaflets':
      return fan(
        [
          [-70, 0.86],
          [70, 0.86],
          [0, 1],
        ],
        0.72,
        oval(0.52),
        false,
      )
    default: {
      const known = SIMPLE[outline] ?? SIMPLE['egg-widest-middle']!
      return simple(known.wide, known.outline)
    }
  }
}
