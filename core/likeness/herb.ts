import type { Traits } from '../flora/traits.ts'
import { addRoot, round, type Random } from './ground.ts'
import { addLegume } from './legume.ts'
import type { MeshBuilder } from './mesh.ts'
import { frameAt, grow, type Frame } from './spine.ts'
import { addLeaf } from './stalkedLeaf.ts'
import { stamps, type Stamp } from './stamp.ts'
import { addStem, GOLDEN, stemsOf, upright } from './stems.ts'
import { add, times, turned, unit, type Vec } from './vec.ts'

/** Leaves of a rosette by the golden angle, the young ones steeper and within. */
function addRosette(to: MeshBuilder, traits: Traits, length: number, random: Random): void {
  const cut = ['feathery', 'fern-like', 'pinnate-cut'].includes(traits.states['leaf.outline'] ?? '')
  const count = traits.young ? 4 : Math.round(traits.proportions?.leaves ?? (cut ? 7 : 11))
  const flat = traits.states['posture'] === 'flat' || traits.states['posture'] === 'rosette'
  // A few leaves of a bulb stand up from it; a rosette lies.
  const upstanding = traits.states['leaf.outline'] === 'linear' && !flat
  const single = traits.states['leaf.set'] === 'single-frond'
  const droop = flat ? 0.25 : 0.6
  const leaf = stamps(to, length, (one, place) => addLeaf(one, { ...place, traits, random, droop }), random)
  for (let i = 0; i < count; i++) {
    const age = 1 - i / count
    const around = GOLDEN * i + (random() - 0.5) * 0.3
    const off = single
      ? 0.12 + 0.12 * i
      : upstanding
        ? 0.1 + 0.35 * age
        : (flat ? 0.75 : 0.35) + (flat ? 0.65 : 0.7) * age
    const along = upright(around, Math.min(1.5, off + (random() - 0.5) * 0.16))
    leaf(to, {
      foot: {
        at: [Math.sin(around) * 2, 1, 2 + Math.cos(around) * 2],
        along,
        face: [-along[0] * 0.6, 1, -along[2] * 0.6],
      },
      length: round(random, length * (0.45 + 0.55 * age ** 0.7), 0.1),
    })
  }
}

/** How long a leaf is for its place on a stem, 0 foot to 1 tip: the longest a third of the way up, the young ones short. */
const sizeAt = (t: number): number => 0.58 + 0.42 * Math.sin(Math.PI * Math.min(1, 0.2 + t * 0.9)) - 0.4 * t * t

interface Stalk {
  leaf: Stamp
  thick: number
  /** Places at which leaves stand. */
  nodes: number
  /** Length of the longest leaves, mm. */
  length: number
  /** Side shoots. */
  branches: number
}

/** A stem with its leaves, the young ones close together at its end, and shoots from the corners of its leaves. */
function addLeafyStem(to: MeshBuilder, spine: Frame[], stalk: Stalk, traits: Traits, random: Random): void {
  const { leaf, thick, nodes, length, branches } = stalk
  const setting = traits.states['leaf.set'] ?? 'alternate'
  // No two plants turn the same leaf to the eye.
  const first = random() * 2 * Math.PI
  addStem(to, spine, thick, traits, random)
  const each = setting === 'opposite' ? 2 : setting === 'whorled' ? Math.round(traits.proportions?.whorl ?? 6) : 1
  const long = Math.hypot(...add(spine.at(-1)!.at, times(spine[0]!.at, -1)))
  const bearing = new Set(
    Array.from({ length: branches }, (_, k) => 1 + Math.floor(((k * (nodes - 2)) / Math.max(1, branches)) * 0.75)),
  )
  for (let i = 0; i < nodes; i++) {
    // Joints come closer to each other towards the tip.
    const t = 0.06 + 0.93 * (1 - (1 - (i + 0.5) / nodes) ** 1.35)
    const f = frameAt(spine, Math.min(0.99, t))
    for (let k = 0; k < each; k++) {
      const around =
        setting === 'alternate'
          ? first + GOLDEN * i
          : first + (Math.PI / 2) * i * (each > 2 ? 0.35 : 1) + (2 * Math.PI * k) / each
      const out = turned(f.face, f.along, around + (random() - 0.5) * 0.2)
      const rise = 0.4 + 1.5 * t ** 3 + 0.25 * t
      const at = add(f.at, times(out, thick * 0.6))
      // On a stem that lies down leaves turn up to the light, whichever side they leave on.
      const lies = Math.abs(f.along[1]) < 0.45
      const foot = lies
        ? { at, along: unit([out[0], 0.55 + 0.4 * Math.abs(out[1]), out[2]]), face: [0, 1, 0] as Vec }
        : { at, along: unit(add(out, times(f.along, rise))), face: unit(add(f.along, times(out, -rise))) }
      leaf(to, { foot, length: round(random, length * sizeAt(t), 0.1) })
      if (k === 0 && bearing.has(i)) {
        const side = grow({
          from: f.at,
          along: unit(add(lies ? [out[0], 0.3, out[2]] : out, times(f.along, 1.1))),
          length: round(random, long * 0.42 * (1 - 0.7 * t), 0.2),
          steps: 12,
          droop: -0.25,
          floor: 1.4,
        })
        addLeafyStem(
          to,
          side,
          {
            leaf,
            thick: thick * 0.55,
            nodes: Math.max(3, Math.round(nodes * 0.45)),
            length: length * 0.6,
            branches: 0,
          },
          traits,
          random,
        )
      }
    }
  }
}

/** A broad-leaved plant as it stands, from its traits. */
export function addHerb(to: MeshBuilder, traits: Traits, random: Random): void {
  const { states, sizes, young, proportions = {} } = traits
  if (states['leaf.outline'] === undefined && states['leaf.plan'] !== undefined)
    return addLegume(to, { ...traits, sizes: { 'leaflet.length': 14, ...sizes } }, random)
  const whole = sizes['leaf.length'] ?? 70
  // The coded length is that of a blade without its stalk.
  const length = whole * (young ? 0.45 : 1)
  const setting = states['leaf.set'] ?? 'rosette'
  addRoot(
    to,
    { ...traits, states: { 'root.kind': 'taproot', ...states } },
    Math.min(160, Math.max(30, whole * (young ? 0.4 : 0.75))),
    random,
  )
  if (setting === 'rosette' || setting === 'single-frond') return addRosette(to, traits, length, random)
  const cut = ['feathery', 'fern-like', 'pinnate-cut'].includes(states['leaf.outline'] ?? '')
  const high = proportions.stemMm ?? Math.min(500, Math.max(60, whole * (states['posture'] === 'flat' ? 2.2 : 1.9)))
  const creeping =
    states['habit'] === 'stolon' || (states['habit'] === 'runner-not-rooting' && states['posture'] === 'flat')
  const stalk: Stalk = {
    leaf: stamps(to, length, (one, place) => addLeaf(one, { ...place, traits, random }), random),
    thick: Math.min(7, Math.max(0.7, 0.3 + whole / 70 + high / 260)) * (young ? 0.5 : 1),
    nodes: young ? 2 : Math.round(proportions.leaves ?? (cut ? 5 : setting === 'alternate' ? 9 : 6)),
    length,
    branches: young ? 0 : Math.round(proportions.branches ?? 0),
  }
  const standing = {
    ...states,
    'leaf.plan': '',
    habit: creeping ? 'stolon' : states['habit'] === 'climbing' ? 'climbing' : 'single-crown',
  }
  for (const spine of stemsOf({ ...traits, states: standing }, high, random))
    addLeafyStem(to, spine, stalk, traits, random)
}
