import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dosesHere, harmMatrix } from '@/core/assess/harm/exposures.ts'
import { feedForms } from '@/core/flora/flora.ts'
import { harmAs, madeInto } from '@/core/assess/harm/kinds.ts'
import { flora, plantsById } from '@/tests/support/book.ts'

const plant = (id: string) => plantsById.get(id)!

describe('what the book says of harm', () => {
  const toxic = flora.plants.filter((p) => p.role === 'toxic')

  it('each harmful plant says what of it harms, what shows, what is done first, and from where it is known', () => {
    for (const p of toxic) {
      expect(p.exposure, p.id).toBeDefined()
      expect(p.exposure!.sources.length, p.id).toBeGreaterThan(0)
      expect(p.exposure!.first, p.id).toMatch(/veterinarian|doctor|wash/i)
    }
  })

  it('no word of it says that anything is safe', () => {
    for (const p of flora.plants)
      expect(JSON.stringify([p.harm, p.exposure, p.control, p.worth]), p.id).not.toMatch(/\bsafe(ly)?\b|harmless to/i)
  })

  it('a reported dose is of an animal that the plant is said to harm, and names who reported it', () => {
    for (const p of flora.plants)
      for (const d of p.exposure?.doses ?? []) {
        expect(
          p.harm.some((h) => h.who.includes(d.animal)),
          `${p.id} ${d.animal}`,
        ).toBe(true)
        expect(d.source, p.id).toMatch(/\d{4}|&|memory/)
        expect(d.percent[0], p.id).toBeLessThanOrEqual(d.percent[1])
      }
  })

  // Common practice, no source, but for what is named.
  it.each([
    ['poison-hemlock', 'hay', 'harmful'],
    ['hemp-dogbane', 'hay', 'harmful'],
    ['tansy-ragwort', 'silage', 'harmful'],
    ['dallisgrass', 'hay', 'harmful'],
    ['white-sweetclover', 'hay', 'harmful'],
    // Buttercups lose their harm when dried (Kingsbury 1964, from memory).
    ['tall-buttercup', 'hay', 'lessened'],
  ] as const)('%s as %s: %s', (id, form, word) => {
    expect(plant(id).exposure!.forms[form]).toBe(word)
  })

  it('hemp dogbane: under about 15 g may kill (common practice, no source)', () => {
    const [dose] = dosesHere(plant('hemp-dogbane'), 'horses', 500)
    expect(dose!.kg[0] * 1000).toBeCloseTo(15, 0)
  })
})

describe('plant by animal by form', () => {
  it('each animal is told of the worst of the harms that strike it: alsike hay and horses, alsike hay and bloat', () => {
    const [row] = harmMatrix([plant('alsike-clover')], ['horses', 'cattle', 'goats'])
    const [horses, cattle, goats] = row!.cells
    expect(horses!.forms.hay).toBe('harmful')
    // Bloat is of the green plant; its first harm is of horses alone.
    expect(cattle!.forms).toMatchObject({ standing: 'harmful', hay: 'lessened' })
    expect(goats!.forms.standing).toBe('not-reported')
  })

  // Findings A2 and A4 of the outside reading of this part; extension tables, Burrows & Tyrl, from memory.
  it.each([
    [
      'sorghum-sudangrass',
      'cattle',
      'hay',
      'harmful',
      'nitrate is not lowered by curing, whatever becomes of prussic acid',
    ],
    ['johnsongrass', 'cattle', 'hay', 'harmful', 'the same'],
    ['red-clover', 'sheep', 'hay', 'harmful', 'oestrogens stay'],
    ['red-clover', 'horses', 'hay', 'harmful', 'slobbers is mostly of hay'],
    ['tall-fescue', 'horses', 'hay', 'harmful', 'the fungus stays'],
    ['alsike-clover', 'horses', 'hay', 'harmful', 'its own file'],
    ['canada-thistle', 'cattle', 'hay', 'harmful', 'nitrate'],
    ['white-clover', 'cattle', 'hay', 'lessened', 'bloat is of the green plant'],
  ] as const)('%s and %s as %s: %s (%s)', (...[id, animal, form, word]) => {
    expect(harmAs(plant(id), form, [animal])).toBe(word)
  })

  it('standing, every harm on file strikes every animal that its note names; what is not known is never lessened', () => {
    for (const p of flora.plants)
      for (const h of p.harm)
        for (const animal of h.who) {
          expect(harmAs(p, 'standing', [animal]), `${p.id} ${animal}`).toBe('harmful')
          const known = [h.kind, ...(h.also ?? [])].flatMap((k) => madeInto[k].hay ?? [])
          // Of its first harm the plant's own file tells.
          const ofFile = h === p.harm[0] && p.exposure !== undefined
          if (!ofFile && known.includes('harmful'))
            expect(harmAs(p, 'hay', [animal]), `${p.id} ${animal}`).toBe('harmful')
          if (known.length === 0 && h !== p.harm[0]) expect(harmAs(p, 'hay', [animal]), `${p.id} ${animal}`).not.toBe('lessened') // prettier-ignore
        }
  })

  it('has every form for every animal asked about, and only plants with a note', () => {
    const rows = harmMatrix(flora.plants, ['cattle', 'horses'])
    expect(rows.length).toBe(flora.plants.filter((p) => p.harm.length > 0).length)
    for (const r of rows) for (const c of r.cells) expect(Object.keys(c.forms).sort()).toEqual([...feedForms].sort())
  })
})

describe('doses beside what stands', () => {
  it('3 to 25 % of a 600 kg cow is 18 to 150 kg of ragwort, worked by hand', () => {
    const [d] = dosesHere(plant('tansy-ragwort'), 'cattle', 600, [0.02, 0.04], [2000, 3000])
    expect(d!.kg).toEqual([18, 150])
    // Densest: 0.04 of 3000 kg on 10,000 m2 is 12 g dry a m2; 18 kg fresh at 15 % dry is 2.7 kg: 225 m2.
    expect(d!.squareMetres![0]).toBeCloseTo(225, 6)
    // Thinnest: 0.02 of 2000 kg is 4 g a m2; 150 kg fresh at 30 % dry is 45 kg: 11,250 m2.
    expect(d!.squareMetres![1]).toBeCloseTo(11_250, 6)
  })

  it('a root is not what a share of the sward measures, and a lower bound of none has no upper area', () => {
    const [root] = dosesHere(plant('water-hemlock'), 'cattle', 600, [0.01, 0.02], [2000, 3000])
    expect(root!.squareMetres).toBeUndefined()
    const [thin] = dosesHere(plant('tansy-ragwort'), 'cattle', 600, [0, 0.02], [2000, 3000])
    expect(thin!.squareMetres![1]).toBe(Infinity)
  })

  it('a heavier animal needs more of it, more of it stands on less ground', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 30, max: 900, noNaN: true }),
        fc.double({ min: 0.001, max: 0.4, noNaN: true }),
        (bodyKg, share) => {
          const at = (kg: number, s: number) =>
            dosesHere(plant('tansy-ragwort'), 'horses', kg, [s, s * 1.5], [1500, 3000])[0]!
          expect(at(bodyKg * 1.1, share).kg[0]).toBeGreaterThan(at(bodyKg, share).kg[0])
          expect(at(bodyKg, share * 1.2).squareMetres![0]).toBeLessThan(at(bodyKg, share).squareMetres![0])
          const [low, high] = at(bodyKg, share).squareMetres!
          expect(low).toBeLessThanOrEqual(high)
        },
      ),
    )
  })

  it('refuses a body weight of nothing', () => {
    expect(() => dosesHere(plant('tansy-ragwort'), 'cattle', 0)).toThrow(RangeError)
  })
})
