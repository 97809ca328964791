import { quantileSorted } from 'd3-array'
import type { Plant } from '../naming/flora.ts'
import { amountsAt, type NamedLetters, type StopTally } from '../survey/tally.ts'
import type { Taxon } from '../survey/taxon.ts'
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
  /** Share of the plants counted whose feed value is known, 0 to 1. */
  known: number
  /** Plants left out because no value is on file. */
  leftOut: Taxon[]
  sources: string[]
}

const DRAWS = 2000

const between = ([low, high]: [number, number], u: number) => low + (high - low) * u

function summary(draws: number[]): Estimate {
  const sorted = [...draws].sort((a, b) => a - b)
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
  const sums = stops.map((s) => amountsAt(s, named)).filter((m) => m.size > 0)
  const met = [...new Set(sums.flatMap((m) => [...m.keys()]))].filter((t) => t !== 'bare' && t !== 'litter')
  const valued = met.filter((t) => plants.get(t)?.feed).sort()
  if (valued.length === 0) return undefined
  const amount = (list: Taxon[]) => sums.reduce((s, m) => s + list.reduce((a, t) => a + (m.get(t) ?? 0), 0), 0)
  const rows = sums.map((m) => valued.map((t) => m.get(t) ?? 0))
  const feeds = valued.map((t) => plants.get(t)!.feed![growth])

  const cp: number[] = []
  const adf: number[] = []
  const ndf: number[] = []
  const rfv: number[] = []
  for (let d = 0; d < DRAWS; d++) {
    const weights = valued.map(() => 0)
    for (let s = 0; s < rows.length; s++) {
      const row = rows[Math.floor(random() * rows.length)]!
      for (let j = 0; j < row.length; j++) weights[j]! += row[j]!
    }
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
  return {
    cpPct: summary(cp),
    adfPct: summary(adf),
    ndfPct: summary(ndf),
    rfv: summary(rfv),
    known: amount(valued) / amount(met),
    leftOut: met.filter((t) => !plants.get(t)?.feed),
    sources: [...new Set(valued.flatMap((t) => plants.get(t)!.sources))].sort(),
  }
}
