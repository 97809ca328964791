import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { sizeDensity, sizeKnots, sizeProbability } from '@/core/naming/sizeDistribution.ts'

const cell = { kind: 'range' as const, typical: [4, 9] as [number, number], extreme: [3, 13] as [number, number] }
const knots = sizeKnots(cell)

/** Sum of the density over log sizes, by the trapezium rule. */
function total(widen: number): number {
  const from = Math.log(0.01)
  const to = Math.log(1000)
  const n = 20_000
  const step = (to - from) / n
  let sum = 0
  for (let i = 0; i <= n; i++)
    sum += sizeDensity(knots, Math.exp(from + i * step), widen) * step * (i === 0 || i === n ? 0.5 : 1)
  return sum
}

describe('a measured size against the coded ranges', () => {
  it('four plants in five lie in the typical range, 99 in 100 in the extreme one (as the ranges are defined)', () => {
    expect(sizeProbability(knots, 4, 9)).toBeCloseTo(0.8, 3)
    expect(sizeProbability(knots, 3, 13)).toBeCloseTo(0.99, 3)
  })

  it('is a density: it sums to 1, also for rougher readings', () => {
    expect(total(1)).toBeCloseTo(1, 2)
    expect(total(0.65)).toBeCloseTo(1, 2)
  })

  it('a rougher reading says less at the middle and more outside', () => {
    expect(sizeDensity(knots, 6, 0.65)).toBeLessThan(sizeDensity(knots, 6, 1))
    expect(sizeDensity(knots, 20, 0.65)).toBeGreaterThan(sizeDensity(knots, 20, 1))
  })

  it('grows less likely the further outside', () => {
    const outside = [14, 18, 25, 40].map((mm) => sizeDensity(knots, mm, 1))
    for (let i = 1; i < outside.length; i++) expect(outside[i]!).toBeLessThan(outside[i - 1]!)
  })

  it('holds for a range of one value and for one that starts at nothing', () => {
    const point = sizeKnots({ kind: 'range', typical: [2, 2], extreme: [2, 2] })
    expect(sizeProbability(point, 1.5, 2.7)).toBeGreaterThan(0.9)
    const zero = sizeKnots({ kind: 'range', typical: [0, 0.5], extreme: [0, 1] })
    expect(Number.isFinite(sizeDensity(zero, 0, 1))).toBe(true)
  })

  it('probabilities of neighbouring ranges add up, whatever the ranges', () => {
    const size = fc.double({ min: 0.1, max: 100, noNaN: true })
    fc.assert(
      fc.property(fc.tuple(size, size, size, size), size, (ends, cut) => {
        const [a, b, c, d] = [...ends].sort((x, y) => x - y) as [number, number, number, number]
        const k = sizeKnots({ kind: 'range', typical: [b, c], extreme: [a, d] })
        const whole = sizeProbability(k, 0.001, 1e6)
        return (
          Math.abs(sizeProbability(k, 0.001, cut) + sizeProbability(k, cut, 1e6) - whole) < 1e-9 && whole <= 1 + 1e-9
        )
      }),
    )
  })
})
