import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { drawStops, drawSums } from '@/core/assess/feed/drawStops.ts'
import { feedIn, feedStates } from '@/core/assess/feed/feedStates.ts'
import { forageClassOf, TDN_ERROR, tdnByClass } from '@/core/assess/feed/forageClass.ts'
import { mixtureFeed, mixtureFeedOf } from '@/core/assess/feed/mixtureFeed.ts'
import type { Walked } from '@/core/assess/feed/walkedStates.ts'
import { relativeFeedValue } from '@/core/assess/feed/relativeFeedValue.ts'
import { abundanceMatrix, type StopTally } from '@/core/methods/tally.ts'
import { flora, plantsById } from '@/tests/support/book.ts'

describe('relative feed value (Rohweder, Barnes & Jorgensen 1978, J. Anim. Sci. 47:747)', () => {
  it('full-bloom alfalfa, ADF 41 and NDF 53, is about 100: the anchor of the scale', () => {
    expect(relativeFeedValue({ adfPct: 41, ndfPct: 53 })).toBeCloseTo(100, 0)
  })

  it('by hand: ADF 30, NDF 40 gives (88.9 - 23.37) x 3 / 1.29 = 152.4', () => {
    expect(relativeFeedValue({ adfPct: 30, ndfPct: 40 })).toBeCloseTo(152.395, 2)
  })

  it('falls as fibre rises', () => {
    expect(relativeFeedValue({ adfPct: 35, ndfPct: 45 })).toBeLessThan(relativeFeedValue({ adfPct: 30, ndfPct: 40 }))
  })

  it.each([
    { adfPct: 41, ndfPct: 0 },
    { adfPct: 60, ndfPct: 50 },
    { adfPct: -1, ndfPct: 50 },
    { adfPct: Number.NaN, ndfPct: 50 },
    { adfPct: 30, ndfPct: 101 },
  ])('refuses %o: ADF is a part of NDF, and both are percentages', (fibre) => {
    expect(() => relativeFeedValue(fibre)).toThrow(RangeError)
  })
})

describe('feed of a mixture', () => {
  const stop = (seq: number, counts: Record<string, number>): StopTally => ({
    seq,
    hits: Object.entries(counts).flatMap(([taxon, n]) => Array.from({ length: n }, () => ({ taxon, amount: 1 }))),
  })
  const feed = (stops: StopTally[], at: Walked = { by: 'state', state: 'leafy' }) =>
    mixtureFeed(stops, {}, plantsById, at, randomLcg(0.5))

  it('of one plant alone spans that plant’s own range', () => {
    const made = feed([stop(1, { timothy: 10 }), stop(2, { timothy: 10 })])!
    const { leafy } = plantsById.get('timothy')!.feed!
    expect(made.cpPct.low).toBeGreaterThanOrEqual(leafy.cp[0])
    expect(made.cpPct.high).toBeLessThanOrEqual(leafy.cp[1])
    // 95 % of an even range of 7 points is 6.65.
    expect(made.cpPct.high - made.cpPct.low).toBeCloseTo((leafy.cp[1] - leafy.cp[0]) * 0.95, 0)
    expect(made.known).toBe(1)
  })

  // Stated weights need no guess of what a point weighs: 60 g and 40 g are 0.6 and 0.4 of the sum.
  const weighed = (at: Walked = { by: 'state', state: 'leafy' }) => {
    const clip = (seq: number): StopTally => ({
      seq,
      hits: [
        { taxon: 'timothy', amount: 60 },
        { taxon: 'white-clover', amount: 40 },
      ],
    })
    return mixtureFeedOf(abundanceMatrix([clip(1), clip(2)], {}), plantsById, at, randomLcg(0.5), { by: 'weight' })!
  }
  const mean = (list: number[]) => list.reduce((a, b) => a + b, 0) / list.length

  it('is put together from its plants: weights by the balance, and weight times figure is the mean of the mixture', () => {
    const { parts, draws } = weighed()
    expect(parts.map((p) => p.plant)).toEqual(['timothy', 'white-clover'])
    expect(parts[0]!.weight).toBeCloseTo(0.6, 10)
    expect(parts[1]!.weight).toBeCloseTo(0.4, 10)
    const sum = (of: 'cpPct' | 'ndfPct') => parts.reduce((s, p) => s + p.weight * p[of], 0)
    expect(sum('cpPct')).toBeCloseTo(mean(draws.cpPct), 10)
    expect(sum('ndfPct')).toBeCloseTo(mean(draws.ndfPct), 10)
  })

  it('each plant’s own figure lies in the middle of its range on file: an even ripeness over 5,000 draws', () => {
    for (const part of weighed().parts) {
      const { leafy } = plantsById.get(part.plant)!.feed!
      expect(part.cpPct).toBeCloseTo((leafy.cp[0] + leafy.cp[1]) / 2, 0)
      expect(part.ndfPct).toBeGreaterThan(leafy.ndf[0])
      expect(part.ndfPct).toBeLessThan(leafy.ndf[1])
    }
  })

  it('each plant’s figure has the range on file, and energy the error of its relation besides: 5,000 draws come near both ends', () => {
    for (const { plant, range, tdnPct } of weighed().parts) {
      const { leafy } = plantsById.get(plant)!.feed!
      for (const [i, end] of range.cpPct.entries()) expect(end).toBeCloseTo(leafy.cp[i]!, 1)
      for (const [i, end] of range.ndfPct.entries()) expect(end).toBeCloseTo(leafy.ndf[i]!, 1)
      const kind = forageClassOf(plantsById.get(plant)!)
      // Ripest is lowest in protein and highest in fibre.
      const ripest = tdnByClass(kind, { cp: leafy.cp[0], adf: leafy.adf[1], ndf: leafy.ndf[1] })
      expect(range.tdnPct[0]).toBeCloseTo(ripest - TDN_ERROR[kind], 0)
      expect(range.tdnPct[1]).toBeGreaterThan(tdnPct + TDN_ERROR[kind])
    }
  })

  it('a plant without a value has no part in the sum, and the others share all of it', () => {
    const { parts, leftOut } = feed([stop(1, { timothy: 6, 'tansy-ragwort': 4 }), stop(2, { timothy: 10 })])!
    expect(leftOut).toEqual(['tansy-ragwort'])
    expect(parts).toHaveLength(1)
    expect(parts[0]!.weight).toBeCloseTo(1, 10)
  })

  it('rises in protein with the share of clover (legumes lift protein: common practice, no source)', () => {
    const grass = feed([stop(1, { timothy: 18, 'white-clover': 2 }), stop(2, { timothy: 17, 'white-clover': 3 })])!
    const clover = feed([stop(1, { timothy: 10, 'white-clover': 10 }), stop(2, { timothy: 9, 'white-clover': 11 })])!
    expect(clover.cpPct.middle).toBeGreaterThan(grass.cpPct.middle + 2)
  })

  it('falls when the sward goes to stem', () => {
    const stops = [stop(1, { timothy: 10, 'red-clover': 5 }), stop(2, { timothy: 12, 'red-clover': 3 })]
    expect(feed(stops, { by: 'state', state: 'headed' })!.rfv.middle).toBeLessThan(feed(stops)!.rfv.middle - 20)
  })

  it('is what was noted at the stops, by its share of them: half headed lies half way', () => {
    const stops = [stop(1, { timothy: 10 }), stop(2, { timothy: 10 })]
    const of = (state: 'leafy' | 'headed') => feed(stops, { by: 'state', state })!.cpPct.middle
    const half = feed(stops, { by: 'noted', shares: { leafy: 0.5, headed: 0.5 }, stops: 2 })!
    expect(half.cpPct.middle).toBeCloseTo((of('leafy') + of('headed')) / 2, 0)
  })

  it('spans what the month allows where nobody noted it, and cites feed tables, not floras', () => {
    const stops = [stop(1, { timothy: 10 }), stop(2, { timothy: 10 })]
    const month = feed(stops, { by: 'month', month: 7 })!
    expect(month.cpPct.high).toBeGreaterThan(feed(stops)!.cpPct.middle)
    expect(month.cpPct.low).toBeLessThan(feed(stops, { by: 'state', state: 'headed' })!.cpPct.middle)
    expect(month.sources.join()).not.toMatch(/Hitchcock|Hubbard|Stace/)
  })

  it('points are a guess of dry matter, weights are not: a mixture of two classes ranges wider by points', () => {
    const stops = [1, 2, 3].map((i) => stop(i, { timothy: 12, 'white-clover': 8 }))
    const wide = (by: 'guess' | 'weight') => {
      const { ndfPct } = mixtureFeedOf(abundanceMatrix(stops, {}), plantsById, { by: 'state', state: 'leafy' }, randomLcg(0.5), { by })! // prettier-ignore
      return ndfPct.high - ndfPct.low
    }
    expect(wide('guess')).toBeGreaterThan(wide('weight') * 1.05)
  })

  it('leaves out what has no value on file and says so', () => {
    const made = feed([
      stop(1, { timothy: 10, 'tansy-ragwort': 5, 'unknown:A': 5, bare: 20 }),
      stop(2, { timothy: 20 }),
    ])!
    expect(made.leftOut.sort()).toEqual(['tansy-ragwort', 'unknown:A'])
    expect(made.known).toBeCloseTo(30 / 40, 9)
  })

  it('says nothing where no plant has a value', () => {
    expect(feed([stop(1, { bare: 10, 'unknown:A': 3 })])).toBeUndefined()
    expect(feed([])).toBeUndefined()
  })

  it('is the same each time for the same seed, and wider for unlike stops', () => {
    const stops = [stop(1, { timothy: 20 }), stop(2, { 'white-clover': 20 }), stop(3, { timothy: 20 })]
    expect(feed(stops)).toEqual(feed(stops))
    const even = feed([1, 2, 3].map((i) => stop(i, { timothy: 13, 'white-clover': 7 })))!
    const unlike = feed(stops)!
    expect(unlike.ndfPct.high - unlike.ndfPct.low).toBeGreaterThan(even.ndfPct.high - even.ndfPct.low)
  })
})

describe('feed values on file', () => {
  it.each(flora.plants.filter((p) => p.feed).map((p) => [p.id, p.feed!] as const))(
    '%s: in order, and stemmy growth is worth less',
    (_id, f) => {
      for (const g of [f.leafy, f.stemmy]) {
        for (const [low, high] of [g.cp, g.adf, g.ndf]) expect(low).toBeLessThan(high)
        expect(g.adf[1]).toBeLessThan(g.ndf[1])
        expect(g.adf[0]).toBeLessThan(g.ndf[0])
      }
      expect(f.stemmy.cp[1]).toBeLessThan(f.leafy.cp[1])
      expect(f.stemmy.ndf[0]).toBeGreaterThan(f.leafy.ndf[0])
      const inOrder = feedStates.map((state) => feedIn({ ...plantsById.get(_id)!, feed: f }, state))
      for (const [i, later] of inOrder.entries()) {
        expect(later.adf[1]).toBeLessThan(later.ndf[1])
        expect(later.cp[1]).toBeLessThanOrEqual((inOrder[i - 1] ?? later).cp[1])
      }
    },
  )
})

describe('many stops', () => {
  // Central limit theorem: sums of stops drawn again have mean m x mu and covariance m x Sigma.
  const random = randomLcg(0.21)
  const rows = Array.from({ length: 400 }, () => {
    const wet = random() ** 2
    return [Math.round(20 * wet), Math.round(12 * wet * random()), Math.round(8 * (1 - wet))]
  })
  const moments = (draw: () => number[]) => {
    const all = Array.from({ length: 4000 }, draw)
    const mean = [0, 1, 2].map((j) => all.reduce((s, r) => s + r[j]!, 0) / all.length)
    const cov = (i: number, j: number) =>
      all.reduce((s, r) => s + (r[i]! - mean[i]!) * (r[j]! - mean[j]!), 0) / all.length
    return { mean, sd: [0, 1, 2].map((j) => Math.sqrt(cov(j, j))), together: cov(0, 1), apart: cov(0, 2) }
  }
  const columns = [0, 1, 2].map((j) => rows.map((r) => r[j]!))
  const [again, normal] = [moments(drawStops(columns, randomLcg(0.3))), moments(drawSums(columns, randomLcg(0.6)))]

  it('drawn by their sums have the mean and the spread of stops drawn again', () => {
    for (const j of [0, 1, 2]) {
      expect(normal.mean[j]! / again.mean[j]!).toBeCloseTo(1, 2)
      expect(Math.abs(normal.sd[j]! / again.sd[j]! - 1)).toBeLessThan(0.06)
    }
  })

  it('few stops are spread as wide as their own variance says: s squared over m, by hand', () => {
    // Rao & Wu 1988: with as many drawn as there are it would be (m - 1)/m of it, 2.67 in place of 4.
    const drawn = moments(
      drawStops(
        [
          [1, 2, 6],
          [0, 0, 0],
          [0, 0, 0],
        ],
        randomLcg(0.7),
      ),
    )
    const s2 = ((1 - 3) ** 2 + (2 - 3) ** 2 + (6 - 3) ** 2) / 2
    expect((drawn.sd[0]! / 3) ** 2 / (s2 / 3)).toBeCloseTo(1, 1)
    expect(drawn.mean[0]! / 3).toBeCloseTo(3, 1)
  })

  it('and plants that grow together move together, those that keep apart move apart', () => {
    expect(again.together).toBeGreaterThan(0)
    expect(again.apart).toBeLessThan(0)
    expect(Math.abs(normal.together / again.together - 1)).toBeLessThan(0.15)
    expect(Math.abs(normal.apart / again.apart - 1)).toBeLessThan(0.15)
  })
})
