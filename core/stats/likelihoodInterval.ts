import { tQuantile } from './tQuantile.ts'
import type { Interval, StopCount } from './clusterRatio.ts'

/** What a plant can amount to in a frame when it is told in classes or ranks. */
export interface FrameValues {
  /** Ascending, the absence (0) among them. */
  values: readonly number[]
  /** The values are shares of what the whole frame amounts to, as ranks give them, not amounts of their own. */
  relative: boolean
}

/** Met in so few frames, a plant can be two values above what was met, so the unseen value lies half way to the second. */
const FEW_FRAMES = 5
const STEPS = 60
/** Of the width of a bracket: closer is not needed. */
const NEAR = 1e-9

/**
 * Frames that could have been met and were not: the plant one value above the highest that was met, and one below the
 * lowest; each as hits and points of a frame of mean size.
 */
export function unseenFrames(stops: readonly StopCount[], { values, relative }: FrameValues): StopCount[] {
  const counted = stops.filter((s) => s.points > 0)
  if (counted.length === 0) return []
  const points = counted.reduce((n, s) => n + s.points, 0) / counted.length
  const met = counted.map((s) => (relative ? s.hits / s.points : s.hits))
  const [lowest, highest] = [Math.min(...met), Math.max(...met)]
  const tiny = 1e-9 * (values.at(-1) ?? 1)
  const above = values.filter((v) => v > highest + tiny)
  const below = values.filter((v) => v < lowest - tiny).at(-1)
  const few = met.filter((v) => v > 0).length <= FEW_FRAMES
  const next = above[0] === undefined ? undefined : few ? (above[0] + (above[1] ?? above[0])) / 2 : above[0]
  return [next, below].flatMap((v) => (v === undefined ? [] : { hits: relative ? v * points : v, points }))
}

/** Twice the log likelihood ratio of a mean of 0, with values that have no frame of their own; endless outside their reach. */
function ratioAtZero(met: readonly number[], unseen: readonly number[]): number {
  const all = [...met, ...unseen]
  const [least, most] = [Math.min(...all), Math.max(...all)]
  if (least >= 0 || most <= 0) return least === 0 && most === 0 ? 0 : Infinity
  const slope = (l: number) => met.reduce((s, z) => s + z / (1 + l * z), 0)
  // The slope falls from one end to the other; where it has no zero between, the unseen value takes a share of the weight.
  const ends = [(-1 / most) * (1 - NEAR), (-1 / least) * (1 - NEAR)] as const
  let l = slope(ends[0]) < 0 ? ends[0] : slope(ends[1]) > 0 ? ends[1] : undefined
  if (l === undefined) {
    // Newton's steps, and the middle where one would leave the bracket.
    l = 0
    let [low, high]: [number, number] = [...ends]
    for (let i = 0; i < STEPS && high - low > NEAR * (ends[1] - ends[0]); i++) {
      let [sum, fall] = [0, 0]
      for (const z of met) {
        const part = z / (1 + l * z)
        sum += part
        fall += part * part
      }
      if (sum > 0) low = l
      else high = l
      const step = sum / fall
      if (Math.abs(step) < NEAR * (ends[1] - ends[0])) break
      l = l + step > low && l + step < high ? l + step : (low + high) / 2
    }
  }
  return 2 * met.reduce((s, z) => s + Math.log1p(l * z), 0)
}

/**
 * Interval of a share over frames by empirical likelihood: every share under which the frames that were met are not too
 * unlikely. Where a plant is told in classes or ranks, a frame with the next value above the highest met could have been
 * met as well, though it was not; such frames are let have a share of the likelihood. Without them the interval of a
 * plant that is mostly absent and rarely much of a frame is too short at its upper end.
 *
 *   -2 log R(r) <= t_{m-1}^2 (1 - f),  R over weights w with sum w (hits - r points) = 0
 *
 * Source: Owen 1988, Biometrika 75:237 and Owen 2001, ch. 2 and 3 (ratio of means; calibration by F, which with one
 * figure is t squared), from memory. The unseen frames are our own; `docs/simulation-survey.md` shows what they do.
 *
 * @param stops two or more with points
 * @param unseen frames that could have been met, as `unseenFrames` gives them
 * @param stopsInAll number of frames the field holds; left out: endless
 * @returns undefined where the plant was met in no frame, or with a single stop
 */
export function likelihoodInterval(
  stops: readonly StopCount[],
  unseen: readonly StopCount[] = [],
  { conf = 0.95, stopsInAll }: { conf?: number; stopsInAll?: number | undefined } = {},
): Interval | undefined {
  const m = stops.length
  const points = stops.reduce((n, s) => n + s.points, 0)
  const estimate = stops.reduce((n, s) => n + s.hits, 0) / points
  if (m < 2 || !(estimate > 0)) return undefined
  const limit =
    tQuantile(1 - (1 - conf) / 2, m - 1) ** 2 * Math.max(0, 1 - (stopsInAll === undefined ? 0 : m / stopsInAll))
  const left = (list: readonly StopCount[], r: number) => list.map((s) => s.hits - r * s.points)
  // The root of the ratio runs nearly straight, so that the secant comes close in a few steps; where it is endless, halves do.
  const over = (r: number) => Math.sqrt(ratioAtZero(left(stops, r), left(unseen, r))) - Math.sqrt(limit)
  const towards = (end: number) => {
    let [inside, outside] = [estimate, end]
    let [below, above] = [-Math.sqrt(limit), Infinity]
    let last = 0
    for (let i = 0; i < STEPS && Math.abs(outside - inside) > NEAR; i++) {
      const next = above === Infinity ? (inside + outside) / 2 : inside - (below * (outside - inside)) / (above - below)
      const here = over(next)
      if (Math.abs(here) < NEAR) return next
      if (here <= 0) {
        ;[inside, below] = [next, here]
        // One end that stays put is let weigh half (Illinois), lest the other creep.
        if (last < 0) above /= 2
      } else {
        ;[outside, above] = [next, here]
        if (last > 0) below /= 2
      }
      last = here
    }
    return inside
  }
  return [towards(0), towards(1)]
}
