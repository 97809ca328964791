import type { Hazard, Plant } from '../../flora/flora.ts'
import type { Round } from '../../records/round.ts'
import { shareOf, type Share } from '../../survey/composition.ts'
import { countedStops, designOf } from '../../survey/counted.ts'
import { namedLetters } from '../../survey/figures.ts'
import { tallied } from '../../methods/tally.ts'

/** A danger that plants of this sward can carry. */
export interface HazardHere {
  hazard: Hazard
  /** Plants met that can carry it, the most of them first, and their share together. */
  plants: string[]
  share: Share
  /** False where the stock that was said is not among those it strikes; people always are. */
  concerns: boolean
}

/**
 * What of a sward can carry dangers that looking does not tell. A danger whose plants were not met is left out, which does
 * not say that it is not there.
 *
 * @param animal kind of stock that is kept; left out: any
 */
export function hazardsHere(
  round: Round,
  plants: Map<string, Plant>,
  hazards: Hazard[],
  animal?: string,
): HazardHere[] {
  const all = tallied(countedStops(round), namedLetters(round))
  const design = designOf(round)
  const amount = (id: string) => all.amounts[all.taxa.indexOf(id)]!.reduce((a, b) => a + b, 0)
  return hazards
    .flatMap((hazard): HazardHere[] => {
      const met = hazard.plants.filter((id) => plants.has(id) && all.taxa.includes(id))
      if (met.length === 0) return []
      const concerns = animal === undefined || hazard.who.includes(animal) || hazard.who.includes('people')
      const share = shareOf(all, met, design)
      return [{ hazard, plants: met.sort((a, b) => amount(b) - amount(a)), share, concerns }]
    })
    .sort((a, b) => Number(b.concerns) - Number(a.concerns) || b.share.estimate - a.share.estimate)
}
