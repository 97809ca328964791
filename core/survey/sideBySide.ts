import type { Plant } from '../flora/flora.ts'
import type { Round } from '../records/round.ts'
import type { Taxon } from '../records/taxon.ts'
import { brayCurtisOfShares, jaccard } from '../stats/dissimilarity.ts'
import { tQuantile } from '../stats/tQuantile.ts'
import type { Interval } from '../stats/clusterRatio.ts'
import type { Share } from './composition.ts'
import { sameStops, yearCount, type YearCount } from './paddockHistory.ts'
import { changeP, holm, pairedChange } from './trend.ts'

/** A plant in two rounds of a paddock. */
export interface BesideLine {
  taxon: Taxon
  /** Undefined where it was not met. */
  first: Share | undefined
  second: Share | undefined
  /** Second less first, with its 95 % interval; undefined where the two cannot be held against each other. */
  difference: { change: number; interval: Interval; chance: number } | undefined
  /** The difference stands among all plants together (Holm 1979). */
  stands: boolean
}

export interface Beside {
  lines: BesideLine[]
  /** Stops counted in both, by which the difference was taken; 0: by the two shares with the errors of each. */
  sameStops: number
  /** Share of the sward that would have to change plants, 0 to 1 (Bray & Curtis 1957, of shares). */
  changed: number
  /** Share of the plants of both that only one round met, 0 to 1 (Jaccard 1901). */
  onlyInOne: number
}

function differenceOf(
  taxon: Taxon,
  first: YearCount,
  second: YearCount,
  both: readonly number[],
): BesideLine['difference'] {
  if (both.length > 1) {
    const at = (c: YearCount) => both.map((s) => c.byStop[taxon]?.[s] ?? 0)
    const { change, se, interval, stops } = pairedChange(at(first), at(second))
    return { change, interval, chance: changeP(change, se, stops - 1) }
  }
  const [a, b] = [first.shares[taxon], second.shares[taxon]]
  const change = (b?.estimate ?? 0) - (a?.estimate ?? 0)
  const se = Math.hypot(a?.se ?? 0, b?.se ?? 0)
  const df = Math.min(first.stops, second.stops) - 1
  if (!(se > 0) || df < 1) return undefined
  const half = tQuantile(0.975, df) * se
  return { change, interval: [change - half, change + half], chance: changeP(change, se, df) }
}

/**
 * Two rounds of a paddock plant by plant, those that differ most plainly first. Differences are taken of counts by one method
 * only: two methods measure different things.
 *
 * @returns undefined where one of them does not add up to a sward
 */
export function sideBySide(first: Round, second: Round, plants: Map<string, Plant>): Beside | undefined {
  const [a, b] = [yearCount(first, plants), yearCount(second, plants)]
  if (!a || !b) return undefined
  const comparable = first.method === second.method
  const both = comparable ? sameStops(a, b) : []
  const taxa = [...new Set([...Object.keys(a.shares), ...Object.keys(b.shares)])]
  const lines = taxa.map((taxon) => ({
    taxon,
    first: a.shares[taxon],
    second: b.shares[taxon],
    difference: comparable ? differenceOf(taxon, a, b, both) : undefined,
  }))
  const judged = lines.filter((l) => l.difference)
  const stands = holm(judged.map((l) => l.difference!.chance))
  const of = (c: YearCount) => taxa.map((t) => c.shares[t]?.estimate ?? 0)
  const apart = (l: (typeof lines)[number]) => Math.abs((l.second?.estimate ?? 0) - (l.first?.estimate ?? 0))
  return {
    lines: lines
      .map((l) => ({ ...l, stands: stands[judged.indexOf(l)] ?? false }))
      .sort((x, y) => (x.difference?.chance ?? 1) - (y.difference?.chance ?? 1) || apart(y) - apart(x)),
    sameStops: both.length > 1 ? both.length : 0,
    changed: brayCurtisOfShares(of(a), of(b)),
    onlyInOne: jaccard(of(a), of(b)),
  }
}
