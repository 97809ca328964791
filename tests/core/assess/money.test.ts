import { describe, expect, it } from 'vitest'
import { hayOfftake, nitrogenFixedKgPerHa, weedCost, yieldLoss } from '@/core/assess/fertility/fertility.ts'
import { renewal, renewalMoney, stemStand } from '@/core/assess/sowing/renew.ts'

const share = (estimate: number, interval?: [number, number]) => ({ estimate, interval, se: undefined, designEffect: undefined, method: 'none' as const }) // prettier-ignore

describe('nitrogen and what is carried off', () => {
  it('a third of legume in 9 t a year fixes 60 to 120 kg (Carlsson & Huss-Danell 2003)', () => {
    expect(nitrogenFixedKgPerHa(1 / 3, 9000)).toEqual([expect.closeTo(60, 8), expect.closeTo(120, 8)])
    // On dry range of 1 t the same share fixes a ninth of it.
    expect(nitrogenFixedKgPerHa(1 / 3, 1000)[1]).toBeCloseTo(13.3, 1)
    expect(() => nitrogenFixedKgPerHa(2, 1000)).toThrow(RangeError)
  })

  it('five tonnes of alfalfa hay carry off 35 kg of phosphate and 140 of potash (tables of removal, from memory)', () => {
    expect(hayOfftake(5, 1)).toEqual({ p2o5: 35, k2o: 140 })
  })
})

describe('weeds', () => {
  it('by Cousens 1985: half of the slope at a density of a / i, never more than a', () => {
    expect(yieldLoss(10, 0.05, 0.5)).toBeCloseTo(0.25, 9)
    expect(yieldLoss(1e9, 0.05, 0.5)).toBeCloseTo(0.5, 6)
    expect(yieldLoss(0, 0.05, 0.5)).toBe(0)
    expect(() => yieldLoss(1, 0.1, 2)).toThrow(RangeError)
  })

  it('by hand: 500 kg of thistle at 0.1 a kilogram over three years is 150 to 300; 90 at 80 % kill needs 112.5', () => {
    const of = { weedKgPerHa: 500, price: 0.1, years: 3, cost: 90, kill: 0.8 }
    expect(weedCost(of)).toMatchObject({ loss: [150, 300], needed: 112.5, verdict: 'pays' })
    expect(weedCost({ ...of, cost: 160 }).verdict).toBe('either-way')
    expect(weedCost({ ...of, weedKgPerHa: 50 }).verdict).toBe('does-not-pay')
    expect(() => weedCost({ ...of, kill: 0 })).toThrow(RangeError)
  })
})

describe('keep, overseed or sow anew (Undersander & Cosgrove, from memory)', () => {
  it('by what is wanted, with what the interval would say', () => {
    expect(renewal(share(0.7, [0.65, 0.75]))).toEqual({ likely: 'manage', between: ['manage'] })
    expect(renewal(share(0.4, [0.25, 0.55]))).toEqual({ likely: 'overseed', between: ['renew', 'overseed'] })
    expect(renewal(share(0.1)).likely).toBe('renew')
  })

  it('money, by hand: 400 over 5 years without interest is 80 a year; one failure in five makes it 100', () => {
    const of = { cost: 400, years: 5, interest: 0, fails: 0.2, gainKgPerHa: 1500, price: 0.08 }
    expect(renewalMoney(of)).toMatchObject({ cost: 100, gain: 120, worth: 'pays' })
    expect(renewalMoney(of).evenKgPerHa).toBeCloseTo(1250, 9)
    // An annuity of 1,000 at 5 % over ten years is 129.50 (tables of interest).
    expect(renewalMoney({ ...of, cost: 1000, years: 10, interest: 0.05, fails: 0 }).cost).toBeCloseTo(129.5, 1)
    expect(() => renewalMoney({ ...of, fails: 1 })).toThrow(RangeError)
  })

  it('alfalfa by stems: 60 a square foot full, 45 falling, 30 to be replaced', () => {
    expect([60, 45, 30].map((perFt2) => stemStand(perFt2 / 0.09290304))).toEqual(['full', 'falling', 'replace'])
  })
})
