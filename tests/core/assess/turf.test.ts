import { describe, expect, it } from 'vitest'
import { feeding, lbPer1000Ft2, lbPer1000Ft2FromKgPerHa, mowing, turfCalendar, turfPart, turfSeed } from '@/core/assess/turf/turf.ts' // prettier-ignore
import { madeNormals } from '@/core/assess/season/madeNormals.ts'
import type { Share } from '@/core/survey/composition.ts'
import { flora, plantsById } from '@/tests/support/book.ts'

const met = (of: Record<string, number>) =>
  Object.entries(of).map(([id, share]) => ({ plant: plantsById.get(id)!, share }))
const share = (estimate: number, interval?: [number, number]): Share => ({ estimate, interval, se: undefined, designEffect: undefined, method: 'none' }) // prettier-ignore
const sports = { use: 'sports', region: 'cool-humid', sown: [], work: 'overseed' } as const

// Heights and rates: Beard; Turgeon (from memory).
describe('turf by use', () => {
  it('no weed sets the height, though it is a sixth of the ground', () => {
    const ground = met({ 'perennial-ryegrass': 0.47, 'kentucky-bluegrass': 0.16, 'annual-bluegrass': 0.18 })
    expect(mowing(ground, 'sports')).toMatchObject({
      keepMm: [20, 50],
      of: ['perennial-ryegrass', 'kentucky-bluegrass'],
    })
    expect(mowing(ground, 'lawn')).toMatchObject({ keepMm: [40, 65] })
    expect(mowing(met({ 'annual-bluegrass': 0.9 }), 'sports')).toBeUndefined()
  })

  it('never more than a third goes: kept at 40, cut at 60', () => {
    const made = mowing(met({ 'kentucky-bluegrass': 1 }), 'lawn')
    expect(made).toMatchObject({ keepMm: [40, 90], cutAtMm: [60, 135] })
  })

  it('a lawn of tall fescue may stand at 100 mm, of bluegrass at 90', () => {
    expect(plantsById.get('tall-fescue-turf')!.turf!.mowMm.lawn![1]).toBe(100)
    expect(plantsById.get('kentucky-bluegrass')!.turf!.mowMm.lawn![1]).toBe(90)
  })

  it('goal mouths of ryegrass are sown again with ryegrass, at turf rates: 10,000 seeds a square metre and more', () => {
    const ground = met({ 'perennial-ryegrass': 0.6, 'kentucky-bluegrass': 0.2 })
    const seed = turfSeed(flora.plants, { ...sports, met: ground, work: 'sow-anew' })
    const ids = seed.map((s) => s.plant.id)
    expect(ids[0]).toBe('perennial-ryegrass')
    expect(ids).not.toContain('creeping-bentgrass')
    const [low] = seed[0]!.gPerM2
    expect((low / 1000) * seed[0]!.plant.sowing!.seedsPerKg).toBeGreaterThan(10_000)
    // 250 to 400 kg/ha, against 25 to 35 of a pasture.
    expect(low * 10).toBeGreaterThanOrEqual(250)
  })

  it('a bare bermudagrass ground in the South is offered bermudagrass', () => {
    const seed = turfSeed(flora.plants, { ...sports, region: 'warm-humid', met: met({ bermudagrass: 0.6 }) })
    expect(seed[0]!.plant.id).toBe('bermudagrass')
    expect(seed.every((s) => s.plant.season === 'warm')).toBe(true)
  })

  it('nitrogen of a ryegrass ground is 100 to 200 kg a year, most of it in autumn; of bermudagrass in summer', () => {
    const cool = feeding(met({ 'perennial-ryegrass': 0.8, 'annual-bluegrass': 0.2 }), 'sports')!
    expect(cool.yearKgPerHa).toEqual([100, 200])
    expect(cool.split.autumn).toBeGreaterThan(0.5)
    expect(feeding(met({ bermudagrass: 1 }), 'sports')!.split.summer).toBeGreaterThan(0.5)
    expect(Object.values(cool.split).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9)
  })

  it('one pound a thousand square feet is 4.88 g a square metre and 48.8 kg a hectare', () => {
    expect(lbPer1000Ft2(4.8824)).toBeCloseTo(1, 3)
    expect(lbPer1000Ft2FromKgPerHa(48.824)).toBeCloseTo(1, 3)
  })

  it('parts are judged by their bare ground, and said to be unsure where the interval reaches over a mark', () => {
    expect(turfPart('goal', share(0.6, [0.5, 0.7]), share(0.3))).toMatchObject({ work: 'sow-anew', sure: true })
    expect(turfPart('wing', share(0.08, [0.03, 0.14]), share(0.9))).toMatchObject({ work: 'keep', sure: false })
  })

  it('the year by the warmth of the soil: weeds in spring, cool-season seed in early autumn, warm-season in early summer', () => {
    const months = (season: 'cool' | 'warm', job: string, r: 'cool-humid' | 'warm-humid') => turfCalendar(madeNormals[r].meanC, season).find((j) => j.job === job)!.months // prettier-ignore
    expect(months('cool', 'stop-annuals', 'cool-humid')).toEqual([4])
    expect(months('cool', 'sow-cool', 'cool-humid')).toEqual(expect.arrayContaining([8]))
    expect(months('warm', 'sow-warm', 'warm-humid')).toEqual(expect.arrayContaining([4, 5]))
    expect(months('cool', 'rest', 'warm-humid')).toEqual(expect.arrayContaining([6, 7]))
    expect(() => turfCalendar([1], 'cool')).toThrow(RangeError)
  })
})
