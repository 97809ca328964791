import { describe, expect, it } from 'vitest'
import { intakePct } from '@/core/assess/feed/intake.ts'
import { meetsNeeds, shortOver } from '@/core/assess/feed/meetsNeeds.ts'
import { animalClass, dailyNeeds } from '@/core/assess/feed/needs.ts'

const same = (n: number, x: number) => Array.from({ length: n }, () => x)
/** A feed that is known for certain. */
const feed = (cp: number, ndf: number, tdn: number, de = 2) => ({
  draws: { cpPct: same(20, cp), ndfPct: same(20, ndf), tdnPct: same(20, tdn), horseDe: same(20, de) },
})
const of = (id: string) => animalClass(id)!

describe('what an animal eats', () => {
  it('cattle eat 120 / NDF % of their weight at the most: 1.71 of NDF 70 (Mertens 1987), not the 2.4 of the class', () => {
    expect(intakePct('cattle', 2.4, { ndf: 70, cp: 10 })).toBeCloseTo(1.714, 3)
    expect(intakePct('cattle', 2.4, { ndf: 40, cp: 20 })).toBe(2.4)
  })

  it('and less where protein fails, but no less than the floor; horses need no rumen to be fed', () => {
    expect(intakePct('cattle', 2, { ndf: 50, cp: 5.6 })).toBeCloseTo(1.6, 6)
    expect(intakePct('cattle', 2, { ndf: 50, cp: 1 })).toBeCloseTo(1.2, 6)
    expect(intakePct('horses', 2, { ndf: 50, cp: 5 })).toBe(2)
    expect(() => intakePct('cattle', 2, { ndf: 0, cp: 5 })).toThrow(RangeError)
  })
})

describe('needs of a day', () => {
  it('an idle horse of 500 kg needs 16.7 Mcal and 630 g of protein, at work 23.3 (NRC 2007, from memory)', () => {
    expect(dailyNeeds(of('horse-idle'))).toMatchObject({ energy: 16.7, unit: 'mcal-de', proteinKg: 0.63 })
    expect(dailyNeeds(of('horse-work')).energy).toBe(23.3)
  })

  it('a dry cow of 545 kg: 10.6 kg of dry matter, 0.74 of protein, 5.3 of TDN (NRC 1996, from memory)', () => {
    const { eatsKg, proteinKg, energy } = dailyNeeds(of('cow-dry'))
    expect(eatsKg).toBeCloseTo(10.6, 1)
    expect(proteinKg).toBeCloseTo(0.74, 2)
    expect(energy).toBeCloseTo(5.3, 1)
  })

  it('the last weeks of carrying ask for more than a dry animal, of everything (NRC, from memory)', () => {
    for (const [dry, late] of [
      ['cow-dry', 'cow-late'],
      ['ewe-dry', 'ewe-late-twins'],
      ['goat-dry', 'goat-late'],
      ['horse-idle', 'mare-late'],
    ]) {
      // prettier-ignore
      const [a, b] = [dailyNeeds(of(dry!)), dailyNeeds(of(late!))]
      expect(b.proteinKg).toBeGreaterThan(a.proteinKg)
      expect(b.energy).toBeGreaterThan(a.energy)
    }
  })
})

describe('needs held against the draws of a feed', () => {
  it('by hand: a dry cow on 8 % protein and TDN 54 of NDF 60 eats 10.6 kg and is met in both', () => {
    const { met, eatsKg } = meetsNeeds(feed(8, 60, 54), of('cow-dry'))
    expect(eatsKg.middle).toBeCloseTo(10.6, 1)
    expect(met[0]).toMatchObject({ what: 'protein', unit: 'kg', chance: 1, short: 0 })
    expect(met[1]).toMatchObject({ what: 'energy', unit: 'kg-tdn', chance: 1 })
  })

  // Cases of an agronomist's reading: what stood here before fed a dry cow on dead broomsedge and a horse on cow's TDN.
  it('dead grass of 4 % protein, NDF 75 and TDN 44 does not feed a dry cow, and says that protein comes first', () => {
    const { met, notes } = meetsNeeds(feed(4, 75, 44), of('cow-dry'))
    expect(met.map((m) => m.chance)).toEqual([0, 0])
    expect(notes).toEqual(expect.arrayContaining(['protein-first', 'fills-before-it-feeds']))
  })

  it('stemmy pasture of 2.07 Mcal feeds neither a mare with foal nor surely a working horse; TDN does not enter', () => {
    const energy = (id: string, tdn: number) => meetsNeeds(feed(11, 56, tdn, 2.07), of(id)).met[1]
    expect(energy('mare-milking', 61).chance).toBe(0)
    expect(energy('mare-milking', 61)).toEqual(energy('mare-milking', 40))
    expect(energy('horse-work', 61).chance).toBeGreaterThan(0.2)
    expect(energy('horse-work', 61).chance).toBeLessThan(0.8)
  })

  it('an idle horse on leafy grass is told that it is too much; a milking mare is not', () => {
    const notes = (id: string) => meetsNeeds(feed(18, 45, 68, 2.6), of(id)).notes
    expect(notes('horse-idle')).toContain('more-than-needed')
    expect(notes('mare-milking')).not.toContain('more-than-needed')
  })

  it('what a herd lacks over its stay: 40 animals, ten days, 30 g each short of protein is 12 kg', () => {
    const { met } = meetsNeeds(feed(8, 60, 54), of('cow-dry'))
    const short = shortOver({ ...met[0], need: met[0].has.middle + 0.03 }, 40, 10)
    expect(short.middle).toBeCloseTo(12, 6)
    expect(() => shortOver(met[0], 0, 10)).toThrow(RangeError)
  })
})
