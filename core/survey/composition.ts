import type { Plant } from '../naming/flora.ts'
import { clusterRatio, kornGraubard, type Interval, type StopCount } from './clusterRatio.ts'
import { effectiveSpecies, evenness, richness, shannon, simpson } from './diversity.ts'
import { clopperPearson } from './proportionIntervals.ts'
import { amountsAt, type NamedLetters, type StopTally } from './tally.ts'
import { groupOf, groups, type Group, type Taxon } from './taxon.ts'

export interface Share {
  /** 0 to 1 of all that was counted, bare ground and litter included. */
  estimate: number
  /** 95 %; undefined where the stops cannot tell (a single stop). */
  interval: Interval | undefined
  se: number | undefined
  designEffect: number | undefined
  /** How the interval was made. */
  method: 'clustered' | 'exact' | 'none'
}

export interface TaxonShare extends Share {
  taxon: Taxon
  group: Group
  hits: number
  /** Stops at which it was met. */
  stopsWith: number
}

export interface Composition {
  stops: number
  /** Points counted, or the sum of cover values. */
  total: number
  taxa: TaxonShare[]
  byGroup: ({ group: Group } & Share)[]
  diversity:
    | {
        richness: number
        shannon: number
        simpson: number
        effectiveSpecies: number
        evenness: number | undefined
      }
    | undefined
}

function share(counts: StopCount[], whole: boolean): Share {
  const ratio = clusterRatio(counts)
  const base = { estimate: ratio.estimate, se: ratio.se, designEffect: ratio.designEffect }
  const clustered = kornGraubard(ratio)
  if (clustered) return { ...base, interval: clustered, method: 'clustered' }
  // Every stop alike: without a difference between stops only the exact limits of independent points are left.
  if (whole && counts.length > 1) {
    const x = Math.round(ratio.estimate * ratio.points)
    return { ...base, interval: clopperPearson({ x, n: ratio.points }), method: 'exact' }
  }
  return { ...base, interval: undefined, method: 'none' }
}

/**
 * What a round is made of, by species and by group, each share with an interval that takes the stop as the unit.
 *
 * Shares are ratio estimates (Cochran 1977, ch. 6), intervals Korn & Graubard 1998. Stops without any hit are left out.
 * Diversity is of the plants only, over the pooled amounts.
 *
 * @param stops tallies of one method; points and cover values must not be mixed
 * @returns undefined while nothing is counted
 */
export function composition(
  stops: StopTally[],
  named: NamedLetters,
  plants: Map<string, Plant>,
): Composition | undefined {
  const sums = stops.map((s) => amountsAt(s, named)).filter((m) => m.size > 0)
  if (sums.length === 0) return undefined
  const totals = sums.map((m) => [...m.values()].reduce((a, b) => a + b, 0))
  const whole = stops.every((s) => s.hits.every((h) => Number.isInteger(h.amount)))
  const taxa = [...new Set(sums.flatMap((m) => [...m.keys()]))]
  const counts = (of: (m: Map<Taxon, number>) => number) => sums.map((m, i) => ({ hits: of(m), points: totals[i]! }))

  const list = taxa.map((taxon): TaxonShare => {
    const here = counts((m) => m.get(taxon) ?? 0)
    return {
      taxon,
      group: groupOf(taxon, plants),
      hits: here.reduce((s, c) => s + c.hits, 0),
      stopsWith: here.filter((c) => c.hits > 0).length,
      ...share(here, whole),
    }
  })
  list.sort((a, b) => b.estimate - a.estimate || (a.taxon < b.taxon ? -1 : 1))

  const present = groups.filter((g) => list.some((t) => t.group === g))
  const byGroup = present.map((group) => ({
    group,
    ...share(
      counts((m) => [...m].reduce((s, [t, n]) => s + (groupOf(t, plants) === group ? n : 0), 0)),
      whole,
    ),
  }))
  const amounts = list.filter((t) => t.group !== 'ground').map((t) => t.hits)
  return {
    stops: sums.length,
    total: totals.reduce((a, b) => a + b, 0),
    taxa: list,
    byGroup,
    diversity:
      amounts.length === 0
        ? undefined
        : {
            richness: richness(amounts),
            shannon: shannon(amounts),
            simpson: simpson(amounts),
            effectiveSpecies: effectiveSpecies(amounts),
            evenness: evenness(amounts),
          },
  }
}
