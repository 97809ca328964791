import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { clopperPearson, noneFoundUpperBound, poissonLimits, wilson } from '@/core/stats/proportionIntervals.ts'
import { cases, expectNear } from '@/tests/support/vectors.ts'

// Reference: R 4.2.2, prop.test(correct = FALSE), binom.test, poisson.test; the call stands in each case.
describe('intervals of a proportion, against base R', () => {
  interface Input {
    x: number
    n: number
    conf: number
  }
  for (const c of cases<Input, { wilson: number[]; clopper_pearson: number[] }>('proportions', 'proportionIntervals')) {
    it(`${c.id}: Wilson and Clopper-Pearson`, () => {
      wilson(c.input).forEach((got, i) => expectNear(got, c.expected.wilson[i]!, c.tol, 'Wilson'))
      clopperPearson(c.input).forEach((got, i) => expectNear(got, c.expected.clopper_pearson[i]!, c.tol, 'exact'))
    })
  }

  it('refuses more hits than looks', () => {
    expect(() => wilson({ x: 4, n: 3 })).toThrow(RangeError)
    expect(() => clopperPearson({ x: -1, n: 3 })).toThrow(RangeError)
    expect(() => wilson({ x: 0, n: 0 })).toThrow(RangeError)
  })

  it('the exact interval is never inside the share itself, for any count', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 400 }), fc.double({ min: 0, max: 1, noNaN: true }), (n, u) => {
        const x = Math.round(u * n)
        const [low, high] = clopperPearson({ x, n })
        return low <= x / n && x / n <= high && low >= 0 && high <= 1
      }),
      { numRuns: 200 },
    )
  })
})

describe('none found', () => {
  for (const c of cases<{ n: number; conf: number }, { upper: number }>('proportions', 'noneFoundUpperBound'))
    it(`${c.id}: upper bound against R`, () =>
      expectNear(noneFoundUpperBound(c.input.n, c.input.conf), c.expected.upper, c.tol))

  it('is about three over n (Hanley & Lippman-Hand 1983)', () => {
    for (const n of [30, 100, 600, 3000]) expect(noneFoundUpperBound(n) / (3 / n)).toBeCloseTo(1, n >= 100 ? 1 : 0)
  })

  it('equals the one-sided exact limit at no hits', () => {
    // One-sided 95 % is the upper end of a two-sided 90 % interval.
    expect(noneFoundUpperBound(25)).toBeCloseTo(clopperPearson({ x: 0, n: 25, conf: 0.9 })[1], 12)
  })

  it('needs at least one look', () => expect(() => noneFoundUpperBound(0)).toThrow(RangeError))
})

describe('plants counted on an area, against R poisson.test', () => {
  interface Expected {
    rate: number
    one_sided_upper: number
    two_sided: [number, number]
  }
  for (const c of cases<{ found: number; area: number; conf: number }, Expected>('proportions', 'poissonLimits')) {
    it(c.id, () => {
      const got = poissonLimits(c.input)
      expectNear(got.rate, c.expected.rate, c.tol, 'rate')
      expectNear(got.oneSidedUpper, c.expected.one_sided_upper, c.tol, 'upper')
      got.twoSided.forEach((x, i) => expectNear(x, c.expected.two_sided[i]!, c.tol, 'two-sided'))
    })
  }

  it('none on one hectare leaves up to three a hectare (Garwood 1936: 2.996)', () => {
    expect(poissonLimits({ found: 0, area: 1 }).oneSidedUpper).toBeCloseTo(2.9957, 4)
  })

  it('refuses an area of nothing', () => expect(() => poissonLimits({ found: 1, area: 0 })).toThrow(RangeError))
})
