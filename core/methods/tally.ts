import type { Hit } from '../records/hit.ts'
import { letterOf, type Taxon } from '../records/taxon.ts'

export interface StopTally {
  seq: number
  hits: Hit[]
  /** Part of the paddock. */
  stratum?: string
}

/** Names given later to plants counted under a letter. */
export type ResolvedUnknowns = Record<string, Taxon>

/** What a hit counts as now: an unknown that was named later counts under its name, everywhere. */
export function resolved(taxon: Taxon, named: ResolvedUnknowns): Taxon {
  const letter = letterOf(taxon)
  return (letter !== undefined ? named[letter] : undefined) ?? taxon
}

/** Amount of each taxon at a stop. */
export function amountsAt(stop: StopTally, named: ResolvedUnknowns): Map<Taxon, number> {
  const sums = new Map<Taxon, number>()
  for (const hit of stop.hits) {
    const taxon = resolved(hit.taxon, named)
    sums.set(taxon, (sums.get(taxon) ?? 0) + hit.amount)
  }
  return sums
}

/** Amounts of all stops at which anything was counted: what the figures of a round are made from, put together once. */
export interface AbundanceMatrix {
  taxa: Taxon[]
  /** Amount of each taxon at each stop, in the order of `taxa`. */
  amounts: Float64Array[]
  totals: Float64Array
  /** True where every amount is a whole number. */
  whole: boolean
  /** Part of the paddock in which each stop lies. */
  strata: string[]
}

export function abundanceMatrix(stops: StopTally[], named: ResolvedUnknowns): AbundanceMatrix {
  const counted = stops.filter((s) => s.hits.length > 0)
  const index = new Map<Taxon, number>()
  const amounts: Float64Array[] = []
  const totals = new Float64Array(counted.length)
  let whole = true
  counted.forEach((stop, i) => {
    for (const hit of stop.hits) {
      const taxon = resolved(hit.taxon, named)
      let j = index.get(taxon)
      if (j === undefined) {
        j = amounts.push(new Float64Array(counted.length)) - 1
        index.set(taxon, j)
      }
      amounts[j]![i]! += hit.amount
      totals[i]! += hit.amount
      whole &&= Number.isInteger(hit.amount)
    }
  })
  return { taxa: [...index.keys()], amounts, totals, whole, strata: counted.map((s) => s.stratum ?? '') }
}
