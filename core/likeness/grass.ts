import type { Traits } from '../flora/traits.ts'
import { lighter, mixed, type Lab } from './colours.ts'
import { addFibres, addRoot, addRunner, round, type Random } from './ground.ts'
import { addCollar, addHairs } from './collar.ts'
import type { MeshBuilder } from './mesh.ts'
import { addBlade, addTube, tapers } from './ribbon.ts'
import { frameAt, grow, type Frame } from './spine.ts'
import { add, times, turned, unit, type Vec } from './vec.ts'
import { type GrassLook, lookOf, stanceOf } from './grassLook.ts'

/** A tuft of more is drawn with so many. */
const MOST_SHOOTS = 64

/** Where shoots stand, and how big each is. */
function tillers(
  { states, young, proportions }: Traits,
  look: GrassLook,
  random: Random,
): { foot: Vec; size: number; count: number }[] {
  if (young) return [{ foot: [0, 0, 1], size: 1, count: 1 }]
  const habit = states['habit'] ?? (states['rhizome.length'] === 'long' ? 'rhizome' : 'bunch')
  const many = Math.min(
    MOST_SHOOTS,
    Math.round(proportions?.shoots ?? (look.width < 1.2 ? 34 : look.width > 9 ? 6 : 12)),
  )
  if (habit === 'bunch' || habit === 'single-crown') return [{ foot: [0, 0, 1], size: 1, count: many }]
  const apart = 30 + look.width * 5
  return [-1, 0, 1, 2].map((k) => ({
    foot: [(k - 0.5) * apart + (random() - 0.5) * 8, 0, 1 + (k % 2)],
    size: k === 0 ? 1 : 0.62 + random() * 0.3,
    count: k === 0 ? Math.ceil(many * 0.5) : Math.ceil(many * 0.25),
  }))
}

/** How high the mower or the mouth went, millimetres: above the collar, which is still there to be looked at. */
const CUT_ABOVE_COLLAR = 28

function cutAt(spine: Frame[], high: number): { spine: Frame[]; cut: boolean } {
  const i = spine.findIndex((f) => f.at[1] > high)
  return i < 2 ? { spine, cut: false } : { spine: spine.slice(0, i + 1), cut: true }
}

/** One shoot: sheath, collar, blades in two ranks, the newest in the middle. */
function addShoot(
  to: MeshBuilder,
  traits: Traits,
  look: GrassLook,
  { foot, lean, around, size }: { foot: Vec; lean: number; around: number; size: number },
  random: Random,
): void {
  const { states, mown } = traits
  const stance = stanceOf(traits, look.width)
  const out: Vec = [Math.sin(around), 0, Math.cos(around)]
  const away = unit(add(times(out, Math.sin(lean)), [0, Math.cos(lean), 0]))
  const sheathLong = round(random, look.sheathLong * size, 0.16)
  const sheath = grow({
    from: foot,
    along: away,
    face: out,
    length: sheathLong,
    steps: 12,
    droop: -stance.rise * Math.min(1, lean / Math.max(0.1, stance.lean)),
  })
  const swell = states['base.form'] === 'swollen-bulb' ? 1.3 : states['base.form'] === 'club-shaped' ? 0.7 : 0
  const pinkVeins = states['base.colour'] === 'pink-veined'
  addTube(to, sheath, {
    organ: 'sheath',
    section: look.section,
    sides: 14,
    radius: (t) =>
      look.radius * Math.sqrt(size) * (1.18 - 0.25 * t) * (1 + swell * Math.exp(-(((t - 0.07) / 0.09) ** 2))),
    colour: (t, a) => {
      const low = Math.max(0, 1 - t / 0.26)
      const stem = lighter(look.green, 5 + 2.5 * Math.cos(a * 9))
      const based = mixed(stem, look.base, Math.min(1, low * 1.6))
      return pinkVeins && low > 0.2 && Math.cos(a * 7) > 0.75 ? [46, 34, 6] : based
    },
    gloss: 0.25,
  })
  addHairs(to, sheath, states['sheath.hairs'], look.radius, random)
  const leaves = traits.young ? 2 : look.width < 1.2 ? 2 : 3
  for (let k = 0; k < leaves; k++) {
    const newest = k === leaves - 1
    const collar = frameAt(sheath, newest ? 1 : 0.62 + 0.3 * (k / leaves))
    // Leaves stand in two ranks: each on the other side from the one before.
    const rank: Vec = turned(collar.face, collar.along, k % 2 ? Math.PI : 0)
    const leave = newest ? stance.leave * 0.22 : round(random, stance.leave, 0.25)
    const dir = unit(add(times(collar.along, Math.cos(leave)), times(rank, Math.sin(leave))))
    const whole = grow({
      from: add(collar.at, times(rank, look.radius * 0.7)),
      along: dir,
      face: turned(collar.along, [0, 1, 0], 0),
      length: round(random, look.long * size * (newest ? 0.72 : 1 - 0.1 * k), 0.14),
      steps: Math.max(look.width < 1.2 ? 10 : 12, Math.round((look.width < 1.2 ? 16 : 26) * to.detail)),
      droop: newest ? stance.fall * 0.3 : round(random, stance.fall, 0.3),
      late: 0.7,
      twist: (random() - 0.5) * (look.width < 4 ? 1.6 : 0.7),
      floor: 1,
    })
    const { spine, cut } = mown ? cutAt(whole, collar.at[1] + CUT_ABOVE_COLLAR) : { spine: whole, cut: false }
    // No two blades of a tuft have quite the same green; the lowest are the oldest.
    const shade = (random() - 0.5) * 7
    const aged = (green: Lab): Lab => mixed(lighter(green, shade), [64, -14, 42], newest ? 0 : 0.1 * random())
    addBlade(to, spine, {
      ...look.blade,
      upper: aged(look.blade.upper),
      lower: aged(look.blade.lower),
      width: look.width * (newest ? 0.85 : 1) * Math.sqrt(size),
      ...(cut ? { taper: tapers['cut']! } : {}),
    })
    addCollar(to, spine[0]!, collar, traits, look.width, random)
  }
}

/** A grass, sedge or rush as it stands, from its traits. */
export function addGrass(to: MeshBuilder, traits: Traits, random: Random): void {
  const look = lookOf(traits)
  const stance = stanceOf(traits, look.width)
  const places = tillers(traits, look, random)
  for (const { foot, size, count } of places) {
    for (let i = 0; i < count; i++) {
      const around = 2.4 * i + random() * 0.7
      const out = count === 1 ? 0 : Math.sqrt((i + 0.5) / count)
      const spread = look.radius * 1.3 * Math.sqrt(count) * out
      addShoot(
        to,
        traits,
        look,
        {
          foot: add(foot, [Math.sin(around) * spread, 0, Math.cos(around) * spread * 0.8]),
          lean: count === 1 ? 0.04 : stance.lean * (0.25 + 0.75 * out) + random() * 0.12,
          around,
          size: size * (1 - 0.22 * out * random()),
        },
        random,
      )
    }
    if (places.length > 1) addFibres(to, foot, 7, 34, traits, random)
  }
  if (places.length === 1)
    addRoot(
      to,
      { ...traits, states: { ...traits.states, 'root.kind': traits.states['root.kind'] ?? 'fibrous' } },
      traits.young ? 34 : 70,
      random,
    )
  const [first, last] = [places[0]!.foot, places.at(-1)!.foot]
  const habit = traits.states['habit'] ?? ''
  if (places.length > 1 && (habit.includes('rhizome') || traits.states['rhizome.length'] === 'long'))
    addRunner(to, {
      from: [first[0] - 20, -14, 1.5],
      toward: [1, 0.02, 0],
      long: last[0] - first[0] + 50,
      below: true,
      traits,
      random,
    })
  if (places.length > 1 && habit.includes('stolon'))
    addRunner(to, {
      from: [first[0] - 10, 2, 3],
      toward: [1, 0, 0.02],
      long: last[0] - first[0] + 55,
      below: false,
      traits,
      random,
    })
}

/** Round leafless stems in a tuft, brown at their foot. */
export function addRush(to: MeshBuilder, traits: Traits, random: Random): void {
  const high = traits.proportions?.stemMm ?? 380
  const many = Math.min(MOST_SHOOTS, Math.round(traits.proportions?.shoots ?? 22))
  const thick = Math.min(1.25, 0.35 + high / 420)
  const green: Lab = traits.tints?.upper ?? [42, -22, 26]
  for (let i = 0; i < many; i++) {
    const around = 2.4 * i
    const out = Math.sqrt(i / many)
    const spine = grow({
      from: [Math.sin(around) * out * 14, 0, Math.cos(around) * out * 10 + 1],
      along: [Math.sin(around) * out * 0.28, 1, Math.cos(around) * out * 0.2],
      length: round(random, high, 0.22),
      steps: 16,
      droop: round(random, 0.12, 0.8),
    })
    addTube(to, spine, {
      organ: 'stem',
      radius: (t) => thick * (1 - t) ** 0.35 + 0.05,
      colour: (t, a) =>
        mixed(
          lighter(green, 2 * Math.cos(a * 12)),
          t < 0.09 ? (traits.tints?.base ?? [30, 16, 14]) : lighter(green, 6),
          t < 0.09 ? 1 : t * 0.5,
        ),
      sides: 9,
      gloss: 0.35,
    })
  }
  addRoot(to, { ...traits, states: { ...traits.states, 'root.kind': 'fibrous' } }, 70, random)
}
