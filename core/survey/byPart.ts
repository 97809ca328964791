import type { Plant } from '../flora/flora.ts'
import type { Round } from '../records/round.ts'
import { compositionOf, type Composition } from './composition.ts'
import { countedStops } from './counted.ts'
import { resolvedUnknowns } from './figures.ts'
import { abundanceMatrix } from '../methods/tally.ts'

/** What one part of a paddock is made of. */
export interface PartMade {
  /** Empty for the rest of the paddock, outside its named parts. */
  name: string
  made: Composition
}

/**
 * The composition of each part of a paddock by itself, the part with most stops first. Within a part the stops are
 * taken as drawn at random.
 *
 * @returns nothing where the stops lie in one part only
 */
export function byPart(round: Round, plants: Map<string, Plant>): PartMade[] {
  const stops = countedStops(round).filter((s) => s.hits.length > 0)
  const names = [...new Set(stops.map((s) => s.stratum ?? ''))]
  if (names.length < 2) return []
  const named = resolvedUnknowns(round)
  return names
    .flatMap((name) => {
      const here = abundanceMatrix(
        stops.filter((s) => (s.stratum ?? '') === name),
        named,
      )
      const made = compositionOf(here, plants)
      return made ? [{ name, made }] : []
    })
    .sort((a, b) => b.made.stops - a.made.stops)
}
