import type { Composition, TaxonShare } from './composition.ts'
import { moreStops } from '../stats/stopsNeeded.ts'

/** Species with less than this share are not waited for. */
const MAIN_FROM = 0.1

/**
 * More stops for the wanted half width, by the most uncertain of the main species: by the error between stops, and until the limits
 * that are shown lie within it. Stops that are all alike have no error between them; their limits are those of points looked at
 * by themselves, and draw together with the root of the number of stops (Cochran 1977, ch. 4).
 *
 * @param halfWidth of the share, 0.05 for plus or minus 5 in 100
 * @returns undefined before the third stop: two stops say too little of how stops differ
 */
export function moreStopsFor({ taxa, stops }: Composition, halfWidth: number): number | undefined {
  if (stops < 3) return undefined
  const more = ({ se, interval }: TaxonShare): number => {
    const needed = se === undefined ? 0 : moreStops({ se, stops, halfWidth })
    const shown = interval ? (interval[1] - interval[0]) / 2 : 0
    return needed > 0 || shown <= halfWidth ? needed : Math.ceil(stops * ((shown / halfWidth) ** 2 - 1))
  }
  return Math.max(0, ...taxa.filter((t) => t.estimate >= MAIN_FROM).map(more))
}
