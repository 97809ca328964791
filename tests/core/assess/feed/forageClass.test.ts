import { describe, expect, it } from 'vitest'
import { forageClassOf, horseDe, tdnByClass, tdnOfMixture } from '@/core/assess/feed/forageClass.ts'
import { asHay, baleAtPct, hayDesignation, hayValue, heating } from '@/core/assess/feed/hay.ts'

const sure = (x: number) => ({ low: x, middle: x, high: x })

describe('energy by class of forage', () => {
  it('by hand: NEL of legume at ADF 30 is 0.687 Mcal/lb, TDN 4.898 + 89.796 x 0.687 = 66.6; of cool grass 68.3', () => {
    expect(tdnByClass('legume', { cp: 20, adf: 30, ndf: 40 })).toBeCloseTo(66.59, 2)
    expect(tdnByClass('cool-grass', { cp: 12, adf: 30, ndf: 50 })).toBeCloseTo(68.35, 2)
  })

  // Ranges of feed tables, from memory; the one relation for all that stood here before gave 51 to 58.
  it.each([
    ['dead broomsedge', { cp: 4, adf: 45, ndf: 77 }, 42, 46.5],
    ['stemmy bermudagrass', { cp: 7.5, adf: 40, ndf: 74 }, 45, 54],
  ])('%s is as poor as feed tables say', (_of, fibre, low, high) => {
    const tdn = tdnByClass('warm-grass', fibre)
    expect(tdn).toBeGreaterThanOrEqual(low)
    expect(tdn).toBeLessThanOrEqual(high)
  })

  it('for a horse: ADF 36.2 and CP 11 are 2.07 Mcal/kg (after Fonnesbeck 1981, worked by hand)', () => {
    expect(horseDe({ adf: 36.2, cp: 11 })).toBeCloseTo(2.071, 2)
    // More fibre is never more energy, beyond the turn of the parabola either.
    for (let adf = 20; adf < 60; adf++) expect(horseDe({ adf: adf + 1, cp: 10 })).toBeLessThanOrEqual(horseDe({ adf, cp: 10 })) // prettier-ignore
  })

  it('a mixture goes by its shares; plants by form and season', () => {
    const fibre = { cp: 12, adf: 35, ndf: 55 }
    const half = tdnOfMixture({ legume: 0.5, 'cool-grass': 0.5 }, fibre)
    expect(half).toBeCloseTo((tdnByClass('legume', fibre) + tdnByClass('cool-grass', fibre)) / 2, 9)
    expect(forageClassOf({ form: 'grass', season: 'warm' })).toBe('warm-grass')
    expect(forageClassOf({ form: 'sedge', season: 'warm' })).toBe('cool-grass')
    expect(forageClassOf({ form: 'shrub', season: 'cool' })).toBe('browse')
    expect(() => tdnByClass('forb', { cp: 12, adf: -1, ndf: 50 })).toThrow(RangeError)
  })
})

describe('hay', () => {
  it('legume hay is named by relative feed value, grass hay by protein (market news, from memory)', () => {
    const name = (rfv: number, cp: number, legume: number) => hayDesignation({ rfv: sure(rfv), cpPct: sure(cp), legume }).likely // prettier-ignore
    expect([190, 175, 160, 140, 120].map((rfv) => name(rfv, 20, 0.9))).toEqual(['supreme', 'premium', 'good', 'fair', 'utility']) // prettier-ignore
    expect([14, 10, 7, 4].map((cp) => name(110, cp, 0))).toEqual(['premium', 'good', 'fair', 'utility'])
  })

  it('standing growth loses 15 to 25 points on its way to the barn: cut at 170 for hay of 150 (practice, from memory)', () => {
    const { rfv, cpPct } = asHay({ rfv: sure(170), cpPct: sure(20) }, 0.9)
    expect(rfv).toEqual({ low: 145, middle: 150, high: 155 })
    expect(cpPct.high).toBeLessThan(20)
  })

  it('is baled drier the larger the bale, and a hot stack is a matter for the fire service', () => {
    expect(baleAtPct['large-square'][1]).toBeLessThan(baleAtPct['small-square'][1])
    expect([40, 60, 70, 85].map(heating)).toEqual([undefined, 'watch', 'move-apart', 'fire-service'])
  })

  it('by two feeds (Petersen 1932): each feed is worth its own price, a half-and-half its mean', () => {
    const grain = { cpPct: 9, tdnPct: 88, price: 200 }
    const meal = { cpPct: 50, tdnPct: 84, price: 500 }
    expect(hayValue(grain, grain, meal)).toBeCloseTo(200, 9)
    expect(hayValue(meal, grain, meal)).toBeCloseTo(500, 9)
    expect(hayValue({ cpPct: 29.5, tdnPct: 86 }, grain, meal)).toBeCloseTo(350, 9)
    expect(() => hayValue(grain, grain, { ...grain, price: 300 })).toThrow(RangeError)
  })
})
