import type { Lab } from './colours.ts'
import type { Traits } from '../flora/traits.ts'
import { addBody, putRound, addStalk, leaving } from './florets.ts'
import type { Random } from './ground.ts'
import type { MeshBuilder } from './mesh.ts'
import { addBlade, tapers } from './ribbon.ts'
import { frameAt, grow, type Frame } from './spine.ts'
import { add, times } from './vec.ts'

/** Width and thickness of a sac, as shares of its length and of its width. */
const SACS: Record<string, { wide: number; flat: number }> = {
  'flat-winged': { wide: 0.55, flat: 0.25 },
  'lens-flat': { wide: 0.52, flat: 0.45 },
  'tight-round': { wide: 0.5, flat: 1 },
  'tight-angled': { wide: 0.46, flat: 0.9 },
  inflated: { wide: 0.48, flat: 1 },
}
const SCALES: Record<string, Lab> = { 'pale-or-green': [72, -10, 30], brown: [40, 16, 26], dark: [20, 6, 6] }
const SCALE_LONG: Record<string, number> = { shorter: 0.7, 'as-long': 1, longer: 1.3 }
const BRACT_LONG: Record<string, number> = { shorter: 0.45, 'about-as-long': 1, longer: 1.7 }
const SAC: Lab = [68, -14, 40]
const GREEN: Lab = [50, -24, 34]
/** Millimetres of a sac where none is on file. */
const USUAL_SAC = 3

/** A spike of sacs, each in the corner of its scale. */
function addSpike(to: MeshBuilder, spine: readonly Frame[], from: number, { states, sizes }: Traits, random: Random) {
  const length = sizes['sac.length'] ?? USUAL_SAC
  const { wide, flat } = SACS[states['sac.form'] ?? ''] ?? SACS['tight-round']!
  const scale = SCALES[states['scale.colour'] ?? ''] ?? SCALES['brown']!
  const beak = states['sac.beak']?.startsWith('long') ? 0.36 : 0.48
  const span = spineLength(spine) * (1 - from)
  const count = Math.max(8, Math.round((span / (length * 0.5)) * 5))
  putRound(
    spine,
    { count, from, upTo: 0.98, out: () => 0.35 * length * wide },
    (at, along, t) => {
      const f = frameAt(spine, from + (0.98 - from) * t)
      addBody(to, add(at, times(f.along, -0.12 * length)), along, { length: length * 0.8 * (SCALE_LONG[states['scale.length'] ?? ''] ?? 0.8), width: length * 0.4, colour: scale, flat: 0.2 }, random) // prettier-ignore
      addBody(to, add(at, times(along, 0.18 * length)), along, { length, width: length * wide, colour: SAC, flat, widest: beak }, random) // prettier-ignore
    },
    () => 0.75,
  )
}

const spineLength = (spine: readonly Frame[]) => Math.hypot(...add(spine.at(-1)!.at, times(spine[0]!.at, -1)))

/** The thin spike of stamens at the top. */
function addMale(to: MeshBuilder, spine: readonly Frame[], from: number, colour: Lab, random: Random): void {
  const bodies = { count: 70, from, upTo: 0.99, out: () => 0.5 }
  putRound(spine, bodies, (at, along) => addBody(to, at, along, { length: 4.2, width: 1.3, colour, flat: 0.35 }, random), () => 0.22) // prettier-ignore
}

/** A sedge's head in fruit, from its coded spikes, sacs, scales and lowest bract. */
export function addSedgeHead(to: MeshBuilder, traits: Traits, random: Random): void {
  const { states } = traits
  const kind = states['spikes.kind'] ?? 'many-alike'
  const head = kind === 'one' ? 20 : states['spikes.stand'] === 'crowded' || kind === 'many-alike' ? 38 : 90
  const stalk = addStalk(to, [0, 0, 0], [0.02, 1, 0.04], 40 + head, 0.9, { droop: 0.08, steps: 24, colour: GREEN })
  const foot = 40 / (40 + head)
  if (kind === 'one') addSpike(to, stalk, foot, traits, random)
  const lower = kind === 'one' ? 0 : kind === 'many-alike' ? 7 : 3
  const nodding = states['spikes.stand'] === 'nodding'
  for (let i = 0; i < lower; i++) {
    const f = frameAt(stalk, foot + ((1 - foot) * i) / (kind === 'top-male' ? 4.4 : lower))
    const bare = nodding ? 14 : 2
    const long = (kind === 'many-alike' ? 9 : 24 - 3 * i) + bare
    const along = leaving(f, nodding ? 0.8 : kind === 'many-alike' ? 0.7 : 0.35, i * 2.2)
    const spike = addStalk(to, f.at, along, long, 0.3, { droop: nodding ? 2 : -0.1, colour: GREEN, steps: 14 })
    addSpike(to, spike, bare / long, traits, random)
  }
  if (kind === 'top-male') addMale(to, stalk, 0.78, SCALES[states['scale.colour'] ?? ''] ?? SCALES['brown']!, random)
  const bract = head * (BRACT_LONG[states['bract.length'] ?? ''] ?? 0)
  if (bract > 0) {
    const f = frameAt(stalk, foot)
    const spine = grow({
      from: f.at,
      along: leaving(f, 0.45, 2.6),
      length: bract,
      steps: 16,
      droop: 0.5,
      face: f.along,
    })
    addBlade(to, spine, { width: 2.6, taper: tapers['long-drawn']!, upper: GREEN, lower: GREEN, midrib: 'keel', organ: 'head' }) // prettier-ignore
  }
}
