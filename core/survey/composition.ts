import type { Plant } from '../flora/flora.ts'
import { clusterRatioOf, kornGraubard, type Interval, type StopCount } from '../stats/clusterRatio.ts'
import { effectiveSpecies, evenness, richness, shannon, simpson } from './diversity.ts'
import { likelihoodInterval, unseenFrames, type FrameValues } from '../stats/likelihoodInterval.ts'
import { clopperPearson } from '../stats/proportionIntervals.ts'
import { speciesPool, type SpeciesPool } from './speciesPool.ts'
import { stratifiedRatio, type Stratum } from './stratified.ts'
import { abundanceMatrix, type ResolvedUnknowns, type StopTally, type AbundanceMatrix } from '../methods/tally.ts'
import { groupOf, groups, type Group, type Taxon } from '../records/taxon.ts'

export interface Share {
  /** 0 to 1 of all that was counted, bare ground and litter included. */
  estimate: number
  /** 95 %; undefined where the stops cannot tell (a single stop). */
  interval: Interval | undefined
  se: number | undefined
  designEffect: number | undefined
  /** How the interval was made. */
  method: 'clustered' | 'likelihood' | 'stratified' | 'exact' | 'none'
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
        /** Plants there may be in all; undefined from a single stop. */
        pool: SpeciesPool | undefined
      }
    | undefined
}

/** How the stops lie in the paddock. */
export interface Design {
  /** Area of each part by its name; stops elsewhere are a part named ''. Left out: the paddock is not parted. */
  partSizes?: ReadonlyMap<string, number>
  /** How many stops or frames the paddock could hold; left out: without end. */
  stopsInAll?: number
  /** Where plants are told in classes or ranks: what one can amount to in a frame. */
  frameValues?: FrameValues
}

/** With more frames than these a value that was never met weighs under 1 in 100, and both kinds of limits agree. */
const LIKELIHOOD_UP_TO = 400

/** The stops by part; undefined unless every part that has a stop has two, and a size. */
function partsOf(
  hits: Float64Array,
  totals: Float64Array,
  strata: string[],
  sizes: Design['partSizes'],
): Stratum[] | undefined {
  if (!sizes || sizes.size < 2) return undefined
  const parts = new Map<string, StopCount[]>()
  strata.forEach((name, i) => {
    const list = parts.get(name) ?? []
    list.push({ hits: hits[i]!, points: totals[i]! })
    parts.set(name, list)
  })
  const list = [...parts].map(([name, stops]) => ({ name, size: sizes.get(name) ?? 0, stops }))
  return list.length > 1 && list.every((p) => p.stops.length > 1 && p.size > 0) ? list : undefined
}

/** The ratio of one column to all that was counted, by the parts of the paddock where it has such. */
function ratioOf(hits: Float64Array, { totals, strata }: AbundanceMatrix, { partSizes, stopsInAll }: Design) {
  const parts = partsOf(hits, totals, strata, partSizes)
  return { parts, ratio: parts ? stratifiedRatio(parts) : clusterRatioOf(hits, totals, stopsInAll) }
}

function share(hits: Float64Array, all: AbundanceMatrix, design: Design): Share {
  const { totals, whole } = all
  const { stopsInAll, frameValues } = design
  const { parts, ratio } = ratioOf(hits, all, design)
  const base = { estimate: ratio.estimate, se: ratio.se, designEffect: ratio.designEffect }
  if (frameValues && !parts && totals.length <= LIKELIHOOD_UP_TO) {
    const frames = Array.from(hits, (h, i): StopCount => ({ hits: h, points: totals[i]! }))
    const interval = likelihoodInterval(frames, unseenFrames(frames, frameValues), { stopsInAll })
    return { ...base, interval, method: interval ? 'likelihood' : 'none' }
  }
  const clustered = kornGraubard(ratio)
  if (clustered) return { ...base, interval: clustered, method: parts ? 'stratified' : 'clustered' }
  // Every stop alike: without a difference between stops only the exact limits of independent points are left.
  if (whole && totals.length > 1) {
    const x = Math.round(ratio.estimate * ratio.points)
    return { ...base, interval: clopperPearson({ x, n: ratio.points }), method: 'exact' }
  }
  return { ...base, interval: undefined, method: 'none' }
}

/** Amounts of several plants together, stop by stop. */
function sumOf(all: AbundanceMatrix, of: readonly Taxon[]): Float64Array {
  const sum = new Float64Array(all.totals.length)
  for (const taxon of of) {
    const column = all.amounts[all.taxa.indexOf(taxon)]
    if (column) for (let i = 0; i < sum.length; i++) sum[i]! += column[i]!
  }
  return sum
}

/** Share of several plants together, with its own interval. */
export const shareOf = (all: AbundanceMatrix, of: readonly Taxon[], design: Design = {}): Share =>
  share(sumOf(all, of), all, design)

/** The middle of that share alone, 0 to 1: limits are a search, and who only puts plants in order needs none. */
export const middleShareOf = (all: AbundanceMatrix, of: readonly Taxon[], design: Design = {}): number =>
  ratioOf(sumOf(all, of), all, design).ratio.estimate

/**
 * What a round is made of, by species and by group, each share with an interval that takes the stop as the unit.
 *
 * Shares are ratio estimates (Cochran 1977, ch. 6), intervals Korn & Graubard 1998, of classes and ranks by likelihood
 * (Owen 2001). Stops without any hit are left out.
 * Diversity is of the plants only, over the pooled amounts.
 *
 * @param stops tallies of one method; points and cover values must not be mixed
 * @returns undefined while nothing is counted
 */
export function composition(
  stops: StopTally[],
  named: ResolvedUnknowns,
  plants: Map<string, Plant>,
): Composition | undefined {
  return compositionOf(abundanceMatrix(stops, named), plants)
}

/** The same from amounts put together before. */
export function compositionOf(
  all: AbundanceMatrix,
  plants: Map<string, Plant>,
  design: Design = {},
): Composition | undefined {
  const { taxa, amounts: perTaxon, totals } = all
  if (totals.length === 0) return undefined

  const list = taxa.map((taxon, j): TaxonShare => {
    const here = perTaxon[j]!
    return {
      taxon,
      group: groupOf(taxon, plants),
      hits: here.reduce((s, n) => s + n, 0),
      stopsWith: here.reduce((s, n) => s + (n > 0 ? 1 : 0), 0),
      ...share(here, all, design),
    }
  })
  const together = (group: Group): Float64Array => {
    const sum = new Float64Array(totals.length)
    list.forEach((t, j) => {
      if (t.group === group) for (let i = 0; i < sum.length; i++) sum[i]! += perTaxon[j]![i]!
    })
    return sum
  }
  const present = groups.filter((g) => list.some((t) => t.group === g))
  const byGroup = present.map((group) => ({ group, ...share(together(group), all, design) }))
  list.sort((a, b) => b.estimate - a.estimate || (a.taxon < b.taxon ? -1 : 1))
  const amounts = list.filter((t) => t.group !== 'ground').map((t) => t.hits)
  return {
    stops: totals.length,
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
            pool:
              totals.length > 1
                ? speciesPool(
                    list.filter((t) => t.group !== 'ground').map((t) => t.stopsWith),
                    totals.length,
                  )
                : undefined,
          },
  }
}
