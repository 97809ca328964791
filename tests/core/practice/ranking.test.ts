import { describe, expect, it } from 'vitest'
import { hasAlike, isRanked } from '@/core/practice/ranking.ts'

// Worked by hand; that two are alike within 3 of a hundred: common practice, no source.
describe('three plants in order by cover', () => {
  it.each([
    ['the most first', [0.7, 0.08, 0.036], true],
    ['the second and third the other way, far apart', [0.7, 0.02, 0.2], false],
    ['the least first', [0.04, 0.08, 0.7], false],
    ['two that are alike, either way', [0.108, 0.11, 0.02], true],
    ['alike by neighbours, but the first and the last are not', [0.2, 0.225, 0.25], false],
    ['all bare', [0, 0, 0], true],
  ])('%s', (_what, covers, right) => expect(isRanked(covers)).toBe(right))

  it('is told where more than one order is right', () => {
    expect(hasAlike([0.58, 0.11, 0.108])).toBe(true)
    expect(hasAlike([0.58, 0.2, 0.1])).toBe(false)
  })
})
