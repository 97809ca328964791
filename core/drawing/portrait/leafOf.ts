import { drawState } from '../drawState.ts'
import { leafOutlines } from '../broadLeaf.ts'
import { leaf, leafOutline, oval, type LeafForm, type LeafLook } from '../leafShape.ts'
import { brush, circle, closed, placed, smooth, type Drawing, type Ink, type Mark, type Point } from '../mark.ts'
import type { Traits } from './portrait.ts'

const TEETH: Record<string, LeafForm['teeth']> = {
  'fine-teeth': { depth: 0.1, count: 18, forward: true },
  'coarse-teeth': { depth: 0.3, count: 6 },
  'saw-teeth': { depth: 0.22, count: 10, forward: true },
  scalloped: { depth: 0.14, count: 8 },
  spiny: { depth: 0.3, count: 6 },
  'wavy-curled': { depth: 0.16, count: 8 },
}
const SIMPLE: Record<string, LeafForm> = {
  'narrow-lance': { length: 86, width: 20, profile: oval(0.45) },
  'broad-oval': { length: 66, width: 56, profile: oval(0.5) },
  'egg-widest-middle': { length: 82, width: 40, profile: oval(0.5) },
  'egg-widest-base': { length: 80, width: 50, profile: oval(0.3) },
  diamond: { length: 80, width: 54, profile: (t) => (t < 0.4 ? t / 0.4 : (1 - t) / 0.6) },
  linear: { length: 88, width: 8, profile: (t) => Math.min(1, 8 * t, 6 * (1 - t)) },
}

/** Stand in the box of a leaf: its stalk ends here. */
export const STALK_END: Point = [50, 98]

/** Where the lobes of a cut leaf end, on its left side; the right side is the mirror of it. */
const LOBE_ENDS: Record<string, Point[]> = {
  lobed: [[37, 88], [33, 75], [29, 59], [26, 38], [33, 22]],
  'pinnate-cut': [[37, 82], [25, 66.5], [17.5, 51], [20, 35], [33, 19]],
}

/** A cut leaf with its coat and its spines or hairs. */
function coated({ states }: Traits, outline: string): Drawing {
  const woolly = states['leaf.coat'] === 'woolly-both' || states['leaf.coat'] === 'silver-grey'
  const marks = (leafOutlines[outline]?.() ?? []).map((m): Mark => (woolly && m.ink === 'leaf' ? { d: m.d, ink: 'silver' } : m))
  const long = { 'leaf-edge-long-dagger': 15, 'leaf-edge-short': 7 }[states['spines'] ?? ''] ?? 0
  const hair = { stiff: 6, long: 7 }[states['hairs.upper'] ?? ''] ?? 0
  const ends = LOBE_ENDS[outline] ?? []
  const [reach, wide] = long ? [long, 2.8] : [hair, 1]
  if (reach === 0) return marks
  return [...marks, ...ends.flatMap(([x, y]) => [-1, 1].map((s) => {
    const ex = s < 0 ? x : 100 - x
    return brush([[ex - s * 2, y], [ex + s * reach * 0.5, y - reach * 0.3], [ex + s * reach, y - reach * 0.5]], [wide, wide * 0.7, 0.3])
  }))]
}

/**
 * One broad leaf in a box of 100 by 100, its stalk at 50, 98: outline x margin x coat x mark x veins, as far as they
 * are known.
 */
export function herbLeaf(traits: Traits): Drawing {
  const { states, sizes } = traits
  const outline = states['leaf.outline'] ?? 'egg-widest-middle'
  const teeth = TEETH[states['leaf.margin'] ?? '']
  const form = SIMPLE[outline]
  if (states['leaf.margin'] === 'three-tipped') return drawState('leaf.margin', 'three-tipped') ?? []
  if (!form) return coated(traits, outline)
  const dark = states['leaf.coat'] === 'shiny'
  const veins = states['leaf.veins']
  const look: LeafLook = { veins: veins === undefined || veins === 'netted' || veins === 'ends-in-notches' ? 4 : 0, dark }
  const whole: LeafForm = { ...form, ...(teeth ? { teeth } : {}) }
  const short = states['petiole.length'] === 'none'
  const at: Point = [50, short ? 97 : 90]
  const on = (points: Point[]) => placed(points, at, -90)
  const half = (t: number, k: number): number => (form.width / 2) * form.profile(t) * k
  const along = (k: number): Point[] => [0.04, 0.3, 0.55, 0.78, 0.94].map((t): Point => [form.length * t, half(t, k)])
  const inside: Drawing = []
  if (veins === 'parallel-strong') for (const k of [-0.66, -0.33, 0.33, 0.66]) inside.push(brush(on(along(k)), [1.1, 1.1, 0.4]))
  if (veins === 'curving-to-tip') for (const k of [-0.6, -0.3, 0.3, 0.6]) inside.push({ d: smooth(on(along(k))), ink: 'line' })
  if (veins === 'three-main') for (const k of [-0.55, 0.55]) inside.push(brush(on(along(k).slice(0, 4)), [1.8, 1.5, 0.5]))
  if (states['leaf.mark'] === 'dark-spot') inside.push({ d: circle(on([[form.length * 0.5, 0]])[0]!, form.width * 0.17, form.width * 0.2), ink: 'purple' })
  if (states['leaf.mark'] === 'white-veins') inside.push(...[-1, 1].flatMap((s) => [0.3, 0.5, 0.7].map((t): Mark => ({ ...brush(on([[form.length * t, 0], [form.length * (t + 0.08), s * half(t, 0.5)], [form.length * (t + 0.13), s * half(t, 0.85)]]), [3, 2.4, 1]), ink: 'paper' }))))
  if (states['leaf.coat'] === 'mealy-or-salty') inside.push(...[0.2, 0.35, 0.5, 0.65, 0.8].flatMap((t) => [-0.5, 0, 0.5].map((k): Mark => ({ d: circle(on([[form.length * t, half(t, k)]])[0]!, 1.5), ink: 'paper' }))))
  const fills: Partial<Record<string, Ink>> = { 'silver-grey': 'silver', 'woolly-both': 'silver' }
  const fill = fills[states['leaf.coat'] ?? '']
  const drawn = leaf(whole, at, -90, look)
  if (fill) drawn[0] = { d: drawn[0]!.d, ink: fill }
  const spine = states['spines'] === 'leaf-edge-long-dagger' ? 13 : states['spines'] === 'leaf-edge-short' ? 5 : 0
  const hairy = { stiff: 7, long: 9, velvety: 3, 'short-dense': 2.2 }[states['hairs.upper'] ?? '']
  const fringe: Drawing = [-1, 1].flatMap((s) => [0.12, 0.24, 0.36, 0.48, 0.6, 0.72, 0.84].flatMap((t): Drawing => {
    const [x, y] = on([[form.length * t, s * half(t, 1)]])[0]!
    const [w, long]: [number, number] = spine ? [2.4, spine] : [0.8, hairy ?? 0]
    return long ? [brush([[x, y], [x + s * long * 0.5, y - long * 0.2], [x + s * long, y - long * 0.35]], [w, w * 0.7, 0.3])] : []
  }))
  const stalkWide = sizes['leaf.length'] !== undefined && sizes['leaf.length'] > 250 ? 3.6 : 2.6
  return [...(short ? [] : [brush([[50, 99], [50, 95], [50, 89]], [stalkWide, stalkWide, stalkWide * 0.8])]), ...drawn, ...inside, ...fringe]
}

const LEAFLET: Record<string, { wide: number; profile: LeafForm['profile']; notch?: number }> = {
  round: { wide: 0.96, profile: oval(0.5) },
  heart: { wide: 1.02, profile: oval(0.68), notch: 0.18 },
  egg: { wide: 0.68, profile: oval(0.56) },
  'oblong-pointed': { wide: 0.44, profile: (t) => Math.min(1, 3.2 * t ** 0.7) * Math.min(1, 2.6 * (1 - t) ** 0.9) },
  teardrop: { wide: 0.6, profile: oval(0.74) },
  narrow: { wide: 0.24, profile: oval(0.5) },
}
const LEAFLET_TEETH: Record<string, LeafForm['teeth']> = {
  'fine-all-round': { depth: 0.08, count: 16, forward: true },
  'strong-all-round': { depth: 0.2, count: 9, forward: true },
  'tip-third-only': { depth: 0.18, count: 8, from: 0.66, forward: true },
}

/** A leaflet of a clover or vetch, laid from its foot in a direction: shape x margin x mark x tip. */
export function leafletOf({ states }: Traits, at: Point, degrees: number, long: number, detail = true): Drawing {
  const shape = LEAFLET[states['leaflet.shape'] ?? 'egg'] ?? LEAFLET['egg']!
  const teeth = detail ? LEAFLET_TEETH[states['leaflet.margin'] ?? ''] : undefined
  const notch = states['leaflet.tip'] === 'notched' ? Math.max(0.1, shape.notch ?? 0) : (shape.notch ?? 0)
  const form: LeafForm = { length: long, width: long * shape.wide, profile: shape.profile, ...(teeth ? { teeth } : {}), notch }
  const on = (points: Point[]) => placed(points, at, degrees)
  const outline = on(leafOutline(form))
  const half = form.width / 2
  const mark = states['leaflet.mark']
  // A pale mark needs a darker leaf to stand on.
  const marks: Drawing = [{ d: closed(...outline), ink: mark?.startsWith('pale-v') ? 'leafDark' : 'leaf' }]
  if (mark === 'pale-v' || mark === 'pale-v-and-flecks') {
    const arm = (from: number, to: number): Point[] => [[long * from, -half * 0.86 * shape.profile(from)], [long * to, 0], [long * from, half * 0.86 * shape.profile(from)]]
    marks.push({ d: closed(...on([...arm(0.36, 0.74), ...arm(0.5, 0.88).reverse()])), ink: 'paper' }, { d: smooth(on(arm(0.36, 0.74))), ink: 'fine' })
  }
  if (mark === 'dark-flecks' || mark === 'pale-v-and-flecks') for (const [t, k] of [[0.3, 0.3], [0.4, -0.4], [0.55, 0.5], [0.6, -0.2], [0.5, 0.05]] as const) marks.push({ d: circle(on([[long * t, half * k]])[0]!, Math.max(0.5, long * 0.035)), ink: 'purple' })
  const small = long < 16
  marks.push({ d: closed(...outline), ink: small ? 'fine' : 'line' })
  if (!small || long > 8) marks.push(brush(on([[0, 0], [long * 0.5, 0], [long * 0.92, 0]]), [long * 0.035 + 0.3, long * 0.03, 0.3]))
  if (detail && long > 14) {
    const strong = states['leaflet.veins'] === 'strong-parallel'
    for (const t of strong ? [0.2, 0.34, 0.48, 0.62, 0.76] : [0.3, 0.52, 0.72])
      for (const s of [-1, 1]) marks.push({ d: smooth(on([[long * t, 0], [long * (t + 0.08), s * half * shape.profile(t) * 0.5], [long * (t + 0.12), s * half * shape.profile(Math.min(0.95, t + 0.1)) * 0.84]])), ink: strong ? 'line' : 'fine' })
  }
  if (states['leaflet.tip'] === 'tiny-point') marks.push(brush(on([[long * 0.97, 0], [long * 1.04, 0], [long * 1.1, 0]]), [long * 0.06, long * 0.045, 0.3]))
  return marks
}

/** A whole leaf of a clover or vetch on its stalk, the stalk's foot at a point, leaving in a direction (-90 is up). */
export function compoundLeaf(traits: Traits, foot: Point, degrees: number, stalk: number, leaflet: number, detail = true): Drawing {
  const plan = traits.states['leaf.plan'] ?? 'three-palmate'
  const on = (points: Point[], d = degrees) => placed(points, foot, d)
  const at = (t: number): Point => on([[stalk * t, Math.sin(t * 2.4) * stalk * 0.03]])[0]!
  const stem = (to: number): Mark => brush([foot, at(to / 2), at(to)], [1.1, 1, 0.8])
  const each = (p: Point, d: number, long = leaflet) => leafletOf(traits, p, d, long, detail)
  if (plan === 'three-pinnate') return [stem(1.22), ...each(at(1), degrees - 66), ...each(at(1), degrees + 66), ...each(at(1.22), degrees)]
  if (plan === 'five') return [stem(1), ...each(at(0.12), degrees - 74, leaflet * 0.72), ...each(at(0.12), degrees + 74, leaflet * 0.72), ...[-62, 62, 0].flatMap((d) => each(at(1), degrees + d))]
  if (plan === 'fingers') return [stem(1), ...[-120, -84, -56, -28, 84, 120, 56, 28, 0].flatMap((d) => each(at(1), degrees + d))]
  if (plan === 'many-no-tendril' || plan === 'many-with-tendril') {
    const pairs = 6
    const steps = Array.from({ length: pairs }, (_, i) => 0.3 + (0.7 * i) / (pairs - 1))
    const small = leaflet * 0.7
    const end = plan === 'many-no-tendril' ? each(at(1.04), degrees, small) : [brush([at(1), at(1.18), on([[stalk * 1.3, stalk * 0.08]])[0]!, on([[stalk * 1.26, stalk * 0.16]])[0]!, on([[stalk * 1.18, stalk * 0.12]])[0]!], [0.8, 0.7, 0.3]), brush([at(0.98), on([[stalk * 1.12, -stalk * 0.12]])[0]!, on([[stalk * 1.2, -stalk * 0.2]])[0]!, on([[stalk * 1.1, -stalk * 0.2]])[0]!], [0.7, 0.6, 0.3])]
    return [stem(1), ...steps.flatMap((t) => [...each(at(t), degrees - 66, small), ...each(at(t), degrees + 66, small)]), ...end]
  }
  return [stem(1), ...each(at(1), degrees - 76), ...each(at(1), degrees + 76), ...each(at(1), degrees)]
}
