import { rollup } from 'd3-array'
import type { Round, Stop } from '../records/round.ts'
import { partAt } from './layRoute.ts'
import type { Taxon } from '../records/taxon.ts'
import { localPlane } from '../geo/localPlane.ts'
import { areaHa, type Position } from '../geo/route.ts'
import { FENCE } from '../records/round.ts'
import { edgeStrip, FENCE_WIDTH_M, perimeterM, type EdgeStrip } from './fenceWalk.ts'
import { countingMethods } from '../methods/index.ts'
import type { StopTally } from '../methods/tally.ts'
import type { Design } from './composition.ts'

/** The stops of a round as amounts that add up to a sward; none for a method whose figures do not. */
export function countedStops(round: Round): StopTally[] {
  const { sward } = countingMethods[round.method]
  if (!sward) return []
  const amounts = sward.amounts(round)
  return round.stops
    .filter((s) => s.skipped === null)
    .map((s) => ({ seq: s.seq, hits: amounts(s), stratum: partOf(round, s) }))
}

/** The part a stop lies in; one that was made on the way falls into parts that were drawn after it. */
const partOf = ({ settings, paddock }: Round, { stratum, position }: Stop): string =>
  stratum || (settings.asWalked && position ? partAt(position, paddock.strata) : '')

/** The strip along the fence with its hectares, where stops of the round stand in it. */
function fenceOf({ stops, settings, paddock }: Round): (readonly [string, number])[] {
  if (!paddock.boundary || !stops.some((s) => s.stratum === FENCE)) return []
  const plane = localPlane(paddock.boundary.coordinates[0]![0] as Position)
  const strip = (perimeterM(paddock.boundary, plane) * (settings.fenceWidthM ?? FENCE_WIDTH_M)) / 10_000
  return [[FENCE, Math.min(strip, areaHa(paddock.boundary) * 0.9)]]
}

/** A part of a paddock of which the count says too little. */
export interface WeakPart {
  /** Empty for the rest, outside the named parts. */
  name: string
  /** Share of the paddock, 0 to 1. */
  share: number
  stops: 0 | 1
}

/** Parts with one counted stop or none: the figures of the whole do not speak for them. The largest first. */
export function weakParts(round: Round): WeakPart[] {
  const sizes = designOf(round).partSizes
  if (!sizes || !round.paddock.boundary) return []
  const whole = areaHa(round.paddock.boundary)
  const counted = countedStops(round).filter((s) => s.hits.length > 0)
  return [...sizes]
    .map(([name, hectares]) => ({
      name,
      share: hectares / whole,
      stops: counted.filter((s) => (s.stratum ?? '') === name).length,
    }))
    .filter((p): p is WeakPart => p.stops < 2 && p.share >= LEAST_PART)
    .sort((a, b) => b.share - a.share)
}
/** Parts below this share of the paddock are not worth a word. */
const LEAST_PART = 0.02

/** From this share of the frames on in which one plant is first, ranks say too little of it: common practice, no source. */
const RANKED_ALIKE = 0.7

/** The plant that is first in most ranked frames, and its share of them, where ranks hardly change and no yields were taken. */
export function rankedAlike(round: Round): { taxon: Taxon; share: number } | undefined {
  if (countingMethods[round.method].values !== 'ranks') return undefined
  const frames = round.stops.filter((s) => s.skipped === null && s.hits.length > 0)
  if (frames.length === 0 || frames.every((s) => (s.measures.frameYield ?? 0) > 0)) return undefined
  const firsts = rollup(
    frames.flatMap((s) => s.hits.filter((h) => h.amount === 1)),
    (list) => list.length / frames.length,
    (h) => h.taxon,
  )
  const [taxon, share] = [...firsts].sort((a, b) => b[1] - a[1])[0] ?? ['', 0]
  return share > RANKED_ALIKE ? { taxon, share } : undefined
}

/** The strip along the edge that no counted stop came into; undefined where the fence was walked, or no place is known. */
export function unwalkedEdge(round: Round): EdgeStrip | undefined {
  const { boundary } = round.paddock
  const done = round.stops.filter((s) => s.doneAt !== null && s.skipped === null)
  if (!boundary || done.some((s) => s.stratum === FENCE)) return undefined
  const places = done.flatMap((s) => (s.position ? [s.position] : []))
  return edgeStrip(places, boundary, areaHa(boundary), localPlane(boundary.coordinates[0]![0] as Position))
}

/** How the stops lie in the paddock, and what can be met at one: sizes of its parts, frames it would hold, classes. */
export function designOf(round: Round): Design {
  const frameValues = countingMethods[round.method].sward?.frameValues?.(round.settings)
  const seen = frameValues ? { frameValues } : {}
  const { boundary, strata } = round.paddock
  if (!boundary) return seen
  const whole = areaHa(boundary)
  const parts = [
    ...strata.filter((p) => !p.keptOut).map((p) => [p.name, areaHa(p.polygon)] as const),
    ...fenceOf(round),
  ]
  const frame = round.settings.frameM2
  const apart = strata.filter((p) => p.keptOut).reduce((sum, p) => sum + areaHa(p.polygon), 0)
  const rest = whole - apart - parts.reduce((sum, [, hectares]) => sum + hectares, 0)
  return {
    ...seen,
    ...(parts.length > 0 ? { partSizes: new Map([['', Math.max(0, rest)], ...parts]) } : {}),
    ...(frame ? { stopsInAll: Math.max(round.stops.length, Math.floor((whole * 10_000) / frame)) } : {}),
  }
}
