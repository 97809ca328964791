import { tQuantile } from './tQuantile.ts'
import type { Interval } from './clusterRatio.ts'

export interface Calibration {
  n: number
  intercept: number
  slope: number
  interceptSe: number
  slopeSe: number
  rSquared: number
  residualSd: number
  /** Fitted mean at x, the interval of that mean, and that of one new value. */
  at: (x: number) => { fitted: number; confidence: Interval; prediction: Interval }
}

const meanOf = (x: readonly number[]) => x.reduce((a, b) => a + b, 0) / x.length
const crossSum = (x: readonly number[], y: readonly number[]): number => {
  const [mx, my] = [meanOf(x), meanOf(y)]
  return x.reduce((sum, v, i) => sum + (v - mx) * (y[i]! - my), 0)
}

/**
 * Straight line of y on x by least squares: height against clipped mass, or a reference frame's rank against its weight.
 *
 * @param conf confidence of the intervals, 0 to 1
 * @throws RangeError fewer than three pairs, or all x alike
 */
export function linearCalibration(x: readonly number[], y: readonly number[], conf = 0.95): Calibration {
  const n = x.length
  if (n < 3 || y.length !== n) throw new RangeError('a line needs three pairs or more')
  const [mx, my] = [meanOf(x), meanOf(y)]
  const [sxx, sxy, syy] = [crossSum(x, x), crossSum(x, y), crossSum(y, y)]
  if (!(sxx > 0)) throw new RangeError('a line needs heights that differ')
  const slope = sxy / sxx
  const intercept = my - slope * mx
  const left = x.reduce((sum, v, i) => sum + (y[i]! - intercept - slope * v) ** 2, 0)
  const residualSd = Math.sqrt(left / (n - 2))
  const t = tQuantile(1 - (1 - conf) / 2, n - 2)
  return {
    n,
    intercept,
    slope,
    interceptSe: residualSd * Math.sqrt(1 / n + (mx * mx) / sxx),
    slopeSe: residualSd / Math.sqrt(sxx),
    rSquared: 1 - left / syy,
    residualSd,
    at: (v) => {
      const fitted = intercept + slope * v
      const spread = 1 / n + (v - mx) ** 2 / sxx
      const [near, far] = [t * residualSd * Math.sqrt(spread), t * residualSd * Math.sqrt(1 + spread)]
      return { fitted, confidence: [fitted - near, fitted + near], prediction: [fitted - far, fitted + far] }
    },
  }
}

export interface DoubleSample {
  /** Mean of y over all places where x was taken. */
  mean: number
  se: number
  interval: Interval
  slope: number
  /** Standard error that the clipped frames alone would have given, were they drawn at random. */
  seClippedAlone: number
}

/**
 * Mean mass from many heights and a few clipped frames among them (double sampling, Cochran 1977 ch. 12, regression).
 *
 * @param heights of the whole first sample
 * @param clipped heights and masses of the frames that were clipped too, three or more
 * @param places how many frames the paddock holds; left out where that is without bound
 * @param byRandomClips the clipped frames were drawn at random, not picked low and high
 * @throws RangeError fewer than three clipped frames
 */
export function doubleSampling(
  heights: readonly number[],
  clipped: { heights: readonly number[]; masses: readonly number[] },
  { places, conf = 0.95, byRandomClips = false }: { places?: number; conf?: number; byRandomClips?: boolean } = {},
): DoubleSample {
  const n = clipped.heights.length
  const { slope, residualSd } = linearCalibration(clipped.heights, clipped.masses)
  const [mean, meanClipped] = [meanOf(heights), meanOf(clipped.heights)]
  const estimate = meanOf(clipped.masses) + slope * (mean - meanClipped)
  const s2y = crossSum(clipped.masses, clipped.masses) / (n - 1)
  const s2 = residualSd ** 2
  const finite = places === undefined ? 0 : s2y / places
  const shift = (s2 * (mean - meanClipped) ** 2) / crossSum(clipped.heights, clipped.heights)
  // What the line tells of all readings: b^2 times their own spread, which holds for clips that were picked low and high too;
  // (s2y - s2) / n' of Cochran's formula is the same only where the clips were drawn at random.
  const ofReadings = byRandomClips
    ? (s2y - s2) / heights.length
    : (slope ** 2 * crossSum(heights, heights)) / (heights.length - 1) / heights.length
  const se = Math.sqrt(Math.max(0, s2 / n + ofReadings - finite + shift))
  const half = tQuantile(1 - (1 - conf) / 2, n - 2) * se
  return {
    mean: estimate,
    se,
    interval: [estimate - half, estimate + half],
    slope,
    seClippedAlone: Math.sqrt(s2y / n - finite),
  }
}
