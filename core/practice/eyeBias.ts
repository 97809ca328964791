import { tQuantile } from '../stats/tQuantile.ts'
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
  /** The other way round, what is said of a truth: said = offset + slope x truth on log odds, give or take `residual`. */
  says: { offset: number; slope: number; residual: number; centre: number; squares: number }
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
  const cross = x.reduce((s, v, i) => s + (v - mx) * (y[i]! - my), 0)
  const ofTruth = y.reduce((s, v) => s + (v - my) ** 2, 0)
  if (!(ofTruth > 1e-9)) return undefined
  const slope = cross / squares
  const offset = my - slope * mx
  const residual = Math.sqrt(y.reduce((s, v, i) => s + (v - offset - slope * x[i]!) ** 2, 0) / (n - 2))
  const off = judged.map((j) => j.said - j.truth)
  const mean = off.reduce((a, b) => a + b, 0) / n
  const sd = Math.sqrt(off.reduce((s, d) => s + (d - mean) ** 2, 0) / (n - 1))
  const half = (tQuantile(0.975, n - 1) * sd) / Math.sqrt(n)
  const [saysSlope, saysOffset] = [cross / ofTruth, mx - (cross / ofTruth) * my]
  const saysResidual = Math.sqrt(x.reduce((s, v, i) => s + (v - saysOffset - saysSlope * y[i]!) ** 2, 0) / (n - 2))
  return {
    ...{ offset, slope, judged: n, residual, mean, meanInterval: [mean - half, mean + half] as Interval },
    ...{ centre: mx, squares },
    says: { offset: saysOffset, slope: saysSlope, residual: saysResidual, centre: my, squares: ofTruth },
  }
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

/** Least spread of covers between frames that is reckoned with, log odds squared. */
const LEAST_SPREAD = 0.01
/** Eyes whose words hardly follow the truth cannot be corrected by them. */
const LEAST_SLOPE = 0.2

/**
 * Mean cover of a plant over frames as these eyes judged it, with their bias taken off. What is learned is how the eyes speak of a
 * truth; the truths of the field are taken to lie about a mean of their own, with the spread that is left when the eye's is
 * taken off, and each frame is drawn towards that mean by how little it is trusted (empirical Bayes; Carroll et al. 2006, ch. 4).
 * So covers that are rarer or commoner than those of practice are not drawn towards practice. A frame in which the plant was not
 * seen stays at nothing. The interval holds the spread between frames and the error of what was learned.
 *
 * @param said cover of the plant in each frame, 0 to 1
 * @returns undefined from fewer than two frames, or from eyes that say the same of all
 */
export function correctedCover(bias: EyeBias, said: readonly number[]): CorrectedCover | undefined {
  const n = said.length
  const { offset, slope, residual, centre, squares } = bias.says
  if (n < 2 || slope < LEAST_SLOPE) return undefined
  const seen = said.filter((s) => s > 0).map((s) => (logOdds(s) - offset) / slope)
  if (seen.length === 0) return { share: 0, interval: [0, 0] }
  const mu = seen.reduce((a, b) => a + b, 0) / seen.length
  const eye = (residual / slope) ** 2
  const between = seen.length > 1 ? seen.reduce((s, x) => s + (x - mu) ** 2, 0) / (seen.length - 1) : 0
  const spread = Math.max(LEAST_SPREAD, between - eye)
  const trust = spread / (spread + eye)
  // Mean of a logistic of something normal: its odds shrink by this factor (logistic close to a scaled probit).
  const shrink = 1 / Math.sqrt(1 + ((16 * Math.sqrt(3)) / (15 * Math.PI)) ** 2 * spread * (1 - trust))
  const truth = [
    ...seen.map((x) => shareOf(shrink * (mu + trust * (x - mu)))),
    ...Array.from({ length: n - seen.length }, () => 0),
  ]
  const share = truth.reduce((a, b) => a + b, 0) / n
  // What was drawn towards the mean differs less than the frames do: the eye's own error between frames is put back.
  const steep = truth.reduce((s, p) => s + p * (1 - p), 0) / n
  const apart = truth.reduce((s, t) => s + (t - share) ** 2, 0) / (n - 1) / n
  const byEye = (steep ** 2 * (1 - trust ** 2) * (spread + eye)) / n
  const learned = steep ** 2 * eye * (1 / bias.judged + (mu - centre) ** 2 / squares)
  const half = tQuantile(0.975, Math.min(n - 1, bias.judged - 2)) * Math.sqrt(apart + byEye + learned)
  return { share, interval: [Math.max(0, share - half), Math.min(1, share + half)] }
}
