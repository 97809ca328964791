import { randomGamma, randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { simultaneousIntervals } from '@/core/survey/simultaneousIntervals.ts'
import type { Composition, TaxonShare } from '@/core/survey/composition.ts'
import type { Interval } from '@/core/stats/clusterRatio.ts'
import { figuresOf } from '@/core/survey/figures.ts'
import { goodman } from '@/core/stats/proportionIntervals.ts'
import { plantsById } from '@/tests/support/book.ts'
import { countedStop, roundOf } from '@/tests/support/rounds.ts'

const taxonShare = (taxon: string, hits: number, total: number, designEffect: number | undefined): TaxonShare => ({
  ...{ taxon, group: 'cool-grass', hits, stopsWith: 1, designEffect },
  ...{ estimate: hits / total, interval: undefined, se: undefined, method: 'clustered' },
})
const made = (hits: number[], effect: number | undefined, stops = 100_000): Composition => {
  const total = hits.reduce((a, b) => a + b, 0)
  return { stops, total, taxa: hits.map((h, i) => taxonShare(`t${i}`, h, total, effect)), byGroup: [], diversity: undefined } // prettier-ignore
}
const limits = (c: Composition) => [...simultaneousIntervals(c)!.values()]

const same = (a: Interval[], b: Interval[]) =>
  a.forEach((x, i) => x.forEach((limit, side) => expect(limit).toBeCloseTo(b[i]![side]!, 5)))

describe('intervals of all shares of a round at once', () => {
  it('are Goodman’s where points are independent, and those of half as many points where each is worth half', () => {
    same(limits(made([50, 30, 15, 5], 1)), goodman([50, 30, 15, 5]))
    same(limits(made([50, 30, 15, 5], 2)), goodman([25, 15, 7.5, 2.5]))
  })

  it('are wider from few stops than from many', () => {
    const [few, many] = [limits(made([50, 30, 20], 1, 6)), limits(made([50, 30, 20], 1))]
    few.forEach(([low, high], i) => expect(high - low).toBeGreaterThan(1.2 * (many[i]![1] - many[i]![0])))
  })

  it('never count points as more than they are, and say nothing where nothing can be said', () => {
    same(limits(made([50, 30, 20], 0.4)), goodman([50, 30, 20]))
    expect(simultaneousIntervals(made([50, 30], 1, 1))).toBeUndefined()
    expect(simultaneousIntervals(made([50], 1))).toBeUndefined()
    expect(simultaneousIntervals(made([50, 30], undefined))).toBeUndefined()
  })

  it('hold together in made swards, patchy ones too, where those of single shares together do not', () => {
    const truth: [string, number][] = [['perennial-ryegrass', 0.4], ['white-clover', 0.25], ['timothy', 0.2], ['dandelion', 0.1], ['bare', 0.05]] // prettier-ignore
    const random = randomLcg(20260502)
    const gamma = randomGamma.source(random)
    const stop = (seq: number) => {
      const weights = truth.map(([, p]) => gamma(p * 6, 1)())
      const sum = weights.reduce((a, b) => a + b, 0)
      const hits = Array.from({ length: 20 }, () => {
        let u = random() * sum
        return { taxon: truth[Math.max(0, weights.findIndex((w) => (u -= w) <= 0))]![0], amount: 1 } // prettier-ignore
      })
      return countedStop(seq, { hits })
    }
    let [together, single] = [0, 0]
    const rounds = 800
    for (let r = 0; r < rounds; r++) {
      const stops = Array.from({ length: 30 }, (_, i) => stop(i + 1))
      const { composition } = figuresOf(roundOf('step-points', stops), plantsById)
      const all = simultaneousIntervals(composition!)!
      const within = (low: number, high: number, p: number) => low <= p && p <= high
      const each = composition!.taxa.map((t) => [t, truth.find(([id]) => id === t.taxon)![1]] as const)
      if (each.every(([t, p]) => within(...all.get(t.taxon)!, p))) together++
      if (each.every(([t, p]) => within(...t.interval!, p))) single++
    }
    // 95 % asked; with 800 rounds the standard error is 0.8 in 100.
    expect(together / rounds).toBeGreaterThan(0.93)
    expect(together / rounds).toBeLessThan(0.985)
    expect(single / rounds).toBeLessThan(0.9)
  })
})
