import type { Traits } from '../flora/traits.ts'
import { greens, lighter, MID_GREEN, mixed, PALE_MARK, PURPLE, SILVER, type Lab } from './colours.ts'
import { round, type Random } from './ground.ts'
import { addHair } from './collar.ts'
import { oval, type Lamina, type Outline } from './lamina.ts'
import type { MeshBuilder } from './mesh.ts'
import { hash } from './noise.ts'
import { addTube } from './ribbon.ts'
import { frameAt, grow, type Frame } from './spine.ts'
import { add, sub, times, unit, type Vec } from './vec.ts'

/** Foot of a leaf's blade, the way it goes and where its upper face looks. */
export type Foot = Pick<Frame, 'at' | 'along' | 'face'>

export const SIMPLE: Record<string, { wide: number; outline: Outline }> = {
  'narrow-lance': { wide: 0.22, outline: oval(0.42) },
  'broad-oval': { wide: 0.82, outline: oval(0.5) },
  'egg-widest-middle': { wide: 0.5, outline: oval(0.5) },
  'egg-widest-base': { wide: 0.62, outline: oval(0.3) },
  // Four corners, the two at the sides rounded.
  diamond: {
    wide: 0.68,
    outline: (t) =>
      Math.max(0, t < 0.42 ? Math.sin(t * (Math.PI / 0.84)) : Math.cos((t - 0.42) * (Math.PI / 1.16))) ** 1.25,
  },
  'heart-or-arrow': { wide: 0.74, outline: (t) => Math.min(1, 0.86 + 1.1 * t) * Math.max(0, 1 - t ** 1.5) ** 0.85 },
  // Narrow, with two lobes at its foot that point out to the sides.
  halberd: { wide: 0.5, outline: (t) => (t < 0.2 ? 1 - 2.9 * t : 0.42 * (1 - ((t - 0.2) / 0.8) ** 1.8) ** 0.8) },
  'spoon-shaped': {
    wide: 0.34,
    outline: (t) =>
      0.22 * Math.min(1, t * 8) * (t < 0.45 ? 1 : 0) +
      (t >= 0.45 ? Math.max(0.22, Math.sin(Math.PI * ((t - 0.3) / 0.7) ** 1.05)) * (t > 0.995 ? 0 : 1) : 0),
  },
  'round-kidney': {
    wide: 1.12,
    outline: (t) => Math.sqrt(Math.max(0, 1 - (2 * Math.min(1, t * 0.94 + 0.06) - 1) ** 2)),
  },
  'scale-like': { wide: 0.5, outline: oval(0.35) },
  linear: { wide: 0.12, outline: (t) => Math.min(1, 9 * t) * Math.min(1, 6 * (1 - t)) },
  // Lobes that run out into a point, and those of a thistle's leaf, that end in a spine.
  pointed: { wide: 0.5, outline: (t) => (t < 0.25 ? 0.7 + 1.2 * t : ((1 - t) / 0.75) ** 1.15) },
  barbed: { wide: 0.46, outline: (t) => (t < 0.25 ? 0.7 + 1.2 * t : ((1 - t) / 0.75) ** 1.15) },
  // Last parts of a fern-like leaf.
  segment: { wide: 0.4, outline: oval(0.45) },
  wedge: {
    wide: 0.6,
    outline: (t) => Math.min(1, t * 1.35) ** 0.9 * (t > 0.9 ? Math.sqrt(Math.max(0, 1 - ((t - 0.9) / 0.1) ** 2)) : 1),
  },
}

export const TEETH: Record<string, NonNullable<Lamina['teeth']>> = {
  'fine-teeth': { count: 17, depth: 0.1, forward: true },
  'coarse-teeth': { count: 6, depth: 0.28 },
  'saw-teeth': { count: 11, depth: 0.2, forward: true },
  scalloped: { count: 8, depth: 0.13 },
  spiny: { count: 7, depth: 0.3 },
  'wavy-curled': { count: 6, depth: 0.12 },
  // Ends of the lobes of a cut leaf.
  'lobe-ends': { count: 3, depth: 0.34, from: 0.5 },
}

/** The higher, the narrower the bays between round lobes. */
const BAY = 2.2

/** Lobes of a blade in one piece, their lower edges square or pointing back: how many a side and how deep. */
export const lobed =
  (count: number, deep: number, base: Outline, rounded = false): Outline =>
  (t) => {
    const phase = (t * 1.163 * count) % 1
    return (
      base(t) *
      (t > 0.86 ? 1 : 1 - deep * (rounded ? (0.5 + 0.5 * Math.cos(2 * Math.PI * phase)) ** BAY : phase ** 1.3))
    )
  }

/** Faces, gloss and marks of a leaf by how it is coded. */
export function coatOf({
  states,
  tints,
}: Traits): Pick<Lamina, 'upper' | 'lower' | 'gloss' | 'mark' | 'veins' | 'wave'> {
  const coat = states['leaf.coat']
  const green = greens[states['blade.colour'] ?? ''] ?? MID_GREEN
  const upper: Lab =
    tints?.upper ??
    (coat === 'silver-grey'
      ? [66, -8, 10]
      : coat === 'woolly-both'
        ? SILVER
        : coat === 'blue-bloom'
          ? [56, -16, 4]
          : coat === 'shiny'
            ? [40, -30, 30]
            : green)
  const lower: Lab =
    tints?.lower ??
    (coat === 'purple-beneath'
      ? [40, 22, 0]
      : coat === 'woolly-under' || coat === 'woolly-both'
        ? [84, -2, 5]
        : coat === 'silver-grey'
          ? [76, -4, 6]
          : mixed(upper, [62, -16, 22], 0.45))
  const shape = states['leaf.veins']
  const veins: Lamina['veins'] =
    shape === 'parallel-strong' || shape === 'curving-to-tip' || shape === 'three-main'
      ? { count: shape === 'three-main' ? 1 : 3, paler: 12, deep: 0.35, along: true }
      : {
          count: states['leaf.mark'] === 'white-veins' ? 6 : 7,
          paler: states['leaf.mark'] === 'white-veins' ? 34 : 10,
          deep: 0.3,
        }
  const marks: Record<string, Lamina['mark']> = {
    // Fainter than on a clover, and without an edge.
    'pale-chevron': (t, u, c) => mixed(c, PALE_MARK, 0.5 * Math.exp(-(((t - 0.55 + 0.25 * Math.abs(u)) / 0.07) ** 2))),
    'dark-spot': (t, u, c) => mixed(c, PURPLE, 0.85 * Math.exp(-(((t - 0.5) / 0.14) ** 2) - (u / 0.42) ** 2)),
    'translucent-dots': (t, u, c) => (hash(Math.round(t * 38), Math.round(u * 16)) > 0.86 ? lighter(c, 16) : c),
    'dark-edge-dots': (t, u, c) => (Math.abs(u) > 0.82 && hash(Math.round(t * 40), 4) > 0.4 ? [20, 0, 2] : c),
  }
  const mealy =
    coat === 'mealy-or-salty'
      ? (t: number, u: number, c: Lab): Lab =>
          mixed(c, [88, -2, 5], hash(Math.round(t * 60), Math.round(u * 30)) > 0.55 ? 0.5 : 0.1)
      : undefined
  const edged =
    coat === 'pale-edged' ? (_t: number, u: number, c: Lab): Lab => (Math.abs(u) > 0.86 ? [80, -8, 20] : c) : undefined
  const mark = marks[states['leaf.mark'] ?? ''] ?? mealy ?? edged
  return {
    upper,
    lower,
    gloss:
      coat === 'shiny'
        ? [0.9, 0.3]
        : coat === 'silver-grey' || coat?.startsWith('woolly')
          ? [0.02, 0.02]
          : [0.25, 0.12],
    veins,
    wave: states['leaf.margin'] === 'wavy-curled' ? 2.4 : 0.3,
    ...(mark ? { mark } : {}),
  }
}

/** Millimetres of the hairs on an upper face, and how many. */
const FUZZ: Record<string, { long: number; count: number }> = {
  sparse: { long: 1, count: 10 },
  'short-dense': { long: 0.7, count: 34 },
  velvety: { long: 0.6, count: 40 },
  long: { long: 2.4, count: 24 },
  stiff: { long: 1.8, count: 20 },
}

export function fuzz(
  to: MeshBuilder,
  spine: readonly Frame[],
  half: (t: number) => number,
  { states }: Traits,
  random: Random,
): void {
  const coat = FUZZ[states['hairs.upper'] ?? '']
  if (!coat) return
  // A small leaf has no room for all of them.
  const count = Math.round(
    coat.count * Math.min(1, to.detail * 1.3) * Math.min(1, Math.hypot(...sub(spine.at(-1)!.at, spine[0]!.at)) / 40),
  )
  for (let i = 0; i < count; i++) {
    const t = 0.06 + 0.88 * random()
    const f = frameAt(spine, t)
    const u = random() * 2 - 1
    addHair(
      to,
      add(f.at, times(f.side, u * half(t))),
      unit(add(f.face, times(f.along, 0.5))),
      round(random, coat.long, 0.3),
      0.2,
      0.04,
    )
  }
}

/** Millimetres of the spines of a leaf, by how they are coded. */
const SPINES: Record<string, number> = { 'leaf-edge-long-dagger': 10, 'leaf-edge-short': 2.4 }

function addSpine(to: MeshBuilder, at: Vec, along: Vec, length: number): void {
  addTube(to, grow({ from: at, along, length, steps: 3 }), {
    organ: 'hair',
    radius: (t) => (0.16 + 0.05 * length) * (1 - t) + 0.02,
    colour: () => [84, -4, 34],
    sides: 5,
  })
}

/** The spine in which a lobe ends. */
export function spineAtTip(to: MeshBuilder, spine: readonly Frame[], { states }: Traits): void {
  const tip = spine.at(-1)!
  addSpine(to, tip.at, tip.along, SPINES[states['spines'] ?? ''] ?? SPINES['leaf-edge-short']!)
}

/** Spines along the edge of a leaf. */
export function spines(
  to: MeshBuilder,
  spine: readonly Frame[],
  half: (t: number) => number,
  { states }: Traits,
): void {
  const long = SPINES[states['spines'] ?? '']
  if (long === undefined) return
  for (let i = 1; i < 9; i++)
    for (const s of [-1, 1]) {
      const f = frameAt(spine, i / 9)
      addSpine(to, add(f.at, times(f.side, s * half(i / 9))), unit(add(times(f.side, s), times(f.along, 0.5))), long)
    }
}
