import { describe, expect, it } from 'vitest'
import { hazardFacts } from '@/core/assess/harm/hazards/factsOf.ts'
import { hazardModules, readHazards } from '@/core/assess/harm/hazards/index.ts'
import { animalClasses } from '@/core/assess/feed/needs.ts'
import { looksToBound, noneFoundUpperBound } from '@/core/stats/proportionIntervals.ts'
import { flora, plantsById } from '@/tests/support/book.ts'
import { countedStop, hitsOf, roundOf } from '@/tests/support/rounds.ts'

const round = roundOf('step-points', [
  countedStop(1, { hits: hitsOf({ 'white-clover': 6, 'red-clover': 2, timothy: 2 }) }),
  countedStop(2, { hits: hitsOf({ 'white-clover': 3, timothy: 5, 'wild-parsnip': 2 }) }),
  countedStop(3, { hits: hitsOf({ 'white-clover': 3, timothy: 7 }) }),
])
const here = (kind?: string) =>
  readHazards(hazardFacts(round, plantsById, { animal: animalClasses.find((a) => a.kind === kind) }), flora.hazards)

describe('dangers that looking does not tell', () => {
  it('every danger of the trade is in the book, says what shows, what does not and which test, and has a source', () => {
    // The list of dangers: common practice, no source.
    expect(flora.hazards.map((h) => h.id)).toEqual(
      expect.arrayContaining(['bloat', 'nitrate', 'prussic-acid', 'endophyte', 'ergot', 'oestrogen', 'sun-burn', 'blister-sap', 'pollen']), // prettier-ignore
    )
    for (const h of flora.hazards) {
      for (const text of [h.shows, h.hidden, h.test, h.do, ...h.sources]) expect(text.length, h.id).toBeGreaterThan(3)
      expect(`${h.shows} ${h.hidden} ${h.do}`, h.id).not.toMatch(/\bsafe(ly)?\b/i)
    }
  })

  it('facts of the trade: birdsfoot trefoil does not bloat, johnsongrass carries prussic acid and nitrate', () => {
    // Common practice, no source.
    const of = (id: string) => flora.hazards.find((h) => h.id === id)!.plants
    expect(of('bloat')).not.toContain('birdsfoot-trefoil')
    expect(of('bloat')).not.toContain('sainfoin')
    expect(of('prussic-acid')).toContain('johnsongrass')
    expect(of('nitrate')).toEqual(expect.arrayContaining(['johnsongrass', 'redroot-pigweed']))
    expect(of('endophyte')).toContain('tall-fescue')
    expect(of('ergot')).toContain('dallisgrass')
    expect(of('blister-sap')).toEqual(expect.arrayContaining(['wild-parsnip', 'giant-hogweed', 'cow-parsnip']))
    expect(of('blister-sap')).not.toContain('poison-hemlock')
  })

  it('plants that carry one are added up with an interval, the most of them first', () => {
    const bloat = here().find((h) => h.hazard.id === 'bloat')!
    expect(bloat.plants).toEqual(['white-clover', 'red-clover'])
    expect(bloat.share.estimate).toBeCloseTo(14 / 30, 10)
    expect(bloat.share.interval![0]).toBeLessThan(14 / 30)
  })

  it('what concerns the stock comes first; people are always among those it concerns', () => {
    const horses = here('horses')
    const bloat = horses.find((h) => h.hazard.id === 'bloat')!
    expect(bloat.concerns).toBe(false)
    expect(horses.findIndex((h) => !h.concerns)).toBeGreaterThan(horses.findLastIndex((h) => h.concerns))
    expect(horses.find((h) => h.hazard.id === 'blister-sap')!.concerns).toBe(true)
    expect(here().every((h) => h.concerns)).toBe(true)
  })

  it('none is named whose plants were not met, but those of the whole feed', () => {
    expect(here().map((h) => h.hazard.id)).not.toContain('prussic-acid')
    const empty = readHazards(hazardFacts(roundOf('step-points', []), plantsById, {}), flora.hazards)
    expect(empty.map((h) => h.hazard.id).sort()).toEqual(['copper', 'selenium'])
  })

  it('every danger of the book is worked out, and none is ever called off', () => {
    expect(Object.keys(hazardModules).sort()).toEqual(flora.hazards.map((h) => h.id).sort())
    for (const reading of here()) expect(['act', 'raised', 'open']).toContain(reading.grade)
  })
})

describe('what walking more would buy', () => {
  it('59 looks with nothing leave up to 5 %, and one fewer does not', () => {
    // 0.95^59 = 0.0485, 0.95^58 = 0.0510: the usual "59 samples" of a 95 % check at 5 %.
    expect(looksToBound(0.05)).toBe(59)
    expect(noneFoundUpperBound(59)).toBeLessThanOrEqual(0.05)
    expect(noneFoundUpperBound(58)).toBeGreaterThan(0.05)
    expect(() => looksToBound(0)).toThrow(RangeError)
  })
})
