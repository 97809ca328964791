import { distance } from '@turf/distance'
import { point } from '@turf/helpers'
import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { routeKinds } from '@/core/records/measures.ts'
import type { PaddockPart } from '@/core/records/round.ts'
import { layRoute, roundMinutes } from '@/core/survey/layRoute.ts'
import { FENCE } from '@/core/records/round.ts'
import { edgeStrip, metresToEdge, perimeterM } from '@/core/survey/fenceWalk.ts'
import { isInside, localPlane, polygonOf } from '@/core/geo/localPlane.ts'
import { areaHa, metresBetween } from '@/core/geo/route.ts'
import { demoWorld } from '@/server/demo/demoWorld.ts'

const paddocks = demoWorld.map((d) => d.paddock)
const long = paddocks.find((p) => p.name === 'Long Croft')!
const plane = localPlane(long.boundary!.coordinates[0]![0] as [number, number])
const box = (e: number, n: number, side: number) =>
  polygonOf(
    [
      [e, n],
      [e + side, n],
      [e + side, n + side],
      [e, n + side],
    ],
    plane,
  )
const parts: PaddockPart[] = [
  { name: 'hollow', kind: 'wet hollow', polygon: box(60, 20, 60), keptOut: false },
  { name: 'gate', kind: 'gateway', polygon: box(-5, -5, 30), keptOut: true },
]

describe('a flat sheet at a place', () => {
  it('keeps distances to a thousandth (against @turf/distance, a sphere)', () => {
    const here = plane.toPosition([0, 0])
    for (const [e, n] of [
      [300, 0],
      [0, 300],
      [200, -150],
    ] as const) {
      const there = plane.toPosition([e, n])
      const metres = distance(point(here), point(there), { units: 'meters' })
      expect(Math.abs(metres - Math.hypot(e, n)) / metres).toBeLessThan(0.003)
      const [e2, n2] = plane.toMetres(there)
      expect(e2).toBeCloseTo(e, 6)
      expect(n2).toBeCloseTo(n, 6)
    }
  })
})

describe.each(routeKinds)('a route: %s', (kind) => {
  it.each(paddocks.map((p) => [p.name, p] as const))('fits into %s with every stop inside', (_, paddock) => {
    for (const count of [3, 12, 30, 60]) {
      const made = layRoute(kind, { boundary: paddock.boundary!, parts: [], count, random: randomLcg(0.4) })
      // A grid takes what falls inside its random start: about as many.
      if (kind === 'grid') expect(Math.abs(made.stops.length - count)).toBeLessThanOrEqual(2 + 2 * Math.sqrt(count))
      else expect(made.stops).toHaveLength(count)
      for (const s of made.stops) expect(isInside(s.position, paddock.boundary!)).toBe(true)
      expect(made.lengthM).toBeGreaterThan(0)
    }
  })

  it('keeps out of the gateway, and each stop knows its part', () => {
    const made = layRoute(kind, { boundary: long.boundary!, parts, count: 40, random: randomLcg(0.4) })
    for (const s of made.stops) {
      expect(isInside(s.position, parts[1]!.polygon)).toBe(false)
      expect(s.stratum).toBe(isInside(s.position, parts[0]!.polygon) ? 'hollow' : '')
    }
  })

  it('is the same again from the same seed', () => {
    const lay = (seed: number) =>
      layRoute(kind, { boundary: long.boundary!, parts, count: 20, random: randomLcg(seed) }).stops
    expect(lay(0.3)).toEqual(lay(0.3))
    expect(lay(0.3)).not.toEqual(lay(0.6))
  })
})

// A sampling design is fair where each place is as likely as the next: the outer tenths hold a tenth, the mean lies in the
// middle (Cochran 1977, ch. 8). Before, the northern tenth held up to 31 in 100 of the stops of a grid.
describe('where the stops of a grid fall, over 500 starts', () => {
  const field = (wide: number, high: number) =>
    polygonOf(
      [
        [0, 0],
        [wide, 0],
        [wide, high],
        [0, high],
      ],
      plane,
    )
  it.each([
    [300, 200, 20],
    [300, 200, 30],
    [400, 120, 20],
    [250, 250, 30],
  ])('%i by %i m, about %i stops: no side is favoured', (wide, high, count) => {
    const random = randomLcg(0.37)
    const places = Array.from({ length: 500 }, () =>
      layRoute('grid', { boundary: field(wide, high), parts: [], count, random }).stops.map((s) =>
        plane.toMetres(s.position),
      ),
    )
    const all = places.flat()
    expect(all.length / 500 / count).toBeCloseTo(1, 1)
    for (const [axis, size] of [
      [0, wide],
      [1, high],
    ] as const) {
      const at = all.map((m) => m[axis] / size)
      expect(Math.abs(at.reduce((a, b) => a + b, 0) / at.length - 0.5)).toBeLessThan(0.01)
      for (const outer of [at.filter((x) => x < 0.1), at.filter((x) => x > 0.9)])
        expect(Math.abs(outer.length / at.length - 0.1)).toBeLessThan(0.01)
    }
  })

  it.each(['w', 'zigzag', 'rows'] as const)('%s: its stops begin anywhere on their first spacing', (kind) => {
    const random = randomLcg(0.2)
    const firsts = Array.from({ length: 200 }, () => {
      const { stops, line } = layRoute(kind, { boundary: field(300, 200), parts: [], count: 10, random })
      return metresBetween(line[0]!, stops[0]!.position)
    })
    const spacing = Math.max(...firsts)
    // A uniform start: mean half of the spacing, standard deviation 0.29 of it (200 draws: off by 0.04 at most).
    expect(firsts.reduce((a, b) => a + b, 0) / 200 / spacing).toBeCloseTo(0.5, 1)
    expect(Math.min(...firsts) / spacing).toBeLessThan(0.05)
  })
})

describe('the fence', () => {
  const random = () => randomLcg(0.4)
  const square = polygonOf(
    [
      [0, 0],
      [200, 0],
      [200, 100],
      [0, 100],
    ],
    plane,
  )

  it('is walked in the middle of its strip, evenly around', () => {
    for (const boundary of [square, { ...square, coordinates: [square.coordinates[0]!.toReversed()] }]) {
      const made = layRoute('w', { boundary, parts: [], count: 10, random: random(), fence: { count: 12, widthM: 8 } })
      const fence = made.stops.filter((s) => s.stratum === FENCE)
      expect(fence.length).toBeGreaterThanOrEqual(11)
      for (const s of fence) expect(metresToEdge(s.position, boundary, plane)).toBeCloseTo(4, 1)
      // 600 m of fence by twelve.
      expect(metresBetween(fence[0]!.position, fence[1]!.position)).toBeGreaterThan(35)
    }
  })

  it('has a length, and what no stop came into a width and a share of the paddock', () => {
    expect(perimeterM(square, plane)).toBeCloseTo(600, 6)
    // A stop in the middle lies 50 m from the long sides: 200 x 100 less nothing is left inside.
    expect(edgeStrip([plane.toPosition([100, 50])], square, 2, plane)).toMatchObject({ metres: expect.closeTo(50, 6), share: expect.closeTo(1, 6) }) // prettier-ignore
    // 10 m: 200 x 100 less 180 x 80 is 5,600 of 20,000.
    expect(edgeStrip([plane.toPosition([100, 90]), plane.toPosition([60, 40])], square, 2, plane)!.share).toBeCloseTo(0.28, 6) // prettier-ignore
    expect(edgeStrip([], square, 2, plane)).toBeUndefined()
  })
})

describe('what a route must do', () => {
  it('random places are shared out by area, two or more in each part', () => {
    const made = layRoute('random', { boundary: long.boundary!, parts, count: 48, random: randomLcg(0.2) })
    const inHollow = made.stops.filter((s) => s.stratum === 'hollow').length
    expect(inHollow).toBe(Math.round((48 * areaHa(parts[0]!.polygon)) / areaHa(long.boundary!)))
    const few = layRoute('random', { boundary: long.boundary!, parts, count: 8, random: randomLcg(0.2) })
    expect(few.stops.filter((s) => s.stratum === 'hollow').length).toBeGreaterThanOrEqual(2)
  })

  it('a grid is square: neighbours lie one spacing apart', () => {
    const { stops } = layRoute('grid', { boundary: long.boundary!, parts: [], count: 36, random: randomLcg(0.2) })
    const nearest = stops.map((a) =>
      Math.min(...stops.filter((b) => b !== a).map((b) => metresBetween(a.position, b.position))),
    )
    const middle = [...nearest].sort((a, b) => a - b)[18]!
    for (const d of nearest) expect(Math.abs(d - middle) / middle).toBeLessThan(0.45)
  })

  it('a walk among random places is far shorter than in the order they were drawn', () => {
    const { stops, lengthM } = layRoute('random', {
      boundary: long.boundary!,
      parts: [],
      count: 40,
      random: randomLcg(0.2),
    })
    const shuffled = stops.map((_, i) => stops[(i * 17) % 40]!.position)
    const asDrawn = shuffled.slice(1).reduce((sum, p, i) => sum + metresBetween(shuffled[i]!, p), 0)
    expect(lengthM).toBeLessThan(asDrawn / 2)
  })

  it('stops that cannot be laid are refused in words', () => {
    const lay = (count: number) => () =>
      layRoute('w', { boundary: long.boundary!, parts: [], count, random: randomLcg(0.2) })
    expect(lay(0)).toThrow('1 to 500 stops')
    const all: PaddockPart = { name: 'all', kind: 'camp', polygon: box(-50, -50, 600), keptOut: true }
    expect(() =>
      layRoute('grid', { boundary: long.boundary!, parts: [all], count: 5, random: randomLcg(0.2) }),
    ).toThrow(RangeError)
  })

  it('takes walking and work together', () => expect(roundMinutes(500, 30, 2)).toBe(70))
})
