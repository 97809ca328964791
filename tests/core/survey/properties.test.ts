import { methods, type Method } from '@/core/records/method.ts'
import fc from 'fast-check'
import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { clusterRatio, clusterRatioOf } from '@/core/stats/clusterRatio.ts'
import { countedStops } from '@/core/survey/counted.ts'
import { figuresOf } from '@/core/survey/figures.ts'
import { isComposition } from '@/core/methods/index.ts'
import { stratifiedRatio } from '@/core/survey/stratified.ts'
import { abundanceMatrix } from '@/core/methods/tally.ts'
import { plantsById } from '@/tests/support/book.ts'
import { countedStop, roundOf } from '@/tests/support/rounds.ts'

const TAXA = ['timothy', 'white-clover', 'dandelion', 'bare']
const compositions = methods.filter(isComposition)

/** What may stand in a stop of a method. */
const hitsFor = (method: Method) => {
  const taxon = fc.constantFrom(...TAXA)
  if (method === 'dry-weight-rank')
    return fc
      .subarray(TAXA, { minLength: 1, maxLength: 3 })
      .map((list) => list.map((t, i) => ({ taxon: t, amount: i + 1 })))
  if (method === 'clips' || method === 'cover-classes')
    return fc
      .subarray(TAXA, { minLength: 1 })
      .chain((list) =>
        fc.tuple(...list.map((t) => fc.integer({ min: 1, max: 90 }).map((amount) => ({ taxon: t, amount })))),
      )
  if (method === 'layer-points')
    return fc.array(fc.record({ taxon, amount: fc.constant(1), part: fc.integer({ min: 1, max: 5 }) }), {
      minLength: 1,
      maxLength: 12,
    })
  return fc.array(fc.record({ taxon, amount: fc.constant(1) }), { minLength: 1, maxLength: 20 })
}
const roundsOf = (method: Method) =>
  fc.array(hitsFor(method), { minLength: 2, maxLength: 9 }).map((stops) =>
    roundOf(
      method,
      stops.map((hits, i) => countedStop(i + 1, { hits: [...hits] })),
    ),
  )

describe.each(compositions)('figures of any round: %s', (method) => {
  it('shares are of a whole, and each lies within its own interval', () => {
    fc.assert(
      fc.property(roundsOf(method), (round) => {
        const { composition } = figuresOf(round, plantsById)
        const sum = composition!.taxa.reduce((s, t) => s + t.estimate, 0)
        expect(sum).toBeCloseTo(1, 9)
        for (const t of composition!.taxa) {
          expect(t.estimate).toBeGreaterThanOrEqual(0)
          if (!t.interval) continue
          expect(t.interval[0]).toBeLessThanOrEqual(t.estimate + 1e-9)
          expect(t.interval[1]).toBeGreaterThanOrEqual(t.estimate - 1e-9)
        }
        const groups = composition!.byGroup.reduce((s, g) => s + g.estimate, 0)
        expect(groups).toBeCloseTo(1, 9)
      }),
      { numRuns: 60 },
    )
  })

  it('the order of the stops does not matter', () => {
    fc.assert(
      fc.property(roundsOf(method), (round) => {
        const share = (r: typeof round) =>
          Object.fromEntries(figuresOf(r, plantsById).composition!.taxa.map((t) => [t.taxon, t.estimate]))
        const back = share({ ...round, stops: [...round.stops].reverse() })
        for (const [taxon, x] of Object.entries(share(round))) expect(back[taxon]).toBeCloseTo(x, 10)
      }),
      { numRuns: 40 },
    )
  })

  it('a skipped stop is as if it were not there', () => {
    fc.assert(
      fc.property(roundsOf(method), hitsFor(method), (round, hits) => {
        const skipped = countedStop(99, { hits: [...hits], skipped: 'under water', doneAt: null })
        expect(countedStops({ ...round, stops: [...round.stops, skipped] }).map((s) => s.seq)).toEqual(
          countedStops(round).map((s) => s.seq),
        )
      }),
      { numRuns: 40 },
    )
  })
})

describe('the ratio estimate', () => {
  const stops = fc.array(
    fc
      .integer({ min: 1, max: 30 })
      .chain((points) => fc.record({ points: fc.constant(points), hits: fc.integer({ min: 0, max: points }) })),
    { minLength: 2, maxLength: 20 },
  )

  it('is the same from stops and from columns', () => {
    fc.assert(
      fc.property(stops, (list) => {
        const columns = clusterRatioOf(
          Float64Array.from(list, (s) => s.hits),
          Float64Array.from(list, (s) => s.points),
        )
        expect(columns).toEqual(clusterRatio(list))
      }),
    )
  })

  it('more stops of the same kind never widen it', () => {
    fc.assert(
      fc.property(stops, (list) => {
        const [once, thrice] = [clusterRatio(list), clusterRatio([...list, ...list, ...list])]
        expect(thrice.estimate).toBeCloseTo(once.estimate, 12)
        expect(thrice.se!).toBeLessThanOrEqual(once.se! + 1e-12)
      }),
    )
  })

  it('parts of one size and one density are the plain estimate of all stops', () => {
    const random = randomLcg(0.2)
    const part = (name: string, share: number) => ({
      name,
      size: 1,
      stops: Array.from({ length: 6 }, () => ({ points: 20, hits: Math.round(20 * share * (0.7 + 0.6 * random())) })),
    })
    const parts = [part('a', 0.3), part('b', 0.6)]
    const plain = clusterRatio(parts.flatMap((p) => p.stops))
    const combined = stratifiedRatio(parts)
    expect(combined.estimate).toBeCloseTo(plain.estimate, 12)
    // Parts that differ: keeping them apart takes their difference out of the error (Cochran 1977, ch. 5).
    expect(combined.se!).toBeLessThan(plain.se!)
  })
})

describe('amounts put together once', () => {
  it('add up to all that was recorded, unknowns under the name they got', () => {
    fc.assert(
      fc.property(roundsOf('step-points'), (round) => {
        const stops = countedStops(round).map((s) => ({
          ...s,
          hits: s.hits.map((h, i) => (i % 3 === 0 ? { ...h, taxon: 'unknown:A' } : h)),
        }))
        const named = abundanceMatrix(stops, { A: 'timothy' })
        expect(named.taxa).not.toContain('unknown:A')
        const sum = named.amounts.reduce((s, c) => s + c.reduce((a, b) => a + b, 0), 0)
        expect(sum).toBe(stops.reduce((n, s) => n + s.hits.length, 0))
        expect(named.totals.reduce((a, b) => a + b, 0)).toBe(sum)
        expect(named.whole).toBe(true)
      }),
    )
  })
})
