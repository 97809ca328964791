import { tQuantile } from '../stats/tQuantile.ts'
import type { Round } from '../records/round.ts'
import { cohenKappa, intraclassCorrelation, type Intraclass, type Kappa } from '../stats/agreement.ts'
import { clusterRatio, type Interval } from '../stats/clusterRatio.ts'
import { countedStops } from './counted.ts'
import { resolvedUnknowns } from './figures.ts'
import { amountsAt } from '../methods/tally.ts'
import type { Taxon } from '../records/taxon.ts'

const MAIN = 6
const FEWEST = 3

export interface ObserverLine {
  taxon: Taxon
  /** Mean share by each observer, over the stops both counted. */
  first: number
  second: number
  /** Second less first, with a paired t interval: how much higher the second observer reads. */
  bias: { mean: number; se: number; interval: Interval }
  /** Undefined where the shares do not vary. */
  icc: Intraclass | undefined
}

export interface TwoObservers {
  stops: number
  lines: ObserverLine[]
  /** Agreement on the leading plant of each stop; undefined where one plant leads everywhere. */
  leading: (Kappa & { classes: Taxon[] }) | undefined
}

type StopShares = Map<Taxon, number>

function sharesByStop(round: Round): Map<number, StopShares> {
  const named = resolvedUnknowns(round)
  const out = new Map<number, StopShares>()
  for (const stop of countedStops(round)) {
    const sums = amountsAt(stop, named)
    const total = [...sums.values()].reduce((a, b) => a + b, 0)
    if (total > 0) out.set(stop.seq, new Map([...sums].map(([t, n]) => [t, n / total])))
  }
  return out
}

const leader = (shares: StopShares): Taxon => [...shares].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))[0]![0]

function paired(differences: number[]): ObserverLine['bias'] {
  const n = differences.length
  const mean = differences.reduce((a, b) => a + b, 0) / n
  const se = Math.sqrt(differences.reduce((s, d) => s + (d - mean) ** 2, 0) / (n - 1) / n)
  const half = tQuantile(0.975, n - 1) * se
  return { mean, se, interval: [mean - half, mean + half] }
}

/**
 * Two observers at the same stops: agreement of the leading plant (kappa), agreement of shares (ICC), and by how much
 * one reads higher than the other.
 *
 * @returns undefined with fewer than three stops that both counted
 */
export function twoObservers(first: Round, second: Round): TwoObservers | undefined {
  const [a, b] = [sharesByStop(first), sharesByStop(second)]
  const both = [...a.keys()].filter((seq) => b.has(seq))
  if (both.length < FEWEST) return undefined
  const sum = new Map<Taxon, number>()
  for (const seq of both)
    for (const shares of [a.get(seq)!, b.get(seq)!]) for (const [t, x] of shares) sum.set(t, (sum.get(t) ?? 0) + x)
  const main = [...sum]
    .sort((x, y) => y[1] - x[1])
    .slice(0, MAIN)
    .map(([t]) => t)
  const lines = main.map((taxon): ObserverLine => {
    const ratings = both.map((seq) => [a.get(seq)!.get(taxon) ?? 0, b.get(seq)!.get(taxon) ?? 0])
    const mean = (j: 0 | 1) => ratings.reduce((s, r) => s + r[j]!, 0) / both.length
    const varies = new Set(ratings.flat()).size > 1
    const icc = varies ? intraclassCorrelation(ratings) : undefined
    return {
      taxon,
      first: mean(0),
      second: mean(1),
      bias: paired(ratings.map(([x, y]) => y! - x!)),
      icc: icc && Number.isFinite(icc.icc) ? icc : undefined,
    }
  })
  const leaders = both.map((seq) => [leader(a.get(seq)!), leader(b.get(seq)!)] as const)
  const classes = [...new Set(leaders.flat())].sort()
  const table = classes.map((x) => classes.map((y) => leaders.filter(([p, q]) => p === x && q === y).length))
  return {
    stops: both.length,
    lines,
    leading: classes.length > 1 ? { ...cohenKappa(table), classes } : undefined,
  }
}

/**
 * What the second observer would have found with the first one's eye: the share over all of the second's stops, less the
 * bias met at the shared ones. The error of the bias is added to that of the share.
 */
export function correctedShare(
  second: Round,
  line: ObserverLine,
): { estimate: number; se: number; interval: Interval } | undefined {
  const shares = [...sharesByStop(second).values()]
  if (shares.length < 2) return undefined
  const ratio = clusterRatio(shares.map((s) => ({ hits: s.get(line.taxon) ?? 0, points: 1 })))
  const estimate = Math.min(1, Math.max(0, ratio.estimate - line.bias.mean))
  const se = Math.hypot(ratio.se ?? 0, line.bias.se)
  const half = tQuantile(0.975, Math.max(1, shares.length - 1)) * se
  return { estimate, se, interval: [Math.max(0, estimate - half), Math.min(1, estimate + half)] }
}
