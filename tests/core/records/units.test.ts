import { describe, expect, it } from 'vitest'
import { keptFrom, shownIn, unitName, unitSystems, type Quantity } from '@/core/records/units.ts'

const quantities: Quantity[] = ['area', 'perArea', 'way', 'length', 'weight', 'energy', 'height', 'costPerArea', 'costPerWeight'] // prettier-ignore

describe('units that are read and typed', () => {
  // NIST Special Publication 811 (2008), appendix B.8, to the figures printed there, from memory.
  it.each([
    ['an acre', 'area', 0.4046873],
    ['a pound an acre', 'perArea', 1.120851],
    ['a yard', 'way', 0.9144],
    ['a foot', 'length', 0.3048],
    ['a pound', 'weight', 0.4535924],
    ['a megacalorie in a pound', 'energy', 2.204623],
    ['an inch', 'height', 2.54],
    ['a dollar an acre', 'costPerArea', 2.471054],
    ['a dollar a short ton', 'costPerWeight', 1.102311],
  ] as const)('%s is what the tables say', (_says, of, kept) => {
    expect(shownIn(of, kept, 'us')).toBeCloseTo(1, 5)
    expect(keptFrom(of, 1, 'us')).toBeCloseTo(kept, 5)
  })

  it('a paddock, a sowing and a cow an advisor knows by heart (common practice, no source)', () => {
    expect(shownIn('area', 10, 'us')).toBeCloseTo(24.7, 1)
    expect(shownIn('perArea', 20, 'us')).toBeCloseTo(17.8, 1)
    expect(shownIn('weight', 500, 'us')).toBeCloseTo(1102, 0)
  })

  it('what was typed comes back as it was typed, in both', () => {
    for (const system of unitSystems)
      for (const of of quantities)
        for (const x of [0.1, 1, 37.5, 1500]) expect(shownIn(of, keptFrom(of, x, system), system)).toBeCloseTo(x, 9)
  })

  it('metric is what is kept', () => {
    for (const of of quantities) expect(shownIn(of, 12.34, 'metric')).toBe(12.34)
    expect(quantities.map((q) => unitName(q, 'metric'))).toEqual([
      'ha',
      'kg/ha',
      'm',
      'm',
      'kg',
      'Mcal/kg',
      'cm',
      '/ha',
      '/t',
    ])
    expect(quantities.map((q) => unitName(q, 'us'))).toEqual([
      'acres',
      'lb/acre',
      'yd',
      'ft',
      'lb',
      'Mcal/lb',
      'in',
      '/acre',
      '/ton',
    ])
  })
})
