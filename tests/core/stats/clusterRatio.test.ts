import { describe, expect, it } from 'vitest'
import { clusterRatio, kornGraubard, logitInterval } from '@/core/stats/clusterRatio.ts'
import { cases, expectNear } from '@/tests/support/vectors.ts'

interface Counts {
  points: number[]
  hits: number[]
  stops_in_population?: number
}

const stopsOf = ({ points, hits }: Counts) => points.map((p, i) => ({ points: p, hits: hits[i]! }))

// Reference: R survey 4.1, svyratio, svymean(deff = "replace"), svyciprop; the call stands in each case.
describe('ratio estimate over stops, against R survey', () => {
  interface Expected {
    estimate: number
    se: number
    df: number
    deff_replace?: number
    n_points: number
  }
  for (const c of cases<Counts, Expected>('cluster', 'clusterProportion')) {
    it(`${c.id}: estimate, standard error and degrees of freedom`, () => {
      const got = clusterRatio(stopsOf(c.input), c.input.stops_in_population)
      expectNear(got.estimate, c.expected.estimate, c.tol, 'estimate')
      expectNear(got.se!, c.expected.se, c.tol, 'se')
      expect(got.df).toBe(c.expected.df)
      if (c.input.stops_in_population === undefined)
        expectNear(got.designEffect!, c.expected.deff_replace!, { rel: 1e-7, abs: 1e-10 }, 'design effect')
    })
  }
})

describe('intervals of a clustered share, against R svyciprop', () => {
  interface Expected {
    logit: [number, number]
    korn_graubard_beta: [number, number]
  }
  for (const c of cases<Counts, Expected>('cluster', 'clusterProportionAdjustedCI')) {
    it(`${c.id}: Korn & Graubard and logit`, () => {
      const ratio = clusterRatio(stopsOf(c.input), c.input.stops_in_population)
      const kg = kornGraubard(ratio)!
      const logit = logitInterval(ratio)!
      c.expected.korn_graubard_beta.forEach((x, i) => expectNear(kg[i]!, x, { rel: 1e-6, abs: 1e-9 }, 'beta'))
      c.expected.logit.forEach((x, i) => expectNear(logit[i]!, x, { rel: 1e-6, abs: 1e-9 }, 'logit'))
    })
  }
})

describe('several species of one round, against R svyratio', () => {
  const c = cases<{ points: number[]; species: string[]; hits: number[][] }, { estimate: number[]; se: number[] }>(
    'cluster',
    'clusterComposition',
  )[0]!
  it.each(c.input.species.map((s, j) => [s, j] as const))('%s', (_name, j) => {
    const got = clusterRatio(c.input.points.map((points, i) => ({ points, hits: c.input.hits[i]![j]! })))
    expectNear(got.estimate, c.expected.estimate[j]!, c.tol)
    expectNear(got.se!, c.expected.se[j]!, c.tol)
  })
})

describe('edges of the ratio estimate', () => {
  it('refuses a round in which nothing was counted', () => {
    expect(() => clusterRatio([])).toThrow(RangeError)
    expect(() => clusterRatio([{ hits: 0, points: 0 }])).toThrow(/nothing was counted/)
  })

  it('gives no error from a single stop, rather than one of zero', () => {
    const one = clusterRatio([{ hits: 5, points: 20 }])
    expect(one.estimate).toBe(0.25)
    expect(one.se).toBeUndefined()
    expect(kornGraubard(one)).toBeUndefined()
  })

  it('has no clustered interval where every stop gives the same share', () => {
    const same = clusterRatio(Array.from({ length: 8 }, () => ({ hits: 0, points: 20 })))
    expect(same.se).toBe(0)
    expect(kornGraubard(same)).toBeUndefined()
    expect(logitInterval(same)).toBeUndefined()
  })

  it('keeps the interval of a rare species inside 0 to 1 and around its estimate', () => {
    const rare = clusterRatio(Array.from({ length: 30 }, (_, i) => ({ hits: i === 4 ? 1 : 0, points: 20 })))
    const [low, high] = kornGraubard(rare)!
    expect(low).toBeGreaterThan(0)
    expect(low).toBeLessThan(rare.estimate)
    expect(high).toBeGreaterThan(rare.estimate)
    expect(high).toBeLessThan(0.02)
  })

  it('shrinks to no error when every stop of the field was counted', () => {
    const stops = [3, 7, 9, 2].map((hits) => ({ hits, points: 20 }))
    expect(clusterRatio(stops, 4).se).toBe(0)
    expect(clusterRatio(stops, 8).se!).toBeLessThan(clusterRatio(stops).se!)
  })
})
