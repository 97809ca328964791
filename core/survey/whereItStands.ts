import { patchiness, type Patchiness } from '../stats/patchiness.ts'
import { countingMethods } from '../methods/index.ts'
import { abundanceMatrix } from '../methods/tally.ts'
import type { Round } from '../records/round.ts'
import type { Taxon } from '../records/taxon.ts'
import { countedStops } from './counted.ts'
import { resolvedUnknowns } from './figures.ts'
import type { PlacedShare } from './surface.ts'

/** How a plant lies over the stops of a round. */
export interface WhereItStands {
  /** Share of the plant at each stop, by its number. */
  byStop: ReadonlyMap<number, number>
  /** The same of stops whose place is known. */
  placed: PlacedShare[]
  stopsWith: number
  /** Of hits of points; undefined of covers and weights, which are no counts. */
  patchiness: Patchiness | undefined
}

/** @returns undefined where the plant was not met */
export function whereItStands(round: Round, taxon: Taxon): WhereItStands | undefined {
  const counted = countedStops(round).filter((s) => s.hits.length > 0)
  const all = abundanceMatrix(counted, resolvedUnknowns(round))
  const amounts = all.amounts[all.taxa.indexOf(taxon)]
  if (!amounts) return undefined
  const places = new Map(round.stops.map((s) => [s.seq, s.position]))
  const byStop = new Map(counted.map((s, i) => [s.seq, amounts[i]! / all.totals[i]!]))
  const points = countingMethods[round.method].entry === 'points'
  return {
    byStop,
    placed: [...byStop].flatMap(([seq, share]) => {
      const position = places.get(seq)
      return position ? [{ position, share }] : []
    }),
    stopsWith: [...amounts].filter((a) => a > 0).length,
    patchiness: points && amounts.length > 1 ? patchiness([...amounts]) : undefined,
  }
}
