import cdf from '@stdlib/stats-base-dists-normal-cdf'
import type { RangeCell } from '../flora/flora.ts'

/** Standard normal quantiles of the ends of the extreme (99 %) and typical (80 %) ranges. */
const Z_KNOTS = [-2.5758293, -1.2815516, 1.2815516, 2.5758293] as const
const SMALLEST_MM = 0.05
/** Two ends of a range are kept at least this far apart on the log scale (about 5 %, what a ruler strip reads). */
const LEAST_GAP = 0.05

/** A size in mm as a normal variable of log size, bent so that its quantiles meet the coded ranges. */
export type SizeKnots = [number, number, number, number]

/** Log sizes at which the coded ranges end, in rising order. */
export function sizeKnots(cell: RangeCell): SizeKnots {
  const ends = [cell.extreme[0], cell.typical[0], cell.typical[1], cell.extreme[1]]
  const knots = ends.map((x) => Math.log(Math.max(x, SMALLEST_MM)))
  for (let i = 1; i < 4; i++) knots[i] = Math.max(knots[i]!, knots[i - 1]! + LEAST_GAP)
  return knots as SizeKnots
}

function normalScore(knots: SizeKnots, logMm: number): { z: number; slope: number } {
  const i = logMm < knots[1] ? 0 : logMm < knots[2] ? 1 : 2
  const slope = (Z_KNOTS[i + 1]! - Z_KNOTS[i]!) / (knots[i + 1]! - knots[i]!)
  return { z: Z_KNOTS[i]! + (logMm - knots[i]!) * slope, slope }
}

/**
 * Density of a measured size on the log scale (per unit of ln mm).
 *
 * @param mm the size read, above 0
 * @param widen 1 for a careful reading, less than 1 for a rougher one (0.65 spreads it half as wide again)
 */
export function sizeDensity(knots: SizeKnots, mm: number, widen: number): number {
  const { z, slope } = normalScore(knots, Math.log(Math.max(mm, SMALLEST_MM)))
  const x = z * widen
  return (Math.exp(-0.5 * x * x) / Math.sqrt(2 * Math.PI)) * slope * widen
}

/** Probability that a size lies between two sizes in mm. */
export function sizeProbability(knots: SizeKnots, fromMm: number, toMm: number): number {
  const at = (mm: number) => cdf(normalScore(knots, Math.log(Math.max(mm, SMALLEST_MM))).z, 0, 1)
  return Math.max(0, at(toMm) - at(fromMm))
}

/** The size in mm that lies at a standard normal score. */
export function sizeAtScore(knots: SizeKnots, z: number): number {
  const i = z < Z_KNOTS[1] ? 0 : z < Z_KNOTS[2] ? 1 : 2
  const slope = (knots[i + 1]! - knots[i]!) / (Z_KNOTS[i + 1]! - Z_KNOTS[i]!)
  return Math.exp(knots[i]! + (z - Z_KNOTS[i]!) * slope)
}
