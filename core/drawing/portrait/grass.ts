import { brush, circle, closed, smooth, smoothClosed, straight, type Drawing, type Point } from '../mark.ts'
import { grassBelow, shootPlaces } from './below.ts'
import { insetsOf } from './insets.ts'
import { GROUND, REACH, type Piece, type Portrait, type Traits } from './portrait.ts'
import { bladeAlong, hairsAlong, tubeAlong, type Blade, type Tip } from './ribbon.ts'

const LENGTH: Record<string, number> = { 'thread-like': 54, 'long-narrow': 60, 'long-broad': 62, 'short-broad': 27 }
/** Degrees off upright at which a blade leaves, and how far its end falls, by how the leaves hang. */
const HANG: Record<string, { leave: number; fall: number }> = {
  'stiff-upright': { leave: 14, fall: 6 },
  arching: { leave: 26, fall: 48 },
  drooping: { leave: 30, fall: 95 },
  'flat-spread': { leave: 64, fall: 18 },
}
/** Degrees off upright at which shoots leave the ground, and that they turn on the way. */
const STAND: Record<string, { lean: number; rise: number }> = {
  upright: { lean: 14, rise: -3 },
  'bent-then-rising': { lean: 48, rise: -40 },
  flat: { lean: 74, rise: -8 },
  rosette: { lean: 78, rise: 0 },
}
const HAIRS: Record<string, number> = { sparse: 0.9, 'short-dense': 0.9, velvety: 1.1, long: 1.9, stiff: 1.5, 'dense-soft': 1.2, 'long-shaggy': 3.2, 'stiff-out-standing': 2.2 }

/** A spine that starts in a direction (degrees off upright, right is plus) and turns evenly as it goes. */
function bend(from: Point, degrees: number, turn: number, long: number, steps = 6): Point[] {
  const out: Point[] = [from]
  for (let i = 0; i < steps; i++) {
    const a = ((degrees + (turn * (i + 0.5)) / steps) * Math.PI) / 180
    const [x, y] = out[i]!
    out.push([x + (Math.sin(a) * long) / steps, Math.min(GROUND - 0.4, y - (Math.cos(a) * long) / steps)])
  }
  return out
}

/** A blade that would leave the box, drawn in towards its foot: it stands steeper, or is shorter. */
function kept(blade: Point[]): Point[] {
  const [x, y] = blade[0]!
  const xs = blade.map((p) => p[0])
  const over = (room: number, reach: number) => Math.min(1, reach === 0 || room / reach < 0 ? 1 : room / reach)
  const wide = Math.min(over(REACH.left - x, Math.min(...xs) - x), over(REACH.right - x, Math.max(...xs) - x))
  const high = over(REACH.top - y, Math.min(...blade.map((p) => p[1])) - y)
  return wide === 1 && high === 1 ? blade : blade.map(([px, py]): Point => [x + (px - x) * wide, y + (py - y) * high])
}

/** How high the mower or the mouth went: above the collar, which is still there to be looked at. */
const CUT = GROUND - 34

/** A blade as far as the mower left it; one that hangs below the cut keeps its tip. */
function mownAt(spine: Point[]): { spine: Point[]; cut: boolean } {
  const i = spine.findIndex(([, y]) => y < CUT)
  if (i < 1) return { spine, cut: false }
  const [[ax, ay], [bx, by]] = [spine[i - 1]!, spine[i]!]
  const t = (ay - CUT) / (ay - by)
  const end: Point = [ax + (bx - ax) * t, CUT]
  const left = [...spine.slice(0, i), end]
  // A ribbon is laid over three points or more.
  const middle: Point = [(left[0]![0] + end[0]) / 2, (left[0]![1] + end[1]) / 2]
  return { spine: left.length > 2 ? left : [left[0]!, middle, end], cut: true }
}

interface Shoot {
  sheath: Point[]
  blades: { spine: Point[]; cut: boolean }[]
  width: number
}

function shoots({ states, sizes, young, mown }: Traits, random: () => number): Shoot[] {
  const habit = states['habit'] ?? (states['rhizome.length'] === 'long' ? 'rhizome' : undefined)
  const stand = STAND[states['posture'] ?? 'upright'] ?? STAND['upright']!
  const mm = sizes['blade.width'] ?? 4
  const hang = HANG[states['blade.posture'] ?? (mm < 1.2 ? 'stiff-upright' : 'arching')]!
  const fine = mm < 1.2
  const jitter = (k: number) => (random() - 0.5) * 2 * k
  return shootPlaces(habit, young).flatMap(({ x, size }) => {
    const count = young ? 1 : Math.max(2, Math.round((fine ? 11 : mm > 9 ? 3 : habit === 'bunch' ? 5 : 4) * (size === 1 ? 1 : 0.6)))
    return Array.from({ length: count }, (_, i): Shoot => {
      const s = count === 1 ? 0 : (i / (count - 1)) * 2 - 1
      const lean = s * stand.lean + jitter(4)
      const sheathLong = (fine ? 9 : 19) * size * (1 - 0.15 * Math.abs(s)) * (1 + jitter(0.08))
      const sheath = bend([x + s * (fine ? 4 : 4.6) * size, GROUND], lean, stand.rise * s, sheathLong, 4)
      const top = sheath.at(-1)!
      const turned = lean + stand.rise * s
      const long = (LENGTH[states['blade.shape'] ?? 'long-narrow'] ?? 52) * size
      const leaves = young ? 3 : fine ? 2 : 2 + (i % 2)
      const blades = Array.from({ length: leaves }, (_b, k) => {
        // The newest leaf stands in the middle; the others leave in turn to both sides.
        const side = k === leaves - 1 ? 0 : (k % 2 ? 1 : -1) * (i % 2 ? -1 : 1)
        const newest = side === 0
        const leave = newest ? turned * 0.4 + jitter(5) : turned * 0.5 + side * hang.leave + jitter(7)
        const fall = newest ? Math.sign(leave || 1) * hang.fall * 0.25 : side * hang.fall * (0.8 + random() * 0.4)
        const whole = kept(bend(newest ? top : sheath[Math.max(1, sheath.length - 1 - k)]!, leave, fall, long * (newest ? 0.78 : 0.94 - 0.14 * k) * (1 + jitter(0.1)), 7))
        return mown ? mownAt(whole) : { spine: whole, cut: false }
      })
      return { sheath, blades, width: Math.max(1, size) }
    })
  })
}

const BASE_INK = { 'purple-red': 'purple', 'silvery-white': 'silver', yellow: 'yellow', 'straw-brown': 'straw', 'green-or-white': 'paper', 'pink-veined': 'paper' } as const

function baseMarks(sheath: Point[], half: number, { states }: Traits): Drawing {
  const [foot, next] = [sheath[0]!, sheath[1]!]
  const top: Point = [foot[0] + (next[0] - foot[0]) * 1.3, foot[1] + (next[1] - foot[1]) * 1.3]
  const colour = states['base.colour']
  const marks: Drawing = []
  if (states['base.form'] === 'swollen-bulb') marks.push({ d: circle([foot[0], foot[1] - 2.4], half * 1.9 + 0.8, 3.2), ink: 'leaf' }, { d: circle([foot[0], foot[1] - 2.4], half * 1.9 + 0.8, 3.2), ink: 'line' })
  if (states['base.form'] === 'club-shaped') marks.push({ d: smoothClosed([[foot[0] - half * 1.7, foot[1]], [foot[0] - half * 1.4, foot[1] - 5], [top[0] - half, top[1]], [top[0] + half, top[1]], [foot[0] + half * 1.4, foot[1] - 5], [foot[0] + half * 1.7, foot[1]]]), ink: 'leaf' })
  if (colour && colour in BASE_INK) {
    marks.push({ d: closed([foot[0] - half, foot[1]], [top[0] - half, top[1]], [top[0] + half, top[1]], [foot[0] + half, foot[1]]), ink: BASE_INK[colour as keyof typeof BASE_INK] })
    if (colour === 'pink-veined') marks.push(...[-0.5, 0, 0.5].map((k) => ({ d: straight([foot[0] + k * half, foot[1]], [top[0] + k * half, top[1]]), ink: 'pinkLine' as const })))
    if (colour === 'straw-brown') marks.push(...[-1, 1].map((k) => brush([[foot[0] + k * half, foot[1]], [foot[0] + k * (half + 1.6), foot[1] - 5], [foot[0] + k * (half + 4), foot[1] - 8]], [0.7, 0.6, 0.2])))
  }
  return marks
}

/** A grass as it stands, from its traits: shoots, blades to width, base, roots and runners. */
export function grassPortrait(traits: Traits, random: () => number): Portrait {
  const { states, sizes } = traits
  const mm = sizes['blade.width'] ?? 4
  const blade: Blade = {
    width: Math.min(7.5, Math.max(0.7, 0.78 * mm ** 0.84)),
    tip: (states['blade.tip'] ?? 'pointed') as Tip,
    midrib: states['blade.midrib'],
    ribbed: states['blade.ribs'] === 'deep-ribs',
    crease: states['blade.crease'] === 'm-or-w',
    hairs: states['hairs.upper'] === 'sparse' ? undefined : HAIRS[states['hairs.upper'] ?? ''],
    dark: states['blade.colour'] === 'dark-green',
  }
  const all = shoots(traits, random)
  const flat = states['stem.section'] === 'flat' || states['stem.section'] === 'wafer-flat'
  const thick = (s: Shoot) => Math.min(5, Math.max(1.2, blade.width * 0.75)) * (flat ? 1.35 : 1) * Math.min(1, s.width + 0.2)
  const behind = (i: number) => all.filter((_, k) => k % 2 === i)
  const order = [...behind(1), ...behind(0)]
  const sheathHair = HAIRS[states['sheath.hairs'] ?? '']
  const blades: Piece = {
    part: 'blade',
    shows: ['blade.width', 'blade.tip', 'blade.midrib', 'blade.ribs', 'blade.shape', 'hairs.upper', 'blade.posture', 'blade.colour', 'blade.sheen', 'blade.edge', 'blade.crease', 'blade.feel', 'hairs.lower', 'blade.break'],
    marks: order.flatMap((s) => s.blades.flatMap(({ spine, cut }) => bladeAlong(spine, { ...blade, width: blade.width * (0.6 + 0.4 * s.width), ...(cut ? { tip: 'cut' as const } : {}) }))),
  }
  const sheaths: Piece = {
    part: 'shoot',
    shows: ['vernation', 'stem.section', 'sheath.hairs', 'sheath.margin', 'sheath.feel', 'posture', 'stem.hairs', 'node.look', 'stem.inside'],
    marks: order.flatMap((s) => [...tubeAlong(s.sheath, thick(s), thick(s) * 0.85), ...(sheathHair ? hairsAlong(s.sheath, thick(s), sheathHair, sheathHair > 2.5 ? 3 : 2, sheathHair > 3 ? 1.4 : 0) : [])]),
  }
  const collars: Piece = {
    part: 'collar',
    shows: ['ligule.type', 'ligule.height', 'auricles', 'auricle.edge', 'ligule.shape', 'collar.look', 'ligule.firmness'],
    marks: order.flatMap((s): Drawing => {
      const [x, y] = s.sheath.at(-1)!
      const h = thick(s) / 2
      const claws = states['auricles'] === 'clasping' ? [-1, 1].map((k) => brush([[x + k * h, y], [x + k * (h + 1.3), y + 0.9], [x + k * h * 0.2, y + 2.2]], [0.6, 0.6, 0.2])) : states['auricles'] === 'short-blunt' ? [-1, 1].map((k) => brush([[x + k * h, y], [x + k * (h + 0.7), y + 0.5], [x + k * (h + 0.3), y + 1.1]], [0.6, 0.6, 0.3])) : []
      const beard = states['collar.look'] === 'hairy-edges' || states['hairs.upper'] === 'tuft-at-base' ? [-1, 1].flatMap((k) => [0, 1, 2].map((i) => brush([[x + k * h, y - i * 0.6], [x + k * (h + 1.6), y - 1 - i], [x + k * (h + 2.8), y - 2.2 - i]], [0.5, 0.4, 0.2]))) : []
      return [{ d: smooth([[x - h, y], [x, y + 0.5], [x + h, y]]), ink: 'fine' }, ...claws, ...beard]
    }),
  }
  const base: Piece = { part: 'base', shows: ['base.colour', 'base.form', 'tug', 'seed.attached'], marks: order.flatMap((s) => baseMarks(s.sheath, thick(s) / 2, traits)) }
  return { form: 'grass', pieces: [grassBelow(traits, random), blades, sheaths, base, collars], insets: insetsOf('grass', traits) }
}

/** Leaves in three ranks on a three-sided shoot. */
export function sedgePortrait(traits: Traits, random: () => number): Portrait {
  const width = Math.min(5, Math.max(1.2, 0.6 * (traits.sizes['blade.width'] ?? 5)))
  const tip: Tip = (traits.states['blade.tip'] ?? 'long-drawn') as Tip
  const jitter = (k: number) => (random() - 0.5) * 2 * k
  const spines = [[-58, -40, 46], [58, 40, 46], [-34, -46, 62], [34, 46, 62], [-14, -30, 74], [15, 26, 74], [2, 8, 66]].map(([leave, fall, long]) => bend([46 + leave! * 0.03, GROUND - 10 + Math.abs(leave!) * 0.08], leave! + jitter(5), fall! * (1 + jitter(0.2)), long! * (1 + jitter(0.08)), 7))
  return {
    form: 'sedge',
    pieces: [
      grassBelow(traits, random),
      { part: 'blade', shows: ['blade.width', 'blade.tip', 'leaf.ranks', 'blade.sheen'], marks: spines.flatMap((s) => bladeAlong(s, { width, tip, midrib: 'single-keel' })) },
      { part: 'shoot', shows: ['stem.section', 'sheath.margin', 'stem.inside', 'leaf.ranks'], marks: [{ d: closed([41.5, GROUND], [43.6, GROUND - 18], [48.4, GROUND - 18], [50.5, GROUND]), ink: 'leafDark' }, { d: closed([41.5, GROUND], [43.6, GROUND - 18], [48.4, GROUND - 18], [50.5, GROUND]), ink: 'line' }, brush([[46, GROUND], [46, GROUND - 9], [46, GROUND - 18]], [0.9, 1.1, 0.8])] },
    ],
    insets: insetsOf('sedge', traits),
  }
}

/** Round leafless stems. */
export function rushPortrait(traits: Traits, random: () => number): Portrait {
  const stems = Array.from({ length: 13 }, (_, i) => {
    const s = (i - 6) / 6
    return bend([46 + s * 9, GROUND], s * 13 + (random() - 0.5) * 5, (random() - 0.5) * 8, 66 + random() * 16 - Math.abs(s) * 8, 4)
  })
  return {
    form: 'rush',
    pieces: [
      grassBelow(traits, random),
      { part: 'stem', shows: ['stem.inside', 'stem.section', 'leaf.ranks', 'posture'], marks: stems.flatMap((s) => tubeAlong(s, 2.4, 0.5, 'leaf')) },
    ],
    insets: insetsOf('rush', traits),
  }
}
