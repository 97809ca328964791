import type { Plant } from '../flora/flora.ts'
import type { Round } from '../records/round.ts'
import type { Interval, StopCount } from '../stats/clusterRatio.ts'
import { clusterRatio, kornGraubard } from '../stats/clusterRatio.ts'
import { compositionOf, type Composition } from './composition.ts'
import { countedStops, designOf } from './counted.ts'
import { gridFrequency, nestedFrequency, type Frequency } from './frequency.ts'
import { massFromClips, massFromReadings, type MassResult } from './standingMass.ts'
import { READING } from './methods.ts'
import { metresToExclude, plantsPerHectare } from './searchWalk.ts'
import { disagreement, type Disagreement } from './stratified.ts'
import { resolved, tallied, type NamedLetters, type Tallied } from './tally.ts'
import type { Taxon } from '../records/taxon.ts'

export const DEFAULT_NESTS_M = [0.1, 0.25, 0.5, 1]
/** Species with less than this share are not looked at for differences between parts. */
const MAIN_FROM = 0.05

export interface SearchFigure {
  taxon: Taxon
  found: number
  perHa: number
  limitsPerHa: Interval
  walkedM: number
  /** Metres that would have to be walked with nothing found to leave at most 10 plants a hectare. */
  metresForTen: number
}

/** What a round says by its own method, each figure with its interval. */
export interface Figures {
  composition: Composition | undefined
  /** Share of pins that each plant covers; only for layered points. */
  cover: { taxon: Taxon; estimate: number; interval: Interval | undefined }[]
  frequency: Frequency[]
  mass: MassResult | undefined
  search: SearchFigure[]
  disagreements: (Disagreement & { taxon: Taxon })[]
  /** How alike the grids of a turf are; undefined for other methods and with fewer than three grids. */
  uniformity: Uniformity | undefined
}

export interface Uniformity {
  /** Sown plants, or the leading one where nothing is known to be sown. */
  of: Taxon[]
  mean: number
  /** Coefficient of variation of their share between grids: 0 is the same everywhere. */
  cv: number
}

/** Letters of a round that have a name by now. */
export function namedLetters(round: Pick<Round, 'unknowns'>): NamedLetters {
  return Object.fromEntries(round.unknowns.flatMap((u) => (u.namedAs ? [[u.letter, u.namedAs]] : [])))
}

const columnOf = ({ totals, amounts }: Tallied, j: number): StopCount[] =>
  Array.from(totals, (points, i) => ({ hits: amounts[j]![i]!, points }))

function disagreements(together: Tallied, made: Composition): Figures['disagreements'] {
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

function pinCover(round: Round, together: Tallied): Figures['cover'] {
  if (round.method !== 'layer-points') return []
  // A plant is at most once on a pin, so its hits over the pins of the stop are its cover.
  return together.taxa
    .map((taxon, j) => {
      const ratio = clusterRatio(
        Array.from(together.totals, (_, i) => ({ hits: together.amounts[j]![i]!, points: round.pointsPerStop })),
      )
      return { taxon, estimate: ratio.estimate, interval: kornGraubard(ratio) }
    })
    .sort((a, b) => b.estimate - a.estimate)
}

function searched(round: Round, named: NamedLetters): SearchFigure[] {
  const done = round.stops.filter((s) => s.doneAt !== null && s.skipped === null)
  const walkedM = done.reduce((sum, s) => sum + (s.measures.legM ?? 0), 0)
  if (!(walkedM > 0)) return []
  const { stripWidthM: widthM = 4, seenShare = 0.8, targets = [] } = round.settings
  const met = done.flatMap((s) => s.hits.map((h) => ({ taxon: resolved(h.taxon, named), amount: h.amount })))
  return [...new Set([...targets, ...met.map((h) => h.taxon)])].map((taxon) => {
    const found = met.filter((h) => h.taxon === taxon).reduce((sum, h) => sum + h.amount, 0)
    const { perHa, limitsPerHa } = plantsPerHectare({ lengthM: walkedM, widthM, found, seenShare })
    return { taxon, found, perHa, limitsPerHa, walkedM, metresForTen: metresToExclude(10, widthM, seenShare) }
  })
}

const FEWEST_GRIDS = 3

/** Evenness of a turf: how much the share of the sown plants differs from grid to grid (common practice, no source). */
function uniformityOf(round: Round, together: Tallied, made: Composition): Uniformity | undefined {
  if (round.method !== 'turf-grid' || together.totals.length < FEWEST_GRIDS) return undefined
  const sown = round.paddock.sown.filter((t) => together.taxa.includes(t))
  const of =
    sown.length > 0
      ? sown
      : made.taxa
          .filter((t) => t.group !== 'ground')
          .slice(0, 1)
          .map((t) => t.taxon)
  if (of.length === 0) return undefined
  const columns = of.map((t) => together.amounts[together.taxa.indexOf(t)]!)
  const shares = Array.from(together.totals, (total, i) => columns.reduce((s, c) => s + c[i]!, 0) / total)
  const mean = shares.reduce((a, b) => a + b, 0) / shares.length
  const sd = Math.sqrt(shares.reduce((s, x) => s + (x - mean) ** 2, 0) / (shares.length - 1))
  return mean > 0 ? { of, mean, cv: sd / mean } : undefined
}

/** Everything a round's own method says. */
export function figuresOf(round: Round, plants: Map<string, Plant>): Figures {
  const named = namedLetters(round)
  const together = tallied(countedStops(round), named)
  const composition = compositionOf(together, plants, designOf(round))
  return {
    composition,
    cover: composition ? pinCover(round, together) : [],
    frequency:
      round.method === 'nested-frequency'
        ? nestedFrequency(round.stops, round.settings.nestsM ?? DEFAULT_NESTS_M, named)
        : round.method === 'grid-frequency'
          ? gridFrequency(round.stops, named)
          : [],
    mass: READING[round.method] ? massFromReadings(round) : round.method === 'clips' ? massFromClips(round) : undefined,
    search: round.method === 'search-walk' ? searched(round, named) : [],
    disagreements: composition ? disagreements(together, composition) : [],
    uniformity: composition ? uniformityOf(round, together, composition) : undefined,
  }
}
