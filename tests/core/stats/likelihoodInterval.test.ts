import tQuantile from '@stdlib/stats-base-dists-t-quantile'
import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { coverageCases, patchiness } from '@/core/survey/coverageCases.ts'
import { coverage } from '@/core/survey/simulateCoverage.ts'
import { likelihoodInterval, unseenFrames } from '@/core/stats/likelihoodInterval.ts'

const frames = (hits: number[], points = 1) => hits.map((h) => ({ hits: h, points }))
const limit = (m: number) => tQuantile(0.975, m - 1) ** 2

// For frames that hold all or nothing the empirical likelihood is the binomial one, whose ratio has a closed form.
describe('limits by likelihood, against the binomial likelihood ratio', () => {
  const ratio = (x: number, n: number, p: number) =>
    2 * (x * Math.log(x / n / p) + (n - x) * Math.log((1 - x / n) / (1 - p)))
  it.each([
    [3, 10],
    [15, 30],
    [1, 40],
    [38, 40],
  ])('%i of %i', (x, n) => {
    const [low, high] = likelihoodInterval(frames(Array.from({ length: n }, (_, i) => Number(i < x))))!
    expect(ratio(x, n, low)).toBeCloseTo(limit(n), 6)
    expect(ratio(x, n, high)).toBeCloseTo(limit(n), 6)
    expect(low).toBeLessThan(x / n)
    expect(high).toBeGreaterThan(x / n)
  })

  it('is the same for frames of any size, and for shares that are halved', () => {
    const hits = [0, 0, 1, 1, 0, 1, 0, 0]
    const one = likelihoodInterval(frames(hits))!
    const large = likelihoodInterval(
      frames(
        hits.map((h) => 50 * h),
        50,
      ),
    )!
    const half = likelihoodInterval(frames(hits.map((h) => h / 2)))!
    large.forEach((x, i) => expect(x).toBeCloseTo(one[i]!, 9))
    half.forEach((x, i) => expect(x).toBeCloseTo(one[i]! / 2, 9))
  })

  it('the finite number of frames in a field draws them together by its factor', () => {
    const list = frames(Array.from({ length: 20 }, (_, i) => Number(i < 6)))
    const [low] = likelihoodInterval(list, [], { stopsInAll: 40 })!
    expect(ratio(6, 20, low)).toBeCloseTo(limit(20) / 2, 6)
    // All frames of the field counted: nothing is left to be unsure of.
    for (const end of likelihoodInterval(list, [], { stopsInAll: 20 })!) expect(end).toBeCloseTo(0.3, 6)
  })
})

describe('frames that were not met', () => {
  // All frames alike at 0.2, unseen 0.6: a weight w on the unseen costs -2 m log(1 - w), so w is known by hand.
  it('by hand: frames all alike have an upper limit, and a lower one where less could have been', () => {
    const alike = frames(Array<number>(12).fill(0.2))
    const w = 1 - Math.exp(-limit(12) / 24)
    const [low, high] = likelihoodInterval(alike, frames([0.6, 0]))!
    expect(high).toBeCloseTo(0.2 + w * 0.4, 8)
    expect(low).toBeCloseTo(0.2 - w * 0.2, 8)
  })

  it('the next class up; the second half counts too where the plant was met in few frames; none above the highest', () => {
    const values = { values: [0, 2.5, 15, 37.5], relative: false }
    const many = frames([0, 2.5, 2.5, 2.5, 2.5, 2.5, 2.5], 100)
    expect(unseenFrames(many, values)).toEqual([{ hits: 15, points: 100 }])
    expect(unseenFrames(frames([0, 0, 2.5], 100), values)).toEqual([{ hits: 26.25, points: 100 }])
    expect(unseenFrames(frames([0, 0, 37.5], 100), values)).toEqual([])
    expect(unseenFrames(frames([15, 15, 37.5], 100), values)).toEqual([{ hits: 2.5, points: 100 }])
  })

  it('ranks are shares of frames that weigh unlike', () => {
    const ranked = [
      { hits: 0, points: 100 },
      { hits: 0.0873 * 300, points: 300 },
    ]
    const [above] = unseenFrames(ranked, { values: [0, 0.0873, 0.2108, 0.7019], relative: true })
    expect(above!.points).toBe(200)
    expect(above!.hits).toBeCloseTo(200 * ((0.2108 + 0.7019) / 2), 9)
  })

  it('says nothing of a plant that no frame holds, nor from a single frame', () => {
    expect(likelihoodInterval(frames([0, 0, 0]), frames([0.5]))).toBeUndefined()
    expect(likelihoodInterval(frames([0.5]), frames([0.9]))).toBeUndefined()
  })
})

// What must hold of any interval, on made frames of uneven size.
describe('whatever the frames', () => {
  const random = randomLcg(0.23)
  const classes = [0, 2.5, 15, 37.5, 62.5, 85, 97.5]
  const made = Array.from({ length: 40 }, () =>
    Array.from({ length: 3 + Math.floor(random() * 30) }, () => ({
      hits: classes[Math.floor(random() ** 2 * classes.length)]!,
      points: 98 + 40 * random(),
    })),
  ).filter((list) => list.some((f) => f.hits > 0))
  const share = (list: { hits: number; points: number }[]) =>
    list.reduce((n, f) => n + f.hits, 0) / list.reduce((n, f) => n + f.points, 0)
  const values = { values: classes, relative: false }

  it('the share lies within its limits, and they within 0 and 1', () => {
    for (const list of made) {
      const [low, high] = likelihoodInterval(list, unseenFrames(list, values))!
      expect(low).toBeGreaterThanOrEqual(0)
      expect(low).toBeLessThanOrEqual(share(list))
      expect(high).toBeGreaterThanOrEqual(share(list))
      expect(high).toBeLessThanOrEqual(1)
    }
  })

  it('the order of the frames does not matter, and unseen ones never draw the limits together', () => {
    for (const list of made) {
      const unseen = unseenFrames(list, values)
      const limits = likelihoodInterval(list, unseen)!
      likelihoodInterval([...list].reverse(), unseen)!.forEach((x, i) => expect(x).toBeCloseTo(limits[i]!, 7))
      const alone = likelihoodInterval(list)!
      expect(limits[0]).toBeLessThanOrEqual(alone[0] + 1e-7)
      expect(limits[1]).toBeGreaterThanOrEqual(alone[1] - 1e-7)
    }
  })

  it('more confidence takes wider limits', () => {
    for (const list of made.slice(0, 15)) {
      const [narrow, wide] = [0.8, 0.99].map((conf) => likelihoodInterval(list, [], { conf })!)
      expect(wide![0]).toBeLessThanOrEqual(narrow![0])
      expect(wide![1]).toBeGreaterThanOrEqual(narrow![1])
    }
  })
})

// Nominal 95 %; 300 rounds of five to seven plants are themselves off by about one point.
describe('over made rounds the limits of classes and ranks hold the truth', () => {
  const levels = Object.entries(patchiness)
  const cases = coverageCases.filter((c) => /^(cover classes|dry-weight rank)/.test(c.name))
  it.each(cases.flatMap((c) => levels.map(([name, evenness]) => [c.name, name, c, evenness] as const)))(
    '%s, %s',
    (_case, _level, of, evenness) => {
      const held = coverage(of, { evenness }, 300, randomLcg(0.81))
      expect(held.all).toBeGreaterThan(0.92)
      expect(held.all).toBeLessThan(0.98)
      expect(held.minor).toBeGreaterThan(0.89)
    },
  )
})
