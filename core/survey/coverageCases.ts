import { randomGamma, randomNormal, randomPoisson } from 'd3-random'
import { clusterRatio, kornGraubard, type Interval, type StopCount } from '../stats/clusterRatio.ts'
import { bootstrapRatio } from '../stats/bootstrap.ts'
import { classOf, sixClasses } from '../methods/estimators/coverClasses.ts'
import { DRY_WEIGHT_MULTIPLIERS, sharesOfFrame } from '../methods/estimators/dryWeightRank.ts'
import { GRID_CELLS } from '../methods/estimators/frequency.ts'
import { likelihoodInterval, unseenFrames, type FrameValues } from '../stats/likelihoodInterval.ts'
import { doubleSampling } from '../stats/linearCalibration.ts'
import { wilson } from '../stats/proportionIntervals.ts'
import { searchLimits } from '../methods/estimators/searchWalk.ts'
import { stratifiedRatio } from './stratified.ts'

/** A made sward: shares of its plants, and how even it is from stop to stop (higher is more even). */
export interface MadeSward {
  shares: readonly number[]
  evenness: number
}

export const patchiness = { patchy: 3, middling: 8, even: 30 } as const

export const SHARES = [0.3, 0.25, 0.15, 0.1, 0.1, 0.06, 0.04]

const STOPS = 30

const POINTS = 20

/** Shares at one stop: a Dirichlet draw round those of the sward. */
function sharesAt({ shares, evenness }: MadeSward, random: () => number): number[] {
  const weights = shares.map((s) => randomGamma.source(random)(s * evenness, 1)())
  const total = weights.reduce((a, b) => a + b, 0)
  return weights.map((w) => w / total)
}

function hitsOf(shares: readonly number[], points: number, random: () => number): number[] {
  const hits = shares.map(() => 0)
  for (let i = 0; i < points; i++) {
    let u = random()
    const k = shares.findIndex((s) => (u -= s) <= 0)
    hits[k < 0 ? shares.length - 1 : k]!++
  }
  return hits
}

/** One way of counting: what a made round says of the first plants, and what is true of them. */
export interface CoverageCase {
  name: string
  /** Intervals of one made round. */
  intervals: (sward: MadeSward, random: () => number) => (Interval | undefined)[]
  truth: (sward: MadeSward, random: () => number) => number[]
}

const stopsOf = (sward: MadeSward, random: () => number, n = STOPS) =>
  Array.from({ length: n }, () => sharesAt(sward, random))

const column = (rows: number[][], k: number, points?: number): StopCount[] =>
  rows.map((r) => ({ hits: r[k]!, points: points ?? r.reduce((a, b) => a + b, 0) }))

const ratios = (rows: number[][], plants: number, points?: number) =>
  Array.from({ length: plants }, (_, k) => kornGraubard(clusterRatio(column(rows, k, points))))

const likelihoods = (rows: number[][], plants: number, values: FrameValues) =>
  Array.from({ length: plants }, (_, k) => {
    const frames = column(rows, k)
    return likelihoodInterval(frames, unseenFrames(frames, values))
  })

const covers: FrameValues = { values: [0, ...sixClasses.map((c) => c.midPercent)], relative: false }

const ranks: FrameValues = { values: [0, ...[...DRY_WEIGHT_MULTIPLIERS].reverse()], relative: true }

/** Ratio of sums over very many stops: what a method converges to, its own bias included. */
function limitOf(row: (shares: number[], random: () => number) => number[], plants: number, points?: number) {
  return (sward: MadeSward, random: () => number): number[] => {
    const rows = Array.from({ length: 60_000 }, () => row(sharesAt(sward, random), random))
    return Array.from({ length: plants }, (_, k) => clusterRatio(column(rows, k, points)).estimate)
  }
}

/** Ranks of the three heaviest plants of a frame, as weights. */
function rankedWeights(shares: number[]): number[] {
  const order = shares
    .map((s, i) => [s, i] as const)
    .sort((a, b) => b[0] - a[0])
    .slice(0, 3)
  const ranks = Object.fromEntries(order.map(([, i], r) => [String(i), r + 1]))
  const weights = sharesOfFrame({ ranks }, 'first-takes-third')
  return shares.map((_, i) => weights.get(String(i)) ?? 0)
}

const classed = (shares: number[]) => shares.map((s) => classOf(sixClasses, 100 * s).midPercent)

const cells = (shares: number[], random: () => number) =>
  shares.map((s) => Array.from({ length: GRID_CELLS }, random).filter((u) => u < s).length)

export const held = (shares: number[], random: () => number) => shares.map((s) => Number(random() < 1 - (1 - s) ** 6))

/** Mass from place to place: a reading, and the mass that goes with it. */
function massAt(evenness: number, random: () => number): [height: number, mass: number] {
  const height = Math.max(1, randomNormal.source(random)(9, 9 / Math.sqrt(evenness))())
  return [height, 600 + 130 * height + randomNormal.source(random)(0, 220)()]
}

/** Points at so many stops. */
export const pointsAt = (stops: number): CoverageCase => ({
  name: `points at ${stops} stops`,
  intervals: (sward, random) =>
    ratios(
      stopsOf(sward, random, stops).map((s) => hitsOf(s, POINTS, random)),
      7,
    ),
  truth: ({ shares }) => [...shares],
})

/** The same way of counting, held against what truly stands there and not against what the method would find in the end. */
export const againstTrueShare = (of: CoverageCase): CoverageCase => ({
  ...of,
  truth: ({ shares }, random) => shares.slice(0, of.truth({ shares, evenness: 8 }, random).length),
})

export const coverageCases: CoverageCase[] = [
  { ...pointsAt(STOPS), name: 'points, ratio estimate by stop' },
  {
    name: 'points, resampled by stop (BCa)',
    intervals: (sward, random) => {
      const rows = stopsOf(sward, random).map((s) => hitsOf(s, POINTS, random))
      const counts = column(rows, 0)
      const made = bootstrapRatio(
        counts.map((c) => c.hits),
        counts.map((c) => c.points),
        random,
        { resamples: 600 },
      )
      return [made?.bca]
    },
    truth: ({ shares }) => shares.slice(0, 1),
  },
  {
    name: 'points in two parts of unlike density, combined ratio',
    intervals: (sward, random) => {
      const wet = { ...sward, shares: [...sward.shares].reverse() }
      const rows = (s: MadeSward, n: number) => stopsOf(s, random, n).map((x) => hitsOf(x, POINTS, random))
      const [dryRows, wetRows] = [rows(sward, 18), rows(wet, 12)]
      return [0, 6].map((k) =>
        kornGraubard(
          stratifiedRatio([
            { name: 'dry', size: 0.8, stops: column(dryRows, k) },
            { name: 'wet', size: 0.2, stops: column(wetRows, k) },
          ]),
        ),
      )
    },
    truth: ({ shares }) => [0, 6].map((k) => 0.8 * shares[k]! + 0.2 * shares[6 - k]!),
  },
  {
    name: 'cover classes, likelihood by frame',
    intervals: (sward, random) => likelihoods(stopsOf(sward, random).map(classed), 7, covers),
    truth: limitOf(classed, 7),
  },
  {
    name: 'dry-weight rank, likelihood by frame',
    intervals: (sward, random) => likelihoods(stopsOf(sward, random).map(rankedWeights), 5, ranks),
    truth: limitOf(rankedWeights, 5),
  },
  {
    name: 'frequency in a grid, ratio estimate by grid',
    intervals: (sward, random) =>
      ratios(
        stopsOf(sward, random).map((s) => cells(s, random)),
        7,
        GRID_CELLS,
      ),
    truth: ({ shares }) => [...shares],
  },
  {
    name: 'frequency in frames, Wilson',
    intervals: (sward, random) => {
      const rows = stopsOf(sward, random, 40).map((s) => held(s, random))
      return [0, 1, 2, 3, 4, 5, 6].map((k) => wilson({ x: rows.reduce((n, r) => n + r[k]!, 0), n: rows.length }))
    },
    truth: limitOf(held, 7, 1),
  },
  {
    name: 'mass from readings and clips, double sampling',
    intervals: ({ evenness }, random) => {
      const all = Array.from({ length: 40 }, () => massAt(evenness, random))
      const clipped = all.slice(0, 12)
      return [
        doubleSampling(
          all.map((p) => p[0]),
          { heights: clipped.map((p) => p[0]), masses: clipped.map((p) => p[1]) },
        ).interval,
      ]
    },
    truth: ({ evenness }, random) => {
      let sum = 0
      for (let i = 0; i < 400_000; i++) sum += massAt(evenness, random)[1]
      return [sum / 400_000]
    },
  },
  {
    name: 'search walk in ten legs, plants in clumps (negative binomial, k as the sward is even)',
    intervals: ({ evenness }, random) => {
      // Patchy, middling and even swards stand for k of 0.5, 1.3 and 5 a leg.
      const k = evenness / 6
      const legs = Array.from({ length: 10 }, () => {
        const mean = randomGamma.source(random)(k, 2 / k)()
        return { lengthM: 250, found: mean > 0 ? randomPoisson.source(random)(mean)() : 0 }
      })
      return [searchLimits(legs, 4, { judged: 1, range: [1, 1] }).limitsPerHa]
    },
    truth: () => [20],
  },
]
