import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import {
  aboutWayWords,
  aHectare,
  areaWords,
  estimateIn,
  forField,
  heightWords,
  lengthWords,
  massFigure,
  onEach,
  onSmall,
  rateWords,
  typedIn,
  unitOf,
  useUnits,
  wayWords,
  weightWords,
} from '@/web/parts/units.ts'

const read = (units: 'metric' | 'us') => useUnits.setState({ units })
afterEach(() => read('metric'))

describe('figures as they are read out', () => {
  it('in hectares, kilograms and metres', () => {
    expect([areaWords(2.879), wayWords(15.4), aboutWayWords(447), lengthWords(4)]).toEqual(['2.88 ha', '15 m', '450 m', '4 m']) // prettier-ignore
    expect([rateWords(12.25), rateWords(1450), massFigure(1447), unitOf('perArea')]).toEqual(['12 kg/ha', '1450 kg/ha', 1450, 'kg/ha']) // prettier-ignore
    expect([weightWords(2.345), weightWords(454.2), heightWords(12)]).toEqual(['2.3 kg', '454 kg', '12 cm'])
    expect([onEach(50), aHectare(), onSmall(850)]).toEqual([50, 'a hectare', '850 live seeds on a square metre'])
  })

  // 1 ha = 2.471 acres, 1 kg/ha = 0.8922 lb/acre, 1 m = 1.0936 yd = 3.2808 ft, 1 kg = 2.2046 lb, 1 in = 2.54 cm (NIST SP 811).
  it('in acres, pounds, yards, feet and inches', () => {
    read('us')
    expect([areaWords(2.879), wayWords(15.4), aboutWayWords(447), lengthWords(4)]).toEqual(['7.11 acres', '17 yd', '490 yd', '13 ft']) // prettier-ignore
    expect([rateWords(12.25), rateWords(1450), massFigure(1447), unitOf('perArea')]).toEqual(['11 lb/acre', '1294 lb/acre', 1290, 'lb/acre']) // prettier-ignore
    expect([weightWords(2.345), weightWords(454.2), heightWords(12)]).toEqual(['5.2 lb', '1001 lb', '4.7 in'])
    expect(onEach(50)).toBeCloseTo(20.23, 2)
    expect([aHectare(), onSmall(850)]).toEqual(['an acre', '79 live seeds on a square foot'])
  })

  it('a range goes over with its figure, and stays in its order', () => {
    read('us')
    const { low, middle, high } = estimateIn('energy', { low: 2.2, middle: 2.4, high: 2.6 })
    expect([low, middle, high].map((x) => Number(x.toFixed(2)))).toEqual([1.0, 1.09, 1.18])
  })
})

describe('a field of a form', () => {
  beforeEach(() => read('us'))

  it('shows whole figures from a hundred on, and small ones as they were typed', () => {
    expect(forField('perArea', 2500)).toBe(2230)
    expect(forField('perArea', typedIn('perArea', 12.5))).toBe(12.5)
    read('metric')
    expect([forField('perArea', 2500.4), forField('perArea', 12.25)]).toEqual([2500, 12.25])
  })

  it('what is kept from it is metric, whichever way it was typed', () => {
    expect(typedIn('perArea', 1000)).toBeCloseTo(1120.85, 2)
    expect(typedIn('height', 10)).toBeCloseTo(25.4, 9)
    read('metric')
    expect(typedIn('perArea', 1000)).toBe(1000)
  })
})
