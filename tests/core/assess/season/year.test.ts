import { describe, expect, it } from 'vitest'
import { regions } from '@/core/flora/flora.ts'
import { dayLength, sunAboveMj, thornthwaite, waterIndex } from '@/core/assess/season/climate.ts'
import { madeNormals, midsummerGap } from '@/core/assess/season/madeNormals.ts'
import { readNormals } from '@/core/assess/season/readNormals.ts'
import { growthYear, yearPlan } from '@/core/assess/season/year.ts'

describe('sun and water', () => {
  it('sun above the air: 32.2 MJ at 20 degrees south on 3 September (Allen et al. 1998, example 8), 1 % for the mid month', () => {
    // The example is for day 246; the middle of September, day 258, is a little sunnier there: 33.
    expect(sunAboveMj(-20, 8)).toBeGreaterThan(32.2)
    expect(sunAboveMj(-20, 8)).toBeLessThan(34.5)
    // Annex 2 of the same, table 2.6 (from memory): 40 degrees north, June 41.9; January 15.0.
    expect(Math.abs(sunAboveMj(40, 5) - 41.9)).toBeLessThan(0.5)
    expect(Math.abs(sunAboveMj(40, 0) - 15)).toBeLessThan(0.5)
  })

  it('days at 40 degrees north: 15 h in June, 9.3 in December (the same, table 2.7, from memory)', () => {
    expect(dayLength(40, 5)).toBeCloseTo(14.9, 0)
    expect(dayLength(40, 11)).toBeCloseTo(9.3, 0)
    expect(dayLength(0, 3)).toBeCloseTo(12, 1)
  })

  it('water wanted is none in frost and most at midsummer; a year in all as maps of it say (450 to 800 mm, from memory)', () => {
    const wanted = thornthwaite(madeNormals['cool-humid'])
    expect(wanted[0]).toBe(0)
    expect(wanted.indexOf(Math.max(...wanted))).toBe(6)
    const year = wanted.reduce((a, b) => a + b, 0)
    expect(year).toBeGreaterThan(450)
    expect(year).toBeLessThan(800)
  })

  it('rain that falls short empties the store, and no rain at all leaves next to nothing', () => {
    const { meanC, latitude } = madeNormals['cool-humid']
    const dry = waterIndex({ meanC, latitude, rainMm: meanC.map(() => 0) })
    expect(Math.max(...dry.slice(6, 9))).toBeLessThan(0.05)
    expect(waterIndex({ meanC, latitude, rainMm: meanC.map(() => 200) })).toEqual(meanC.map(() => 1))
  })
})

describe('growth through the year', () => {
  const cool = { cool: 1, warm: 0 }
  it('cool-season swards make most of a year by the end of June, and slump at midsummer (pasture books, from memory)', () => {
    const { mixture, shareOfYear } = growthYear(madeNormals['cool-humid'], cool)
    const byJune = shareOfYear.slice(0, 6).reduce((a, b) => a + b, 0)
    expect(byJune).toBeGreaterThan(0.55)
    expect(byJune).toBeLessThan(0.7)
    expect([4, 5]).toContain(mixture.indexOf(1))
    for (const i of [6, 7]) expect(mixture[i]).toBeLessThan(0.5)
    expect(midsummerGap(mixture)).toEqual([6, 7])
  })

  it('warm-season swards peak in July and grow more at their best than cool-season ones (from memory)', () => {
    for (const r of ['cool-humid', 'transition', 'warm-humid'] as const) {
      const { mixture } = growthYear(madeNormals[r], { cool: 0, warm: 1 })
      expect([6, 7], r).toContain(mixture.indexOf(1))
      expect(midsummerGap(mixture), r).toEqual([])
    }
    const both = growthYear(madeNormals.transition, { cool: 0.5, warm: 0.5 })
    expect(Math.max(...both.warm)).toBeGreaterThan(Math.max(...both.cool.slice(5, 9)))
    expect(midsummerGap(both.mixture)).toEqual([])
  })

  it('dry range grows in spring and is held by drought after it', () => {
    const { heldBy, mixture } = growthYear(madeNormals['semi-arid'], cool)
    expect(heldBy.slice(6, 9)).toEqual(['dry', 'dry', 'dry'])
    expect(mixture.indexOf(1)).toBe(4)
  })

  it('the south half has the same year six months later', () => {
    const { meanC, rainMm, latitude } = madeNormals['cool-humid']
    const turned = (list: readonly number[]) => list.map((_, i) => list[(i + 6) % 12]!)
    const north = growthYear(madeNormals['cool-humid'], cool)
    const south = growthYear({ meanC: turned(meanC), rainMm: turned(rainMm), latitude: -latitude }, cool)
    // The sun is some 3 % nearer in January, so not to the last figure.
    turned(north.mixture).forEach((x, i) => expect(Math.abs(south.mixture[i]! - x)).toBeLessThan(0.05))
  })

  it('shares add to one, parts to the whole, and what is no climate is refused', () => {
    for (const r of regions) {
      const y = growthYear(madeNormals[r], { cool: 0.7, warm: 0.3 })
      expect(y.shareOfYear.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9)
      y.mixture.forEach((m, i) => expect(y.cool[i]! + y.warm[i]!).toBeCloseTo(m, 9))
    }
    expect(() => growthYear({ meanC: [1], rainMm: [1], latitude: 40 }, cool)).toThrow(RangeError)
    expect(() => growthYear(madeNormals.transition, { cool: 2, warm: 0 })).toThrow(RangeError)
  })

  it('needs against growth, by hand: 10 kg a day where nothing grows lacks all of it', () => {
    const year = growthYear(madeNormals['cool-humid'], cool)
    const plan = yearPlan(year, { yieldKgPerHa: 8000, useShare: 0.5, needKgPerHaDay: 10 })
    expect(plan.months[0]).toMatchObject({ growth: 0, gap: 10 })
    expect(plan.short).toEqual(expect.arrayContaining([0, 1, 11]))
    expect(plan.fillers).toContain('hay')
    const grown = plan.months.reduce((sum, m, i) => sum + m.growth * [31, 28.25, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31][i]!, 0) // prettier-ignore
    expect(grown).toBeCloseTo(4000, 6)
    expect(yearPlan(year, { yieldKgPerHa: 8000, useShare: 0.5, needKgPerHaDay: 0 }).short).toEqual([])
  })
})

describe('monthly means from a file', () => {
  const rows = (t: string[], r: string[], head = 'month,mean temp °C,rain mm') => [head, ...t.map((x, i) => `${i + 1},${x},${r[i]}`)].join('\n') // prettier-ignore
  const [twelve, rain] = [Array.from({ length: 12 }, (_, i) => String(i)), Array.from({ length: 12 }, () => '50')]

  it('is read with its units, whatever the separator', () => {
    expect(readNormals(rows(twelve, rain))).toMatchObject({ meanC: twelve.map(Number), rainMm: rain.map(Number) })
    const us = readNormals(rows(twelve.map(() => '50'), rain.map(() => '2'), 'month,temp °F,precip inch')) // prettier-ignore
    expect(us).toMatchObject({ meanC: twelve.map(() => 10) })
    expect((us as { rainMm: readonly number[] }).rainMm[0]).toBeCloseTo(50.8, 6)
    const comma = rows(twelve, rain).replaceAll(',', ';').replace(';0;', ';0,5;')
    expect((readNormals(comma) as { meanC: readonly number[] }).meanC[0]).toBe(0.5)
  })

  it.each([
    ['month,temp\n1,2', 'no-column'],
    [rows(twelve.slice(1), rain), 'not-twelve'],
    [rows(['warm', ...twelve.slice(1)], rain), 'not-a-number'],
    [rows(twelve, ['-5', ...rain.slice(1)]), 'out-of-range'],
    ['', 'no-column'],
  ])('what is wrong is said: %#', (text, code) => {
    expect(readNormals(text)).toMatchObject({ code })
  })
})
