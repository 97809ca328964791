import { describe, expect, it } from 'vitest'
import { clusterRatio } from '@/core/stats/clusterRatio.ts'
import { goodman, wilson } from '@/core/stats/proportionIntervals.ts'
import { disagreement, stratifiedRatio, type Stratum } from '@/core/survey/stratified.ts'
import { cases, expectNear } from '@/tests/support/vectors.ts'

interface Input {
  stratum: string[]
  points: number[]
  hits: number[]
  stops_in_stratum: Record<string, number>
}
interface Expected {
  estimate: number
  se: number
  df: number
  se_without_fpc: number
  by_stratum: { stratum: string; estimate: number; se: number }[]
}

const strataOf = ({ stratum, points, hits, stops_in_stratum }: Input): Stratum[] =>
  Object.entries(stops_in_stratum).map(([name, size]) => ({
    name,
    size,
    stops: stratum.flatMap((s, i) => (s === name ? [{ hits: hits[i]!, points: points[i]! }] : [])),
  }))

describe('the combined ratio over parts (R survey 4.1-1, svydesign with strata and svyratio)', () => {
  it.each(cases<Input, Expected>('cluster', 'clusterProportionStratified'))('$id', ({ input, expected, tol }) => {
    const strata = strataOf(input)
    const finite = stratifiedRatio(strata, true)
    expectNear(finite.estimate, expected.estimate, tol)
    expectNear(finite.se!, expected.se, tol)
    expect(finite.df).toBe(expected.df)
    expectNear(stratifiedRatio(strata).se!, expected.se_without_fpc, tol)
    for (const { stratum, estimate, se } of expected.by_stratum) {
      const part = strata.find((s) => s.name === stratum)!
      const alone = clusterRatio(part.stops, part.size)
      expectNear(alone.estimate, estimate, tol, stratum)
      expectNear(alone.se!, se, tol, stratum)
    }
  })

  it('one part alone is the plain ratio estimate', () => {
    const stops = [4, 7, 2, 9].map((hits) => ({ hits, points: 10 }))
    const one = stratifiedRatio([{ name: '', size: 3, stops }])
    const plain = clusterRatio(stops)
    expect(one.estimate).toBeCloseTo(plain.estimate, 12)
    expect(one.se).toBeCloseTo(plain.se!, 12)
  })

  it('only the proportions of the sizes matter', () => {
    const strata = (k: number): Stratum[] => [
      { name: 'a', size: 2 * k, stops: [{ hits: 3, points: 10 }, { hits: 5, points: 10 }] }, // prettier-ignore
      { name: 'b', size: k, stops: [{ hits: 8, points: 10 }, { hits: 9, points: 10 }] }, // prettier-ignore
    ]
    expect(stratifiedRatio(strata(1)).se).toBeCloseTo(stratifiedRatio(strata(70)).se!, 12)
    // (2 x 0.4 + 1 x 0.85) / 3, by hand.
    expect(stratifiedRatio(strata(1)).estimate).toBeCloseTo(0.55, 12)
  })

  it('a part with a single stop is refused', () => {
    expect(() => stratifiedRatio([{ name: 'a', size: 1, stops: [{ hits: 1, points: 2 }] }])).toThrow(RangeError)
    expect(() => stratifiedRatio([])).toThrow(RangeError)
  })
})

describe('parts that disagree', () => {
  const part = (name: string, hits: number[]): Stratum => ({
    name,
    size: 1,
    stops: hits.map((h) => ({ hits: h, points: 20 })),
  })

  it('are told when they differ far more than their stops do', () => {
    const found = disagreement([part('hollow', [2, 3, 2, 1, 2]), part('crest', [12, 14, 11, 13, 12])])!
    expect(found.high.name).toBe('crest')
    expect(found.low.name).toBe('hollow')
    // Welch's t by hand: means 12.4 and 2, variances 1.3 and 0.5 over five stops each, 10.4 / 0.6.
    expect(found.apart).toBeCloseTo(17.3333, 3)
  })

  it('are not when the difference is within chance, or a part has too few stops', () => {
    expect(disagreement([part('hollow', [5, 9, 3, 8]), part('crest', [6, 4, 9, 7])])).toBeUndefined()
    expect(disagreement([part('hollow', [1, 1]), part('crest', [19, 19])])).toBeUndefined()
  })

  it('the more shares are looked at, the more it takes', () => {
    const parts = [part('hollow', [5, 6, 5, 4]), part('crest', [8, 7, 8, 6])]
    expect(disagreement(parts)).toBeDefined()
    expect(disagreement(parts, 40)).toBeUndefined()
  })
})

describe('intervals of all shares at once (Goodman 1965; R 4.2.2, base)', () => {
  it.each(
    cases<{ counts: number[]; conf: number }, { goodman: [number, number][] }>('proportions', 'multinomialIntervals'),
  )('$id', ({ input, expected, tol }) => {
    goodman(input.counts, input.conf).forEach((interval, i) =>
      interval.forEach((x, side) => expectNear(x, expected.goodman[i]![side]!, tol, `class ${i}`)),
    )
  })

  it('is Wilson made stricter by the number of classes', () => {
    const [first] = goodman([30, 45, 25])
    const alone = wilson({ x: 30, n: 100, conf: 1 - 0.05 / 3 })
    expect(first![0]).toBeCloseTo(alone[0], 10)
    expect(first![1]).toBeCloseTo(alone[1], 10)
  })

  it('refuses one class', () => expect(() => goodman([5])).toThrow(RangeError))
})
