import type { Plant } from '../flora/flora.ts'
import type { MassResult } from '../methods/estimators/standingMass.ts'
import { countingMethods } from '../methods/index.ts'
import type { OwnFigures } from '../methods/method.ts'
import { abundanceMatrix, type ResolvedUnknowns, type AbundanceMatrix } from '../methods/tally.ts'
import type { Round } from '../records/round.ts'
import type { Taxon } from '../records/taxon.ts'
import type { StopCount } from '../stats/clusterRatio.ts'
import { compositionOf, type Composition } from './composition.ts'
import { countedStops, designOf } from './counted.ts'
import { disagreement, type Disagreement } from './stratified.ts'

/** Species with less than this share are not looked at for differences between parts. */
const MAIN_FROM = 0.05

/** What a round says by its own method, each figure with its interval. */
export interface Figures extends OwnFigures {
  composition: Composition | undefined
  mass: MassResult | undefined
  disagreements: (Disagreement & { taxon: Taxon })[]
}

/** Letters of a round that have a name by now. */
export function resolvedUnknowns(round: Pick<Round, 'unknowns'>): ResolvedUnknowns {
  return Object.fromEntries(round.unknowns.flatMap((u) => (u.namedAs ? [[u.letter, u.namedAs]] : [])))
}

const columnOf = ({ totals, amounts }: AbundanceMatrix, j: number): StopCount[] =>
  Array.from(totals, (points, i) => ({ hits: amounts[j]![i]!, points }))

function disagreements(together: AbundanceMatrix, made: Composition): Figures['disagreements'] {
  const names = [...new Set(together.strata)]
  if (names.length < 2) return []
  const main = made.taxa.filter((t) => t.estimate >= MAIN_FROM)
  return main.flatMap(({ taxon }) => {
    const counts = columnOf(together, together.taxa.indexOf(taxon))
    const strata = names.map((name) => ({
      name,
      size: 1,
      stops: counts.filter((_, i) => together.strata[i] === name),
    }))
    const found = disagreement(strata, main.length)
    return found ? [{ taxon, ...found }] : []
  })
}

/** Everything a round's own method says. */
export function figuresOf(round: Round, plants: Map<string, Plant>): Figures {
  const { mass, figures } = countingMethods[round.method]
  const named = resolvedUnknowns(round)
  const together = abundanceMatrix(countedStops(round), named)
  const composition = compositionOf(together, plants, designOf(round))
  const leading = (composition?.taxa ?? []).filter((t) => t.group !== 'ground').map((t) => t.taxon)
  return {
    composition,
    cover: [],
    frequency: [],
    search: [],
    uniformity: undefined,
    mass: mass?.(round),
    disagreements: composition ? disagreements(together, composition) : [],
    ...figures?.({ round, named, together, leading }),
  }
}
