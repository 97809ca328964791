import type { Traits } from '../flora/traits.ts'
import { addHairs } from './collar.ts'
import { lighter, mixed, PURPLE, type Lab } from './colours.ts'
import { round, type Random } from './ground.ts'
import { addLamina } from './lamina.ts'
import type { MeshBuilder } from './mesh.ts'
import { spots } from './noise.ts'
import { addTube, sections } from './ribbon.ts'
import { frameAt, grow, type Frame } from './spine.ts'
import { add, times, turned, unit, type Vec } from './vec.ts'

/** Angle from one leaf to the next round a stem (the golden angle). */
export const GOLDEN = 2.399963

/** A stem with its ribs, marks, prickles and hairs. */
export function addStem(
  to: MeshBuilder,
  spine: Frame[],
  thick: number,
  { states, tints }: Traits,
  random: Random,
): void {
  const marks = states['stem.marks']
  const green: Lab = tints?.stem ?? [50, -24, 32]
  const ribs = states['stem.ridges'] === 'ridged' ? 9 : 0
  const section = sections[states['stem.section'] ?? 'round'] ?? sections['round']!
  const colour = (t: number, a: number): Lab => {
    const plain = lighter(green, ribs ? 5 * Math.cos(a * ribs) : 0)
    if (marks === 'red-tinged') return mixed(plain, [42, 28, 16], 0.35 + 0.4 * spots(t * 9, a))
    if (marks === 'purple-blotched') return spots(t * 26, a * 2.2) > 0.62 ? PURPLE : plain
    if (marks === 'purple-striped') return Math.cos(a * 6) > 0.55 ? [36, 26, 2] : plain
    if (marks === 'white-bloom') return mixed(plain, [82, -5, 4], 0.55)
    return plain
  }
  const swollen = states['node.look'] === 'swollen'
  addTube(to, spine, {
    organ: 'stem',
    sides: 16,
    section: (a) => section(a) * (1 + (ribs ? 0.06 * Math.cos(a * ribs) : 0)),
    radius: (t) => thick * (1 - 0.55 * t) * (1 + (swollen ? 0.5 * Math.max(0, Math.cos(t * 14 * Math.PI)) ** 24 : 0)),
    colour,
    gloss: marks === 'white-bloom' ? 0.05 : 0.3,
  })
  addHairs(to, spine, states['stem.hairs'], thick, random)
  const armour = states['stem.armour']
  if (armour === 'prickles')
    for (let i = 0; i < 26; i++) {
      const f = frameAt(spine, random())
      const a = random() * Math.PI * 2
      const out = add(times(f.side, Math.cos(a)), times(f.face, Math.sin(a)))
      addTube(
        to,
        grow({
          from: add(f.at, times(out, thick * 0.8)),
          along: unit(add(out, [0, -0.25, 0])),
          length: 2.6,
          steps: 3,
          droop: 0.4,
        }),
        { organ: 'hair', radius: (t) => 0.5 * (1 - t) + 0.03, colour: () => [64, 12, 26], sides: 5 },
      )
    }
  if (armour?.includes('wings'))
    for (const s of [0, Math.PI]) {
      const part = armour === 'spiny-wings-part' ? 0.5 : 1
      const wing = spine.slice(0, Math.max(3, Math.round(spine.length * part))).map((f): Frame => ({
        ...f,
        at: add(f.at, times(turned(f.side, f.along, s), thick * 1.1)),
        face: turned(f.face, f.along, s),
        side: turned(f.side, f.along, s),
      }))
      addLamina(to, wing, {
        width: thick * 2.6,
        outline: () => 1,
        upper: [46, -26, 32],
        lower: [50, -22, 30],
        teeth: { count: 16, depth: armour.startsWith('spiny') ? 0.6 : 0.1, from: 0 },
        organ: 'stem',
        fine: [64, 5],
      })
    }
}

export const upright = (around: number, off: number): Vec => [
  Math.sin(around) * Math.sin(off),
  Math.cos(off),
  Math.cos(around) * Math.sin(off),
]

/** Stems from one crown, or runners along the ground, by how it spreads and stands. */
export function stemsOf({ states, young, proportions }: Traits, high: number, random: Random): Frame[][] {
  if (young) return [grow({ from: [0, 0, 1], along: [0.04, 1, 0.06], length: high * 0.3, steps: 10 })]
  const habit = states['habit'] ?? 'single-crown'
  const flat = states['posture'] === 'flat'
  if (habit === 'stolon' || habit === 'runner-not-rooting')
    return [0.3, 2.4, -1.7, 1.2, -0.6, -2.6, 0.75, 1.9]
      .slice(0, Math.max(3, Math.round(proportions?.stems ?? 3)))
      .map((a) =>
        grow({
          from: [0, 2, 2],
          along: [Math.cos(a), 0.03, Math.sin(a) * 0.75 + 0.15],
          length: round(random, high, 0.2),
          steps: 22,
          floor: 1.6,
          twist: random(),
        }),
      )
  const count = Math.round(proportions?.stems ?? (habit === 'single-crown' && !states['leaf.plan'] ? 1 : flat ? 5 : 4))
  return Array.from({ length: count }, (_, i) => {
    const around = GOLDEN * i + random()
    const off = count === 1 ? 0.04 : flat ? 1.35 : states['posture'] === 'bent-then-rising' ? 0.9 : 0.24
    return grow({
      from: [Math.sin(around) * 2, 0, 1.5 + Math.cos(around) * 2],
      along: upright(around, off),
      length: round(random, high, 0.15),
      steps: 22,
      droop:
        states['posture'] === 'bent-then-rising'
          ? -0.6
          : states['habit'] === 'climbing'
            ? round(random, 0.5, 0.6)
            : 0.08,
      floor: 1.4,
    })
  })
}
