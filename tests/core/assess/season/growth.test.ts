import fc from 'fast-check'
import { northernMonth } from '@/core/flora/seasons.ts'
import { describe, expect, it } from 'vitest'
import { regions } from '@/core/flora/flora.ts'
import { cardinals, growthAt } from '@/core/assess/season/growth.ts'
import { madeNormals, midsummerGap } from '@/core/assess/season/madeNormals.ts'

describe('growth against temperature (beta function of Yan & Hunt 1999)', () => {
  const c = { least: 0, best: 20, most: 30 }

  it('by hand: 1 at the best, 0 at the ends, (30-10)/10 x (10/20)^2 = 0.5 half way up', () => {
    expect(growthAt(20, c)).toBeCloseTo(1, 12)
    expect(growthAt(0, c)).toBe(0)
    expect(growthAt(30, c)).toBe(0)
    expect(growthAt(10, c)).toBeCloseTo(0.5, 12)
    expect(growthAt(-5, c)).toBe(0)
  })

  it('rises to the best and falls from it, never leaving 0 to 1', () => {
    fc.assert(
      fc.property(fc.double({ min: -10, max: 50, noNaN: true }), (t) => {
        for (const kind of ['cool', 'warm'] as const) {
          const { best } = cardinals[kind]
          const here = growthAt(t, cardinals[kind])
          expect(here).toBeGreaterThanOrEqual(0)
          expect(here).toBeLessThanOrEqual(1 + 1e-12)
          const nearer = t + (best - t) / 2
          expect(growthAt(nearer, cardinals[kind])).toBeGreaterThanOrEqual(here - 1e-12)
        }
      }),
    )
  })

  it('cool season grass is best at 18-24 and warm at 27-35 degrees (common practice, no source)', () => {
    for (const t of [18, 21, 24]) expect(growthAt(t, cardinals.cool)).toBeGreaterThan(0.85)
    for (const t of [27, 31, 35]) expect(growthAt(t, cardinals.warm)).toBeGreaterThan(0.85)
    expect(growthAt(12, cardinals.cool)).toBeGreaterThan(growthAt(12, cardinals.warm))
    expect(growthAt(31, cardinals.warm)).toBeGreaterThan(2 * growthAt(31, cardinals.cool))
  })
})

describe('made years', () => {
  it('one for each region, warmest at the height of its summer and coldest in its winter', () => {
    for (const r of regions) {
      const { meanC: year, rainMm } = madeNormals[r]
      expect(rainMm).toHaveLength(12)
      expect(year).toHaveLength(12)
      const northern = (i: number) => northernMonth(i + 1, r) - 1
      expect([6, 7]).toContain(northern(year.indexOf(Math.max(...year))))
      expect([11, 0, 1]).toContain(northern(year.indexOf(Math.min(...year))))
    }
  })

  it('a gap lies between two better times: winter is none', () => {
    expect(midsummerGap([0, 0.2, 0.9, 1, 0.8, 0.5, 0.3, 0.5, 0.9, 0.7, 0.1, 0])).toEqual([5, 6, 7])
    expect(midsummerGap([0, 0, 0.3, 0.6, 0.9, 1, 1, 0.9, 0.7, 0.3, 0, 0])).toEqual([])
  })
})
