import { describe, expect, it } from 'vitest'
import { stockedFor } from '@/core/assess/feed/grazingDays.ts'
import { liveSeedsPerM2 } from '@/core/assess/sowing/seeding.ts'
import { sowingAdvice, type SowingFor } from '@/core/assess/sowing/sowingAdvice.ts'
import { composition } from '@/core/survey/composition.ts'
import { seasonCurve } from '@/core/assess/season/growth.ts'
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
  sowingAdvice(flora.plants, given(counts, rest)).map((f) => f.plant.id)

describe('what could be sown', () => {
  const grassy = { orchardgrass: 9, 'white-clover': 1 }

  it('a grass sward short of legumes gets legumes at home here, perennials before annuals', () => {
    const ids = advised(grassy)
    expect(ids).toEqual(expect.arrayContaining(['red-clover', 'birdsfoot-trefoil', 'alfalfa']))
    const cycles = sowingAdvice(flora.plants, given(grassy)).map((f) => f.plant.cycle)
    expect(cycles).toContain('annual')
    expect(cycles.lastIndexOf('perennial')).toBeLessThan(cycles.indexOf('annual'))
    // Subterranean clover is no plant of cold winters.
    expect(ids).not.toContain('subterranean-clover')
    // Already a tenth of the sward.
    expect(ids).not.toContain('white-clover')
  })

  it('enough legume asks for none; turf and native plantings get theirs', () => {
    expect(advised({ orchardgrass: 6, 'white-clover': 4 })).toEqual([])
    const turf = advised({ 'annual-bluegrass': 7, bare: 3 }, { outlook: 'turf' })
    expect(turf).toEqual(expect.arrayContaining(['perennial-ryegrass', 'kentucky-bluegrass', 'red-fescue']))
    expect(turf).not.toContain('red-clover')
    const native = advised({ 'giant-foxtail': 9, bare: 1 }, { outlook: 'native', region: 'semi-arid' })
    expect(native).toEqual(expect.arrayContaining(['blue-grama', 'sideoats-grama']))
  })

  it('what harms the stock is not proposed: no alsike for horses; bloat is a caution', () => {
    expect(advised(grassy)).toContain('alsike-clover')
    expect(advised(grassy, { animal: 'horses' })).not.toContain('alsike-clover')
    const red = sowingAdvice(flora.plants, given(grassy, { animal: 'cattle' })).find(
      (f) => f.plant.id === 'red-clover',
    )!
    expect(red.cautions.map((h) => h.kind)).toContain('bloat')
  })

  it('what was sown and not met comes first', () => {
    expect(advised(grassy, { sown: ['timothy', 'orchardgrass'] })[0]).toBe('timothy')
  })

  it('a midsummer gap is filled by what grows or roots deep then', () => {
    const curve = seasonCurve(madeNormals['warm-humid'], { cool: 1, warm: 0 }).mixture
    const fits = sowingAdvice(
      flora.plants,
      given({ 'tall-fescue': 6, 'white-clover': 4 }, { region: 'warm-humid', curve }),
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
