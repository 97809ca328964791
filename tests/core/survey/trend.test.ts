import { describe, expect, it } from 'vitest'
import { taxonTrends, yearCount, type YearCount } from '@/core/survey/paddockHistory.ts'
import { linearTrend, pairedChange } from '@/core/survey/trend.ts'
import { plantsById } from '@/tests/support/book.ts'
import { countedStop, hitsOf, roundOf } from '@/tests/support/rounds.ts'
import { cases, expectNear } from '@/tests/support/vectors.ts'

interface Line {
  slope_per_year: number
  slope_se: number
  slope_ci: [number, number]
  intercept_at_mean_year: number
}
interface Paired {
  n: number
  mean_difference: number
  ci_t: [number, number]
}

describe('change over the years, against lm() and t.test(paired) of R', () => {
  it.each(cases<{ year: number[]; cover: number[]; conf: number }, Line>('trend', 'linearTrend'))(
    '$id',
    ({ input, expected, tol }) => {
      const got = linearTrend(input.year, input.cover, input.conf)
      expectNear(got.perYear, expected.slope_per_year, tol, 'slope')
      expectNear(got.se, expected.slope_se, tol, 'its error')
      expectNear(got.interval[0], expected.slope_ci[0], { rel: 1e-6, abs: 1e-9 }, 'low')
      expectNear(got.interval[1], expected.slope_ci[1], { rel: 1e-6, abs: 1e-9 }, 'high')
      expectNear(got.atMean, expected.intercept_at_mean_year, tol, 'mean')
    },
  )

  it.each(cases<{ visit1: number[]; visit2: number[]; conf: number }, Paired>('trend', 'pairedComparison'))(
    '$id',
    ({ input, expected, tol }) => {
      const got = pairedChange(input.visit1, input.visit2, input.conf)
      expect(got.stops).toBe(expected.n)
      expectNear(got.change, expected.mean_difference, tol, 'difference')
      expectNear(got.interval[0], expected.ci_t[0], { rel: 1e-6, abs: 1e-9 }, 'low')
      expectNear(got.interval[1], expected.ci_t[1], { rel: 1e-6, abs: 1e-9 }, 'high')
    },
  )

  it('two years make no line, and stops that are not the same no pair', () => {
    expect(() => linearTrend([2025, 2026], [1, 2])).toThrow(RangeError)
    expect(() => pairedChange([1], [2])).toThrow(RangeError)
    expect(() => pairedChange([1, 2], [2])).toThrow(RangeError)
  })
})

describe('the course of plants through the counts of a paddock', () => {
  const counted = (year: number, per: Record<string, number>[]): YearCount =>
    yearCount(
      roundOf(
        'step-points',
        per.map((counts, i) => countedStop(i + 1, { hits: hitsOf(counts) })),
        { id: `r${year}`, plannedOn: `${year}-05-01` },
      ),
      plantsById,
    )!
  const years = [2023, 2024, 2025, 2026].map((y, i) =>
    counted(y, [
      {
        timothy: 10 - 2 * i,
        velvetgrass: 2 * i + 1,
        bare: 9 - (i === 3 ? 1 : 0),
        ...(i === 3 ? { 'tansy-ragwort': 1 } : {}),
      },
      { timothy: 11 - 2 * i, velvetgrass: 2 * i, bare: 9 - (i === 3 ? 1 : 0), ...(i === 3 ? { 'tansy-ragwort': 1 } : {}), ...(i === 0 ? { dandelion: 0 } : {}) }, // prettier-ignore
      {
        timothy: 9 - 2 * i,
        velvetgrass: 2 * i + 2,
        bare: 9 - (i === 3 ? 1 : 0),
        ...(i === 3 ? { 'tansy-ragwort': 1 } : {}),
      },
    ]),
  )
  const by = Object.fromEntries(taxonTrends([...years].reverse()).map((c) => [c.taxon, c]))

  it('rising, falling and arriving are told apart, whatever the order they are given in', () => {
    expect(by.velvetgrass!.course).toBe('rising')
    expect(by.timothy!.course).toBe('falling')
    expect(by['tansy-ragwort']!.course).toBe('arriving')
    expect(by.timothy!.shares.map((s) => Math.round(100 * s))).toEqual([50, 40, 30, 20])
    expect(by.timothy!.trend!.perYear).toBeCloseTo(-0.1, 3)
  })

  it('what is plain by itself alone is perhaps so: among many plants one such comes by chance', () => {
    const others = ['dandelion', 'white-clover', 'red-clover', 'red-fescue', 'kentucky-bluegrass', 'tall-fescue', 'orchardgrass'] // prettier-ignore
    const year = (y: number, i: number) =>
      counted(
        y,
        Array.from({ length: 12 }, (_, s) => ({
          timothy: 20,
          // One of six stops has a point more of it each year.
          'tansy-ragwort': s % 6 === 0 ? i : 0,
          // Many others that waver and go nowhere.
          ...Object.fromEntries(others.map((id, k) => [id, 2 + ((s + i * (k + 1)) % 3)])),
        })),
      )
    const said = new Map(taxonTrends([2023, 2024, 2025].map(year)).map((c) => [c.taxon, c]))
    const ragwort = said.get('tansy-ragwort')!
    expect(ragwort.trend!.interval[0]).toBeGreaterThan(0)
    // Holm 1979: the smallest of so many chances stands where it is under 5 in 100 shared among all of them.
    expect(ragwort.chance * said.size).toBeGreaterThan(0.05)
    expect(ragwort.course).toBe('perhaps-rising')
  })

  it('the last two counts are compared stop by stop', () => {
    expect(by.timothy!.lately!.stops).toBe(3)
    expect(by.timothy!.lately!.change).toBeCloseTo(-0.1, 10)
  })

  it('one count says nothing of a course; a plant that is no more is gone', () => {
    expect(taxonTrends(years.slice(0, 1))[0]!.course).toBe('too few')
    const without = counted(2027, [{ velvetgrass: 20 }, { velvetgrass: 20 }])
    // At 3 of 3 stops and then at 0 of 2: Fisher's test gives 1 in 10, which is no proof.
    expect(taxonTrends([...years, without]).find((c) => c.taxon === 'timothy')!.course).toBe('not-met-now')
    expect(yearCount(roundOf('step-points', []), plantsById)).toBeUndefined()
  })
})
