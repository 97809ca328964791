import { describe, expect, it } from 'vitest'
import { energyFromTdn, grassQuality, legumeQuality } from '@/core/assess/feed/energy.ts'

describe('energy from total digestible nutrients (NRC Beef Cattle 1996)', () => {
  it('TDN 60 gives ME 2.17, NEm 1.31 and NEg 0.74 Mcal a kg, as printed there', () => {
    const { me, nem, neg } = energyFromTdn(60)
    expect(me).toBeCloseTo(2.17, 2)
    expect(nem).toBeCloseTo(1.31, 2)
    expect(neg).toBeCloseTo(0.74, 2)
  })

  // The same tables, TDN 50 and 70 (from memory).
  it.each([
    [50, 1.81, 0.97, 0.42],
    [70, 2.53, 1.63, 1.03],
  ])('TDN %i', (tdn, me, nem, neg) => {
    const got = energyFromTdn(tdn)
    expect(Math.abs(got.me - me)).toBeLessThan(0.011)
    expect(Math.abs(got.nem - nem)).toBeLessThan(0.015)
    expect(Math.abs(got.neg - neg)).toBeLessThan(0.015)
  })

  it('refuses what is no percentage', () => {
    expect(() => energyFromTdn(120)).toThrow(RangeError)
    expect(() => energyFromTdn(Number.NaN)).toThrow(RangeError)
  })
})

describe('relative forage quality (Moore & Undersander 2002, from memory)', () => {
  const lucerne = { cpPct: 20, adfPct: 31, ndfPct: 40, ndfdPct: 45, eePct: 2.5, ashPct: 10 }

  it('a legume by hand', () => {
    // NDFn 37.2, NFC 100 - (37.2 + 20 + 2.5 + 10) = 30.3, FA 1.5.
    // TDN = 29.694 + 18.6 + 3.27375 + 16.74 - 7 = 61.30775; DMI = 3; RFQ = 3 x 61.30775 / 1.23.
    const got = legumeQuality(lucerne)
    expect(got.tdnPct).toBeCloseTo(61.30775, 4)
    expect(got.dmiPct).toBeCloseTo(3, 10)
    expect(got.rfq).toBeCloseTo((3 * 61.30775) / 1.23, 3)
  })

  it('more digestible fibre is better, more fibre is worse', () => {
    expect(legumeQuality({ ...lucerne, ndfdPct: 50 }).rfq).toBeGreaterThan(legumeQuality(lucerne).rfq)
    expect(legumeQuality({ ...lucerne, ndfPct: 50 }).rfq).toBeLessThan(legumeQuality(lucerne).rfq)
    const grass = { cpPct: 14, adfPct: 33, ndfPct: 56, ndfdPct: 60, eePct: 3, ashPct: 9 }
    expect(grassQuality({ ...grass, ndfdPct: 68 }).tdnPct).toBeGreaterThan(grassQuality(grass).tdnPct)
  })

  it('leafy grass lies where hay tests put it, RFQ 100 to 180 (common practice, no source)', () => {
    const { rfq, tdnPct, dmiPct } = grassQuality({
      cpPct: 16,
      adfPct: 32,
      ndfPct: 54,
      ndfdPct: 65,
      eePct: 3,
      ashPct: 9,
    })
    expect(rfq).toBeGreaterThan(100)
    expect(rfq).toBeLessThan(180)
    expect(tdnPct).toBeGreaterThan(50)
    expect(dmiPct).toBeGreaterThan(1.8)
    expect(dmiPct).toBeLessThan(3.5)
  })
})
