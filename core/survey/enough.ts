import type { Composition } from './composition.ts'
import { moreStops } from '../stats/stopsNeeded.ts'

/** Species with less than this share are not waited for. */
const MAIN_FROM = 0.1

/**
 * More stops for the wanted half width, by the most uncertain of the main species.
 *
 * @param halfWidth of the share, 0.05 for plus or minus 5 in 100
 * @returns undefined before the third stop: two stops say too little of how stops differ
 */
export function moreStopsFor(composition: Composition, halfWidth: number): number | undefined {
  if (composition.stops < 3) return undefined
  const main = composition.taxa.filter((t) => t.estimate >= MAIN_FROM && t.se !== undefined)
  return Math.max(0, ...main.map((t) => moreStops({ se: t.se!, stops: composition.stops, halfWidth })))
}
