import fc from 'fast-check'
import rawBeta from '@stdlib/stats-base-dists-beta-quantile'
import rawT from '@stdlib/stats-base-dists-t-quantile'
import { expect, it, vi } from 'vitest'
import { betaQuantile } from '@/core/stats/betaQuantile.ts'
import { remembered } from '@/core/stats/remembered.ts'
import { tQuantile } from '@/core/stats/tQuantile.ts'

it('asks once for the same numbers, and again for others that are written alike side by side', () => {
  const find = vi.fn((a: number, b: number) => a * 100 + b)
  const quick = remembered(find)
  expect([quick(1, 23), quick(12, 3), quick(1, 23), quick(1.5, -2)]).toEqual([123, 1203, 123, 148])
  expect(find).toHaveBeenCalledTimes(3)
})

it('forgets all when it is full, and stays right', () => {
  const find = vi.fn((a: number) => a * a)
  const quick = remembered(find, 3)
  for (const n of [1, 2, 3, 4, 1, 4]) expect(quick(n)).toBe(n * n)
  // 1 was forgotten for 4, which was not.
  expect(find).toHaveBeenCalledTimes(5)
})

it('quantiles are those of the library, in whatever order they are asked for', () => {
  const p = fc.double({ min: 0.001, max: 0.999, noNaN: true })
  const shape = fc.double({ min: 0.1, max: 500, noNaN: true })
  fc.assert(
    fc.property(fc.array(fc.tuple(p, shape, shape), { maxLength: 6 }), (asked) => {
      for (const [q, a, b] of [...asked, ...asked.toReversed()]) {
        expect(betaQuantile(q, a, b)).toBe(rawBeta(q, a, b))
        expect(tQuantile(q, a)).toBe(rawT(q, a))
      }
    }),
    { numRuns: 60 },
  )
})
