import { deviation, least, mean } from 'd3-array'
import { tQuantile } from '../../stats/tQuantile.ts'
import type { Plant } from '../../flora/flora.ts'
import { metresBetween } from '../../geo/route.ts'
import { amountsAt, type ResolvedUnknowns, type StopTally } from '../../methods/tally.ts'
import type { Round } from '../../records/round.ts'
import { countedStops } from '../../survey/counted.ts'
import { resolvedUnknowns } from '../../survey/figures.ts'
import { forageClasses, forageClassOf, type ForageClass } from './forageClass.ts'

/** Stops of two rounds are one place when they lie no farther apart than this, m: what a hand-held receiver errs by. */
const SAME_PLACE_M = 10
/** Clips speak for points counted within so many days: after them the sward is another one (common practice, no source). */
const CLIPS_HOLD_DAYS = 14
const DAY_MS = 86_400_000
const FEWEST = 5
/** Places at which a class has to stand in both counts. */
const FEWEST_OF_CLASS = 3
const Z = 1.96

/** How a class's share of dry matter lies to its share of points. */
export interface ClipFactor {
  /** Natural logarithm of the ratio. */
  log: number
  /** Its standard error, widened as Student's t is for so few places. */
  sd: number
}

export interface ClipFactors {
  /** Places that were both counted and clipped. */
  stops: number
  of: Partial<Record<ForageClass, ClipFactor>>
}

type Shares = Partial<Record<ForageClass, number>>

/** Shares of each class in the plants whose class is known; undefined where there is none. */
function classShares(stop: StopTally, named: ResolvedUnknowns, plants: Map<string, Plant>): Shares | undefined {
  const sums: Shares = {}
  let total = 0
  for (const [taxon, amount] of amountsAt(stop, named)) {
    const plant = plants.get(taxon)
    if (!plant) continue
    const c = forageClassOf(plant)
    sums[c] = (sums[c] ?? 0) + amount
    total += amount
  }
  if (total === 0) return undefined
  return Object.fromEntries(Object.entries(sums).map(([c, n]) => [c, n / total]))
}

/** Class shares of each stop that was counted, with where it lies. */
function sharesOf(round: Round, plants: Map<string, Plant>) {
  const named = resolvedUnknowns(round)
  const at = new Map(round.stops.map((s) => [s.seq, s.position]))
  return countedStops(round).flatMap((stop) => {
    const shares = classShares(stop, named, plants)
    return shares ? [{ seq: stop.seq, position: at.get(stop.seq) ?? null, shares }] : []
  })
}

type Placed = ReturnType<typeof sharesOf>[number]

/** The stop of the other round at the same place; by number where one was laid over the other. */
function partner(stop: Placed, others: Placed[], laidOver: boolean): Placed | undefined {
  if (laidOver) return others.find((o) => o.seq === stop.seq)
  const { position } = stop
  if (!position) return undefined
  const nearest = least(
    others.flatMap((o) => (o.position ? [{ o, m: metresBetween(position, o.position) }] : [])),
    (d) => d.m,
  )
  return nearest && nearest.m <= SAME_PLACE_M ? nearest.o : undefined
}

interface Pair {
  hits: Shares
  mass: Shares
}

/** The ratio of a class and its error; undefined where it stands in both counts at too few places. */
function factorOf(c: ForageClass, pairs: Pair[]): ClipFactor | undefined {
  if (pairs.filter((p) => p.hits[c] && p.mass[c]).length < FEWEST_OF_CLASS) return undefined
  const log = (list: Pair[]) => Math.log(mean(list, (p) => p.mass[c] ?? 0)! / mean(list, (p) => p.hits[c] ?? 0)!)
  const n = pairs.length
  const without = pairs.map((_, i) => log(pairs.filter((_, j) => j !== i)))
  // (n - 1)/n times the sum of squares, written with the deviation over n - 1.
  const se = ((n - 1) / Math.sqrt(n)) * deviation(without)!
  return { log: log(pairs), sd: (se * tQuantile(0.975, n - 1)) / Z }
}

/**
 * Double sampling: points counted at many stops, some of which were clipped and sorted by hand as well. For each class of
 * forage the ratio of its mean share of weight to its mean share of points over those stops (ratio estimate in two-phase
 * sampling: Cochran 1977, Sampling Techniques, chapters 6 and 12), and the delete-one jackknife's standard error of its
 * logarithm.
 *
 * @param points a round of points or cover
 * @param clipped hand-sorted clips of the same paddock
 * @returns undefined with fewer than 5 places in both, or where the days lie more than 14 apart; a class that stands in
 *   both counts at fewer than 3 of them has no factor
 */
export function clipFactors(points: Round, clipped: Round, plants: Map<string, Plant>): ClipFactors | undefined {
  const apart = Math.abs(Date.parse(points.plannedOn) - Date.parse(clipped.plannedOn))
  if (points.paddockId !== clipped.paddockId || apart > CLIPS_HOLD_DAYS * DAY_MS) return undefined
  const laidOver = clipped.settings.secondOf === points.id || points.settings.secondOf === clipped.id
  const counted = sharesOf(points, plants)
  // From the clip, so that none speaks for two counts that lie close together.
  const pairs = sharesOf(clipped, plants).flatMap((clip) => {
    const stop = partner(clip, counted, laidOver)
    return stop ? [{ hits: stop.shares, mass: clip.shares }] : []
  })
  if (pairs.length < FEWEST) return undefined
  const of = forageClasses.map((c) => [c, factorOf(c, pairs)] as const).filter(([, factor]) => factor)
  return { stops: pairs.length, of: Object.fromEntries(of) }
}
