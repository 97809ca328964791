import type { AnimalClass } from './needs.ts'

/**
 * Fibre that an animal eats in a day at the most, % of its body weight. Cattle 1.2 (Mertens 1987: intake = 120 / NDF);
 * sheep, goats and horses take more of it (from memory; horses pass fibre through rather than wait for it).
 */
const FIBRE_PCT: Record<AnimalClass['kind'], number> = { cattle: 1.2, sheep: 1.6, goats: 1.7, horses: 1.5 }

/** Protein of the feed under which the rumen digests, and so eats, less (Minson 1990, from memory), and how far down that goes. */
export const LEAST_PROTEIN = 7
const LEAST_SHARE = 0.6

/**
 * Dry matter eaten in a day, % of body weight: what the class eats, but no more than its gut takes of the fibre, and less
 * where protein fails.
 *
 * @param wanted % of body weight of good feed
 * @param feed % of dry matter
 */
export function intakePct(kind: AnimalClass['kind'], wanted: number, feed: { ndf: number; cp: number }): number {
  if (!(feed.ndf > 0 && feed.ndf <= 100)) throw new RangeError(`NDF is above 0 and at most 100: ${feed.ndf}`)
  const protein = kind === 'horses' ? 1 : Math.min(1, Math.max(LEAST_SHARE, feed.cp / LEAST_PROTEIN))
  return Math.min(wanted, (100 * FIBRE_PCT[kind]) / feed.ndf) * protein
}

/** The range that a class eats of such feed. */
export function intakeRange(animal: AnimalClass, feed: { ndf: number; cp: number }): readonly [number, number] {
  const [low, high] = animal.intakePct
  return [intakePct(animal.kind, low, feed), intakePct(animal.kind, high, feed)]
}
