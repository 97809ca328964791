import { brush, circle, closed, smooth, type Drawing, type Ink, type Point } from '../mark.ts'
import { feathery } from '../broadLeaf.ts'
import { herbBelow } from './below.ts'
import { insetsOf } from './insets.ts'
import { compoundLeaf, herbLeaf, STALK_END } from './leafOf.ts'
import { GROUND, roundBar, type Piece, type Portrait, type Traits } from './portrait.ts'
import { bladeAlong, hairsAlong, tubeAlong } from './ribbon.ts'

const LEAF_SHOWS = ['leaf.outline', 'leaf.margin', 'leaf.set', 'leaf.veins', 'leaf.length', 'hairs.upper', 'leaf.coat', 'leaf.mark', 'petiole.length', 'spines', 'blade.feel', 'hairs.lower', 'leaf.plan', 'petiole.form', 'smell', 'leaflet.shape']
const STEM_SHOWS = ['stem.marks', 'stem.hairs', 'sap', 'stem.armour', 'stem.section', 'stem.inside', 'stem.ridges', 'node.look', 'posture', 'smell']

const onStem = (spine: Point[], t: number): Point => {
  const x = t * (spine.length - 1)
  const i = Math.min(spine.length - 2, Math.floor(x))
  return [spine[i]![0] + (spine[i + 1]![0] - spine[i]![0]) * (x - i), spine[i]![1] + (spine[i + 1]![1] - spine[i]![1]) * (x - i)]
}

/** A leaf set with its stalk's end at a point, turned (0 is up) and scaled; squashed for one that lies towards the eye. */
function set(marks: Drawing, part: string, [x, y]: Point, turn: number, scale: number, squash = 1): Piece {
  const n = (v: number) => Number(v.toFixed(3))
  return { part, shows: LEAF_SHOWS, marks, transform: `translate(${n(x)} ${n(y)}) scale(1 ${n(squash)}) rotate(${n(turn)}) scale(${n(scale)}) translate(${-STALK_END[0]} ${-STALK_END[1]})` }
}

/** Blotches, stripes, wings, prickles and hairs of a stem, along its spine. */
function stemMarks(spine: Point[], thick: number, { states }: Traits): Drawing {
  const out: Drawing = []
  const places = Array.from({ length: 13 }, (_, i) => (i + 0.7) / 14)
  const marks = states['stem.marks']
  if (marks === 'purple-blotched') for (const [i, t] of places.entries()) { const [x, y] = onStem(spine, t); out.push({ d: circle([x + ((i * 7) % 5 - 2) * thick * 0.14, y], thick * 0.2, thick * (0.22 + (i % 3) * 0.1)), ink: 'purple' }) }
  if (marks === 'purple-striped') for (const k of [-0.2, 0.2]) out.push({ d: smooth(spine.map(([x, y]): Point => [x + k * thick, y])), ink: 'pinkLine' })
  if (marks === 'white-bloom') for (const t of places) { const [x, y] = onStem(spine, t); out.push({ d: circle([x, y], thick * 0.22), ink: 'paper' }) }
  if (states['stem.ridges'] === 'ridged' || states['stem.section'] === 'square') for (const k of [-0.22, 0.22]) out.push({ d: smooth(spine.map(([x, y]): Point => [x + k * thick, y])), ink: 'fine' })
  const armour = states['stem.armour']
  if (armour?.startsWith('spiny-wings')) for (const [i, t] of places.entries()) {
    if (armour === 'spiny-wings-part' && i % 5 > 2) continue
    const [x, y] = onStem(spine, t)
    for (const s of [-1, 1]) out.push({ d: closed([x + s * thick * 0.45, y - 1.6], [x + s * (thick * 0.5 + 3), y - 1.2], [x + s * thick * 0.45, y + 1.8]), ink: 'leafDark' }, { d: smooth([[x + s * thick * 0.45, y - 1.6], [x + s * (thick * 0.5 + 3), y - 1.2], [x + s * thick * 0.45, y + 1.8]]), ink: 'line' })
  }
  if (armour === 'prickles') for (const [i, t] of places.entries()) { const [x, y] = onStem(spine, t); const s = i % 2 ? 1 : -1; out.push(brush([[x + s * thick * 0.4, y], [x + s * (thick * 0.5 + 1.6), y + 0.4], [x + s * (thick * 0.5 + 2.8), y + 1.4]], [1.2, 0.8, 0.2])) }
  const hair = ({ sparse: [1.6, 4, 0], dense: [1.5, 2, 0], 'long-shaggy': [3.4, 2, 1.2], 'stiff-bristly': [2.6, 3, 0], 'pointing-down': [1.7, 2, 1.8], stinging: [2.2, 3, -0.4], 'star-shaped': [1.2, 2, 0], sticky: [1.8, 3, 0], 'one-line': [1.2, 2, 0] } as Record<string, [number, number, number]>)[states['stem.hairs'] ?? '']
  if (hair) out.push(...hairsAlong(spine, thick * 0.9, hair[0], hair[1], hair[2]))
  return out
}

function stemPiece(spine: Point[], thick: number, traits: Traits): Piece {
  const red = traits.states['stem.marks'] === 'red-tinged'
  const tube = tubeAlong(spine, thick, thick * 0.45, 'leaf').map((m, i) => (i === 0 && red ? { d: m.d, ink: 'purple' as Ink } : m))
  return { part: 'stem', shows: STEM_SHOWS, marks: [...tube, ...stemMarks(spine, thick, traits)] }
}

function joints(at: Point[], thick: number, look: string | undefined): Drawing {
  if (look === 'sheathed') return at.flatMap(([x, y]): Drawing => [{ d: closed([x - thick * 0.7, y], [x - thick * 0.8, y - 4], [x - thick * 0.2, y - 3], [x + thick * 0.3, y - 4.4], [x + thick * 0.8, y - 3.4], [x + thick * 0.7, y]), ink: 'paper' }, { d: closed([x - thick * 0.7, y], [x - thick * 0.8, y - 4], [x - thick * 0.2, y - 3], [x + thick * 0.3, y - 4.4], [x + thick * 0.8, y - 3.4], [x + thick * 0.7, y]), ink: 'line' }])
  if (look === 'swollen') return at.map(([x, y]) => ({ d: circle([x, y], thick * 0.8, thick * 0.6), ink: 'leafDark' as const }))
  return []
}

/** A broad-leaved plant as it stands, from its traits. */
export function herbPortrait(traits: Traits, random: () => number): Portrait {
  const { states, sizes } = traits
  const clover = states['leaf.outline'] === undefined && states['leaf.plan'] !== undefined
  const leafMarks = clover || states['leaf.plan'] === 'three-palmate' ? compoundLeaf(traits, STALK_END, -90, 44, 40) : herbLeaf(traits)
  const small = states['leaf.outline'] === 'feathery' ? feathery(0) : leafMarks
  const setting = states['leaf.set'] ?? 'rosette'
  const mm = sizes['leaf.length']
  const jitter = (k: number) => (random() - 0.5) * 2 * k
  const pieces: Piece[] = [herbBelow(traits, random)]
  let unit = 0.5
  if (setting === 'single-frond') {
    unit = 0.8
    const spine: Point[] = [[46, GROUND], [46.5, 78], [47, 70]]
    pieces.push({ part: 'stem', shows: STEM_SHOWS, marks: tubeAlong(spine, 2, 1.6, 'leaf') }, set(leafMarks, 'leaf', [47, 72], 3 + jitter(4), 0.74))
  } else if (setting === 'rosette' && states['leaf.outline'] === 'linear') {
    unit = 0.62
    const turns = traits.young ? [-24, 20, 3] : [-34, 30, -18, 17, -6, 5]
    pieces.push({ part: 'leaf', shows: LEAF_SHOWS, marks: turns.flatMap((d) => {
      const long = (62 + jitter(8)) * (traits.young ? 0.6 : 1)
      const a = ((d + jitter(4)) * Math.PI) / 180
      return bladeAlong([[46 + d * 0.05, GROUND], [46 + Math.sin(a) * long * 0.5, GROUND - Math.cos(a) * long * 0.55], [46 + Math.sin(a * 1.5) * long, GROUND - Math.cos(a * 1.4) * long * 0.92]], { width: 2.6, tip: 'pointed' })
    }) })
  } else if (setting === 'rosette') {
    const big = leafMarks.length > 60
    const count = traits.young ? 4 : leafMarks.length > 150 ? 5 : big ? 7 : 9
    unit = (big ? 0.5 : 0.46) * (traits.young ? 0.62 : 1)
    const turns = Array.from({ length: count }, (_, i) => (360 * i) / count + jitter(9))
    // Leaves behind first; those that come towards the eye look shorter.
    const order = turns.sort((a, b) => Math.cos((b * Math.PI) / 180) - Math.cos((a * Math.PI) / 180))
    for (const d of order) pieces.push(set(small, 'leaf', [46, GROUND - 3], d, unit * (1 + jitter(0.08)), Math.cos((d * Math.PI) / 180) > 0 ? 0.86 : 0.34))
  } else {
    const climbs = states['posture'] === 'flat' || states['posture'] === 'bent-then-rising' || states['habit'] === 'climbing'
    const creeps = states['posture'] === 'flat' && !traits.young
    const spine: Point[] = traits.young ? [[46, GROUND], [46.4, 77], [46, 68]] : creeps ? [[8, GROUND - 1], [34, GROUND - 4], [64, GROUND - 2], [84, GROUND - 14]] : climbs ? [[20, GROUND], [36, GROUND - 12], [48, 52], [52, 28]] : [[46, GROUND], [46.6, 64], [45.6, 42], [46.4, 22]]
    const thick = traits.young ? 1.6 : (mm ?? 60) > 200 ? 4.6 : (mm ?? 60) > 60 ? 3.4 : 2.4
    const levels = traits.young ? (setting === 'alternate' ? [0.3, 0.6, 0.85] : [0.4, 0.85]) : creeps ? [0.12, 0.26, 0.4, 0.56, 0.72, 0.86] : setting === 'alternate' ? [0.16, 0.34, 0.52, 0.68, 0.82, 0.94] : setting === 'whorled' ? [0.22, 0.46, 0.68, 0.88] : [0.2, 0.44, 0.66, 0.85]
    const at = levels.map((t) => onStem(spine, t))
    unit = (setting === 'whorled' ? 0.26 : setting === 'alternate' ? 0.42 : 0.4) * (creeps || traits.young ? 0.56 : 1)
    pieces.push(stemPiece(spine, thick, traits), { part: 'stem', shows: ['node.look'], marks: joints(at, thick, states['node.look']) })
    at.forEach((p, i) => {
      const size = unit * (1.04 - i * (creeps ? 0.03 : 0.1)) * (1 + jitter(0.06))
      if (setting === 'alternate') pieces.push(set(leafMarks, 'leaf', p, (i % 2 ? 1 : -1) * (58 + jitter(7)), size))
      else if (setting === 'whorled') for (const d of [-96, -60, 60, 96, -28, 28]) pieces.push(set(leafMarks, 'leaf', p, d + jitter(4), size, Math.abs(d) < 40 ? 0.7 : 1))
      else for (const d of [-1, 1]) pieces.push(set(leafMarks, 'leaf', p, d * ((creeps ? 34 : 62) + jitter(5)), size))
    })
    if (setting !== 'whorled') pieces.push(set(leafMarks, 'leaf', onStem(spine, 0.98), jitter(6), unit * 0.46))
  }
  const bar = mm ? roundBar((86 * unit) / mm, 22) : undefined
  return {
    form: 'forb',
    pieces,
    insets: insetsOf('forb', traits, [{ character: 'leaf.outline', title: 'leaf', marks: small, ...(mm ? { bar: roundBar(86 / mm, 34) } : {}) }]),
    ...(bar ? { bar } : {}),
  }
}

/** A woody plant: a forked twig with its leaves. */
export function shrubPortrait(traits: Traits, random: () => number): Portrait {
  const leafMarks = herbLeaf(traits)
  const jitter = (k: number) => (random() - 0.5) * 2 * k
  const twigs: Point[][] = [
    [[46, 78], [45, 56], [40, 34], [38, 10]],
    [[45.5, 64], [58, 48], [68, 32], [74, 14]],
    [[44, 52], [32, 42], [22, 30], [15, 16]],
    [[62, 43], [74, 42], [84, 36]],
  ]
  const sharp = traits.states['stem.armour'] === 'sharp-tipped-twigs'
  const wood: Piece = { part: 'stem', shows: STEM_SHOWS, marks: [brush([[47, GROUND + 1], [46, 78], [45.5, 62]], [7, 5, 3.6]), ...twigs.map((t) => brush(t, [3, 2, sharp ? 0.2 : 0.8]))] }
  const leaves = twigs.flatMap((t, k) => [0.3, 0.46, 0.62, 0.78, 0.92].flatMap((at, i) => {
    const p = onStem(t, at)
    const sides = traits.states['leaf.set'] === 'opposite' ? [-1, 1] : [i % 2 ? 1 : -1]
    return sides.map((s) => set(leafMarks, 'leaf', p, s * (48 + jitter(12)) + (k === 1 ? 24 : k === 2 ? -24 : 0), 0.15 * (1.05 - i * 0.06)))
  }))
  const below = herbBelow({ states: { 'root.kind': traits.states['root.kind'] ?? 'taproot' }, sizes: {} }, random)
  const mm = traits.sizes['leaf.length']
  return { form: 'shrub', pieces: [below, ...leaves, wood], insets: insetsOf('shrub', traits, [{ character: 'leaf.outline', title: 'leaf', marks: leafMarks, ...(mm ? { bar: roundBar(86 / mm, 34) } : {}) }]) }
}
