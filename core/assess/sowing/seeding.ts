/** Arithmetic of sowing: live seed, seeds on the ground, kilograms, and the check of a drill. */

const M2_PER_HA = 10_000

/** Pure live seed: share of what is bought that is seed of the kind and will grow, 0 to 1. */
export function pureLiveSeed(purity: number, germination: number): number {
  for (const share of [purity, germination])
    if (!(share >= 0 && share <= 1)) throw new RangeError(`purity and germination are 0 to 1: ${share}`)
  return purity * germination
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
