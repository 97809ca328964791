import type { Plant } from '../flora/flora.ts'
import { abundanceMatrix } from '../methods/tally.ts'
import { groupOf, type Group } from '../records/taxon.ts'
import type { Round } from '../records/round.ts'
import { speciesAccumulation } from '../stats/accumulation.ts'
import { shareRatio, type ShareRatio } from '../stats/shareRatio.ts'
import { countedStops } from './counted.ts'
import { resolvedUnknowns } from './figures.ts'

export interface FurtherFigures {
  /** Plants that the last five of so many stops add on average, over all orders of walking; undefined below ten stops. */
  lastFive: number | undefined
  /** Legume over grass; undefined without either, or where grass cannot be told from nothing. */
  legumeToGrass: ShareRatio | undefined
}

const FEWEST = 10
const LAST = 5

/** How the list of a round grows, and how much legume it has to its grass. */
export function furtherFigures(round: Round, plants: Map<string, Plant>): FurtherFigures {
  const all = abundanceMatrix(
    countedStops(round).filter((s) => s.hits.length > 0),
    resolvedUnknowns(round),
  )
  const stops = all.totals.length
  const plantAt = all.taxa.flatMap(
    (taxon, j) =>
    groupOf(taxon, plants) === 'ground' ? [] : [all.amounts[j]!.reduce<number[]>((at, n, i) => (n > 0 ? [...at, i] : at), [])], // prettier-ignore
  )
  const grown = stops >= FEWEST && plantAt.length > 0 ? speciesAccumulation(plantAt, stops) : undefined
  const together = (groups: readonly Group[]) =>
    Array.from({ length: stops }, (_, i) =>
      all.taxa.reduce((sum, t, j) => sum + (groups.includes(groupOf(t, plants)) ? all.amounts[j]![i]! : 0), 0),
    )
  const [legume, grass] = [together(['legume']), together(['cool-grass', 'warm-grass'])]
  const some = (list: number[]) => list.some((n) => n > 0)
  return {
    lastFive: grown && grown.at(-1)!.mean - grown[stops - 1 - LAST]!.mean,
    legumeToGrass: stops > 2 && some(legume) && some(grass) ? shareRatio(legume, grass) : undefined,
  }
}
