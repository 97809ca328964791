import { describe, expect, it } from 'vitest'
import { speciesPool } from '@/core/survey/speciesPool.ts'
import { cases, expectNear } from '@/tests/support/vectors.ts'

interface Pool {
  observed: number
  uniques_Q1: number
  duplicates_Q2: number
  chao2: number
  chao2_se: number
}

describe('species there may be in all, against specpool() of R vegan 2.6-4', () => {
  it.each(cases<{ plots: number; plots_with: number[] }, Pool>('pool', 'richnessEstimators'))(
    '$id',
    ({ input, expected, tol }) => {
      const pool = speciesPool(input.plots_with, input.plots)
      expectNear(pool.estimate, expected.chao2, tol, 'Chao2')
      expectNear(pool.se, expected.chao2_se, { rel: 1e-6, abs: 1e-9 }, 'its error')
      expect([pool.once, pool.twice]).toEqual([expected.uniques_Q1, expected.duplicates_Q2])
      // The interval holds the estimate and never falls below what was met.
      expect(pool.interval[0]).toBeGreaterThanOrEqual(expected.observed)
      expect(pool.interval[0]).toBeLessThanOrEqual(pool.estimate)
      expect(pool.interval[1]).toBeGreaterThanOrEqual(pool.estimate)
    },
  )

  it('by hand: 10 met at 20 stops, four once, two twice: 10 + 0.95 x 16 / 4 = 13.8', () => {
    const pool = speciesPool([1, 1, 1, 1, 2, 2, 5, 6, 7, 8], 20)
    expect(pool.estimate).toBeCloseTo(13.8, 10)
    // Log-normal limits (Chao 1987): 3.8 over and times exp(1.96 sqrt(ln(1 + var / 3.8^2))).
    const factor = Math.exp(1.959964 * Math.sqrt(Math.log(1 + pool.se ** 2 / 3.8 ** 2)))
    expect(pool.interval[0]).toBeCloseTo(10 + 3.8 / factor, 8)
    expect(pool.interval[1]).toBeCloseTo(10 + 3.8 * factor, 8)
  })

  it('none met twice: the other form, and one stop says nothing', () => {
    expect(speciesPool([1, 1, 1, 6], 10).estimate).toBeCloseTo(4 + (0.9 * 3 * 2) / 2, 10)
    expect(() => speciesPool([1, 1], 1)).toThrow(RangeError)
  })

  it('in made rounds from 40 species the interval holds the truth at least 8 times in 10', () => {
    // Each species at each of 40 stops with a chance of its own; Chao2 is a lower bound, so misses lie below the truth.
    let state = 12345
    const random = () => (state = (state * 1103515245 + 12345) % 2147483648) / 2147483648
    let held = 0
    for (let r = 0; r < 200; r++) {
      const counts = Array.from({ length: 40 }, (_, j) => {
        const p = 0.03 + (0.4 * j) / 40
        return Array.from({ length: 40 }, () => random() < p).filter(Boolean).length
      })
      const pool = speciesPool(counts, 40)
      if (pool.interval[0] <= 40.5 && 39.5 <= pool.interval[1]) held++
    }
    expect(held).toBeGreaterThan(160)
  })
})
