import type { Traits } from '../flora/traits.ts'
import { addCollar, addHairs } from './collar.ts'
import { light, lighter, mixed, type Lab } from './colours.ts'
import { addFlowerHead } from './flowerHead.ts'
import { addGrassHead } from './grassHead.ts'
import type { Random } from './ground.ts'
import { lookOf } from './grassLook.ts'
import { MeshBuilder } from './mesh.ts'
import { addBlade, addTube, sections } from './ribbon.ts'
import { addSedgeHead } from './sedgeHead.ts'
import type { Specimen } from './specimenOf.ts'
import { frameAt, grow } from './spine.ts'
import type { Vec } from './vec.ts'

/** What hands do to a plant to see more of it, beside turning it; each shows one part, at its size. */
export const gestures = ['bend', 'roll', 'cut', 'snap', 'crush', 'head'] as const
export type Gesture = (typeof gestures)[number]

/** Characters that a gesture shows. */
export const shownBy: Record<Gesture, readonly string[]> = {
  bend: ['ligule.type', 'ligule.shape', 'ligule.height', 'auricles', 'collar.look'],
  roll: ['vernation'],
  cut: ['stem.inside', 'stem.section'],
  snap: ['sap'],
  crush: ['smell'],
  head: ['head.form', 'spikes.kind', 'flower.form', 'flower.colour', 'spikes.stand', 'sac.form', 'sac.length'],
}

/** How many of the first of these there are of which one must be known, or there is nothing to see. */
const NEEDED: Partial<Record<Gesture, number>> = { cut: 2, head: 3 }

/** Gestures by which something can be seen, felt or smelled on a plant of such traits. */
export function gesturesFor({ states }: Pick<Traits, 'states'>): Gesture[] {
  return gestures.filter((g) => shownBy[g].slice(0, NEEDED[g] ?? 1).some((c) => states[c] !== undefined))
}

const GREEN: Lab = [54, -24, 34]
const FLESH: Lab = [86, -8, 22]
const PITH: Lab = [95, 0, 5]

/** The inside of a collar: the blade bent back from its sheath. */
function addBentCollar(to: MeshBuilder, traits: Traits, random: Random): void {
  const look = lookOf(traits)
  const tall = Math.max(9, look.width * 2.4)
  const sheath = grow({ from: [0, 0, 0], along: [0, 1, 0], face: [0, 0, 1], length: tall, steps: 14 })
  addTube(to, sheath, { organ: 'sheath', section: look.section, sides: 26, radius: () => look.radius * 1.4, colour: (_t, a) => lighter(look.green, 5 + 2 * Math.cos(a * 9)), gloss: 0.25 }) // prettier-ignore
  addHairs(to, sheath, traits.states['sheath.hairs'], look.radius * 1.4, random)
  // The next leaf comes out of the sheath, so that the ligule stands between the two.
  addTube(to, grow({ from: [0, tall * 0.9, -look.radius * 0.2], along: [0, 1, -0.08], length: tall * 0.9, steps: 8 }), { organ: 'blade', section: look.section, sides: 18, radius: (t) => look.radius * (1.1 - 0.4 * t), colour: () => lighter(look.green, 3), gloss: 0.25 }) // prettier-ignore
  const top = frameAt(sheath, 1)
  const blade = grow({ from: [0, tall, look.radius * 1.2], along: [0, 0.18, 1], face: [0, 1, -0.1], length: Math.max(16, look.width * 4), steps: 24, droop: 1.1, late: 0.4 }) // prettier-ignore
  addBlade(to, blade, { ...look.blade, width: look.width, taper: (t) => Math.min(1, 0.86 + t) })
  addCollar(to, blade[0]!, { ...top, at: blade[0]!.at }, traits, look.width, random)
}

/** The youngest leaf in a shoot that was cut across: coiled, or shut like a card. */
function addBud(to: MeshBuilder, traits: Traits): void {
  const look = lookOf(traits)
  const size = Math.max(1.6, look.radius * 2)
  const deep = size * 2.2
  const folded = traits.states['vernation'] === 'folded'
  const leafAt = (half: (s: number) => Vec, thick: number, tint: Lab) => {
    const n = 72
    const line = Array.from({ length: n }, (_, i) => half(i / (n - 1)))
    const normal = (i: number): Vec => {
      const [a, b] = [line[Math.max(0, i - 1)]!, line[Math.min(n - 1, i + 1)]!]
      const l = Math.hypot(b[0] - a[0], b[2] - a[2]) || 1
      return [-(b[2] - a[2]) / l, 0, (b[0] - a[0]) / l]
    }
    const at = (i: number, s: number, y: number): Vec => [
      line[i]![0] + normal(i)[0] * s,
      y,
      line[i]![2] + normal(i)[2] * s,
    ]
    const strip = (top: (i: number) => Vec, low: (i: number) => Vec, colour: Lab) => {
      const sheet = (rows: Vec[][]) => to.sheet(rows, { organ: 'blade', gloss: 0.2, colour: () => light(colour) })
      const rows = [Array.from({ length: n }, (_, i) => low(i)), Array.from({ length: n }, (_, i) => top(i))]
      sheet(rows)
    }
    strip(
      (i) => at(i, thick, 0),
      (i) => at(i, thick, -deep),
      tint,
    )
    strip(
      (i) => at(i, -thick, 0),
      (i) => at(i, -thick, -deep),
      tint,
    )
    // The cut itself is pale.
    strip(
      (i) => at(i, thick, 0),
      (i) => at(i, -thick, 0),
      FLESH,
    )
  }
  if (folded)
    [1, 0.66, 0.34].forEach((k, j) =>
      leafAt(
        (s) => {
          const u = s * 2 - 1
          return [
            Math.sign(u) * size * 0.42 * k * Math.min(1, Math.abs(u) * 3.2),
            0,
            size * (1.1 * k) * (1 - 2 * Math.abs(u)) * 0.9,
          ]
        },
        size * 0.07,
        lighter(look.green, 6 * j),
      ),
    )
  else
    leafAt(
      (s) => {
        const a = s * Math.PI * 2 * 2.6
        const r = size * (0.16 + 0.9 * s)
        return [Math.cos(a) * r, 0, Math.sin(a) * r]
      },
      size * 0.07,
      lighter(look.green, 4),
    )
}

/** A stem that was cut across: its shape, and what is inside. */
function addCutStem(to: MeshBuilder, traits: Traits, random: Random): void {
  const { states, tints } = traits
  const section = sections[states['stem.section'] ?? 'round'] ?? sections['round']!
  const radius = 3
  const deep = 12
  const green = tints?.stem ?? GREEN
  const sides = 48
  const wall = states['stem.inside'] === 'hollow' || states['stem.inside'] === 'chambered' ? 0.72 : 0
  const ring = (r: number, y: number): Vec[] =>
    Array.from({ length: sides }, (_, c) => {
      const a = (2 * Math.PI * c) / sides
      const d = radius * r * section(a)
      return [d * Math.cos(a), y, d * Math.sin(a)]
    })
  const sheet = (rows: Vec[][], colour: (row: number) => Lab, organ: 'stem' | 'base' = 'stem') => {
    to.sheet(rows, { organ, gloss: 0.2, close: true, colour: (r) => light(colour(r)) })
  }
  sheet([ring(1, -deep), ring(1, -deep / 2), ring(1, 0)], () => green)
  const inner = states['stem.inside'] === 'pithy' ? PITH : FLESH
  if (wall > 0) {
    sheet([ring(1, 0), ring(0.95, 0), ring(wall, 0)], (r) => (r === 0 ? green : inner))
    sheet([ring(wall, 0), ring(wall, -deep)], () => mixed(inner, [40, -4, 20], 0.5))
    // Chambers are closed by plates one under the other.
    const floors = states['stem.inside'] === 'chambered' ? [-2.5, -6, -9.5] : [-deep * 0.95]
    for (const y of floors) sheet([ring(wall, y), ring(0.02, y)], () => (floors.length > 1 ? inner : [22, 2, 8]))
  } else {
    const steps = [1, 0.94, 0.8, 0.55, 0.3, 0.02]
    sheet(steps.map((r) => ring(r, 0)), (r) => (r === 0 ? green : states['stem.inside'] === 'pithy' && r > 1 ? PITH : mixed(FLESH, green, r === 1 ? 0.4 : 0))) // prettier-ignore
  }
  addHairs(to, grow({ from: [0, -deep, 0], along: [0, 1, 0], length: deep, steps: 6 }), states['stem.hairs'], radius, random) // prettier-ignore
}

const SAPS: Record<string, Lab> = { milky: [97, 0, 2], 'yellow-orange': [70, 30, 74], clear: [88, -3, 4] }

/** A stalk that was snapped, with what comes out of it. */
function addSnapped(to: MeshBuilder, traits: Traits, random: Random): void {
  const green = traits.tints?.stem ?? GREEN
  const sap = SAPS[traits.states['sap'] ?? 'clear']!
  for (const s of [-1, 1]) {
    const stalk = grow({ from: [s * 1.2, 0, 0], along: [s, -0.42, 0.1], length: 11, steps: 10 })
    addTube(to, stalk, { organ: 'stem', radius: () => 1.7, sides: 20, colour: (t) => mixed(green, FLESH, Math.max(0, 1 - t * 16)) }) // prettier-ignore
    const drops = traits.states['sap'] === 'clear' ? 1 : 3
    for (let i = 0; i < drops; i++)
      addTube(to, grow({ from: [s * (1 + i * 0.5), 0.9 - i * 0.9, 0.4 + random()], along: [s * 0.15, -1, 0.12], length: 3.6 - i * 0.4, steps: 12 }), { organ: 'base', radius: (t) => 1.7 * Math.sin(Math.PI * (0.04 + 0.94 * t)) ** 0.7, sides: 16, colour: () => sap, gloss: 0.95 }) // prettier-ignore
  }
}

/** What stands on a stalk where the plant is in flower or in fruit. */
function addHead(to: MeshBuilder, traits: Traits, random: Random): void {
  const { states } = traits
  if (states['head.form'] !== undefined) addGrassHead(to, states['head.form'], random)
  else if (states['spikes.kind'] !== undefined) addSedgeHead(to, traits, random)
  else addFlowerHead(to, traits, random)
}

/**
 * What a gesture shows of a plant: one part, built at its size in millimetres.
 *
 * @param random uniform 0 to 1, seeded
 * @returns undefined where it shows nothing that could be drawn: a smell, a head that is not on file
 */
export function closeUpOf(traits: Traits, gesture: Gesture, random: Random): Specimen | undefined {
  const to = new MeshBuilder(1)
  if (gesture === 'crush') return undefined
  if (gesture === 'bend') addBentCollar(to, traits, random)
  else if (gesture === 'roll') addBud(to, traits)
  else if (gesture === 'cut') addCutStem(to, traits, random)
  else if (gesture === 'head') addHead(to, traits, random)
  else addSnapped(to, traits, random)
  if (to.triangles === 0) return undefined
  return { mesh: to.mesh(), ...to.bounds(), plantTriangles: to.triangles }
}
