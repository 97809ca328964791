import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { coverPattern } from '@/core/practice/coverPattern.ts'

const SIDE = 40
const of = (share: number, seed = 0.3) => coverPattern(SIDE, share, randomLcg(seed))
const count = (cells: readonly boolean[]) => cells.filter(Boolean).length

/** Join count of covered neighbours to the right and below (Cliff & Ord 1973). */
const joins = (cells: readonly boolean[]) =>
  cells.reduce((sum, covered, i) => {
    const right = (i + 1) % SIDE !== 0 && cells[i + 1]
    return covered ? sum + Number(right) + Number(cells[i + SIDE] ?? false) : sum
  }, 0)

describe('squares of known cover', () => {
  it.each([0, 0.02, 0.05, 0.1, 0.2, 0.35, 0.5, 0.65, 0.8, 0.95, 1])('%d of 1,600 cells to the cell', (share) => {
    for (const seed of [0.1, 0.5, 0.9]) expect(count(of(share, seed))).toBe(Math.round(share * SIDE * SIDE))
  })

  it('stands in patches: more covered neighbours than chance gives (join count of Cliff & Ord 1973, worked by hand)', () => {
    // Of 2 x 40 x 39 pairs of neighbours chance covers both in p (pN - 1) / (N - 1): 3,120 x 0.0399 = 124.5 at a fifth.
    const [n, p] = [SIDE * SIDE, 0.2]
    const byChance = (2 * SIDE * (SIDE - 1) * p * (p * n - 1)) / (n - 1)
    expect(byChance).toBeCloseTo(124.5, 1)
    for (const seed of [0.1, 0.3, 0.5, 0.7, 0.9]) expect(joins(of(p, seed))).toBeGreaterThan(3 * byChance)
  })

  it('is the same for the same seed, another for another', () => {
    expect(of(0.3)).toEqual(of(0.3))
    expect(of(0.3, 0.8)).not.toEqual(of(0.3))
  })

  it('more of it covers all that less of it does', () => {
    const [less, more] = [of(0.2), of(0.5)]
    expect(less.every((covered, i) => !covered || more[i])).toBe(true)
  })

  it('refuses a grid of no cells and a share that is none', () => {
    expect(() => coverPattern(1, 0.5, randomLcg(0.1))).toThrow(RangeError)
    expect(() => coverPattern(40, 1.2, randomLcg(0.1))).toThrow(RangeError)
    expect(() => coverPattern(40, Number.NaN, randomLcg(0.1))).toThrow(RangeError)
  })
})
