import { describe, expect, it } from 'vitest'
import { correctedShare, twoObservers } from '@/core/survey/twoObservers.ts'
import { countedStop, hitsOf, roundOf } from '@/tests/support/rounds.ts'

const counted = (counts: number[]) =>
  roundOf(
    'step-points',
    counts.map((n, i) => countedStop(i + 1, { hits: hitsOf({ timothy: n, 'white-clover': 10 - n }) })),
  )

describe('two observers at the same stops', () => {
  const first = counted([6, 4, 7, 3, 8])
  const second = counted([7, 6, 8, 5, 9])

  it('the bias is the mean paired difference with its t interval', () => {
    const line = twoObservers(first, second)!.lines.find((l) => l.taxon === 'timothy')!
    // By hand: differences 0.1, 0.2, 0.1, 0.2, 0.1; standard error 0.02449, t of 4 degrees 2.7764.
    expect(line.bias.mean).toBeCloseTo(0.14, 10)
    expect(line.bias.interval[0]).toBeCloseTo(0.072, 3)
    expect(line.bias.interval[1]).toBeCloseTo(0.208, 3)
    expect(line.first).toBeCloseTo(0.56, 10)
    expect(line.second).toBeCloseTo(0.7, 10)
  })

  it('agreement on the leading plant: kappa by hand (Cohen 1960)', () => {
    // Leaders: first timothy, clover, timothy, clover, timothy; second timothy, timothy, timothy, clover (a tie goes to
    // the alphabet: timothy), timothy.
    const { leading, stops } = twoObservers(first, second)!
    expect(stops).toBe(5)
    expect(leading!.observed).toBeCloseTo(0.6, 10)
    expect(leading!.kappa).toBeCloseTo(0, 10)
  })

  it('two who count alike agree wholly', () => {
    const same = twoObservers(first, counted([6, 4, 7, 3, 8]))!
    expect(same.leading!.kappa).toBeCloseTo(1, 10)
    expect(same.lines[0]!.icc!.icc).toBeCloseTo(1, 10)
    expect(same.lines[0]!.bias.mean).toBe(0)
  })

  it('only stops that both counted are held against each other', () => {
    const longer = counted([7, 6, 8, 5, 9, 2, 1])
    expect(twoObservers(first, longer)!.stops).toBe(5)
    expect(twoObservers(counted([5, 5]), longer)).toBeUndefined()
  })

  it('the correction takes the bias off and adds its error', () => {
    const longer = counted([7, 6, 8, 5, 9, 7, 7])
    const line = twoObservers(first, longer)!.lines.find((l) => l.taxon === 'timothy')!
    const right = correctedShare(longer, line)!
    expect(right.estimate).toBeCloseTo(0.7 - 0.14, 10)
    expect(right.se).toBeGreaterThan(line.bias.se)
    expect(right.interval[0]).toBeLessThan(right.estimate)
  })
})
