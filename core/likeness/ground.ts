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

/**
 * A block of soil under the plant. In front of the plant a wedge is cut out of it, so that what is below can be seen; where
 * it has no front the whole of it is cut straight down.
 *
 * @param half millimetres to each side and behind
 * @param deep millimetres down
 * @param front millimetres before the plant
 */
export function addSoil(to: MeshBuilder, half: number, deep: number, front = 0): void {
  const n = 22
  const bump = (x: number, z: number) => half * 0.05 * (spots((x / half) * 4 + 9, (z / half) * 4) - 0.6)
  const crumbs = (r: number, c: number, base: Lab) => light(lighter(base, (hash(r, c, 3) - 0.5) * 11))
  const top = (corner: (r: number, c: number) => readonly [x: number, z: number], seed: number) =>
    to.sheet(
      Array.from({ length: n / 2 + 1 }, (_, r) =>
        Array.from({ length: n + 1 }, (_u, c): Vec => {
          const [x, z] = corner(r / (n / 2), c / n)
          return [x, bump(x, z), z]
        }),
      ),
      { organ: 'soil', gloss: 0, colour: (r, c) => crumbs(r + seed, c, lighter(SOIL, 7)) },
    )
  /** A wall straight down along a line, seen from the side on which the line goes to the right. */
  const wall = (line: (t: number) => readonly [x: number, z: number], seed: number, shade = 0) =>
    to.sheet(
      Array.from({ length: 9 }, (_, r) =>
        Array.from({ length: n + 1 }, (_u, c): Vec => {
          const [x, z] = line(c / n)
          return [x, r === 8 ? bump(x, z) : -deep + (deep * r) / 8, z]
        }),
      ),
      { organ: 'soil', gloss: 0, colour: (r, c) => crumbs(r + seed, c, lighter(SOIL, shade - 2 + (r - 4) * 0.8)) },
    )
  top((r, c) => [(2 * c - 1) * half, -r * half], 0)
  if (front === 0) return wall((t) => [(2 * t - 1) * half, 0], 40)
  const [near, far] = [half * 0.07, half * 0.5]
  const edge = (t: number) => near + (far - near) * t
  for (const s of [-1, 1]) {
    const side = (r: number, c: number): readonly [number, number] => {
      const z = front * (1 - r)
      const inner = edge(z / front)
      return s < 0 ? [-half + (half - inner) * c, z] : [inner + (half - inner) * c, z]
    }
    top(side, 80 + s)
    wall(s < 0 ? (t) => [-half + (half - far) * t, front] : (t) => [far + (half - far) * t, front], 120 + s)
    // The faces of the wedge look at each other.
    wall(s < 0 ? (t) => [-edge(1 - t), front * (1 - t)] : (t) => [edge(t), front * t], 160 + s, -5)
  }
  wall((t) => [(2 * t - 1) * near, 0], 200, -5)
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
  // The broader the blades, the stouter what carries them.
  const blade = traits.sizes['blade.width'] ?? 4
  const thick = below
    ? look === 'thick-scaly'
      ? Math.min(4, Math.max(1.3, 0.5 * blade))
      : 1.1
    : Math.min(2.2, Math.max(0.6, 0.28 * blade))
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
