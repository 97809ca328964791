import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { composition } from '@/core/survey/composition.ts'
import { moreStopsFor } from '@/core/survey/enough.ts'
import { looksNeeded, moreStops, stopsNeeded } from '@/core/stats/stopsNeeded.ts'
import { cases } from '@/tests/support/vectors.ts'

interface Input {
  pilot_mean: number
  pilot_sd: number
  half_width?: number
  relative_half_width?: number
  conf: number
  population?: number
}

// Reference: R 4.2.2, the smallest n with qt(1 - (1 - conf)/2, n - 1) sd/sqrt(n) sqrt(1 - n/N) <= half width.
describe('stops needed, against R', () => {
  for (const c of cases<Input, { n: number }>('samplesize', 'sampleSizeMean')) {
    it(c.id, () => {
      const { pilot_mean, pilot_sd, half_width, relative_half_width, conf, population } = c.input
      const halfWidth = half_width ?? relative_half_width! * pilot_mean
      const inAll = population === undefined ? {} : { stopsInAll: population }
      const got = stopsNeeded({ sd: pilot_sd, halfWidth, conf, ...inAll })
      expect(got).toBe(c.expected.n)
    })
  }

  it('needs two stops even when they do not differ', () => expect(stopsNeeded({ sd: 0, halfWidth: 0.05 })).toBe(2))

  it('refuses a precision of nothing', () => expect(() => stopsNeeded({ sd: 1, halfWidth: 0 })).toThrow(RangeError))

  it('asks for no more once the error is small enough', () => {
    expect(moreStops({ se: 0.01, stops: 20, halfWidth: 0.05 })).toBe(0)
    expect(moreStops({ se: 0.05, stops: 20, halfWidth: 0.05 })).toBeGreaterThan(40)
  })
})

describe('more stops of a round', () => {
  const stop = (seq: number, grass: number) => ({
    seq,
    hits: Array.from({ length: 20 }, (_, i) => ({ taxon: i < grass ? 'timothy' : 'bare', amount: 1 })),
  })
  const made = (grass: number[]) =>
    composition(
      grass.map((g, i) => stop(i + 1, g)),
      {},
      new Map(),
    )!

  it('says nothing before the third stop', () => expect(moreStopsFor(made([10, 12]), 0.05)).toBeUndefined())

  it('asks for fewer where the stops agree', () => {
    const alike = moreStopsFor(made([10, 11, 10, 9, 10]), 0.05)!
    const unlike = moreStopsFor(made([2, 18, 10, 4, 16]), 0.05)!
    expect(alike).toBeLessThan(unlike)
    expect(unlike).toBeGreaterThan(50)
  })

  it('stops that are all alike are not enough by that alone: points looked at by themselves say how many', () => {
    // 381 points of a half for ±5 in 100 (Wilson; Cochran 1977, 4.4 gives 384): 20 stops of 20, 15 more than five.
    const independent = Math.ceil(looksNeeded({ share: 0.5, halfWidth: 0.05 }) / 20) - 5
    const more = moreStopsFor(made([10, 10, 10, 10, 10]), 0.05)!
    expect(more).toBeGreaterThanOrEqual(independent)
    expect(more).toBeLessThanOrEqual(independent + 2)
    expect(moreStopsFor(made(Array.from({ length: 25 }, () => 10)), 0.05)).toBe(0)
  })

  it('are never called enough beside limits that are wider than asked for', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 20 }), { minLength: 3, maxLength: 40 }),
        fc.double({ min: 0.02, max: 0.3, noNaN: true }),
        (grass, halfWidth) => {
          const { taxa, ...rest } = made(grass)
          const widest = Math.max(
            ...taxa.flatMap((t) => (t.estimate >= 0.1 && t.interval ? [(t.interval[1] - t.interval[0]) / 2] : [])),
          )
          const more = moreStopsFor({ taxa, ...rest }, halfWidth)!
          expect(more > 0 || widest <= halfWidth).toBe(true)
        },
      ),
    )
  })
})
