import { mixed, PALE_MARK, PURPLE } from './colours.ts'
import { round, type Random } from './ground.ts'
import { addLamina, oval, type Lamina, type Outline } from './lamina.ts'
import type { MeshBuilder } from './mesh.ts'
import { hash } from './noise.ts'
import { addTube } from './ribbon.ts'
import { frameAt, grow, type Frame } from './spine.ts'
import { add, times, turned, unit, type Vec } from './vec.ts'
import { type Foot, coatOf, fuzz } from './leafLook.ts'
import { partFoot } from './leafFans.ts'
import type { Grown } from './leaves.ts'
import { shaded } from './stalkedLeaf.ts'
import type { Stamp } from './stamp.ts'

const LEAFLETS: Record<string, { wide: number; outline: Outline; notch?: number }> = {
  round: { wide: 0.94, outline: oval(0.5, 0.6) },
  heart: { wide: 1, outline: oval(0.66, 0.62), notch: 0.14 },
  egg: { wide: 0.68, outline: oval(0.55, 0.66) },
  'oblong-pointed': { wide: 0.42, outline: (t) => Math.min(1, 3.2 * t ** 0.7) * Math.min(1, 2.6 * (1 - t) ** 0.9) },
  teardrop: { wide: 0.58, outline: oval(0.74, 0.7) },
  narrow: { wide: 0.24, outline: oval(0.5) },
}

const LEAFLET_TEETH: Record<string, NonNullable<Lamina['teeth']>> = {
  'fine-all-round': { count: 16, depth: 0.07, forward: true },
  'strong-all-round': { count: 9, depth: 0.18, forward: true },
  'tip-third-only': { count: 8, depth: 0.16, from: 0.66, forward: true },
  'upper-half': { count: 9, depth: 0.14, from: 0.5, forward: true },
}

/** One leaflet of a clover, medic or vetch. */
export function addLeaflet(to: MeshBuilder, { foot, length, traits: usual, random }: Grown): void {
  const traits = shaded(usual, random)
  const { states } = traits
  const shape = LEAFLETS[states['leaflet.shape'] ?? 'egg'] ?? LEAFLETS['egg']!
  const coat = coatOf(traits)
  const spine = grow({
    from: foot.at,
    along: foot.along,
    face: foot.face,
    length,
    steps: 10,
    droop: 0.25,
    late: 0.5,
    floor: 0.6,
  })
  const marked = states['leaflet.mark']
  const v = (t: number, u: number) => Math.abs(t - 0.62 + 0.24 * Math.abs(u)) < 0.075
  const fleck = (t: number, u: number) => hash(Math.round(t * 13), Math.round(u * 7)) > 0.84
  const pale = marked === 'pale-v' || marked === 'pale-v-and-flecks'
  const dark = marked === 'dark-flecks' || marked === 'pale-v-and-flecks'
  const mark: Lamina['mark'] = (t, u, c) =>
    pale && v(t, u) ? mixed(c, PALE_MARK, 0.85) : dark && fleck(t, u) ? mixed(c, PURPLE, 0.75) : c
  const teeth = LEAFLET_TEETH[states['leaflet.margin'] ?? '']
  const notch = states['leaflet.tip'] === 'notched' ? Math.max(0.09, shape.notch ?? 0) : (shape.notch ?? 0)
  const small = length < 9 || states['leaf.plan']?.startsWith('many') === true
  addLamina(to, spine, {
    ...coat,
    width: length * shape.wide,
    outline: shape.outline,
    fold: 0.2,
    notch,
    mark,
    wave: 0,
    veins: {
      count: states['leaflet.veins'] === 'strong-parallel' ? 13 : 9,
      paler: states['leaflet.veins'] === 'strong-parallel' ? 8 : 3,
      deep: 0.05,
    },
    ...(teeth && !small ? { teeth } : {}),
    fine: small ? [9, 5] : [teeth ? Math.min(48, Math.max(20, teeth.count * 3)) : 20, 11],
  })
  if (states['leaflet.tip'] === 'tiny-point')
    addTube(to, grow({ from: frameAt(spine, 0.99).at, along: spine.at(-1)!.along, length: length * 0.07, steps: 2 }), {
      organ: 'leaf',
      radius: (t) => 0.2 * (1 - t) + 0.02,
      colour: () => coat.upper,
      sides: 4,
    })
  if (!small) fuzz(to, spine, (t) => ((length * shape.wide) / 2) * shape.outline(t), traits, random)
}

/** A compound leaf on its stalk. */
export function addCompound(
  to: MeshBuilder,
  { foot, length, traits, random, stalk, leaflet }: Omit<Grown, 'droop' | 'depth'> & { stalk: number; leaflet: Stamp },
): void {
  const plan = traits.states['leaf.plan'] ?? 'three-palmate'
  const many = plan.startsWith('many')
  const spine = grow({
    from: foot.at,
    along: foot.along,
    face: foot.face,
    length: stalk,
    steps: 12,
    droop: round(random, many ? 0.6 : 0.15, 0.5),
    floor: 1.2,
  })
  addTube(to, spine, {
    organ: 'leaf',
    radius: () => Math.max(0.35, length * 0.028),
    colour: () => (traits.states['petiole.marks'] === 'red-tinged' ? [46, 16, 18] : [52, -24, 32]),
    sides: 7,
  })
  const top = spine.at(-1)!
  // Leaflets of a clover lie across the end of their stalk, their faces to the sky.
  const level: Frame = many
    ? top
    : { ...top, along: unit(add(times(top.along, 0.25), horizontal(top, random))), face: [0, 1, 0], side: top.side }
  const at = (f: Foot, degrees: number, long = length, lift = 0): void => {
    const dir = turned(unit([f.along[0], f.along[1] * 0.3, f.along[2]]), [0, 1, 0], (-degrees * Math.PI) / 180)
    leaflet(to, {
      foot: { at: f.at, along: unit(add(dir, [0, lift, 0])), face: [0, 1, 0] },
      length: round(random, long, 0.06),
    })
  }
  if (many) {
    const pairs = 6
    for (let i = 0; i < pairs; i++)
      for (const s of [-1, 1])
        leaflet(to, {
          foot: partFoot(frameAt(spine, 0.28 + (0.7 * i) / (pairs - 1)), s * 68),
          length: round(random, length, 0.08),
        })
    if (plan === 'many-no-tendril') return leaflet(to, { foot: top, length })
    for (const s of [-1, 1])
      addTube(
        to,
        grow({
          from: top.at,
          along: turned(top.along, top.face, s * 0.4),
          length: stalk * 0.4,
          steps: 14,
          droop: s * 2.6,
          twist: s * 5,
        }),
        { organ: 'leaf', radius: () => 0.22, colour: () => [56, -22, 34], sides: 5 },
      )
    return
  }
  if (plan === 'fingers') return [-140, -105, -70, -35, 0, 35, 70, 105, 140].forEach((d) => at(level, d, length, 0.25))
  if (plan === 'five') [-74, 74].forEach((d) => at({ ...level, at: frameAt(spine, 0.06).at }, d, length * 0.72))
  if (plan === 'three-pinnate') {
    const tip = grow({ from: top.at, along: level.along, face: [0, 1, 0], length: length * 0.3, steps: 3 })
    addTube(to, tip, { organ: 'leaf', radius: () => 0.35, colour: () => [52, -24, 32], sides: 6 })
    at(level, -72)
    at(level, 72)
    return at({ ...tip.at(-1)! }, 0)
  }
  for (const d of [-112, 112, 0]) at(level, d, length, 0.14)
}

/** A level direction that a stalk's leaf looks to. */
function horizontal(top: Frame, random: Random): Vec {
  const flat = Math.hypot(top.along[0], top.along[2])
  if (flat > 0.12) return [top.along[0] / flat, 0, top.along[2] / flat]
  const a = random() * Math.PI * 2
  return [Math.cos(a), 0, Math.sin(a)]
}
