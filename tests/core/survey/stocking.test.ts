import { describe, expect, it } from 'vitest'
import { ageInWeeks, judgedFrom, stocking } from '@/core/survey/stocking.ts'

const seeds = (plant: string) => ({ timothy: 2_700_000, 'red-clover': 600_000 })[plant]
const sown = [
  { plant: 'timothy', kgPerHa: 6, pls: 0.8 },
  { plant: 'red-clover', kgPerHa: 4, pls: 0.75 },
]

describe('seedlings against live seed', () => {
  it('by hand: 8, 12 and 10 in frames of 0.1 m2 are 100 on a square metre, 50 to 150', () => {
    // Sd 2, standard error 2 / sqrt(3) = 1.1547, t(2) 4.3027: 10 give or take 4.968 seedlings a frame.
    const frames = [{ timothy: 8 }, { timothy: 12 }, { timothy: 10 }]
    const [timothy] = stocking({ frames, frameM2: 0.1 }, sown, seeds)
    expect(timothy!.perM2).toBeCloseTo(100, 10)
    expect(timothy!.interval[0]).toBeCloseTo(50.32, 2)
    expect(timothy!.interval[1]).toBeCloseTo(149.68, 2)
    // 6 kg x 0.8 x 2,700,000 over 10,000 m2 are 1,296 live seeds.
    expect(timothy!.sownPerM2).toBeCloseTo(1296, 8)
    expect(timothy!.emerged!.share).toBeCloseTo(100 / 1296, 10)
  })

  it('none found leaves an upper limit, as a count does (Garwood 1936): 3.689 over the area looked at', () => {
    const clover = stocking({ frames: [{}, {}, {}, {}], frameM2: 0.25 }, sown, seeds).find(
      (s) => s.plant === 'red-clover',
    )!
    expect(clover.perM2).toBe(0)
    expect(clover.interval[0]).toBe(0)
    expect(clover.interval[1]).toBeCloseTo(3.689, 3)
    expect(clover.emerged!.interval[1]).toBeGreaterThan(0)
  })

  it('one frame has the limits of its count, not none', () => {
    const [timothy] = stocking({ frames: [{ timothy: 10 }], frameM2: 1 }, sown, seeds)
    // Exact limits of a count of 10: 4.795 to 18.39 (the usual table).
    expect(timothy!.interval[0]).toBeCloseTo(4.795, 3)
    expect(timothy!.interval[1]).toBeCloseTo(18.39, 2)
  })

  it('a plant that was not sown is counted all the same, one without a seed weight has no share', () => {
    const list = stocking({ frames: [{ dandelion: 3, chicory: 1 }], frameM2: 0.5 }, [...sown, { plant: 'chicory', kgPerHa: 2, pls: 0.8 }], seeds) // prettier-ignore
    expect(list.find((s) => s.plant === 'dandelion')).toMatchObject({ seedlings: 3, perM2: 6, emerged: undefined })
    expect(list.find((s) => s.plant === 'chicory')!.sownPerM2).toBeUndefined()
    expect(() => stocking({ frames: [], frameM2: 0.1 }, sown, seeds)).toThrow(RangeError)
    expect(() => stocking({ frames: [{}], frameM2: 0 }, sown, seeds)).toThrow(RangeError)
  })
})

describe('when a stand is judged', () => {
  it.each([
    // Spring sowings after eight weeks, autumn ones next spring: common practice, no source.
    ['2026-04-10', '2026-06-05'],
    ['2026-08-14', '2026-10-09'],
    ['2026-08-15', '2027-05-01'],
    ['2026-10-20', '2027-05-01'],
    ['2026-12-30', '2027-05-01'],
  ])('sown %s: from %s', (on, from) => expect(judgedFrom(on)).toBe(from))

  it('age is in whole weeks', () => {
    expect(ageInWeeks('2026-04-10', '2026-04-16')).toBe(0)
    expect(ageInWeeks('2026-04-10', '2026-04-24')).toBe(2)
  })
})
