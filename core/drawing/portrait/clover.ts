import { brush, type Drawing, type Ink, type Point } from '../mark.ts'
import { drawState } from '../drawState.ts'
import { herbBelow } from './below.ts'
import { insetsOf } from './insets.ts'
import { compoundLeaf, leafletOf } from './leafOf.ts'
import { GROUND, roundBar, type Piece, type Portrait, type Traits } from './portrait.ts'
import { hairsAlong, tubeAlong } from './ribbon.ts'

/** Stems of a leguminous plant by how it spreads and stands; each a line from its foot, with places for leaves on it. */
interface Stem {
  spine: Point[]
  leaves: { at: number; side: -1 | 0 | 1; size: number }[]
  roots: number[]
}

const onLine = (spine: Point[], t: number): Point => {
  const x = t * (spine.length - 1)
  const i = Math.min(spine.length - 2, Math.floor(x))
  const f = x - i
  return [spine[i]![0] + (spine[i + 1]![0] - spine[i]![0]) * f, spine[i]![1] + (spine[i + 1]![1] - spine[i]![1]) * f]
}

function stems({ states, young }: Traits, random: () => number): Stem[] {
  const j = (k: number) => (random() - 0.5) * 2 * k
  const y = GROUND - 2
  if (young) return [{ spine: [[46, GROUND], [46.4, 83], [46 + j(1), 78]], leaves: [{ at: 0.5, side: -1, size: 0.8 }, { at: 0.8, side: 1, size: 0.7 }, { at: 1, side: 0, size: 0.5 }], roots: [] }]
  switch (states['habit']) {
    case 'stolon':
      return [{ spine: [[4, y], [34, y - 1.5], [66, y + 0.5], [92, y - 1]], leaves: [0.1, 0.34, 0.58, 0.82, 0.98].map((at, i) => ({ at, side: 0, size: [0.86, 1.06, 0.94, 0.8, 0.5][i]! + j(0.06) })), roots: [0.1, 0.34, 0.58, 0.82] }]
    case 'runner-not-rooting':
      return [-1, 1].map((s): Stem => ({ spine: [[46, y], [46 + s * 16, y - 4], [46 + s * 32, y - 1.5], [46 + s * 44, y - 3]], leaves: [0.06, 0.42, 0.72, 0.98].map((at, i) => ({ at, side: 0, size: 0.92 - i * 0.1 + j(0.05) })), roots: [] }))
    case 'rhizome':
      return [30, 64].map((x, i): Stem => ({ spine: [[x, GROUND], [x + 1, 72], [x - 1 + j(2), 52]], leaves: [0.1, 0.45, 0.75, 1].map((at, k) => ({ at, side: k % 2 ? 1 : -1, size: (i === 0 ? 0.92 : 0.72) - k * 0.06 })), roots: [] }))
    case 'climbing':
      return [{ spine: [[38, GROUND], [44, 67], [50, 47], [46, 28], [52, 16]], leaves: [0.1, 0.3, 0.52, 0.72, 0.92].map((at, i) => ({ at, side: i % 2 ? 1 : -1, size: 0.95 - i * 0.06 + j(0.05) })), roots: [] }]
    default: {
      const low = states['posture'] === 'flat' || states['posture'] === 'bent-then-rising'
      return [-1, 0, 1].map((s): Stem => {
        const reach = low ? s * 34 : s * 15
        const top = low ? (s === 0 ? 34 : states['posture'] === 'flat' ? 74 : 48) : 20 + Math.abs(s) * 10
        return { spine: [[46, GROUND], [46 + reach * 0.55, low && s !== 0 ? GROUND - 6 : (GROUND + top) / 2], [46 + reach + j(2), top]], leaves: [0.24, 0.5, 0.76, 1].map((at, i) => ({ at, side: i === 3 ? 0 : (i % 2 ? 1 : -1) * (s < 0 ? -1 : 1) as -1 | 1, size: 0.78 - i * 0.09 + j(0.05) })), roots: [] }
      })
    }
  }
}

const HAIRS: Record<string, [long: number, step: number, drop: number]> = { sparse: [1.4, 4, 0], dense: [1.4, 2, 0], 'long-shaggy': [3, 2, 1], 'pointing-down': [1.6, 2, 1.8], 'stiff-bristly': [2.2, 3, 0] }

/** A clover, medic, vetch or lupine as it stands, from its traits. */
export function cloverPortrait(traits: Traits, random: () => number): Portrait {
  const { states, sizes } = traits
  const creeps = !traits.young && (states['habit'] === 'stolon' || states['habit'] === 'runner-not-rooting')
  const many = states['leaf.plan']?.startsWith('many') === true || states['leaf.plan'] === 'fingers'
  const leafletLong = many ? 11 : creeps ? 13.5 : 12
  const stalkLong = creeps ? 34 : many ? 30 : 15
  const all = stems(traits, random)
  const thick = creeps ? 2.2 : 1.9
  const hair = HAIRS[states['stem.hairs'] ?? '']
  const ink: Ink = states['stem.marks'] === 'red-tinged' ? 'purple' : 'leaf'
  const leaves: Drawing = all.flatMap((stem) => stem.leaves.flatMap(({ at, side, size }) => {
    const foot = onLine(stem.spine, at)
    const lean = creeps ? -90 + (random() - 0.5) * 34 : side === 0 ? -90 : -90 + side * (52 + random() * 14)
    return compoundLeaf(traits, foot, lean, stalkLong * size * (creeps ? 0.8 + random() * 0.35 : 1), leafletLong * size)
  }))
  const joints = all.flatMap((stem) => stem.leaves.filter((l) => l.at < 1).map((l) => onLine(stem.spine, l.at)))
  const leafy = states['stipule.form'] === 'leafy-large'
  const stipules: Drawing = joints.flatMap(([x, y]) => [-1, 1].map((s) => brush([[x, y + 0.6], [x + s * (leafy ? 3 : 1.4), y - (leafy ? 2 : 1.2)], [x + s * (leafy ? 4.6 : 2.2), y - (leafy ? 5 : 3)]], [leafy ? 2.2 : 1, leafy ? 3 : 0.9, 0.3])))
  const roots: Drawing = all.flatMap((stem) => stem.roots.map((t) => onLine(stem.spine, t))).flatMap(([x, y]) => [-2, 0.5, 2.6].map((dx) => brush([[x, y], [x + dx * 0.7, y + 7], [x + dx * 1.5, y + 12 + random() * 4]], [0.8, 0.6, 0.2])))
  const below = creeps && states['habit'] === 'stolon' ? { ...herbBelow({ states: { 'root.kind': 'fibrous' }, sizes: {} }, random, 12), marks: [...herbBelow({ states: { 'root.kind': 'fibrous' }, sizes: {} }, random, 12).marks, ...roots] } : herbBelow(traits, random)
  const pieces: Piece[] = [
    below,
    { part: 'stem', shows: ['habit', 'stem.hairs', 'stem.section', 'stem.marks', 'stem.inside', 'posture'], marks: all.flatMap((s) => [...tubeAlong(s.spine, thick, thick * 0.6).map((m, i) => (i === 0 ? { d: m.d, ink } : m)), ...(hair ? hairsAlong(s.spine, thick * 0.8, hair[0], hair[1], hair[2]) : [])]) },
    { part: 'stipules', shows: ['stipule.form', 'stipule.colour'], marks: stipules },
    { part: 'leaf', shows: ['leaf.plan', 'leaflet.shape', 'leaflet.mark', 'leaflet.margin', 'leaflet.length', 'leaflet.tip', 'leaflet.veins', 'hairs.upper', 'hairs.lower', 'leaf.set'], marks: leaves },
  ]
  const big = leafletOf(traits, [50, 95], -90, 84)
  const mm = sizes['leaflet.length']
  const stipule = states['stipule.form'] ? drawState('stipule.form', states['stipule.form']) : undefined
  return {
    form: 'legume',
    pieces,
    insets: insetsOf('legume', traits, [
      { character: 'leaflet.shape', title: 'leaflet', marks: big, ...(mm ? { bar: roundBar(84 / mm, 34) } : {}) },
      ...(stipule && states['stipule.form'] !== 'thin-inconspicuous' ? [{ character: 'stipule.form', title: 'stipules' as const, marks: stipule }] : []),
    ]),
    ...(mm ? { bar: roundBar((leafletLong * 0.92) / mm, 14) } : {}),
  }
}

