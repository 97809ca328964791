import type { Traits } from '../flora/traits.ts'
import { mixed } from './colours.ts'
import { round, type Random } from './ground.ts'
import { addLamina, oval, type Lamina, type Outline } from './lamina.ts'
import type { MeshBuilder } from './mesh.ts'
import { addTube } from './ribbon.ts'
import { stamps } from './stamp.ts'
import { frameAt, grow } from './spine.ts'
import { type Foot, SIMPLE, TEETH, lobed, coatOf, fuzz, spineAtTip, spines } from './leafLook.ts'
import { addFan, addPalm, partFoot } from './leafFans.ts'
import { FANS, PALMS, ROUNDED } from './leafLobes.ts'

export interface Grown {
  foot: Foot
  length: number
  traits: Traits
  random: Random
  droop?: number
  /** How finely it is built: a small part of a cut leaf needs few corners. */
  depth?: number
}

/** Outline of the leaflets of a paired leaf. */
const LEAFLET = 'egg-widest-middle'

/** How far the lobes of a heart reach behind its stalk where nothing is on file, as a share of half its width. From memory. */
const HEART = 0.45

/** How much of the room along the middle of a feathery leaf each of its feathers fills. */
const FEATHER = 1.15

/** How wide the last parts of a feathery leaf are for their length: threads where it is wholly cut. */
const segmentWide = (cut = 0.25) => 0.25 + 0.6 * (1 - cut)

/** Millimetres under which a part of a leaf is drawn uncut. */
const SMALLEST_CUT = 14
/** Millimetres under which a whole leaf is built more coarsely: a stem has many of them. */
const SMALL_LEAF = 32
const TINY_LEAF = 20

/** A broad leaf's blade, whole or cut, from its foot. */
export function addLeafBlade(to: MeshBuilder, grown: Grown): void {
  const { foot, length, traits, random, droop = 0.5, depth = 0 } = grown
  const { states, proportions = {} } = traits
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
    const kind = TEETH[states['leaf.margin'] ?? '']
    const teeth =
      kind && states['leaf.margin'] !== 'lobe-ends'
        ? {
            ...kind,
            count: Math.round(proportions.teeth ?? kind.count),
            depth: outline === 'lobed' ? kind.depth : (proportions.cut ?? kind.depth),
          }
        : kind
    addLamina(to, spine, {
      ...coat,
      width,
      outline: shape,
      fold: 0.14,
      ...(teeth && depth < 2 ? { teeth } : {}),
      ...(depth > 1 ? { thin: true } : {}),
      // Leaves with spines are never flat.
      wave: states['leaf.margin'] === 'spiny' && depth === 0 ? width * 0.09 : Math.min(coat.wave ?? 0, width * 0.05),
      ...(depth === 0 && proportions.sweep !== undefined ? { sweep: proportions.sweep } : {}),
      ...(depth === 0 && length < SMALL_LEAF
        ? {
            fine: [
              teeth ? Math.min(40, teeth.count * 4) : length < TINY_LEAF ? 8 : 12,
              length < TINY_LEAF ? 5 : 7,
            ] as const,
          }
        : {}),
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
  const leafOf = (name: string, wide?: number): Traits => ({
    ...traits,
    // Leaflets have their own proportions on file, other parts of a leaf those of such parts.
    proportions:
      name === LEAFLET
        ? proportions
        : wide === undefined
          ? {}
          : { leafWide: wide, ...(proportions.cut === undefined ? {} : { cut: proportions.cut }) },
    states: {
      ...states,
      'leaf.outline': name,
      'leaf.margin': name === 'wedge' ? 'lobe-ends' : name === LEAFLET ? (states['leaf.margin'] ?? 'entire') : 'entire',
      'leaf.mark': 'none',
    },
  })
  const pairs = (
    count: number,
    from: number,
    degrees: number,
    share: (t: number) => number,
    name: string,
    wide?: number,
  ) => {
    const many = Math.max(Math.min(3, count), Math.round(count * Math.min(1, to.detail + 0.25)))
    const longest = Math.max(...[0, 0.25, 0.5, 0.75].map((x) => share(from + (1 - from) * x)))
    const part = stamps(
      to,
      length * longest,
      (one, place) =>
        addLeafBlade(one, { ...place, traits: leafOf(name, wide), random, droop: droop * 0.5, depth: depth + 1 }),
      random,
      2,
    )
    for (let i = 0; i < many; i++) {
      const t = from + ((1 - from) * i) / many
      for (const s of [-1, 1])
        part(to, { foot: partFoot(frameAt(spine, t), s * degrees), length: round(random, length * share(t), 0.06) })
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
  const lobes = Math.round(proportions.lobes ?? 5)
  const hung = { length, traits, droop }
  /** Length of the longest lobe for that of the leaf, so that it comes out as wide as it is said to be. */
  const reach = (usual: number) =>
    proportions.leafWide === undefined ? usual : proportions.leafWide / 2 / Math.sin(1.05)
  /** Each lobe of two, one to the side and one to the tip, and each with its spine. */
  const thistle = (wide: number, body: number) => {
    simple(body, oval(0.6, 0.5), { fine: [16, 5] })
    const far = (t: number) => wide * Math.sin(Math.PI * Math.min(1, 0.24 + t * 0.7))
    pairs(lobes, 0.14, 74, far, 'barbed')
    pairs(lobes, 0.17, 40, (t) => 0.8 * far(t), 'barbed')
    end(wide * 0.9, 'barbed')
  }
  switch (outline) {
    case 'lobed':
      if (states['leaf.margin'] === 'spiny')
        return thistle(reach(0.2), (proportions.leafWide ?? 0.34) * (1 - 0.55 * (proportions.cut ?? 0.72)))
      return simple(
        proportions.leafWide ?? 0.34,
        lobed(lobes, proportions.cut ?? 0.72, oval(0.66, 0.7), ROUNDED.has(states['leaf.margin'] ?? 'entire')),
        {
          fine: [Math.max(30, lobes * 10), 9],
        },
      )
    case 'pinnate-cut': {
      rib(length * (depth > 0 ? 0.018 : 0.012))
      if (depth > 0) {
        pairs(6, 0.1, 52, (t) => 0.34 * Math.sin(Math.PI * Math.min(1, 0.3 + t * 0.7)), 'segment')
        return end(0.26, 'narrow-lance')
      }
      const lobe = (proportions.barb ?? 0) > 0.5 ? 'pointed' : 'wedge'
      // A wing along the middle, lobes that widen to ragged ends, the last one the broadest.
      const wide = reach(0.27)
      if (states['leaf.margin'] === 'spiny') return thistle(wide, 0.16 + 0.25 * (1 - (proportions.cut ?? 1)))
      simple(0.13 + 0.25 * (1 - (proportions.cut ?? 1)), oval(0.6), { fine: [16, 5] })
      pairs(lobes, 0.2, 62, (t) => wide * Math.sin(Math.PI * Math.min(1, 0.2 + t * 0.72)), lobe)
      return end(wide * 1.1, lobe)
    }
    case 'fern-like': {
      const wide = reach(0.34)
      rib(length * 0.01)
      pairs(
        depth === 0 ? Math.round(proportions.lobes ?? 9) : 4,
        0.2,
        62,
        (t) => (depth === 0 ? wide : 0.34) * (1.05 - t),
        depth === 0 ? 'pinnate-cut' : 'narrow-lance',
      )
      return end(0.12, 'narrow-lance')
    }
    case 'feathery': {
      const wide = reach(depth === 0 ? 0.36 : 0.2)
      const count = depth === 0 ? Math.round(proportions.lobes ?? 8) : 7
      rib(length * 0.008)
      pairs(
        count,
        0.16,
        55,
        (t) => wide * Math.sin(Math.PI * Math.min(1, 0.3 + t * 0.7)),
        depth === 0 ? 'feathery' : 'segment',
        // Feathers that stand side by side touch and do not cross.
        depth === 0 ? (FEATHER * 0.84) / count / wide : segmentWide(proportions.cut),
      )
      return end(depth === 0 ? 0.18 : 0.12, depth === 0 ? 'feathery' : 'segment')
    }
    case 'paired-leaflets': {
      const each = proportions.leaflet ?? Math.min(0.4, Math.max(0.12, 1.15 / (lobes + 1)))
      rib(length * 0.01)
      pairs(lobes, 0.22, 66, () => each, LEAFLET)
      return end(each, LEAFLET)
    }
    case 'three-to-five-lobed':
    case 'palmate-cut':
    case 'round-kidney':
      return addPalm(to, spine, PALMS[outline]!, hung)
    case 'fingered':
    case 'three-leaflets': {
      return addFan(to, spine, FANS[outline]!, hung)
    }
    case 'heart-or-arrow': {
      const { wide, outline: shape } = SIMPLE[(proportions.barb ?? 0) > 1.5 ? 'halberd' : outline]!
      const lobes = { back: proportions.foot ?? HEART, pointed: (proportions.barb ?? 0) > 0.5 }
      return simple(proportions.leafWide ?? wide, shape, { lobes })
    }
    case 'barbed':
      simple(SIMPLE.barbed!.wide, SIMPLE.barbed!.outline)
      return spineAtTip(to, spine, traits)
    default: {
      const known = SIMPLE[outline] ?? SIMPLE['egg-widest-middle']!
      return simple(proportions.leafWide ?? known.wide, known.outline)
    }
  }
}
