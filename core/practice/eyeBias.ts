import tQuantile from '@stdlib/stats-base-dists-t-quantile'
import type { Interval } from '../stats/clusterRatio.ts'

/** A frame judged by eye: what was there and what was said, shares of the frame. */
export interface Judgement {
  truth: number
  said: number
}

/** How one pair of eyes errs: on the scale of log odds, truth = offset + slope x said. */
export interface EyeBias {
  offset: number
  slope: number
  judged: number
  /** Standard deviation of what is left, log odds. */
  residual: number
  /** Mean of what was said less the truth, shares; with its 95 % interval. */
  mean: number
  meanInterval: Interval
  /** Mean of the said, log odds, and the sum of squares about it: for the interval of a correction. */
  centre: number
  squares: number
}

/** Nothing and all are held off the ends by a hundredth, so that log odds stay finite. */
const logOdds = (share: number): number => {
  const p = Math.min(0.99, Math.max(0.01, share))
  return Math.log(p / (1 - p))
}
const shareOf = (odds: number): number => 1 / (1 + Math.exp(-odds))

/** Fewest judgements that a curve is drawn from. */
export const FEWEST_JUDGED = 8

/**
 * A person's bias in judging cover, learned from frames of known cover: the regression of the truth on what was said, in
 * log odds, so that a correction stays between 0 and 1 (regression calibration; Draper & Smith 1998, ch. 1).
 *
 * @returns undefined from too few judgements, or where the same was said of all
 */
export function eyeBias(judged: readonly Judgement[]): EyeBias | undefined {
  const n = judged.length
  if (n < FEWEST_JUDGED) return undefined
  const x = judged.map((j) => logOdds(j.said))
  const y = judged.map((j) => logOdds(j.truth))
  const [mx, my] = [x, y].map((l) => l.reduce((a, b) => a + b, 0) / n) as [number, number]
  const squares = x.reduce((s, v) => s + (v - mx) ** 2, 0)
  if (!(squares > 1e-9)) return undefined
  const slope = x.reduce((s, v, i) => s + (v - mx) * (y[i]! - my), 0) / squares
  const offset = my - slope * mx
  const residual = Math.sqrt(y.reduce((s, v, i) => s + (v - offset - slope * x[i]!) ** 2, 0) / (n - 2))
  const off = judged.map((j) => j.said - j.truth)
  const mean = off.reduce((a, b) => a + b, 0) / n
  const sd = Math.sqrt(off.reduce((s, d) => s + (d - mean) ** 2, 0) / (n - 1))
  const half = (tQuantile(0.975, n - 1) * sd) / Math.sqrt(n)
  return { offset, slope, judged: n, residual, mean, meanInterval: [mean - half, mean + half], centre: mx, squares }
}

/** What a cover said by these eyes most likely was, with the 95 % interval for a single frame. */
export function corrected(bias: EyeBias, said: number): { share: number; interval: Interval } {
  const x = logOdds(said)
  const middle = bias.offset + bias.slope * x
  const se = bias.residual * Math.sqrt(1 + 1 / bias.judged + (x - bias.centre) ** 2 / bias.squares)
  const half = tQuantile(0.975, bias.judged - 2) * se
  return { share: shareOf(middle), interval: [shareOf(middle - half), shareOf(middle + half)] }
}

/** Cover of a plant over frames, with the reader's own error taken off. */
export interface CorrectedCover {
  share: number
  interval: Interval
}

/**
 * Mean cover of a plant over frames as these eyes judged it, with their bias taken off. A frame in which it was not seen
 * stays at nothing. What is left of the error in single frames averages out over them; the error of the learned curve does
 * not, and is in the interval (delta method on its two coefficients; Draper & Smith 1998, ch. 1), as is the spread
 * between frames.
 *
 * @param said cover of the plant in each frame, 0 to 1
 * @returns undefined from fewer than two frames
 */
export function correctedCover(bias: EyeBias, said: readonly number[]): CorrectedCover | undefined {
  const n = said.length
  if (n < 2) return undefined
  // Mean of a logistic of something normal: its odds shrink by this factor (logistic close to a scaled probit).
  const shrink = 1 / Math.sqrt(1 + ((16 * Math.sqrt(3)) / (15 * Math.PI)) ** 2 * bias.residual ** 2)
  const odds = said.map((s) => (s > 0 ? logOdds(s) : undefined))
  const truth = odds.map((x) => (x === undefined ? 0 : shareOf(shrink * (bias.offset + bias.slope * x))))
  const mean = (list: number[]) => list.reduce((a, b) => a + b, 0) / n
  const share = mean(truth)
  const between = truth.reduce((s, t) => s + (t - share) ** 2, 0) / (n - 1) / n
  const steep = truth.map((p) => shrink * p * (1 - p))
  const byOffset = mean(steep)
  const bySlope = mean(steep.map((g, i) => (odds[i] === undefined ? 0 : g * (odds[i]! - bias.centre))))
  const curve = bias.residual ** 2 * (byOffset ** 2 / bias.judged + bySlope ** 2 / bias.squares)
  const half = tQuantile(0.975, Math.min(n - 1, bias.judged - 2)) * Math.sqrt(between + curve)
  return { share, interval: [Math.max(0, share - half), Math.min(1, share + half)] }
}
