import { quantileSorted } from 'd3-array'
import { randomNormal } from 'd3-random'
import type { Plant } from '../../flora/flora.ts'
import { tallied, type NamedLetters, type StopTally, type Tallied } from '../../methods/tally.ts'
import type { Taxon } from '../../records/taxon.ts'
import { energyFromTdn } from './energy.ts'
import { relativeFeedValue } from './relativeFeedValue.ts'

/** How far the sward has gone: leafy growth, or stems and heads. */
export type Growth = 'leafy' | 'stemmy'

export interface Estimate {
  /** Middle of the draws. */
  middle: number
  /** 95 % of the draws. */
  low: number
  high: number
}

export interface MixtureFeed {
  cpPct: Estimate
  adfPct: Estimate
  ndfPct: Estimate
  rfv: Estimate
  /** Digestible dry matter, % (Rohweder, Barnes & Jorgensen 1978). */
  ddmPct: Estimate
  /** Total digestible nutrients, %: the digestible dry matter give or take 3 points (common practice, no source). */
  tdnPct: Estimate
  /** Metabolizable energy, Mcal a kilogram (NRC 1996). */
  meMcalPerKg: Estimate
  /** Net energy for maintenance and for gain, Mcal a kilogram (NRC 1996). */
  nemMcalPerKg: Estimate
  negMcalPerKg: Estimate
  /** Protein and TDN of each draw, so that needs are held against them together. */
  draws: { cpPct: number[]; tdnPct: number[] }
  /** Share of the plants counted whose feed value is known, 0 to 1. */
  known: number
  /** Plants left out because no value is on file. */
  leftOut: Taxon[]
  sources: string[]
}

const DRAWS = 5000

/** How far digestible dry matter and TDN of a forage lie apart, at most. */
export const TDN_POINTS = 3

/** From so many stops on, the sums of stops drawn again are as good as normal, and drawn as such. */
const MANY_STOPS = 300

/** Amounts of one plant at each stop. */
type Column = ArrayLike<number>

/** Sums of each plant over stops drawn again with replacement. */
export function drawStops(columns: readonly Column[], random: () => number): () => number[] {
  const m = columns[0]!.length
  return () => {
    const sums = columns.map(() => 0)
    for (let s = 0; s < m; s++) {
      const stop = Math.floor(random() * m)
      for (let j = 0; j < columns.length; j++) sums[j]! += columns[j]![stop]!
    }
    return sums
  }
}

/**
 * The same sums by the central limit theorem: normal with the mean and covariance that drawing stops again has, plants
 * that grow together moving together (by the Cholesky factor). Sums below 0 are taken as 0.
 */
export function drawSums(columns: readonly Column[], random: () => number): () => number[] {
  const m = columns[0]!.length
  const p = columns.length
  const mean = columns.map((c) => {
    let sum = 0
    for (let s = 0; s < m; s++) sum += c[s]!
    return sum / m
  })
  const factor = mean.map(() => new Float64Array(p))
  for (let i = 0; i < p; i++)
    for (let j = 0; j <= i; j++) {
      const [a, b, meanA, meanB] = [columns[i]!, columns[j]!, mean[i]!, mean[j]!]
      let sum = 0
      for (let s = 0; s < m; s++) sum += (a[s]! - meanA) * (b[s]! - meanB)
      for (let k = 0; k < j; k++) sum -= factor[i]![k]! * factor[j]![k]!
      factor[i]![j] = i === j ? Math.sqrt(Math.max(0, sum)) : factor[j]![j]! > 0 ? sum / factor[j]![j]! : 0
    }
  const normal = randomNormal.source(random)(0, 1)
  return () => {
    const z = mean.map(() => normal())
    return mean.map((mu, i) => {
      let sum = m * mu
      for (let k = 0; k <= i; k++) sum += factor[i]![k]! * z[k]!
      return Math.max(0, sum)
    })
  }
}

const between = ([low, high]: [number, number], u: number) => low + (high - low) * u

function summary(draws: number[]): Estimate {
  const sorted = Array.from(Float64Array.from(draws).sort())
  const at = (p: number) => quantileSorted(sorted, p)!
  return { middle: at(0.5), low: at(0.025), high: at(0.975) }
}

/**
 * Feed value of a mixture as ranges: Monte Carlo over which stops were met (stops drawn again with replacement) and
 * over the ranges on file. Plants of one sward stand in one season on one soil, so they are drawn together: one ripeness
 * per draw, even over the range, protein falling as fibre rises. Drawing each plant alone would promise too much.
 *
 * Shares of hits stand for shares of dry matter: a stated approximation, for a clip or a dry-weight rank would be
 * needed to do better. Bare ground, litter and plants without values are left out and named.
 *
 * Many stops (300 and more) are drawn by the normal distribution of their sums.
 *
 * @param random uniform 0 to 1; a seeded source gives the same answer twice
 * @returns undefined when no plant with a known value was met
 */
export function mixtureFeed(
  stops: StopTally[],
  named: NamedLetters,
  plants: Map<string, Plant>,
  growth: Growth,
  random: () => number,
): MixtureFeed | undefined {
  return mixtureFeedOf(tallied(stops, named), plants, growth, random)
}

/** The same from amounts put together before. */
export function mixtureFeedOf(
  { taxa, amounts }: Tallied,
  plants: Map<string, Plant>,
  growth: Growth,
  random: () => number,
): MixtureFeed | undefined {
  const met = taxa.filter((t) => t !== 'bare' && t !== 'litter')
  const valued = met.filter((t) => plants.get(t)?.feed).sort()
  if (valued.length === 0) return undefined
  const of = (t: Taxon) => amounts[taxa.indexOf(t)]!
  const amount = (list: Taxon[]) => list.reduce((s, t) => s + of(t).reduce((a, n) => a + n, 0), 0)
  const columns = valued.map(of)
  const feeds = valued.map((t) => plants.get(t)!.feed![growth])

  const cp: number[] = []
  const adf: number[] = []
  const ndf: number[] = []
  const rfv: number[] = []
  const drawn = columns[0]!.length < MANY_STOPS ? drawStops(columns, random) : drawSums(columns, random)
  for (let d = 0; d < DRAWS; d++) {
    const weights = drawn()
    const total = weights.reduce((a, b) => a + b, 0)
    if (total === 0) continue
    let c = 0
    let a = 0
    let n = 0
    const ripeness = random()
    feeds.forEach((feed, j) => {
      const w = weights[j]! / total
      c += w * between(feed.cp, 1 - ripeness)
      a += w * between(feed.adf, ripeness)
      n += w * between(feed.ndf, ripeness)
    })
    cp.push(c)
    adf.push(a)
    ndf.push(n)
    rfv.push(relativeFeedValue({ adfPct: a, ndfPct: n }))
  }
  const ddm = adf.map((a) => 88.9 - 0.779 * a)
  const tdn = ddm.map((d) => Math.min(90, Math.max(30, d + TDN_POINTS * (2 * random() - 1))))
  return {
    ddmPct: summary(ddm),
    tdnPct: summary(tdn),
    meMcalPerKg: summary(tdn.map((t) => energyFromTdn(t).me)),
    nemMcalPerKg: summary(tdn.map((t) => energyFromTdn(t).nem)),
    negMcalPerKg: summary(tdn.map((t) => energyFromTdn(t).neg)),
    draws: { cpPct: cp, tdnPct: tdn },
    cpPct: summary(cp),
    adfPct: summary(adf),
    ndfPct: summary(ndf),
    rfv: summary(rfv),
    known: amount(valued) / amount(met),
    leftOut: met.filter((t) => !plants.get(t)?.feed),
    sources: [...new Set(valued.flatMap((t) => plants.get(t)!.sources))].sort(),
  }
}
