import { describe, expect, it } from 'vitest'
import { speciesAccumulation } from '@/core/stats/accumulation.ts'
import { brayCurtis, brayCurtisOfShares, jaccard } from '@/core/stats/dissimilarity.ts'
import { patchiness } from '@/core/stats/patchiness.ts'
import { shareRatio } from '@/core/stats/shareRatio.ts'
import { looksNeeded } from '@/core/stats/stopsNeeded.ts'
import { trendOverStops } from '@/core/survey/trend.ts'
import { cases, expectNear, vectorFile } from '@/tests/support/vectors.ts'

type Numbers = Record<string, number | null>

describe('patchiness against vegan 2.6-4 and base R', () => {
  it.each(cases<{ counts: number[] }, Numbers>('patchiness', 'patchiness').map((c) => [c.id, c] as const))(
    '%s',
    (_, { input, expected, tol }) => {
      const got = patchiness(input.counts)
      const pairs = {
        variance_to_mean: got.varianceToMean,
        p_clumped: got.pClumped,
        morisita: got.morisita,
        lloyd_mean_crowding: got.meanCrowding,
        lloyd_patchiness: got.patchiness,
        k_moments: got.k,
      }
      for (const [name, value] of Object.entries(pairs))
        if (expected[name] === null) expect(value, name).toBeUndefined()
        // A chance far out in the tail is 1 less the rest, and keeps twelve places.
        else expectNear(value!, expected[name]!, name === 'p_clumped' ? { rel: 1e-6, abs: 1e-12 } : tol, name)
    },
  )

  it('nothing counted, and a single stop, are refused', () => {
    expect(() => patchiness([0, 0])).toThrow(RangeError)
    expect(() => patchiness([3])).toThrow(RangeError)
  })
})

describe.each(['composition-toy', 'composition-dune'])('%s against vegan 2.6-4', (file) => {
  const { datasets } = vectorFile(file)
  const coverOf = (id: string) => datasets![id]!.cover
  const distances = { brayCurtis, brayCurtisRelative: brayCurtisOfShares, jaccardPresence: jaccard } // prettier-ignore

  it.each(Object.entries(distances))('%s', (fn, distance) => {
    for (const { input, expected, tol } of cases<{ dataset: string }, { distance: number[] }>(file, fn)) {
      const cover = coverOf(input.dataset)
      const got = cover.flatMap((a, i) => cover.slice(i + 1).map((b) => distance(a, b)))
      expect(got).toHaveLength(expected.distance.length)
      got.forEach((d, i) => expectNear(d, expected.distance[i]!, tol, `pair ${i}`))
    }
  })

  it('accumulation of species, exact mean and standard deviation', () => {
    for (const { input, expected } of cases<{ dataset: string }, { mean: number[]; sd_exact: number[] }>(
      file,
      'speciesAccumulation',
    )) {
      // prettier-ignore
      const cover = coverOf(input.dataset)
      const at = cover[0]!
        .map((_, j) => cover.flatMap((row, i) => (row[j]! > 0 ? [i] : [])))
        .filter((s) => s.length > 0)
      const got = speciesAccumulation(at, cover.length)
      got.forEach((g, i) => {
        expectNear(g.mean, expected.mean[i]!, { rel: 1e-8, abs: 1e-9 }, `mean of ${i + 1}`)
        // The last ones are differences of like numbers.
        expectNear(g.sd, expected.sd_exact[i]!, { rel: 1e-6, abs: 1e-6 }, `sd of ${i + 1}`)
      })
    }
  })
})

describe('sample size of a proportion against R', () => {
  const list = cases<{ expected_proportion: number; half_width: number; conf: number; population?: number }, { n_wilson: number | null }>('samplesize', 'sampleSizeProportion') // prettier-ignore
  it.each(
    list.filter((c) => c.input.population === undefined && c.expected.n_wilson != null).map((c) => [c.id, c] as const),
  )('%s', (_, { input, expected }) => {
    // prettier-ignore
    expect(looksNeeded({ share: input.expected_proportion, halfWidth: input.half_width, conf: input.conf })).toBe(expected.n_wilson) // prettier-ignore
  })

  it('points of stops are so many times more as their design effect says (Kish 1965)', () => {
    const alone = looksNeeded({ share: 0.2, halfWidth: 0.05 })
    expect(looksNeeded({ share: 0.2, halfWidth: 0.05, designEffect: 2.5 })).toBe(Math.ceil(2.5 * alone))
    expect(() => looksNeeded({ share: 0.2, halfWidth: 0 })).toThrow(RangeError)
  })
})

describe('trend over stops against lm(cover ~ plot + year) of R', () => {
  type Input = { plot: string[]; year: number[]; cover: number[]; conf: number }
  it.each(cases<Input, Record<string, number & number[]>>('trend', 'mixedTrend').map((c) => [c.id, c] as const))(
    '%s',
    (_, { input, expected }) => {
      const rows = input.plot.map((stop, i) => ({ stop, year: input.year[i]!, value: input.cover[i]! }))
      const got = trendOverStops(rows, input.conf)
      const near = { rel: 1e-9, abs: 1e-12 }
      expectNear(got.perYear, expected.fixed_plots_slope!, near, 'slope')
      expectNear(got.se, expected.fixed_plots_slope_se!, near, 'se')
      expect(got.df).toBe(expected.fixed_plots_df)
      got.interval.forEach((x, i) => expectNear(x, expected.fixed_plots_slope_ci![i]!, near, 'interval'))
    },
  )

  it('stops counted once tell nothing, and are left out', () => {
    expect(() => trendOverStops([{ stop: 1, year: 2024, value: 3 }, { stop: 2, year: 2025, value: 4 }])).toThrow(RangeError) // prettier-ignore
  })
})

describe('one share over another (Fieller 1954)', () => {
  it('by hand: three stops of clover and grass', () => {
    // a 1, 2, 3 and b 4, 5, 6: means 2 and 5, all variances of the means 1/3, covariance 1/3, t = 4.3027 with 2 degrees:
    // (25 - t2/3) q2 - 2 (10 - t2/3) q + (4 - t2/3) = 0 with t2/3 = 6.1709.
    const t2 = 4.30265272975 ** 2 / 3
    const [A, B, C] = [25 - t2, 10 - t2, 4 - t2]
    const { ratio, interval, correlation } = shareRatio([1, 2, 3], [4, 5, 6])!
    expect(ratio).toBeCloseTo(0.4, 12)
    expect(correlation).toBeCloseTo(1, 9)
    expect(interval[1]).toBeCloseTo((B + Math.sqrt(B * B - A * C)) / A, 6)
    expect(interval[0]).toBe(0)
  })

  it('has no end where the lower share cannot be told from nothing', () => {
    expect(shareRatio([1, 2, 3, 2], [0, 0, 1, 0])).toBeUndefined()
  })
})
