import { describe, expect, it } from 'vitest'
import { ANY_SOWN } from '@/core/records/sowingCheck.ts'
import { ageInWeeks, gridStand, judgedFrom, standWord, stocking } from '@/core/assess/sowing/stocking.ts'

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

describe('how often a stand fills the cells of a grid', () => {
  const check = (frames: Record<string, number>[], frameM2 = 0.0225) => ({ on: '2026-11-01', frameM2, cells: 25, frames, note: '' }) // prettier-ignore

  it('four grids of 25 cells: 56 of 100 cells are at least 22 plants on a square metre', () => {
    // Vogel & Masters 2001 (from memory): plants a square metre are at the least 0.4 x percent of cells.
    const stand = gridStand(
      check([{ 'any-sown': 14 }, { 'any-sown': 16 }, { 'any-sown': 11 }, { 'any-sown': 15 }]),
      sown,
    )
    const any = stand.find((g) => g.plant === ANY_SOWN)!
    expect(any.cells).toBe(56)
    expect(any.frequency).toBeCloseTo(0.56, 12)
    expect(any.perM2).toBeCloseTo(22.4, 10)
    // Ratio with the grid as the unit, by hand: deviations 0, 2, -3, 1; variance 4/3 x 14 / 100^2.
    const se = Math.sqrt(((4 / 3) * 14) / 10_000)
    expect(any.interval[0]).toBeLessThan(0.56 - 2 * se)
    expect(any.interval[1]).toBeGreaterThan(0.56 + 2 * se)
    expect(stand.find((g) => g.plant === 'timothy')!.frequency).toBe(0)
  })

  it('says nothing of plants a square metre for cells of another size, and does not count a cell twice', () => {
    const [any] = gridStand(check([{ 'any-sown': 40 }], 0.01), sown)
    expect(any).toMatchObject({ cells: 25, frequency: 1, perM2: undefined })
    expect(() => gridStand(check([]), sown)).toThrow(RangeError)
  })

  it.each([
    // Half of the cells a full stand, a quarter an adequate one (Vogel & Masters 2001, from memory).
    [[0.52, 0.7], 'full'],
    [[0.3, 0.45], 'adequate'],
    [[0.02, 0.2], 'partial failure'],
    [[0.4, 0.6], 'undecided'],
    [[0.2, 0.3], 'undecided'],
  ] as const)('cells of %s: %s', (interval, word) => expect(standWord([...interval])).toBe(word))
})
