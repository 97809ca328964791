import { describe, expect, it } from 'vitest'
import { stockedFor } from '@/core/assess/feed/grazingDays.ts'
import { liveSeedsPerM2 } from '@/core/assess/sowing/seeding.ts'
import { sowingAdvice, type SowingFor } from '@/core/assess/sowing/sowingAdvice.ts'
import { nextSowingDay } from '@/core/assess/sowing/sowingDay.ts'
import { composition } from '@/core/survey/composition.ts'
import { growthYear } from '@/core/assess/season/year.ts'
import { madeNormals } from '@/core/assess/season/madeNormals.ts'
import { flora, plantsById } from '@/tests/support/book.ts'
import { hitsOf } from '@/tests/support/rounds.ts'

const made = (counts: Record<string, number>) =>
  composition(
    [1, 2, 3].map((seq) => ({ seq, hits: hitsOf(counts) })),
    {},
    plantsById,
  )!
const given = (counts: Record<string, number>, rest: Partial<SowingFor> = {}): SowingFor => ({
  made: made(counts),
  region: 'cool-humid',
  outlook: 'grazing',
  sown: [],
  curve: undefined,
  ...rest,
})
const advised = (counts: Record<string, number>, rest?: Partial<SowingFor>) =>
  sowingAdvice(flora.plants, given(counts, rest)).fits.map((f) => f.plant.id)

describe('what could be sown', () => {
  const grassy = { orchardgrass: 9, 'white-clover': 1 }

  it('a grass sward short of legumes gets legumes at home here, perennials before annuals', () => {
    const ids = advised(grassy)
    expect(ids).toEqual(expect.arrayContaining(['red-clover', 'birdsfoot-trefoil', 'alfalfa']))
    const cycles = sowingAdvice(flora.plants, given(grassy)).fits.map((f) => f.plant.cycle)
    expect(cycles).toContain('annual')
    expect(cycles.lastIndexOf('perennial')).toBeLessThan(cycles.indexOf('annual'))
    // Subterranean clover is no plant of cold winters.
    expect(ids).not.toContain('subterranean-clover')
    // Already a tenth of the sward.
    expect(ids).not.toContain('white-clover')
  })

  it('enough legume asks for none; native plantings get theirs', () => {
    expect(advised({ orchardgrass: 6, 'white-clover': 4 })).toEqual([])
    const native = advised({ 'giant-foxtail': 9, bare: 1 }, { outlook: 'native', region: 'semi-arid' })
    expect(native).toEqual(expect.arrayContaining(['blue-grama', 'sideoats-grama']))
  })

  // Cases of an agronomist's reading of this advice; common practice, no source.
  it('a bare cattle pasture is offered tall fescue and ryegrass, as seed without the harmful endophyte', () => {
    const { fits } = sowingAdvice(flora.plants, given({ 'giant-foxtail': 3, bare: 7 }, { animal: 'cattle' }))
    const of = (id: string) => fits.find((f) => f.plant.id === id)
    expect(of('tall-fescue')?.conditions).toContain('endophyte-free-seed')
    expect(of('perennial-ryegrass')?.conditions).toContain('endophyte-free-seed')
    expect(advised(grassy, { animal: 'sheep' })).toContain('red-clover')
  })

  it('wet ground is offered no alfalfa, sour ground only with lime, and alfalfa never follows itself', () => {
    const wet = sowingAdvice(flora.plants, given(grassy, { site: ['wet'] }))
    expect(wet.fits.map((f) => f.plant.id)).not.toContain('alfalfa')
    expect(wet.held).toContainEqual({ plant: plantsById.get('alfalfa'), because: 'site' })
    expect(wet.fits.map((f) => f.plant.id)).toContain('alsike-clover')
    const sour = sowingAdvice(flora.plants, given(grassy, { ph: 5.8 })).fits
    const asks = (id: string) => sour.find((f) => f.plant.id === id)!.conditions.includes('lime-first')
    expect([asks('alfalfa'), asks('red-clover'), asks('birdsfoot-trefoil')]).toEqual([true, true, false])
    const thin = sowingAdvice(flora.plants, given({ orchardgrass: 19, alfalfa: 1 }))
    expect(thin.held).toContainEqual({ plant: plantsById.get('alfalfa'), because: 'autotoxic' })
    expect(sour.find((f) => f.plant.id === 'alfalfa')!.conditions).toContain('inoculate')
  })

  it('ryegrass is repaired with ryegrass; no bermudagrass is drilled into a fescue sod for summer', () => {
    expect(advised({ 'perennial-ryegrass': 6, 'white-clover': 3, bare: 4 })).toContain('perennial-ryegrass')
    const curve = growthYear(madeNormals.transition, { cool: 1, warm: 0 }).mixture
    const ids = advised({ 'tall-fescue': 6, 'white-clover': 4 }, { region: 'transition', curve })
    expect(ids).not.toContain('bermudagrass')
    expect(ids).not.toContain('dallisgrass')
  })

  it('is due in its season, not today', () => {
    expect(nextSowingDay(['late-summer'], '2026-11-29')).toBe('2027-08-10')
    expect(nextSowingDay(['spring', 'late-summer'], '2026-08-20')).toBe('2026-08-20')
    expect(nextSowingDay(['spring', 'late-summer'], '2026-05-20')).toBe('2026-08-10')
  })

  it('what harms the stock is not proposed: no alsike for horses; bloat is a caution', () => {
    expect(advised(grassy)).toContain('alsike-clover')
    expect(advised(grassy, { animal: 'horses' })).not.toContain('alsike-clover')
    const red = sowingAdvice(flora.plants, given(grassy, { animal: 'cattle' })).fits.find(
      (f) => f.plant.id === 'red-clover',
    )!
    expect(red.cautions.map((h) => h.kind)).toContain('bloat')
  })

  it('what was sown and not met comes first', () => {
    expect(advised(grassy, { sown: ['timothy', 'orchardgrass'] })[0]).toBe('timothy')
  })

  it('a midsummer gap is filled by what grows or roots deep then', () => {
    const curve = growthYear(madeNormals['transition'], { cool: 1, warm: 0 }).mixture
    const { fits } = sowingAdvice(
      flora.plants,
      given({ 'tall-fescue': 6, 'white-clover': 4 }, { region: 'transition', curve }),
    )
    expect(fits.every((f) => f.reason === 'gap')).toBe(true)
    expect(fits.some((f) => f.plant.season === 'warm')).toBe(true)
  })
})

describe('rates on file', () => {
  const sown = flora.plants.filter((p) => p.sowing)

  it('every plant sown in the trade has a rate: in order, and with seeds on the ground that a sower would know', () => {
    expect(sown.length).toBeGreaterThan(45)
    for (const { id, sowing } of sown) {
      const { kgPerHa, mixKgPerHa, seedsPerKg, depthMm } = sowing!
      expect(kgPerHa[0], id).toBeLessThan(kgPerHa[1])
      if (mixKgPerHa) expect(mixKgPerHa[1], id).toBeLessThanOrEqual(kgPerHa[1])
      expect(depthMm[1], id).toBeLessThanOrEqual(40)
      // Common practice, no source: from some 15 (gamagrass) to 60,000 (bentgrass greens) live seeds on a square metre.
      const seeds = liveSeedsPerM2(kgPerHa[1], 1, seedsPerKg)
      expect(seeds, id).toBeGreaterThan(15)
      expect(seeds, id).toBeLessThan(70_000)
    }
  })

  it.each([
    // Seeds in a pound as printed on seed tables of the trade (common practice, no source; from memory).
    ['alfalfa', 220_000],
    ['white-clover', 800_000],
    ['red-clover', 275_000],
    ['timothy', 1_230_000],
    ['orchardgrass', 650_000],
    ['perennial-ryegrass', 227_000],
    ['kentucky-bluegrass', 2_180_000],
    ['birdsfoot-trefoil', 375_000],
    ['hairy-vetch', 16_000],
    ['eastern-gamagrass', 7_300],
    ['cereal-rye', 18_000],
  ])('%s: about %i seeds in a pound', (id, perPound) => {
    const here = plantsById.get(id)!.sowing!.seedsPerKg * 0.45359237
    expect(here / perPound).toBeGreaterThan(0.85)
    expect(here / perPound).toBeLessThan(1.15)
  })
})

describe('stocking the other way', () => {
  const one = { low: 140, middle: 200, high: 280 }
  it('200 days for one is 20 animals for ten days; 30 need half as much ground again', () => {
    const { animals, areaHa } = stockedFor(10, { count: 30, areaHa: 4 }, one)
    expect(animals).toEqual({ low: 14, middle: 20, high: 28 })
    expect(areaHa.middle).toBeCloseTo(6, 10)
    // More animals could be fed where less ground is needed: the range turns round.
    expect(areaHa.low).toBeCloseTo((4 * 30) / 28, 10)
    expect(areaHa.high).toBeCloseTo((4 * 30) / 14, 10)
  })
  it('nothing above the residual feeds none, on any ground; no days is refused', () => {
    const none = stockedFor(7, { count: 5, areaHa: 1 }, { low: 0, middle: 0, high: 0 })
    expect(none.animals.middle).toBe(0)
    expect(none.areaHa.middle).toBe(Infinity)
    expect(() => stockedFor(0, { count: 5, areaHa: 1 }, one)).toThrow(RangeError)
  })
})
