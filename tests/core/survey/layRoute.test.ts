import { distance } from '@turf/distance'
import { point } from '@turf/helpers'
import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { routeKinds } from '@/core/records/measures.ts'
import type { PaddockPart } from '@/core/records/round.ts'
import { layRoute, roundMinutes } from '@/core/survey/layRoute.ts'
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
      expect(made.stops).toHaveLength(count)
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
    if (kind === 'grid' || kind === 'random') expect(lay(0.3)).not.toEqual(lay(0.6))
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
