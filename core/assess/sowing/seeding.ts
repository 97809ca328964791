/** Arithmetic of sowing: live seed, seeds on the ground, kilograms, and the check of a drill. */
import type { Plant } from '../../flora/flora.ts'

const M2_PER_HA = 10_000

export interface SeedLot {
  /** Shares of what is bought, 0 to 1: seed of the kind; of that, what grows at once; of that, what is alive and waits. */
  purity: number
  germination: number
  /** Hard seed of legumes, dormant seed of native grasses. */
  waiting?: number
  /** Coat, where purity does not count it already. */
  coat?: number
}

/**
 * Pure live seed: share of what is bought that is living seed of the kind, 0 to 1. What is hard or dormant lives too:
 * PLS = purity x (germination + hard or dormant), less the coat where the tag's purity does not hold it.
 */
export function pureLiveSeed({ purity, germination, waiting = 0, coat = 0 }: SeedLot): number {
  for (const share of [purity, germination, waiting, coat])
    if (!(share >= 0 && share <= 1)) throw new RangeError(`shares of a seed lot are 0 to 1: ${share}`)
  if (germination + waiting > 1 + 1e-9) throw new RangeError('what grows and what waits are together at most 1')
  return purity * (germination + waiting) * (1 - coat)
}

/**
 * What a lot of the kind usually is, where the tag is not at hand; common practice, no source. Lots of native grasses differ
 * so much that only the tag tells: undefined.
 */
export function usualLot({ role, form }: Pick<Plant, 'role' | 'form'>): SeedLot | undefined {
  if (role === 'native') return undefined
  if (form === 'legume') return { purity: 0.98, germination: 0.8, waiting: 0.1, coat: 0.34 }
  return { purity: 0.98, germination: 0.85 }
}

/** Kilograms to buy a hectare for so much live seed. */
export function bulkKgPerHa(liveKgPerHa: number, pls: number): number {
  if (!(pls > 0)) throw new RangeError('without live seed nothing grows')
  return liveKgPerHa / pls
}

/** Live seeds a square metre. */
export const liveSeedsPerM2 = (bulk: number, pls: number, seedsPerKg: number): number =>
  (bulk * pls * seedsPerKg) / M2_PER_HA

/**
 * Grams that a drill should drop in a test over a strip.
 *
 * @param strip metres driven and working width
 */
export function drillCheckGrams(bulk: number, strip: { lengthM: number; widthM: number }): number {
  return ((bulk * strip.lengthM * strip.widthM) / M2_PER_HA) * 1000
}

/** Kilograms a hectare that a drill gives, from what it dropped in the test. */
export function drilledKgPerHa(grams: number, strip: { lengthM: number; widthM: number }): number {
  const area = strip.lengthM * strip.widthM
  if (!(area > 0)) throw new RangeError('a drill is tested over a strip with a length and a width')
  return (grams / 1000 / area) * M2_PER_HA
}
