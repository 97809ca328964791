import { describe, expect, it } from 'vitest'
import type { LabResult } from '@/core/assess/feed/labResult.ts'
import { meetsNeeds } from '@/core/assess/feed/meetsNeeds.ts'
import type { MixtureFeed } from '@/core/assess/feed/mixtureFeed.ts'
import { animalClass } from '@/core/assess/feed/needs.ts'
import { walkedFeed } from '@/core/assess/feed/walkedFeed.ts'

const of = (middle: number): MixtureFeed => {
  const e = { middle, low: middle - 2, high: middle + 2 }
  return { cpPct: e, adfPct: e, ndfPct: e, rfv: e, ddmPct: e, tdnPct: e, meMcalPerKg: e, nemMcalPerKg: e, negMcalPerKg: e, draws: { cpPct: [middle], tdnPct: [middle] }, known: 1, leftOut: [], sources: [] } // prettier-ignore
}
const feed = { leafy: of(18), stemmy: of(9) }
const lab: LabResult = { sample: 'L-1', cpPct: 12, adfPct: 38, ndfPct: 60, simulated: false }
const bases = (...args: Parameters<typeof walkedFeed>) => walkedFeed(...args).map((w) => w.basis)

describe('the feed that needs are held against', () => {
  it('goes by the growth that was walked, and shows both ends where nobody noted it', () => {
    expect(bases(feed, 'leafy', undefined)).toEqual(['leafy'])
    expect(bases(feed, 'headed', undefined)).toEqual(['stemmy'])
    expect(bases(feed, undefined, undefined)).toEqual(['leafy', 'stemmy'])
    // A milking cow of 14.5 % protein (NRC 2001, from memory) is met by leaf and not by stem.
    const met = (stage: 'leafy' | 'stemmy') =>
      meetsNeeds(walkedFeed(feed, stage, undefined)[0]!.feed, animalClass('cow-dairy')!)[0]!.chance
    expect([met('leafy'), met('stemmy')]).toEqual([1, 0])
  })

  it('is a laboratory result where there is one, whatever was walked; one that was made up is not', () => {
    expect(bases(feed, 'leafy', lab)).toEqual(['laboratory'])
    expect(bases(feed, 'leafy', { ...lab, simulated: true })).toEqual(['leafy'])
  })

  it('holds the error of laboratories: a need at the figure is met in half of the draws', () => {
    const sample = walkedFeed(feed, undefined, lab)[0]!.feed
    const chance = (cpPct: number) => meetsNeeds(sample, { ...animalClass('cow-dry')!, cpPct })[0]!.chance
    expect(chance(12)).toBeCloseTo(0.5, 2)
    // One point is the error 95 times in 100: 97.5 % lie above the figure less one.
    expect(chance(11)).toBeCloseTo(0.975, 2)
    // 88.9 - 0.779 x 38 = 59.3 (Rohweder, Barnes & Jorgensen 1978).
    expect(sample.tdnPct.middle).toBeCloseTo(59.298, 3)
  })
})
