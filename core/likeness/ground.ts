import type { Traits } from '../flora/traits.ts'
import { light, lighter, PALE_ROOT, roots as rootColours, SOIL, STRAW, type Lab } from './colours.ts'
import type { MeshBuilder } from './mesh.ts'
import { hash, spots } from './noise.ts'
import { addTube } from './ribbon.ts'
import { frameAt, grow } from './spine.ts'
import type { Vec } from './vec.ts'

export type Random = () => number
/** A number round a middle, even over so much to each side as a share of it. */
export const round = (random: Random, middle: number, share: number): number =>
  middle * (1 + (random() * 2 - 1) * share)

/** A block of soil behind the plant, cut straight down in front so that what is below can be seen. */
export function addSoil(to: MeshBuilder, half: number, deep: number): void {
  const n = 26
  const at = (k: number) => (k / n) * 2 - 1
  const bump = (x: number, z: number) => half * 0.035 * (spots((x / half) * 4 + 9, (z / half) * 4) - 0.5)
  const crumbs = (r: number, c: number, base: Lab) => light(lighter(base, (hash(r, c, 3) - 0.5) * 9))
  to.sheet(
    Array.from({ length: n / 2 + 1 }, (_, r) =>
      Array.from({ length: n + 1 }, (_u, c): Vec => {
        const [x, z] = [at(c) * half, -((r / (n / 2)) * half)]
        return [x, bump(x, z), z]
      }),
    ),
    { organ: 'soil', gloss: 0, colour: (r, c) => crumbs(r, c, SOIL) },
  )
  to.sheet(
    Array.from({ length: 15 }, (_, r) =>
      Array.from({ length: n + 1 }, (_u, c): Vec => {
        const x = at(c) * half
        const y = -deep + (deep * r) / 14
        return [x, r === 14 ? bump(x, 0) : y, r === 14 ? 0 : half * 0.02 * (hash(r, c) - 0.5)]
      }),
    ),
    { organ: 'soil', gloss: 0, colour: (r, c) => crumbs(r + 40, c, lighter(SOIL, -4 + (r - 7) * 0.7)) },
  )
}

const colourOf = ({ states }: Traits): Lab => rootColours[states['root.colour'] ?? 'pale'] ?? PALE_ROOT

/** A thin root that wanders down in front of the cut. */
function addFibre(
  to: MeshBuilder,
  from: Vec,
  away: Vec,
  long: number,
  thick: number,
  colour: Lab,
  random: Random,
): void {
  const spine = grow({ from, along: away, length: long, steps: 9, droop: round(random, 0.9, 0.6), twist: random() * 3 })
  addTube(to, spine, { organ: 'root', radius: (t) => thick * (1 - 0.8 * t) + 0.05, colour: () => colour, sides: 5 })
}

/** A tuft of fine roots under a place. */
export function addFibres(
  to: MeshBuilder,
  at: Vec,
  count: number,
  long: number,
  traits: Traits,
  random: Random,
  thick = 0.35,
): void {
  const colour = colourOf(traits)
  for (let i = 0; i < count; i++) {
    const a = ((i + random()) / count - 0.5) * Math.PI * 0.9
    addFibre(
      to,
      at,
      [Math.sin(a), -Math.cos(a) - 0.35, 0.12 + random() * 0.25],
      round(random, long, 0.45),
      thick,
      lighter(colour, (random() - 0.5) * 10),
      random,
    )
  }
}

/** Taproot, tubers, bulb, creeping or fibrous root under a crown. */
export function addRoot(to: MeshBuilder, traits: Traits, size: number, random: Random): void {
  const colour = colourOf(traits)
  const kind = traits.states['root.kind'] ?? 'fibrous'
  const foot: Vec = [0, 0.5, 0.6]
  if (kind === 'fibrous') return addFibres(to, foot, 18, size * 0.9, traits, random)
  if (kind === 'taproot') {
    const long = size * (traits.young ? 0.8 : 1.3)
    const thick = long * (traits.young ? 0.018 : 0.045)
    const spine = grow({ from: foot, along: [0.03, -1, 0.04], length: long, steps: 16, droop: 0.05 })
    addTube(to, spine, {
      organ: 'root',
      radius: (t) => thick * (1 - t) ** 1.1 + 0.12,
      colour: (t, a) => lighter(colour, 6 * (spots(t * 22, a * 1.3) - 0.5) - 4),
      sides: 12,
    })
    for (let i = 0; i < 9; i++) {
      const f = frameAt(spine, 0.14 + 0.09 * i)
      addFibre(to, f.at, [i % 2 ? 1 : -1, -0.5, 0.2], round(random, long * 0.26, 0.4), 0.3, colour, random)
    }
    return
  }
  if (kind === 'creeping-root') {
    addTube(to, grow({ from: foot, along: [0, -1, 0.05], length: size * 0.5, steps: 6 }), {
      organ: 'root',
      radius: () => 1.4,
      colour: () => colour,
    })
    for (const s of [-1, 1])
      addTube(
        to,
        grow({ from: [0, -size * 0.45, 0.8], along: [s, -0.12, 0.03], length: size, steps: 14, droop: 0.2 }),
        { organ: 'root', radius: (t) => 1.5 - 0.5 * t, colour: () => colour },
      )
    return addFibres(to, [0, -size * 0.4, 0.8], 7, size * 0.35, traits, random)
  }
  const swollen = (at: Vec, wide: number, tall: number, tint: Lab) =>
    addTube(to, grow({ from: at, along: [0, -1, 0], length: tall, steps: 10 }), {
      organ: 'root',
      radius: (t) => wide * Math.sin(Math.PI * Math.min(1, t * 0.96 + 0.03)) ** 0.7,
      colour: (t, a) => lighter(tint, 4 * Math.cos(a * 6) - 5 * t),
      sides: 14,
    })
  if (kind === 'bulb') swollen(foot, size * 0.12, size * 0.3, STRAW)
  else
    for (let i = 0; i < 5; i++)
      swollen(
        [(i - 2) * size * 0.11, -size * 0.05 - (i % 2) * size * 0.06, 1 + (i % 2)],
        size * 0.05,
        size * 0.24,
        colour,
      )
  addFibres(to, [0, -size * (kind === 'bulb' ? 0.3 : 0.1), 1], 12, size * 0.5, traits, random)
}

/** A runner through the soil or over it, with joints; its tip may be sharp and white. */
export function addRunner(
  to: MeshBuilder,
  {
    from,
    toward,
    long,
    below,
    traits,
    random,
  }: { from: Vec; toward: Vec; long: number; below: boolean; traits: Traits; random: Random },
) {
  const look = traits.states['rhizome.look']
  const thick = look === 'thick-scaly' ? 2.4 : 1.1
  const tint: Lab = below ? (look === 'thick-scaly' ? [66, 8, 28] : [84, 0, 20]) : [52, -16, 30]
  const spine = grow({
    from,
    along: toward,
    length: long,
    steps: 22,
    droop: below ? 0.12 : 0.02,
    floor: below ? -Infinity : 1.2,
  })
  const joints = Math.max(3, Math.round(long / (below ? 16 : 26)))
  addTube(to, spine, {
    organ: below ? 'root' : 'stem',
    radius: (t) =>
      thick * (1 + 0.28 * Math.max(0, Math.cos(t * joints * 2 * Math.PI)) ** 8) * Math.min(1, (1 - t) * 16 + 0.12),
    colour: (t) =>
      look === 'sharp-white-tip' && t > 0.9
        ? [94, 0, 6]
        : lighter(tint, -9 * Math.max(0, Math.cos(t * joints * 2 * Math.PI)) ** 10),
  })
  const places = Array.from({ length: joints - 1 }, (_, i) => frameAt(spine, (i + 1) / joints))
  for (const f of places) addFibres(to, f.at, 3, below ? 14 : 16, traits, random, 0.2)
  return places
}
