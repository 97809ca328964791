import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bearing, brierParts, brierScore, logScore, reliability, type Judged } from '@/core/practice/scoring.ts'

const answers = (sure: number, right: number, wrong: number): Judged[] => [
  ...Array.from({ length: right }, () => ({ sure, right: true })),
  ...Array.from({ length: wrong }, () => ({ sure, right: false })),
]

describe('scores against their closed forms', () => {
  it('a coin scores ln 2 and a quarter, whatever comes', () => {
    for (const right of [0, 5, 10]) {
      expect(logScore(answers(0.5, right, 10 - right))).toBeCloseTo(Math.LN2, 12)
      expect(brierScore(answers(0.5, right, 10 - right))).toBeCloseTo(0.25, 12)
    }
  })

  it('by hand: nine in ten said, eight of ten right', () => {
    expect(logScore(answers(0.9, 8, 2))).toBeCloseTo((-8 * Math.log(0.9) - 2 * Math.log(0.1)) / 10, 12)
    expect(brierScore(answers(0.9, 8, 2))).toBeCloseTo((8 * 0.01 + 2 * 0.81) / 10, 12)
  })

  it('certain and wrong costs as much as 99 in 100 and wrong, not without end', () => {
    expect(logScore(answers(1, 0, 1))).toBeCloseTo(-Math.log(0.01), 12)
    expect(logScore([])).toBeUndefined()
    expect(() => logScore([{ sure: 1.2, right: true }])).toThrow(RangeError)
  })

  it('honest is best: the expected log and Brier score are least where what is said is the true chance (proper scores)', () => {
    // Good 1952; Brier 1950.
    for (const truth of [0.3, 0.62, 0.9]) {
      const expected = (said: number, score: typeof logScore) =>
        truth * score([{ sure: said, right: true }])! + (1 - truth) * score([{ sure: said, right: false }])!
      for (const said of [0.1, 0.25, 0.5, 0.75, 0.97])
        for (const score of [logScore, brierScore])
          expect(expected(truth, score)).toBeLessThanOrEqual(expected(said, score))
    }
  })

  it('the parts of the Brier score add up to it (Murphy 1973)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ sure: fc.constantFrom(0.5, 0.7, 0.9, 0.95, 0.99), right: fc.boolean() }), {
          minLength: 1,
        }),
        (list) => {
          const { reliability: off, resolution, uncertainty } = brierParts(list)!
          expect(off - resolution + uncertainty).toBeCloseTo(brierScore(list)!, 10)
        },
      ),
    )
  })
})

describe('reliability', () => {
  it('puts answers of like sureness together, each with Wilson limits', () => {
    const points = reliability([...answers(0.5, 3, 3), ...answers(0.9, 8, 2)])
    expect(points.map((p) => [p.said, p.right, p.answers])).toEqual([
      [0.5, 3, 6],
      [expect.closeTo(0.9, 10), 8, 10],
    ])
    // Wilson 1927 for 8 of 10: 49.0 to 94.3 % (the usual worked example).
    expect(points[1]!.interval[0]).toBeCloseTo(0.4902, 4)
    expect(points[1]!.interval[1]).toBeCloseTo(0.9433, 4)
    expect(reliability([])).toEqual([])
  })

  it('says too sure only beyond what chance would do', () => {
    expect(bearing(answers(0.95, 12, 8))).toBe('too sure')
    expect(bearing(answers(0.95, 19, 1))).toBe('well judged')
    expect(bearing(answers(0.5, 40, 5))).toBe('not sure enough')
    expect(bearing(answers(0.99, 3, 2))).toBeUndefined()
  })
})
