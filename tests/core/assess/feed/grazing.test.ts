import { needsSourceWords } from '@/text/animalWords.ts'
import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { animalUnitMonths, aums, grazingDays, type Grazing } from '@/core/assess/feed/grazingDays.ts'
import { animalClass, animalClasses } from '@/core/assess/feed/needs.ts'
import {
  bulkKgPerHa,
  drillCheckGrams,
  drilledKgPerHa,
  liveSeedsPerM2,
  pureLiveSeed,
  usualLot,
} from '@/core/assess/sowing/seeding.ts'

const sure = (middle: number) => ({ middle, low: middle, high: middle })
const grazing: Grazing = {
  massKgPerHa: sure(2500),
  areaHa: 4,
  residualKgPerHa: 1500,
  useShare: 0.5,
  refusedShare: 0,
  herd: [{ animal: { ...animalClass('cow-dry')!, intakePct: [2, 2] }, count: 20, bodyKg: 500 }],
}

describe('days of grazing', () => {
  it('by hand: 4 ha x 1,000 kg x half over 20 cows x 10 kg is 10 days', () => {
    const days = grazingDays(grazing, randomLcg(0.3))
    expect(days.middle).toBeCloseTo(10, 10)
    expect(days.high).toBeCloseTo(days.low, 10)
  })

  it('what is refused is not eaten, and nothing is eaten below the residual', () => {
    expect(grazingDays({ ...grazing, refusedShare: 0.2 }, randomLcg(0.3)).middle).toBeCloseTo(8, 10)
    expect(grazingDays({ ...grazing, residualKgPerHa: 3000 }, randomLcg(0.3)).middle).toBe(0)
  })

  it('the error of the mass is carried through: 1,000 above the residual, give or take 400', () => {
    const days = grazingDays({ ...grazing, massKgPerHa: { middle: 2500, low: 2100, high: 2900 } }, randomLcg(0.3))
    expect(Math.abs(days.low - 6)).toBeLessThan(0.35)
    expect(Math.abs(days.high - 14)).toBeLessThan(0.35)
  })

  it('no animals, or a share that is none, is refused', () => {
    expect(() => grazingDays({ ...grazing, herd: [] }, randomLcg(0.3))).toThrow(RangeError)
    expect(() => grazingDays({ ...grazing, useShare: 1.4 }, randomLcg(0.3))).toThrow(RangeError)
  })

  it('animal unit months by both conventions', () => {
    // 2,000 kg: 5.56 at 12 kg a day (SRM 1989); 800 lb air-dry are 362.9 kg, nine tenths of it dry matter.
    expect(aums(grazing, 2500, 'srm')).toBeCloseTo(2000 / 360, 6)
    expect(animalUnitMonths['air-dry-800-lb'].kgPerMonth).toBeCloseTo(326.6, 1)
    expect(animalUnitMonths['twenty-lb'].kgPerMonth).toBeCloseTo(275.8, 1)
    // None is the same as another: what differs by a rounding is no convention.
    const months = Object.values(animalUnitMonths).map((m) => m.kgPerMonth)
    for (const [i, a] of months.entries())
      for (const b of months.slice(i + 1)) expect(Math.abs(a / b - 1)).toBeGreaterThan(0.05)
  })

  it('what grows meanwhile lasts the herd longer: 10 kg/ha a day, half eaten on 4 ha, of 200 kg a day', () => {
    expect(grazingDays({ ...grazing, growthKgPerHaDay: 10 }, randomLcg(0.3)).middle).toBeCloseTo(2000 / 180, 6)
    // More grows than is eaten, but no month speaks for a year: thirty days, then 2,000 + 30 x 200 kg at 200 a day.
    expect(grazingDays({ ...grazing, growthKgPerHaDay: 200 }, randomLcg(0.3)).middle).toBeCloseTo(70, 6)
  })
})

describe('classes of stock', () => {
  it('all four kinds of the trade are there, each with its source', () => {
    expect(new Set(animalClasses.map((a) => a.kind))).toEqual(new Set(['cattle', 'sheep', 'goats', 'horses']))
    for (const a of animalClasses) {
      expect(needsSourceWords(a.source)).toContain('NRC')
      expect(a.intakePct[0]).toBeLessThan(a.intakePct[1])
    }
  })

  it('milking needs more than dry, of everything (NRC)', () => {
    for (const [dry, milking] of [
      ['cow-dry', 'cow-suckling'],
      ['ewe-dry', 'ewe-twins'],
      ['goat-dry', 'goat-milking'],
      ['horse-idle', 'mare-milking'],
    ]) {
      const [a, b] = [animalClass(dry!)!, animalClass(milking!)!]
      expect(b.cpPct).toBeGreaterThan(a.cpPct)
      expect(b.tdnPct).toBeGreaterThan(a.tdnPct)
      expect(b.intakePct[0]).toBeGreaterThan(a.intakePct[0])
    }
  })
})

describe('sowing', () => {
  it('pure live seed: 98 % pure, 85 % germinating is 83.3 % (by hand)', () => {
    expect(pureLiveSeed({ purity: 0.98, germination: 0.85 })).toBeCloseTo(0.833, 10)
    expect(bulkKgPerHa(10, 0.833)).toBeCloseTo(12.005, 3)
  })

  it('hard and dormant seed is live, a coat is none (practice of seed tags, from memory)', () => {
    // Bluestem: 60 % pure, 40 % germinating and 35 % dormant is 45 % PLS; a third of coat leaves two thirds.
    expect(pureLiveSeed({ purity: 0.6, germination: 0.4, waiting: 0.35 })).toBeCloseTo(0.45, 10)
    expect(pureLiveSeed({ purity: 0.99, germination: 0.8, waiting: 0.1, coat: 1 / 3 })).toBeCloseTo(0.594, 3)
    expect(() => pureLiveSeed({ purity: 1, germination: 0.8, waiting: 0.3 })).toThrow(RangeError)
    expect(usualLot({ role: 'native', form: 'grass' })).toBeUndefined()
    expect(pureLiveSeed(usualLot({ role: 'forage', form: 'legume' })!)).toBeLessThan(0.65)
  })

  it('seeds on the ground: 10 kg at 80 % live and 500,000 a kg are 400 a square metre', () => {
    expect(liveSeedsPerM2(10, 0.8, 500_000)).toBeCloseTo(400, 8)
  })

  it('a drill check over 50 m by 3 m: 20 kg a hectare are 300 g, and back', () => {
    const strip = { lengthM: 50, widthM: 3 }
    expect(drillCheckGrams(20, strip)).toBeCloseTo(300, 8)
    expect(drilledKgPerHa(300, strip)).toBeCloseTo(20, 8)
    expect(() => drilledKgPerHa(300, { lengthM: 0, widthM: 3 })).toThrow(RangeError)
    expect(() => bulkKgPerHa(10, 0)).toThrow(RangeError)
  })
})
