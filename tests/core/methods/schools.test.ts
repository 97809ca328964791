import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { cohenKappa, intraclassCorrelation, type KappaWeights } from '@/core/stats/agreement.ts'
import { bootstrapRatio } from '@/core/stats/bootstrap.ts'
import { braunBlanquet, classOf, meanCoverPercent, sixClasses } from '@/core/methods/estimators/coverClasses.ts'
import { dryWeightRank, type FewSpecies, type RankedFrame } from '@/core/methods/estimators/dryWeightRank.ts'
import { doubleSampling, linearCalibration } from '@/core/stats/linearCalibration.ts'
import { eyeRange, metresToExclude, poissonLimits, searchLimits } from '@/core/methods/estimators/searchWalk.ts'
import { cases as vectors } from '@/tests/support/vectors.ts'

const near = (got: number, want: number, rel = 1e-8) =>
  expect(Math.abs(got - want)).toBeLessThanOrEqual(rel * Math.abs(want) + 1e-10)
const nearPair = (got: readonly number[], want: readonly number[], rel?: number) =>
  want.forEach((w, i) => near(got[i]!, w, rel))

describe('dry-weight rank (R 4.2.2, by hand; the conventions of Jones & Hargreaves 1979)', () => {
  const conventions: [string, FewSpecies][] = [
    ['two_species_1+3_2', 'first-takes-third'],
    ['two_species_1+2_3', 'first-takes-second'],
    ['two_species_renormalised', 'scaled'],
    ['no_cumulative_ranking', 'left-out'],
  ]
  interface Case {
    input: { quadrats: RankedFrame[] }
    expected: { species: string[] } & Record<
      string,
      { unweighted: number[]; yield_weighted: number[]; yield_by_species: number[] }
    >
  }
  const all = vectors('dryweightrank', 'dryWeightRank') as (Case & { id: string })[]

  it.each(all.flatMap((c) => conventions.map(([key, few]) => [c.id, few, key, c] as const)))(
    '%s, %s',
    (_, few, key, { input, expected }) => {
      const want = expected[key]!
      const plain = dryWeightRank(
        input.quadrats.map(({ ranks }) => ({ ranks })),
        few,
      )
      expect(plain.map((s) => s.species)).toEqual(expected.species)
      nearPair(
        plain.map((s) => 100 * s.share),
        want.unweighted,
      )
      const weighed = dryWeightRank(input.quadrats, few)
      nearPair(
        weighed.map((s) => 100 * s.share),
        want.yield_weighted,
      )
      nearPair(
        weighed.map((s) => s.meanYield!),
        want.yield_by_species,
      )
    },
  )

  it('a species alone in every frame is all there is; a rank of 4 and no frame at all are refused', () => {
    expect(dryWeightRank([{ ranks: { rye: 1 } }], 'first-takes-third')).toEqual([
      { species: 'rye', share: expect.closeTo(1, 9) },
    ])
    expect(() => dryWeightRank([{ ranks: { rye: 4 } }], 'scaled')).toThrow('rank of rye must be 1, 2 or 3')
    expect(() => dryWeightRank([{ ranks: {} }], 'scaled')).toThrow('no frame holds a species')
  })
})

describe('height against clipped mass (R 4.2.2, lm and predict)', () => {
  interface Line {
    id: string
    input: { height: number[]; mass: number[]; new_height: number[]; conf: number }
    expected: Record<string, number & number[]>
  }
  it.each((vectors('calibration', 'linearCalibration') as unknown as Line[]).map((c) => [c.id, c] as const))(
    '%s',
    (_, { input, expected }) => {
      const line = linearCalibration(input.height, input.mass, input.conf)
      near(line.intercept, expected['intercept']!)
      near(line.slope, expected['slope']!)
      near(line.interceptSe, expected['intercept_se']!)
      near(line.slopeSe, expected['slope_se']!)
      near(line.rSquared, expected['r_squared']!)
      near(line.residualSd, expected['residual_sd']!)
      input.new_height.forEach((h, i) => {
        const { fitted, confidence, prediction } = line.at(h)
        near(fitted, expected['fitted_new']![i]!)
        nearPair(prediction, [expected['prediction_lower']![i]!, expected['prediction_upper']![i]!])
        nearPair(confidence, [expected['confidence_lower']![i]!, expected['confidence_upper']![i]!])
      })
    },
  )

  interface Double {
    id: string
    input: {
      height_first_sample: number[]
      height_clipped: number[]
      mass_clipped: number[]
      N?: number
      population?: number
      conf?: number
    }
    expected: Record<string, number & number[]>
  }
  it.each((vectors('calibration', 'doubleSamplingRegression') as unknown as Double[]).map((c) => [c.id, c] as const))(
    'double sampling (Cochran 1977, ch. 12): %s',
    (id, { input, expected }) => {
      const places = id.includes('N400') ? 400 : undefined
      const got = doubleSampling(
        input.height_first_sample,
        { heights: input.height_clipped, masses: input.mass_clipped },
        { byRandomClips: true, ...(places === undefined ? {} : { places }) },
      )
      near(got.mean, expected['mean_regression']!)
      near(got.se, expected['se_conditional']!)
      nearPair(got.interval, expected['ci_conditional_t']!)
      near(got.seClippedAlone, expected['se_without_double_sampling']!)
    },
  )

  it('two pairs are no line, and neither are heights all alike', () => {
    expect(() => linearCalibration([1, 2], [3, 4])).toThrow('three pairs')
    expect(() => linearCalibration([5, 5, 5], [1, 2, 3])).toThrow('differ')
  })
})

describe('two observers (R: vcd 1.4.11, psych 2.2.9)', () => {
  interface KappaCase {
    id: string
    input: { table: number[][] }
    expected: Record<string, number & number[] & { kappa: number; ase: number }>
  }
  it.each((vectors('agreement', 'cohenKappa') as unknown as KappaCase[]).map((c) => [c.id, c] as const))(
    'kappa: %s',
    (_, { input, expected }) => {
      for (const weights of ['unweighted', 'linear', 'quadratic'] as KappaWeights[]) {
        const got = cohenKappa(input.table, weights)
        near(got.kappa, expected[weights]!.kappa)
        near(got.se, expected[weights]!.ase)
        nearPair(got.interval, expected[`${weights}_ci95`]!)
      }
      near(cohenKappa(input.table).observed, expected['observed_agreement']!)
      near(cohenKappa(input.table).expected, expected['expected_agreement']!)
    },
  )

  interface IccCase {
    id: string
    input: { ratings: number[][] }
    expected: { icc_2_1: number; icc_2_1_ci95: number[]; observer_means: number[] }
  }
  it.each((vectors('agreement', 'intraclassCorrelation') as unknown as IccCase[]).map((c) => [c.id, c] as const))(
    'intraclass: %s',
    (_, { input, expected }) => {
      const got = intraclassCorrelation(input.ratings)
      near(got.icc, expected.icc_2_1)
      nearPair(got.interval, expected.icc_2_1_ci95, 1e-6)
      nearPair(got.observerMeans, expected.observer_means)
    },
  )

  it('a table that is not square, and one frame alone, are refused', () => {
    expect(() => cohenKappa([[1, 2]])).toThrow('square')
    expect(() => intraclassCorrelation([[1, 2]])).toThrow('two frames')
  })
})

describe('resampling stops (R: boot 1.3.28.1; exact ends by convolution)', () => {
  interface Boot {
    id: string
    input: { values: number[]; conf: number }
    expected: Record<string, number & [number, number]>
  }
  it.each((vectors('bootstrap', 'bootstrapMeanCI') as unknown as Boot[]).map((c) => [c.id, c] as const))(
    '%s',
    (_, { input, expected }) => {
      const ones = input.values.map(() => 1)
      const got = bootstrapRatio(input.values, ones, randomLcg(0.37), { resamples: 20_000, conf: input.conf })!
      near(got.estimate, expected['mean']!)
      for (const [kind, ends] of [
        ['percentile', got.percentile],
        ['bca', got.bca],
      ] as const)
        ends.forEach((end, i) =>
          expect(Math.abs(end - expected[`${kind}_ideal`]![i]!)).toBeLessThanOrEqual(expected[`${kind}_tol`]![i]!),
        )
    },
  )

  it('says how far it is, and stops when told to', () => {
    const seen: number[] = []
    const got = bootstrapRatio([1, 2, 3], [5, 5, 5], randomLcg(0.2), {
      resamples: 5000,
      progress: (share) => {
        seen.push(share)
        return share < 0.4
      },
    })
    expect(got).toBeUndefined()
    expect(seen).toEqual([0, 0.2, 0.4])
  })
})

describe('cover classes', () => {
  it('six classes and their mid-points (Daubenmire 1959)', () =>
    expect(sixClasses.map((c) => c.midPercent)).toEqual([2.5, 15, 37.5, 62.5, 85, 97.5]))

  it('Braun-Blanquet with the ordinal values of van der Maarel 1979 (from memory)', () => {
    expect(braunBlanquet.map((c) => c.code)).toEqual(['r', '+', '1', '2', '3', '4', '5'])
    expect(braunBlanquet.map((c) => c.ordinal)).toEqual([1, 2, 3, 5, 7, 8, 9])
  })

  it('an edge belongs to the lower class; what is no cover is refused', () => {
    expect(classOf(sixClasses, 5).code).toBe('1')
    expect(classOf(sixClasses, 5.1).code).toBe('2')
    expect(classOf(sixClasses, 100).code).toBe('6')
    expect(() => classOf(sixClasses, 101)).toThrow('0 to 100')
  })

  it('mean cover counts the frames without the plant', () => {
    expect(meanCoverPercent(sixClasses, ['2', '3', null, null])).toBeCloseTo((15 + 37.5) / 4, 9)
    expect(() => meanCoverPercent(sixClasses, ['9'])).toThrow('no class 9')
  })
})

describe('search walk', () => {
  // Garwood 1936: none found, at most 3.69 at 95 % two-sided (3.00 one-sided); 3 found, 0.62 to 8.77; 10 found, 4.80 to 18.39.
  it.each([
    [0, 0, 3.689],
    [1, 0.0253, 5.572],
    [3, 0.6187, 8.767],
    [10, 4.795, 18.39],
  ])('%i found: %f to %f', (found, low, high) => {
    const [a, b] = poissonLimits(found)
    expect(a).toBeCloseTo(low, 3)
    expect(b).toBeCloseTo(high, 2)
  })

  it('a strip of 1,000 m by 4 m with 2 found, half of them seen, is 10 a hectare', () => {
    const seen = { judged: 0.5, range: [0.5, 0.5] as [number, number] }
    const { perHa, limitsPerHa } = searchLimits([{ lengthM: 1000, found: 2 }], 4, seen)
    expect(perHa).toBeCloseTo(10, 9)
    // One leg: the limits of Garwood 1936, 0.2422 to 7.225, over 0.4 ha and half seen.
    expect(limitsPerHa[0]).toBeCloseTo(0.2422 / 0.2, 2)
    expect(limitsPerHa[1]).toBeCloseTo(7.225 / 0.2, 1)
  })

  it('three plants expected and none seen excludes them at 95 % (Hanley & Lippman-Hand 1983)', () =>
    // About 3 a hectare on one hectare: 2,500 m of a 4 m strip.
    expect(metresToExclude(3, 4, 1)).toBeCloseTo(2496.4, 0))

  const usualEye = { judged: 0.8, range: eyeRange(0.8) }
  const legsOf = (counts: number[]) => counts.map((found) => ({ lengthM: 250, found }))

  it('an eye judged to see 8 in 10 sees 6 to 9; a trial of 20 flags, 16 seen, has the limits of Clopper & Pearson', () => {
    expect(eyeRange(0.8)).toEqual([expect.closeTo(0.6, 12), expect.closeTo(0.9, 12)])
    // binom.test(16, 20) of R: 0.5634 to 0.9427.
    expect(eyeRange(0.8, { planted: 20, seen: 16 })).toEqual([expect.closeTo(0.5634, 4), expect.closeTo(0.9427, 4)])
  })

  it('none found: who walks the metres advised is told what was advised', () => {
    const metres = metresToExclude(10, 4, usualEye.range[0])
    const { limitsPerHa } = searchLimits([{ lengthM: metres, found: 0 }], 4, usualEye)
    expect(limitsPerHa[1]).toBeCloseTo(10, 9)
  })

  // None of m negative binomial counts with mean u and k: (1 + u/k)^(-k m). By a true eye a third worse than judged.
  it.each([0.2, 0.5, 1, 2])(
    'none found in clumps of k = %f: the bound fails in at most 7 of 100, the eye a third worse',
    (k) => {
      for (const m of [5, 10, 20]) {
        const { clumpedPerHa } = searchLimits(legsOf(Array.from({ length: m }, () => 0)), 4, usualEye)
        const seen = clumpedPerHa! * 0.1 * 0.8 * (2 / 3)
        expect((1 + seen / k) ** (-k * m), `${m} legs`).toBeLessThanOrEqual(0.07)
      }
    },
  )

  it('one leg cannot tell of clumps', () => {
    expect(searchLimits(legsOf([0]), 4, usualEye).clumpedPerHa).toBeUndefined()
  })

  it('legs that differ more than chance widen the limits, legs that do not leave them as they are', () => {
    const all = { judged: 1, range: [1, 1] as [number, number] }
    const even = searchLimits(legsOf([2, 2, 2, 2, 2, 2, 2, 2, 2, 2]), 4, all)
    // 20 counted over a hectare: 12.2 to 30.9 (Garwood 1936).
    expect(even.limitsPerHa).toEqual([expect.closeTo(12.217, 2), expect.closeTo(30.888, 2)])
    const clumped = searchLimits(legsOf([0, 0, 12, 0, 1, 0, 0, 7, 0, 0]), 4, all)
    // Pearson's statistic by hand: (8 x 2^2 - 2 x 2^2 + ...) = sum (x - 2)^2 / 2 over 9.
    expect(clumped.dispersion).toBeCloseTo(
      [0, 0, 12, 0, 1, 0, 0, 7, 0, 0].reduce((s, x) => s + (x - 2) ** 2 / 2, 0) / 9,
      9,
    )
    expect(clumped.limitsPerHa[0]).toBeLessThan(even.limitsPerHa[0] / 1.5)
    expect(clumped.limitsPerHa[1]).toBeGreaterThan(even.limitsPerHa[1] * 1.5)
  })

  it('nothing walked, or seeing nothing, is refused', () => {
    const all = { judged: 1, range: [1, 1] as [number, number] }
    expect(() => searchLimits([{ lengthM: 0, found: 0 }], 4, all)).toThrow('length')
    expect(() => searchLimits([], 4, all)).toThrow('length')
    expect(() => eyeRange(0)).toThrow('share')
    expect(() => eyeRange(0.8, { planted: 5, seen: 6 })).toThrow('flags')
    expect(() => poissonLimits(-1)).toThrow('whole number')
  })
})
