import type { Hit } from '../records/hit.ts'
import type { Stop } from '../records/round.ts'
import type { CountingMethod, Pilot } from './method.ts'

/** Variance of clustered points against as many at random, where nothing is known. Common practice, no source. */
const USUAL_DESIGN_EFFECT = 2.5
/** Share of a main species where nothing is known: near the middle the spread is widest. */
const USUAL_SHARE = 0.3
/** Coefficient of variation of standing mass from place to place. Common practice, no source. */
const USUAL_MASS_CV = 0.35
const USUAL_MASS_KG_PER_HA = 2000

/** Spread of a share where a stop weighs as much as so many points. */
export function pilotOfShare(points: number, halfWidth: number): Pilot {
  const sd = Math.sqrt((USUAL_DESIGN_EFFECT * USUAL_SHARE * (1 - USUAL_SHARE)) / points)
  return { sd, halfWidth, about: USUAL_SHARE, from: 'guess' }
}

/** Spread of the readings of a mass; half width as a share of it to either side of the whole. */
export const pilotOfMass = (halfWidth: number): Pilot => ({
  sd: USUAL_MASS_CV * USUAL_MASS_KG_PER_HA,
  halfWidth: halfWidth * 2 * USUAL_MASS_KG_PER_HA,
  about: USUAL_MASS_KG_PER_HA,
  from: 'guess',
})

/** What most methods propose. */
export const usual = { points: 20, asks: [], defaults: {}, fewestPlanned: 3 } satisfies Partial<CountingMethod>

/** Hits that add up as they were written down. */
export const asCounted =
  () =>
  (stop: Stop): Hit[] =>
    stop.hits

/** What a frame weighs as, where a frame says as much as ten points. Common practice, no source. */
export const FRAME_POINTS = 10
export const DEFAULT_FRAME_M2 = 0.25
