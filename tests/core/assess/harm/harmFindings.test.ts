import { harmKindWords } from '@/text/harmWords.ts'
import { describe, expect, it } from 'vitest'
import { harmFindings, type Walked } from '@/core/assess/harm/harmFindings.ts'
import { isOfPoisonousGenus } from '@/core/assess/harm/poisonousGenera.ts'
import { standingCautions } from '@/text/standingCautions.ts'
import { composition } from '@/core/survey/composition.ts'
import type { StopTally } from '@/core/methods/tally.ts'
import { flora, plantsById } from '@/tests/support/book.ts'

const stops = (list: string[][]): StopTally[] =>
  list.map((taxa, i) => ({ seq: i + 1, hits: taxa.map((taxon) => ({ taxon, amount: 1 })) }))
const findings = (list: string[][], counted: 'points' | 'cover' = 'points', walk: Walked = {}) =>
  harmFindings(composition(stops(list), {}, plantsById)!, plantsById, counted, 'cool-humid', walk)

const clean = Array.from({ length: 30 }, () => Array.from({ length: 20 }, () => 'timothy'))

describe('harm of a round', () => {
  it('none in 600 points at 30 stops leaves up to 0.5 % of the ground if it stands evenly, 9.5 % however clumped, and says nothing of places', () => {
    // 1 - 0.05^(1/600) = 0.00498; 1 - 0.05^(1/30) = 0.0950 (Hanley & Lippman-Hand 1983; P(no hit) <= 1 - mean share).
    const { bound, found } = findings(clean)
    expect(found).toEqual([])
    expect(bound.ground!.even).toBeCloseTo(0.00498, 5)
    expect(bound.ground!.clumped).toBeCloseTo(0.095, 4)
    expect(bound.places).toBeUndefined()
  })

  it('stops that were looked round bound the places that hold it, for the least an eye sees', () => {
    // (1 - 0.05^(1/30)) / 0.6 = 0.1584.
    const { bound } = findings(clean, 'points', { searched: 30 })
    expect(bound.places).toMatchObject({ looked: 30, upTo: expect.closeTo(0.1584, 4) })
  })

  it('whole frames bound places, not the share of ground', () => {
    const { bound } = findings(clean, 'cover')
    expect(bound.ground).toBeUndefined()
    expect(bound.places!.looked).toBe(30)
  })

  it('what was seen near a stop is found, at that many stops, and never among the not found', () => {
    const { found, notFound, cautions } = findings(clean, 'points', {
      near: new Map([
        ['tansy-ragwort', 2],
        ['alsike-clover', 1],
      ]),
    })
    expect(found).toMatchObject([{ plant: 'tansy-ragwort', stopsWith: 2, share: { estimate: 0 } }])
    expect(found[0]!.share.interval![1]).toBeCloseTo(0.095, 4)
    expect(cautions.map((c) => c.plant)).toContain('alsike-clover')
    expect(notFound).not.toContain('tansy-ragwort')
  })

  it('every harmful plant of the book is either found or named as not found', () => {
    const { found, notFound, rarerHere, alongEdge } = findings([...clean, ['tansy-ragwort', 'timothy']])
    const toxic = flora.plants.filter((p) => p.role === 'toxic').map((p) => p.id)
    expect([...found.map((f) => f.plant), ...notFound, ...rarerHere, ...alongEdge].sort()).toEqual(toxic.sort())
    expect(found[0]).toMatchObject({ plant: 'tansy-ragwort', stopsWith: 1 })
    expect(found[0]!.notes.length).toBeGreaterThan(0)
    expect(found[0]!.share.interval).toBeDefined()
  })

  it('those at home in the region are named, the rarer ones counted apart', () => {
    const { notFound, rarerHere } = findings(clean)
    expect(notFound).toContain('poison-hemlock')
    expect(rarerHere).toContain('palmer-amaranth')
    expect(notFound.length).toBeLessThan(25)
  })

  it('those of the edge are told apart, for no stop looked there: what kills within hours first (Kingsbury 1964, from memory)', () => {
    const { alongEdge, notFound, rarerHere } = findings(clean)
    expect(alongEdge).toEqual(expect.arrayContaining(['yews', 'black-cherry', 'oaks', 'red-maple']))
    expect([...notFound, ...rarerHere].filter((id) => alongEdge.includes(id))).toEqual([])
    expect(alongEdge.indexOf('yews')).toBeLessThan(alongEdge.indexOf('oaks'))
    // Greasewood is of dry range, not of a hedge; oleander does not stand so far north.
    expect(alongEdge).not.toContain('greasewood')
    expect(alongEdge).not.toContain('oleander')
  })

  it('an unknown without a name is not passed over', () => {
    expect(
      findings([
        ['timothy', 'unknown:A'],
        ['unknown:B', 'timothy'],
      ]).unnamed,
    ).toEqual(['A', 'B'])
  })

  it('feed plants with a caution of their own are listed (alsike and horses: Burrows & Tyrl, from memory)', () => {
    const { cautions } = findings([
      ['alsike-clover', 'timothy'],
      ['timothy', 'timothy'],
    ])
    expect(cautions.map((c) => c.plant)).toEqual(['alsike-clover'])
    expect(cautions[0]!.notes.some((n) => n.who.includes('horses'))).toBe(true)
    expect(cautions[0]!.share.estimate).toBeCloseTo(1 / 4, 10)
  })

  it('every plant of the book with harm on file is told of when it is met, whatever it is grown for', () => {
    for (const p of flora.plants.filter((x) => x.harm.length > 0)) {
      const { found, cautions } = findings([['timothy', p.id], ['timothy']])
      expect(
        [...found, ...cautions].map((f) => f.plant),
        p.id,
      ).toContain(p.id)
    }
  })

  // Finding A6: yew and rattlebox by their scientific names were passed over (poisonous: Kingsbury 1964).
  it('what the book does not describe is not judged, and a poisonous genus is named as one', () => {
    const own = { ...plantsById.get('timothy')!, id: 'my-grass', harm: [], own: true }
    const plants = new Map([...plantsById, [own.id, own]])
    const made = composition(stops([['timothy', 'latin:Taxus baccata', 'latin:Crotalaria spectabilis', 'latin:Aira praecox', 'my-grass', 'bare', 'litter', 'unknown:A', 'white-clover']]), {}, plants)! // prettier-ignore
    const { notJudged } = harmFindings(made, plants, 'points', 'cool-humid')
    expect(new Map(notJudged.map((n) => [n.taxon, n.poisonousGenus]))).toEqual(
      new Map([
        ['latin:Taxus baccata', true],
        ['latin:Crotalaria spectabilis', true],
        ['latin:Aira praecox', false],
        ['my-grass', false],
      ]),
    )
  })

  it.each([
    'Prunus serotina',
    'Acer rubrum',
    'quercus robur',
    'Juglans nigra',
    'Robinia pseudoacacia',
    'Rhododendron',
    'Senecio vulgaris',
    'Solanum',
    'Aconitum napellus',
    'Veratrum viride',
    'Triglochin maritima',
    'Centaurea solstitialis',
    'Amsinckia',
    'Helenium',
    'Sarcobatus',
    'Halogeton glomeratus',
    'Laburnum',
    'Nerium oleander',
  ])('%s is of a poisonous genus', (name) =>
    // prettier-ignore
    expect(isOfPoisonousGenus(name)).toBe(true),
  )

  it('every plant that the book itself calls toxic is of one of them, so that a name alone is caught too', () => {
    const missing = flora.plants.filter((p) => p.role === 'toxic' && !isOfPoisonousGenus(p.scientificName))
    expect(missing.map((p) => p.scientificName)).toEqual([])
  })
})

// Trade facts on harm: common practice, no source, except where a plant's file names one.
describe('harm on file', () => {
  const note = (id: string) =>
    plantsById
      .get(id)!
      .harm.map((h) => `${h.who.join(' ')} ${harmKindWords(h)} ${h.note}`)
      .join(' ')

  it('every plant called toxic says whom it harms and how, and names a source', () => {
    for (const p of flora.plants.filter((x) => x.role === 'toxic')) {
      expect(p.harm.length, p.id).toBeGreaterThan(0)
      expect(p.sources.length, p.id).toBeGreaterThan(0)
    }
  })

  it('poison hemlock harms people too, stays in hay, and asks for gloves', () => {
    expect(note('poison-hemlock')).toMatch(/people/)
    expect(note('poison-hemlock')).toMatch(/hay/)
    expect(note('poison-hemlock')).toMatch(/gloves/)
  })

  it('ragwort stays poisonous in hay', () => expect(note('tansy-ragwort')).toMatch(/hay/))
  it('hemp dogbane is a heart poison, green or dry', () => expect(note('hemp-dogbane')).toMatch(/heart.*dry/is))
  it('dallisgrass itself is not the trouble, its seed heads are', () =>
    expect(note('dallisgrass')).toMatch(/seed heads/))
  it('sweetclover harms as mouldy hay', () => expect(note('yellow-sweetclover')).toMatch(/mouldy/i))
  it('birdsfoot trefoil has no bloat against it (Majak et al. 2003)', () =>
    expect(note('birdsfoot-trefoil')).not.toMatch(/bloat/))
  it('white clover and alfalfa can bloat', () => {
    expect(note('white-clover')).toMatch(/bloat/)
    expect(note('alfalfa')).toMatch(/bloat/)
  })
  it('tall fescue: the endophyte cannot be seen, only tested', () => expect(note('tall-fescue')).toMatch(/test/))
  it('johnsongrass: prussic acid and nitrate', () => expect(note('johnsongrass')).toMatch(/prussic acid and nitrate/))

  it('the standing cautions send to a veterinarian, the label and the law, and never say safe', () => {
    const all = standingCautions().join(' ')
    expect(all).toMatch(/veterinarian/)
    expect(all).toMatch(/label and local law/)
    expect(all).toMatch(/keep a sample/)
    expect(all).not.toMatch(/\bsafe\b/i)
  })
})
