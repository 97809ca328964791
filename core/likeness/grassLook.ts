import type { Traits } from '../flora/traits.ts'
import { bases, greens, MID_GREEN, mixed, type Lab } from './colours.ts'
import { sections, tapers, type Blade } from './ribbon.ts'

/** Millimetres of a blade for each millimetre of its width, and to begin with; common proportions of young shoots, from memory. */
const LENGTHS: Record<string, { each: number; least: number }> = {
  'thread-like': { each: 90, least: 90 },
  'long-narrow': { each: 26, least: 70 },
  'long-broad': { each: 17, least: 90 },
  'short-broad': { each: 8, least: 25 },
}

/** Radians off upright at which a blade leaves, and by which it bends down over its length. */
export const HANGS: Record<string, { leave: number; fall: number }> = {
  'stiff-upright': { leave: 0.26, fall: 0.25 },
  arching: { leave: 0.42, fall: 1.25 },
  drooping: { leave: 0.5, fall: 2.1 },
  'flat-spread': { leave: 1.1, fall: 0.5 },
}

/** Radians off upright at which shoots leave the ground, and by which they turn up on the way. */
export const STANDS: Record<string, { lean: number; rise: number }> = {
  upright: { lean: 0.2, rise: 0.05 },
  'bent-then-rising': { lean: 0.85, rise: 0.7 },
  flat: { lean: 1.35, rise: 0.15 },
  rosette: { lean: 1.3, rise: 0.1 },
}

const RADIANS = Math.PI / 180

/** How shoots lean and how blades hang, by the proportions on file, else by what is coded. */
export function stanceOf(
  { states, proportions }: Traits,
  width: number,
): { lean: number; rise: number; leave: number; fall: number } {
  const stand = STANDS[states['posture'] ?? 'upright'] ?? STANDS['upright']!
  const hang = HANGS[states['blade.posture'] ?? (width < 1.2 ? 'stiff-upright' : 'arching')] ?? HANGS['arching']!
  const [lean, fall] = [proportions?.leanDegrees, proportions?.fallDegrees]
  return {
    ...stand,
    ...hang,
    ...(lean === undefined ? {} : { lean: lean * RADIANS, rise: lean > 35 ? stand.rise : 0.05 }),
    ...(fall === undefined ? {} : { fall: fall * RADIANS }),
  }
}

export interface GrassLook {
  blade: Omit<Blade, 'width'>
  width: number
  long: number
  sheathLong: number
  radius: number
  section: (angle: number) => number
  base: Lab
  green: Lab
}

/** What the coded states of a grass make of its blades and sheaths. */
export function lookOf({ states, sizes, young, proportions, tints }: Traits): GrassLook {
  const width = sizes['blade.width'] ?? 4
  const green = tints?.upper ?? greens[states['blade.colour'] ?? ''] ?? MID_GREEN
  const { each, least } = LENGTHS[states['blade.shape'] ?? 'long-narrow'] ?? LENGTHS['long-narrow']!
  const thread = width < 1.2
  const shining = states['blade.sheen']
  const folded = states['vernation'] === 'folded'
  const tip = states['blade.tip'] ?? 'pointed'
  const midrib = states['blade.midrib']
  const stripes: Record<string, Lab> = { 'white-stripe': [90, -6, 14], 'brown-stripe': [52, 14, 30] }
  const stripe = stripes[midrib ?? '']
  const crease = states['blade.crease'] === 'm-or-w'
  return {
    width,
    long: (proportions?.bladeMm ?? least + each * width) * (young ? 0.55 : 1),
    sheathLong: (proportions?.sheathMm ?? Math.min(150, 16 + 9 * width)) * (young ? 0.6 : 1),
    radius: Math.max(0.55, 0.22 * width + 0.45) * (young ? 0.75 : 1),
    section: sections[states['stem.section'] ?? 'round'] ?? sections['round']!,
    base: tints?.base ?? bases[states['base.colour'] ?? 'green-or-white'] ?? bases['green-or-white']!,
    green,
    blade: {
      taper: tapers[tip] ?? tapers['pointed']!,
      upper: shining === 'waxy' ? mixed(green, [72, -10, 2], 0.3) : green,
      // The back of most blades is a little paler and greyer.
      lower: tints?.lower ?? mixed(green, [58, -18, 24], 0.35),
      // Threads are folded for good; a boat closes at its bow.
      fold: (t) =>
        (thread ? 1.25 : folded ? 0.42 : 0.2) + (tip === 'boat' && t > 0.86 ? ((t - 0.86) / 0.14) * 0.75 : 0),
      gloss:
        shining === 'glossy-back'
          ? [0.3, 0.85]
          : shining === 'glossy-both'
            ? [0.8, 0.8]
            : shining === 'waxy'
              ? [0.1, 0.1]
              : [0.22, 0.26],
      midrib: stripe
        ? { colour: stripe, wide: midrib === 'white-stripe' ? 0.12 : 0.08 }
        : midrib === 'single-keel'
          ? 'keel'
          : midrib === 'double-line'
            ? 'double-line'
            : 'none',
      ...(states['blade.ribs'] === 'deep-ribs' && !thread
        ? {
            ribs: {
              count: Math.max(3, Math.min(6, Math.round(width * 0.9))),
              high: Math.min(0.5, 0.06 * width + 0.08),
            },
          }
        : {}),
      ...(crease
        ? {
            relief: (t: number) =>
              -0.5 * Math.exp(-(((t - 0.45) / 0.02) ** 2)) + 0.35 * Math.exp(-(((t - 0.425) / 0.015) ** 2)),
          }
        : {}),
    },
  }
}
