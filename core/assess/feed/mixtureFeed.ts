import { quantileSorted } from 'd3-array'
import { randomNormal } from 'd3-random'
import type { Feed, FeedRange, Plant } from '../../flora/flora.ts'
import { abundanceMatrix, type ResolvedUnknowns, type StopTally, type AbundanceMatrix } from '../../methods/tally.ts'
import { BARE, LITTER, type Taxon } from '../../records/taxon.ts'
import type { ClipFactors } from './clipFactors.ts'
import { drawStops, drawSums, MANY_STOPS } from './drawStops.ts'
import { energyFromTdn } from './energy.ts'
import { feedIn, feedStates, mixedRange, statesOfMonth, type FeedState } from './feedStates.ts'
import { forageClassOf, HORSE_DE_ERROR, horseDe, TDN_ERROR, tdnByClass, type ClassShares } from './forageClass.ts'
import { relativeFeedValue } from './relativeFeedValue.ts'
import type { Walked } from './walkedStates.ts'

export interface Estimate {
  /** Middle of the draws. */
  middle: number
  /** 95 % of the draws. */
  low: number
  high: number
}

/** What one plant brings to the mixture: means of the draws. */
export interface FeedPart {
  plant: string
  /** Share of the dry matter that has a value, 0 to 1. */
  weight: number
  /** Its own protein, fibre and energy at the growth judged, % of dry matter. */
  cpPct: number
  ndfPct: number
  tdnPct: number
  /** Lowest and highest of each: the range on file, and for energy the error of the relation on both sides. */
  range: Record<'cpPct' | 'ndfPct' | 'tdnPct', [number, number]>
}

/** One figure of each draw, so that needs are held against all of them together. */
export interface FeedDraws {
  cpPct: number[]
  ndfPct: number[]
  tdnPct: number[]
  /** Digestible energy for a horse, Mcal a kilogram. */
  horseDe: number[]
}

export interface MixtureFeed {
  cpPct: Estimate
  adfPct: Estimate
  ndfPct: Estimate
  rfv: Estimate
  /** Total digestible nutrients for ruminants, %, by the relation of each class of forage with its error. */
  tdnPct: Estimate
  /** Metabolizable energy, Mcal a kilogram (NRC 1996). */
  meMcalPerKg: Estimate
  /** Net energy for maintenance and for gain, Mcal a kilogram (NRC 1996). */
  nemMcalPerKg: Estimate
  negMcalPerKg: Estimate
  /** Digestible energy for horses, Mcal a kilogram. */
  horseDeMcalPerKg: Estimate
  draws: FeedDraws
  /** Plant by plant, the heaviest first; weight times figure, put together, is the mean of the mixture. */
  parts: FeedPart[]
  /** Share of each class of forage in what has a value, 0 to 1. */
  classes: ClassShares
  /** How shares came to be of dry matter: by weight, by stops that were clipped as well, or by a guess. */
  massBy: MassBy
  /** The growth it is judged at. */
  at: Walked
  /** Share of the plants counted whose feed value is known, 0 to 1. */
  known: number
  /** Plants left out because no value is on file. */
  leftOut: Taxon[]
  /** Of the ranges of feed, not of the descriptions of the plants. */
  sources: string[]
}

export type MassBy = { by: 'weight' } | { by: 'clips'; factors: ClipFactors } | { by: 'guess' }
const GUESS: MassBy = { by: 'guess' }

const DRAWS = 5000
/** Enough for what it would be at another growth, which nothing is held against. */
const DRAWS_BESIDE = 2000
/** How a class's share of dry matter lies to its share of points: log standard deviation (common practice, no source). */
const HIT_TO_MASS = 0.22
/** Two-sided 95 % of a normal distribution. */
const Z = 1.96

const between = ([low, high]: [number, number], u: number) => low + (high - low) * u

function summary(draws: number[]): Estimate {
  const sorted = Array.from(Float64Array.from(draws).sort())
  const at = (p: number) => quantileSorted(sorted, p)!
  return { middle: at(0.5), low: at(0.025), high: at(0.975) }
}

type Fed = Plant & { feed: Feed }

/** The range of a plant in a draw; `u` says which of the states that a month allows. */
function rangeAt(plant: Fed, at: Walked): (u: number) => FeedRange {
  const states = new Map(feedStates.map((s): [FeedState, FeedRange] => [s, feedIn(plant, s)]))
  if (at.by === 'state') return () => states.get(at.state)!
  if (at.by === 'noted') {
    const mixed = mixedRange(feedStates.flatMap((s) => (at.shares[s] ? [[at.shares[s], states.get(s)!] as const] : [])))
    return () => mixed
  }
  const may = statesOfMonth(plant.season, at.month)
  return (u) => states.get(may[Math.min(may.length - 1, Math.floor(u * may.length))]!)!
}

/** What one plant's own figure came to over the draws. */
class Own {
  sum = 0
  private low = Infinity
  private high = -Infinity
  add(weight: number, figure: number): void {
    this.sum += weight * figure
    this.low = Math.min(this.low, figure)
    this.high = Math.max(this.high, figure)
  }
  range(error = 0): [number, number] {
    return [this.low - error, this.high + error]
  }
}

/**
 * Feed value of a mixture as ranges: Monte Carlo over which stops were met (stops drawn again with replacement), over the
 * ranges on file, over the growth where nobody noted it, and over the error of energy told from fibre. Plants of one sward
 * stand in one season on one soil, so they are drawn together: one ripeness per draw, even over the range, protein falling
 * as fibre rises. Drawing each plant alone would promise too much.
 *
 * Shares of points or cover stand for shares of dry matter by what stops say that were clipped as well (`clipFactors`); a
 * class that they do not tell of, by a guess that has an error: it may weigh up to half as much more or less than its
 * share (`HIT_TO_MASS`). Clips and dry-weight ranks weigh what they say. Bare ground, litter and plants without values are
 * left out and named.
 *
 * Many stops (300 and more) are drawn by the normal distribution of their sums.
 *
 * @param random uniform 0 to 1; a seeded source gives the same answer twice
 * @returns undefined when no plant with a known value was met
 */
export function mixtureFeed(
  stops: StopTally[],
  named: ResolvedUnknowns,
  plants: Map<string, Plant>,
  at: Walked,
  random: () => number,
): MixtureFeed | undefined {
  return mixtureFeedOf(abundanceMatrix(stops, named), plants, at, random)
}

/** The same from amounts put together before. @param massBy how an amount stands for dry matter */
export function mixtureFeedOf(
  { taxa, amounts }: AbundanceMatrix,
  plants: Map<string, Plant>,
  at: Walked,
  random: () => number,
  massBy = GUESS,
): MixtureFeed | undefined {
  const met = taxa.filter((t) => t !== BARE && t !== LITTER)
  const valued = met.filter((t) => plants.get(t)?.feed).sort()
  if (valued.length === 0) return undefined
  const of = (t: Taxon) => amounts[taxa.indexOf(t)]!
  const amount = (list: Taxon[]) => list.reduce((s, t) => s + of(t).reduce((a, n) => a + n, 0), 0)
  const columns = valued.map(of)
  const feeds = valued.map((t) => plants.get(t) as Fed)
  const ranges = feeds.map((p) => rangeAt(p, at))
  const classOf = feeds.map(forageClassOf)
  const heard = [...new Set(classOf)]
  const drawn = columns[0]!.length < MANY_STOPS ? drawStops(columns, random) : drawSums(columns, random)
  const normal = randomNormal.source(random)(0, 1)
  const draws: FeedDraws = { cpPct: [], ndfPct: [], tdnPct: [], horseDe: [] }
  const adf: number[] = []
  const rfv: number[] = []
  const wanted = at.by === 'state' ? DRAWS_BESIDE : DRAWS
  const measured = massBy.by === 'clips' ? massBy.factors.of : {}
  const factors = heard.map((c) => measured[c] ?? { log: 0, sd: HIT_TO_MASS })
  const classIndex = classOf.map((c) => heard.indexOf(c))
  const brought = valued.map(() => ({ w: 0, cp: new Own(), ndf: new Own(), tdn: new Own() }))
  for (let d = 0; d < wanted; d++) {
    const weights = drawn()
    if (massBy.by !== 'weight') {
      const weighs = factors.map(({ log, sd }) => Math.exp(log + sd * normal()))
      for (let j = 0; j < weights.length; j++) weights[j]! *= weighs[classIndex[j]!]!
    }
    const total = weights.reduce((a, b) => a + b, 0)
    if (total === 0) continue
    const mean = { cp: 0, adf: 0, ndf: 0 }
    let tdn = 0
    let error = 0
    const ripeness = random()
    const u = at.by === 'month' ? random() : 0
    ranges.forEach((range, j) => {
      const w = weights[j]! / total
      if (w === 0) return
      const r = range(u)
      const fibre = { cp: between(r.cp, 1 - ripeness), adf: between(r.adf, ripeness), ndf: between(r.ndf, ripeness) }
      mean.cp += w * fibre.cp
      mean.adf += w * fibre.adf
      mean.ndf += w * fibre.ndf
      const energy = tdnByClass(classOf[j]!, fibre)
      tdn += w * energy
      const own = brought[j]!
      own.w += w
      own.cp.add(w, fibre.cp)
      own.ndf.add(w, fibre.ndf)
      own.tdn.add(w, energy)
      error += w * TDN_ERROR[classOf[j]!]
    })
    draws.cpPct.push(mean.cp)
    draws.ndfPct.push(mean.ndf)
    draws.tdnPct.push(Math.min(85, Math.max(25, tdn + (error / Z) * normal())))
    draws.horseDe.push(Math.max(0.8, horseDe(mean) + (HORSE_DE_ERROR / Z) * normal()))
    adf.push(mean.adf)
    rfv.push(relativeFeedValue({ adfPct: mean.adf, ndfPct: mean.ndf }))
  }
  const all = amount(valued)
  const parts = valued
    .map((plant, j): FeedPart => {
      const { w, cp, ndf, tdn } = brought[j]!
      const range = { cpPct: cp.range(), ndfPct: ndf.range(), tdnPct: tdn.range(TDN_ERROR[classOf[j]!]) }
      return { plant, weight: w / draws.cpPct.length, cpPct: cp.sum / w, ndfPct: ndf.sum / w, tdnPct: tdn.sum / w, range } // prettier-ignore
    })
    .filter((p) => p.weight > 0)
    .sort((a, b) => b.weight - a.weight)
  const classes: ClassShares = {}
  valued.forEach((t, j) => (classes[classOf[j]!] = (classes[classOf[j]!] ?? 0) + amount([t]) / all))
  return {
    tdnPct: summary(draws.tdnPct),
    meMcalPerKg: summary(draws.tdnPct.map((t) => energyFromTdn(t).me)),
    nemMcalPerKg: summary(draws.tdnPct.map((t) => energyFromTdn(t).nem)),
    negMcalPerKg: summary(draws.tdnPct.map((t) => energyFromTdn(t).neg)),
    horseDeMcalPerKg: summary(draws.horseDe),
    draws,
    parts,
    cpPct: summary(draws.cpPct),
    adfPct: summary(adf),
    ndfPct: summary(draws.ndfPct),
    rfv: summary(rfv),
    classes,
    massBy,
    at,
    known: all / amount(met),
    leftOut: met.filter((t) => !plants.get(t)?.feed),
    sources: [...new Set(feeds.flatMap((p) => p.feed.sources))].sort(),
  }
}
