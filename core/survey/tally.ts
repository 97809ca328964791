import { letterOf, type Taxon } from './taxon.ts'

/** One thing recorded at a stop: a point hit (amount 1), or a species with its cover class value. */
export interface Hit {
  taxon: Taxon
  amount: number
}

export interface StopTally {
  seq: number
  hits: Hit[]
}

/** Names given later to plants counted under a letter. */
export type NamedLetters = Record<string, Taxon>

/** What a hit counts as now: an unknown that was named later counts under its name, everywhere. */
export function resolved(taxon: Taxon, named: NamedLetters): Taxon {
  const letter = letterOf(taxon)
  return (letter !== undefined ? named[letter] : undefined) ?? taxon
}

/** Amount of each taxon at a stop. */
export function amountsAt(stop: StopTally, named: NamedLetters): Map<Taxon, number> {
  const sums = new Map<Taxon, number>()
  for (const hit of stop.hits) {
    const taxon = resolved(hit.taxon, named)
    sums.set(taxon, (sums.get(taxon) ?? 0) + hit.amount)
  }
  return sums
}
