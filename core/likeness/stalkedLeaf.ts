import type { Traits } from '../flora/traits.ts'
import { lighter, mixed, PURPLE, type Lab } from './colours.ts'
import type { MeshBuilder } from './mesh.ts'
import { spots } from './noise.ts'
import { addTube } from './ribbon.ts'
import { grow, type Frame } from './spine.ts'
import { type Grown, addLeafBlade } from './leaves.ts'

/** Stalks as a share of the blade. */
const CUT = new Set(['feathery', 'fern-like', 'pinnate-cut'])
const STALKS: Record<string, number> = { none: 0, shorter: 0.35, 'about-equal': 0.85, longer: 1.5 }

/** No two leaves of a plant have quite the same green. */
export function shaded(traits: Traits, random: () => number): Traits {
  const upper = traits.tints?.upper
  if (!upper) return traits
  return {
    ...traits,
    tints: { ...traits.tints, upper: mixed(lighter(upper, (random() - 0.5) * 6), [58, -20, 44], 0.12 * random()) },
  }
}

/** A leaf with its stalk, leaving a place; its whole length is that of the blade and the stalk together. */
export function addLeaf(to: MeshBuilder, { foot, length, traits: usual, random, droop }: Grown): void {
  const traits = shaded(usual, random)
  const { states } = traits
  // Blades of cut leaves are long themselves.
  const most = CUT.has(states['leaf.outline'] ?? '') ? 0.75 : Infinity
  const stalk = length * Math.min(most, STALKS[states['petiole.length'] ?? 'shorter'] ?? 0.35)
  const spine =
    stalk > 0
      ? grow({
          from: foot.at,
          along: foot.along,
          face: foot.face,
          length: stalk,
          steps: 8,
          droop: (droop ?? 0.5) * 0.35,
          floor: 1,
        })
      : [foot as Frame]
  if (stalk > 0) {
    const marks = states['petiole.marks']
    const green: Lab = traits.tints?.stem ?? [54, -22, 30]
    const thick = Math.min(4, Math.max(0.5, length * 0.014)) * (states['petiole.form'] === 'winged' ? 1.6 : 1)
    addTube(to, spine, {
      organ: 'leaf',
      radius: (t) => thick * (1.3 - 0.4 * t),
      section: (a) => (states['petiole.form'] === 'grooved' ? 1 - 0.35 * Math.max(0, Math.sin(a)) ** 4 : 1),
      colour: (t, a) =>
        marks === 'red-tinged'
          ? [44, 20, 16]
          : marks === 'purple-blotched'
            ? mixed(green, PURPLE, spots(t * 14, a * 1.4) > 0.62 ? 0.9 : 0)
            : green,
      sides: 8,
    })
  }
  const end = spine.at(-1)!
  addLeafBlade(to, { foot: end, length, traits, random, ...(droop === undefined ? {} : { droop }) })
}
