import { describe, expect, it } from 'vitest'
import type { Round } from '@/core/records/round.ts'
import { gridFrequency, nestedFrequency, nestsFixedBy, VOGEL_MASTERS } from '@/core/methods/estimators/frequency.ts'
import { countedStop } from '@/tests/support/rounds.ts'

type Hit = Round['stops'][number]['hits'][number]

const NESTS = [0.1, 0.25, 0.5, 1]
/** Frames of a nested count: in each the smallest nest, 1 to 4, in which the plant stands; 0 is none. */
const frames = (nests: number[], taxon = 'white-clover') =>
  nests.map((amount, i) => countedStop(i + 1, { hits: amount > 0 ? [{ taxon, amount }] : [] }))
const only = <T>(list: T[]): T => {
  expect(list).toHaveLength(1)
  return list[0]!
}

describe('frequency in nested frames', () => {
  // Newcombe 1998, Statistics in Medicine 17, table I: score method without continuity correction.
  it.each([
    [81, 263, 0.2553, 0.3662],
    [15, 148, 0.0624, 0.1605],
    [1, 29, 0.0061, 0.1718],
  ])('has the interval of Newcombe for %i of %i frames', (found, of, low, high) => {
    const nests = Array.from({ length: of }, (_, i) => (i < found ? 1 : 0))
    const made = only(nestedFrequency(frames(nests), [1], {}))
    expect(made.interval![0]).toBeCloseTo(low, 4)
    expect(made.interval![1]).toBeCloseTo(high, 4)
    expect(made).toMatchObject({ found, of, nestM: 1 })
  })

  it('counts a plant of a small nest in every larger one, and reads the nest nearest to half', () => {
    // In nests of 0.1, 0.25, 0.5, 1 m: 1, 3, 5, 9 of 10 frames.
    const made = only(nestedFrequency(frames([1, 2, 2, 3, 3, 4, 4, 4, 4, 0]), NESTS, {}))
    expect(made).toMatchObject({ nestM: 0.5, found: 5, of: 10, estimate: 0.5 })
  })

  it('a plant everywhere in the smallest nest is at its highest there, and one met once is read in the largest', () => {
    expect(only(nestedFrequency(frames([1, 1, 1, 1]), NESTS, {}))).toMatchObject({ estimate: 1, found: 4 })
    expect(only(nestedFrequency(frames([4, 0, 0, 0]), NESTS, {}))).toMatchObject({ nestM: 1, found: 1 })
  })

  it('a nest that an earlier count fixed stands, though another lies nearer to half by now', () => {
    const first = frames([1, 2, 2, 3, 3, 4, 4, 4, 4, 0])
    const later = frames([1, 1, 1, 1, 2, 3, 3, 3, 3, 3])
    const fixed = nestsFixedBy(nestedFrequency(first, NESTS, {}))
    expect(fixed).toEqual({ 'white-clover': 0.5 })
    // Read in the nest nearest to half each year, 5 of 10 would stand beside 5 of 10, and the spread be hidden.
    expect(only(nestedFrequency(later, NESTS, {}))).toMatchObject({ nestM: 0.25, found: 5 })
    expect(only(nestedFrequency(later, NESTS, {}, fixed))).toMatchObject({ nestM: 0.5, found: 10 })
    // What was taken over is handed on; a nest that is not carried any more cannot be read.
    expect(nestsFixedBy(nestedFrequency(later, NESTS, {}), fixed)).toEqual(fixed)
    expect(only(nestedFrequency(later, [0.1, 0.25], {}, fixed)).nestM).toBe(0.25)
  })

  it('written twice in a frame it is there once, in the smaller nest; a letter is the plant it was named', () => {
    const hits: Hit[] = [
      { taxon: 'white-clover', amount: 3 },
      { taxon: 'unknown:A', amount: 2 },
    ]
    const made = only(nestedFrequency([countedStop(1, { hits })], NESTS, { A: 'white-clover' }))
    expect(made).toMatchObject({ taxon: 'white-clover', found: 1, of: 1 })
  })

  it('a frame that was skipped or not reached says nothing', () => {
    const stops = [
      ...frames([1, 0]),
      countedStop(3, { skipped: 'under water', hits: [{ taxon: 'white-clover', amount: 1 }] }),
      countedStop(4, { doneAt: null, hits: [{ taxon: 'white-clover', amount: 1 }] }),
    ]
    expect(only(nestedFrequency(stops, [1], {}))).toMatchObject({ found: 1, of: 2 })
  })
})

describe('frequency in a grid of 25 cells', () => {
  const cells = (numbers: number[], taxon = 'big-bluestem'): Hit[] =>
    numbers.map((part) => ({ taxon, amount: 1, part }))
  const upTo = (n: number) => Array.from({ length: n }, (_, i) => i + 1)

  it('is the share of cells over all grids, and seedlings follow from it', () => {
    const stops = [10, 10, 10, 10].map((n, i) => countedStop(i + 1, { hits: cells(upTo(n)) }))
    const made = only(gridFrequency(stops, {}))
    expect(made).toMatchObject({ found: 40, of: 100, estimate: 0.4 })
    // Vogel and Masters 2001, Journal of Range Management 54 (from memory): 40 % of cells of 15 cm is about 16 plants a square metre.
    expect(VOGEL_MASTERS * 40).toBe(16)
    expect(made.plantsPerM2).toBeCloseTo(16, 10)
  })

  it('takes the grid as its unit: grids that differ widen the interval, the same cells spread evenly do not', () => {
    const grids = (counts: number[]) => counts.map((n, i) => countedStop(i + 1, { hits: cells(upTo(n)) }))
    const width = (counts: number[]) => {
      const [low, high] = only(gridFrequency(grids(counts), {})).interval!
      return high - low
    }
    expect(width([0, 25, 0, 25, 0, 10])).toBeGreaterThan(2 * width([9, 10, 11, 9, 10, 11]))
  })

  // Clopper and Pearson 1934 by R's binom.test: 6 of 6 is 0.5407 to 1; 3 of 6 is 0.1181 to 0.8819.
  it('where every grid is alike, has the exact limits of as many looks as there are grids', () => {
    const alike = (n: number) => Array.from({ length: 6 }, (_, i) => countedStop(i + 1, { hits: cells(upTo(n)) }))
    const full = only(gridFrequency(alike(25), {})).interval!
    expect(full[0]).toBeCloseTo(0.5407, 4)
    expect(full[1]).toBe(1)
    const [low, high] = only(gridFrequency(alike(12).map((s, i) => ({ ...s, hits: cells(upTo(i % 2 ? 12 : 13)) })), {})).interval! // prettier-ignore
    expect(high - low).toBeLessThan(0.2)
    expect(only(gridFrequency([countedStop(1, { hits: cells(upTo(5)) })], {})).interval).toBeUndefined()
  })

  it('a cell touched twice is one cell; plants are ordered by how many hold them', () => {
    const hits = [...cells([1, 1, 2]), ...cells([5], 'indiangrass')]
    const made = gridFrequency([countedStop(1, { hits })], {})
    expect(made.map((f) => [f.taxon, f.found])).toEqual([
      ['big-bluestem', 2],
      ['indiangrass', 1],
    ])
  })
})
