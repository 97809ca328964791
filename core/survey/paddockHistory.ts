import type { Method } from '../records/method.ts'
import type { Plant } from '../flora/flora.ts'
import type { Round } from '../records/round.ts'
import { compositionOf, type Share } from './composition.ts'
import { countedStops, designOf } from './counted.ts'
import { namedLetters } from './figures.ts'
import { tallied } from '../methods/tally.ts'
import type { Taxon } from '../records/taxon.ts'
import { linearTrend, pairedChange, type PairedChange, type Trend } from './trend.ts'

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
}

/** A round in short; undefined where nothing adds up to a sward. */
export function yearCount(round: Round, plants: Map<string, Plant>): YearCount | undefined {
  const counted = countedStops(round).filter((s) => s.hits.length > 0)
  const together = tallied(counted, namedLetters(round))
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
  }
}

export type Course = 'arriving' | 'rising' | 'steady' | 'falling' | 'gone' | 'too few'

/** What became of a plant over the years, by one method. */
export interface PlantCourse {
  taxon: Taxon
  /** Share in each count, 0 where it was not met. */
  shares: number[]
  /** Over three counts or more. */
  trend: Trend | undefined
  /** From the count before the last to the last, where the same stops were counted. */
  lately: PairedChange | undefined
  course: Course
}

const yearOf = (day: string) => {
  const at = new Date(`${day}T00:00:00Z`)
  return at.getUTCFullYear() + (at.getTime() - Date.UTC(at.getUTCFullYear(), 0, 1)) / (365.25 * 86_400_000)
}

function courseOf(shares: number[], change: Trend['interval'] | undefined): Course {
  if (shares.length < 2) return 'too few'
  const [before, last] = [shares.slice(0, -1), shares.at(-1)!]
  if (last > 0 && before.every((s) => s === 0)) return 'arriving'
  if (last === 0 && before.some((s) => s > 0)) return 'gone'
  if (!change) return 'too few'
  return change[0] > 0 ? 'rising' : change[1] < 0 ? 'falling' : 'steady'
}

/**
 * The course of each plant through the counts of one paddock that were made by the same method, the commonest first. Rising
 * and falling are said only where the 95 % interval of the trend (else of the paired change) leaves no change out.
 *
 * @param counts of one method, in any order
 */
export function courses(counts: readonly YearCount[]): PlantCourse[] {
  const inOrder = [...counts].sort((a, b) => (a.on < b.on ? -1 : 1))
  const years = inOrder.map((c) => yearOf(c.on))
  const taxa = [...new Set(inOrder.flatMap((c) => Object.keys(c.shares)))]
  const [before, last] = inOrder.slice(-2)
  return taxa
    .map((taxon): PlantCourse => {
      const shares = inOrder.map((c) => c.shares[taxon]?.estimate ?? 0)
      const apart = new Set(years).size >= 3
      const trend = apart ? linearTrend(years, shares) : undefined
      const lately = last && before ? paired(before, last, taxon) : undefined
      return { taxon, shares, trend, lately, course: courseOf(shares, trend?.interval ?? lately?.interval) }
    })
    .sort((a, b) => Math.max(...b.shares) - Math.max(...a.shares))
}

/** The same stops of two counts, a plant that was not met at a stop counting as none. */
function paired(before: YearCount, last: YearCount, taxon: Taxon): PairedChange | undefined {
  const stopsOf = (c: YearCount) => new Set(Object.values(c.byStop).flatMap((s) => Object.keys(s).map(Number)))
  const again = stopsOf(last)
  const both = [...stopsOf(before)].filter((s) => again.has(s))
  if (both.length < 2) return undefined
  const at = (c: YearCount) => both.map((s) => c.byStop[taxon]?.[s] ?? 0)
  return pairedChange(at(before), at(last))
}
