import type { Traits } from '../flora/traits.ts'
import { lighter, type Lab } from './colours.ts'
import { addRoot, round, type Random } from './ground.ts'
import type { MeshBuilder } from './mesh.ts'
import { spots } from './noise.ts'
import { addTube } from './ribbon.ts'
import { frameAt, grow } from './spine.ts'
import { addLeaf } from './stalkedLeaf.ts'
import { stamps } from './stamp.ts'
import { GOLDEN, upright } from './stems.ts'
import { add, times, turned, unit, type Vec } from './vec.ts'

/** A woody plant: a forked twig with its leaves. */
export function addShrub(to: MeshBuilder, traits: Traits, random: Random): void {
  const length = traits.sizes['leaf.length'] ?? 50
  const { stemMm, stems, leaves, whorl } = traits.proportions ?? {}
  const bark: Lab = traits.tints?.stem ?? [44, 6, 16]
  // A twig of small leaves has many of them.
  const each = Math.round(leaves === undefined ? 4 : leaves / 3)
  const around =
    traits.states['leaf.set'] === 'opposite' ? 2 : traits.states['leaf.set'] === 'whorled' ? Math.round(whorl ?? 3) : 1
  const bare: Traits = { ...traits, states: { ...traits.states, 'hairs.upper': 'none' } }
  const leaf = stamps(to, length, (one, place) => addLeaf(one, { ...place, traits: bare, random }), random)
  const twig = (from: Vec, along: Vec, long: number, thick: number, level: number): void => {
    const spine = grow({ from, along, length: long, steps: 14, droop: round(random, -0.1, 1.5) })
    addTube(to, spine, {
      organ: 'stem',
      radius: (t) => thick * (1 - 0.6 * t),
      colour: (t, a) => lighter(level === 2 ? [46, -8, 24] : bark, 8 * (spots(t * 20, a * 2) - 0.5)),
      sides: 9,
    })
    const forks = level < 2 ? 2 + Math.round(1.6 * random()) : 0
    const first = random() * 2 * Math.PI
    for (let i = 0; i < forks; i++) {
      const f = frameAt(spine, round(random, 0.3 + (0.6 * i) / forks, 0.12))
      const off = turned(f.face, f.along, first + GOLDEN * i)
      twig(f.at, unit(add(times(f.along, round(random, 0.95, 0.2)), off)), round(random, long * 0.55, 0.2), thick * 0.5, level + 1) // prettier-ignore
    }
    if (level === 0) return
    for (let i = 0; i < each; i++) {
      const f = frameAt(spine, 0.2 + (0.8 * i) / Math.max(1, each - 1))
      for (let k = 0; k < around; k++) {
        const a = (around === 1 ? GOLDEN : Math.PI / around) * i + (2 * Math.PI * k) / around
        const out = turned(f.face, f.along, a)
        leaf(to, {
          foot: { at: f.at, along: unit(add(out, times(f.along, 0.7))), face: unit(add(f.along, times(out, -0.6))) },
          length: round(random, length, 0.2),
        })
      }
    }
  }
  const high = stemMm ?? Math.min(420, 120 + length * 3)
  // A bush divides at the ground; a young tree has one stem.
  const many = Math.round(stems ?? 1)
  for (let i = 0; i < many; i++) {
    const way = many === 1 ? [0.06, 1, 0.05] : upright(GOLDEN * i + random(), round(random, 0.42, 0.3))
    twig([0, 0, 1], unit(way as Vec), round(random, high, many === 1 ? 0 : 0.15), many === 1 ? 4.5 : 3.2, 0)
  }
  addRoot(to, { ...traits, states: { 'root.kind': 'taproot' } }, 80, random)
}
