import type { Method } from '../records/method.ts'
import type { Plant } from '../flora/flora.ts'
import type { Round } from '../records/round.ts'
import { compositionOf, type Share } from './composition.ts'
import { countedStops, designOf } from './counted.ts'
import { resolvedUnknowns } from './figures.ts'
import { abundanceMatrix } from '../methods/tally.ts'
import type { Taxon } from '../records/taxon.ts'
import { metresBetween, type Position } from '../geo/route.ts'
import {
  arrivalP,
  changeP,
  holm,
  linearTrend,
  pairedChange,
  trendOverStops,
  type PairedChange,
  type Trend,
} from './trend.ts'

/** One counted round of a paddock, in short. */
export interface YearCount {
  roundId: string
  title: string
  method: Method
  /** ISO day. */
  on: string
  stops: number
  shares: Record<Taxon, Share>
  /** Share of each plant at each stop, by the number of the stop: for stops that repeat. */
  byStop: Record<Taxon, Record<number, number>>
  /** Where each stop was counted, as far as it is known. */
  places?: Record<number, Position>
}

/** A round in short; undefined where nothing adds up to a sward. */
export function yearCount(round: Round, plants: Map<string, Plant>): YearCount | undefined {
  const counted = countedStops(round).filter((s) => s.hits.length > 0)
  const together = abundanceMatrix(counted, resolvedUnknowns(round))
  const made = compositionOf(together, plants, designOf(round))
  if (!made) return undefined
  const byStop: YearCount['byStop'] = {}
  together.taxa.forEach((taxon, j) => {
    byStop[taxon] = Object.fromEntries(counted.map((s, i) => [s.seq, together.amounts[j]![i]! / together.totals[i]!]))
  })
  return {
    roundId: round.id,
    title: round.title,
    method: round.method,
    on: round.plannedOn,
    stops: made.stops,
    shares: Object.fromEntries(
      made.taxa.map(({ taxon, estimate, interval, se, designEffect, method }) => [
        taxon,
        { estimate, interval, se, designEffect, method },
      ]),
    ),
    byStop,
    places: Object.fromEntries(
      round.stops.flatMap((s) => (s.doneAt !== null && s.position ? [[s.seq, s.position] as const] : [])),
    ),
  }
}

/**
 * What became of a plant. Arriving, rising, falling and gone are said only where chance would hardly make it so, over all plants
 * together; perhaps rising or falling where it would by itself, and among so many plants one such comes by chance; met for the
 * first time, or not met any more, is said for what it is.
 */
export type Course =
  | 'arriving'
  | 'rising'
  | 'perhaps-rising'
  | 'steady'
  | 'perhaps-falling'
  | 'falling'
  | 'gone'
  | 'not-met-before'
  | 'not-met-now'
  | 'too few'

/** What became of a plant over the years, by one method. */
export interface TaxonTrend {
  taxon: Taxon
  /** Share in each count, 0 where it was not met. */
  shares: number[]
  /** Over three counts or more. */
  trend: Trend | undefined
  /** From the count before the last to the last, where the same stops were counted. */
  lately: PairedChange | undefined
  /** By how plainly it changed: chance of so much, were there no change; 1 where nothing can be said. */
  chance: number
  course: Course
}

const yearOf = (day: string) => {
  const at = new Date(`${day}T00:00:00Z`)
  return at.getUTCFullYear() + (at.getTime() - Date.UTC(at.getUTCFullYear(), 0, 1)) / (365.25 * 86_400_000)
}

/** Stops of two counts within so many metres of each other are the same: about the error of a hand-held receiver, twice. */
export const SAME_PLACE_M = 10

/** A change that is rarer by chance is plain where one looks at this plant alone: its interval does not hold zero. */
const ALONE = 0.05

/** Chance of what was seen of a plant were nothing to change, and which way it went; undefined where nothing can be said. */
function changeOf(
  taxon: Taxon,
  counts: readonly YearCount[],
  trend: Trend | undefined,
  lately: PairedChange | undefined,
) {
  const shares = counts.map((c) => c.shares[taxon]?.estimate ?? 0)
  const [before, last] = [counts.slice(0, -1), counts.at(-1)!]
  const stopsWith = (c: YearCount) => Object.values(c.byStop[taxon] ?? {}).filter((x) => x > 0).length
  if (shares.at(-1)! > 0 && shares.slice(0, -1).every((s) => s === 0))
    return {
      way: 'new' as const,
      chance: arrivalP(
        stopsWith(last),
        last.stops,
        before.reduce((n, c) => n + c.stops, 0),
      ),
    }
  const met = before.at(-1)
  if (shares.at(-1) === 0 && met && shares.at(-2)! > 0)
    return { way: 'lost' as const, chance: arrivalP(stopsWith(met), met.stops, last.stops) }
  if (trend) return { way: trend.perYear, chance: changeP(trend.perYear, trend.se, trend.df) }
  if (lately) return { way: lately.change, chance: changeP(lately.change, lately.se, lately.stops - 1) }
  const [a, b] = [met?.shares[taxon], last.shares[taxon]]
  // Not the same stops: the two shares with the errors of each, degrees of freedom of the smaller count.
  if (a?.se !== undefined && b?.se !== undefined && met) {
    const change = b.estimate - a.estimate
    return { way: change, chance: changeP(change, Math.hypot(a.se, b.se), Math.max(1, Math.min(met.stops, last.stops) - 1)) } // prettier-ignore
  }
  return undefined
}

function courseOf(shares: number[], change: ReturnType<typeof changeOf>, stands: boolean): Course {
  if (change === undefined)
    return shares.length > 1 && shares.at(-1) === 0 && shares.some((s) => s > 0) ? 'not-met-now' : 'too few'
  if (change.way === 'new') return stands ? 'arriving' : 'not-met-before'
  if (change.way === 'lost') return stands ? 'gone' : 'not-met-now'
  const rising = change.way > 0
  if (stands) return rising ? 'rising' : 'falling'
  return change.chance >= ALONE ? 'steady' : rising ? 'perhaps-rising' : 'perhaps-falling'
}

/**
 * The course of each plant through the counts of one paddock that were made by the same method, the commonest first. A change
 * is said only where it stands among all plants together (Holm 1979 at 5 in 100): of years by the trend of their means, of two
 * counts by the same stops, else by both shares; what comes or goes by the stops that hold it (Fisher's exact test).
 *
 * @param counts of one method, in any order
 */
export function taxonTrends(counts: readonly YearCount[]): TaxonTrend[] {
  const inOrder = [...counts].sort((a, b) => (a.on < b.on ? -1 : 1))
  const years = inOrder.map((c) => yearOf(c.on))
  const taxa = [...new Set(inOrder.flatMap((c) => Object.keys(c.shares)))]
  const [before, last] = inOrder.slice(-2)
  const apart = new Set(years).size >= 3
  const always = apart ? stopsOfAll(inOrder) : []
  const both = last && before ? sameStops(before, last) : []
  const list = taxa.map((taxon) => {
    const shares = inOrder.map((c) => c.shares[taxon]?.estimate ?? 0)
    const trend = apart ? trendOf(taxon, inOrder, years, always) : undefined
    const lately = last && before ? paired(before, last, both, taxon) : undefined
    return {
      taxon,
      shares,
      trend,
      lately,
      change: inOrder.length > 1 ? changeOf(taxon, inOrder, trend, lately) : undefined,
    }
  })
  const judged = list.filter((c) => c.change !== undefined)
  const stands = new Map(holm(judged.map((c) => c.change!.chance)).map((s, i) => [judged[i]!.taxon, s]))
  return list
    .map(({ change, ...c }): TaxonTrend => ({
      ...c,
      chance: change?.chance ?? 1,
      course: courseOf(c.shares, change, stands.get(c.taxon) ?? false),
    }))
    .sort((a, b) => Math.max(...b.shares) - Math.max(...a.shares))
}

/** The trend over the years: of each stop by itself where the same ones were counted again, else of the means of the years. */
function trendOf(
  taxon: Taxon,
  counts: readonly YearCount[],
  years: readonly number[],
  always: readonly number[],
): Trend {
  const rows = always.flatMap((stop) =>
    counts.map((c, i) => ({ stop, year: years[i]!, value: c.byStop[taxon]?.[stop] ?? 0 })),
  )
  if (always.length >= 2) return trendOverStops(rows)
  return linearTrend(years, counts.map((c) => c.shares[taxon]?.estimate ?? 0)) // prettier-ignore
}

/** Numbers of the stops that every count has. */
function stopsOfAll([first, ...later]: readonly YearCount[]): number[] {
  const same = later.map((c) => sameStops(first!, c))
  return same[0]!.filter((s) => same.every((list) => list.includes(s)))
}

/** Numbers of the stops that both counts have, the places within the error of a position where they are known. */
export function sameStops(before: YearCount, last: YearCount): number[] {
  const stopsOf = (c: YearCount) => new Set(Object.values(c.byStop).flatMap((s) => Object.keys(s).map(Number)))
  const again = stopsOf(last)
  return [...stopsOf(before)].filter((s) => {
    const [a, b] = [before.places?.[s], last.places?.[s]]
    return again.has(s) && (!a || !b || metresBetween(a, b) <= SAME_PLACE_M)
  })
}

/** The change at the same stops of two counts, a plant that was not met at a stop counting as none. */
function paired(before: YearCount, last: YearCount, both: readonly number[], taxon: Taxon): PairedChange | undefined {
  if (both.length < 2) return undefined
  const at = (c: YearCount) => both.map((s) => c.byStop[taxon]?.[s] ?? 0)
  return pairedChange(at(before), at(last))
}
