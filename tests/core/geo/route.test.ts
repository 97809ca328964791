import { booleanPointInPolygon } from '@turf/boolean-point-in-polygon'
import { point } from '@turf/helpers'
import type { Polygon } from 'geojson'
import { describe, expect, it } from 'vitest'
import { areaHa, metresBetween, wRoute, type Position } from '@/core/geo/route.ts'
import { demoWorld } from '@/server/demo/demoWorld.ts'

const box = (lon: number, lat: number, w: number, h: number): Polygon => ({
  type: 'Polygon',
  coordinates: [
    [
      [lon, lat],
      [lon + w, lat],
      [lon + w, lat + h],
      [lon, lat + h],
      [lon, lat],
    ],
  ],
})

describe('a W laid into a paddock', () => {
  const field = box(0, 0, 0.002, 0.002)

  it.each([1, 5, 30, 120])('holds the %i stops asked for, all inside', (count) => {
    const route = wRoute(field, count)
    expect(route.stops).toHaveLength(count)
    for (const stop of route.stops) expect(booleanPointInPolygon(point(stop), field)).toBe(true)
  })

  it('has five turning points that go down, up, down, up', () => {
    const lats = wRoute(field, 30).line.map((p) => p[1])
    expect(lats).toHaveLength(5)
    expect(lats[0]!).toBeGreaterThan(lats[1]!)
    expect(lats[2]!).toBeGreaterThan(lats[1]!)
    expect(lats[2]!).toBeGreaterThan(lats[3]!)
    expect(lats[4]!).toBeGreaterThan(lats[3]!)
  })

  it('keeps away from the edge, where gateways and hedges are', () => {
    for (const [lon, lat] of wRoute(field, 40).stops) {
      expect(Math.min(lon, 0.002 - lon)).toBeGreaterThan(0.00015)
      expect(Math.min(lat, 0.002 - lat)).toBeGreaterThan(0.00015)
    }
  })

  it('spaces its stops evenly along the walk', () => {
    const route = wRoute(field, 20)
    const steps = route.stops.slice(1).map((s, i) => metresBetween(route.stops[i]!, s))
    const straight = steps.filter((s) => s > route.lengthM / 20 - 1)
    expect(straight.length).toBeGreaterThanOrEqual(15)
  })

  it('is the same each time it is drawn', () => expect(wRoute(field, 25)).toEqual(wRoute(field, 25)))

  it('finds its stops in a crooked paddock too', () => {
    const hook: Position[] = [
      [0, 0],
      [0.003, 0],
      [0.003, 0.003],
      [0.002, 0.003],
      [0.002, 0.001],
      [0, 0.001],
      [0, 0],
    ]
    const crooked: Polygon = { type: 'Polygon', coordinates: [hook] }
    const route = wRoute(crooked, 30)
    expect(route.stops).toHaveLength(30)
    for (const stop of route.stops) expect(booleanPointInPolygon(point(stop), crooked)).toBe(true)
  })

  it('refuses a number of stops nobody could walk', () => {
    expect(() => wRoute(field, 0)).toThrow(RangeError)
    expect(() => wRoute(field, 501)).toThrow(RangeError)
  })

  it.each(demoWorld.map((p) => [p.paddock.name, p] as const))('fits into %s of the demo valley', (_name, place) => {
    expect(wRoute(place.paddock.boundary!, place.round.stops).stops).toHaveLength(place.round.stops)
  })
})

describe('measures on the ground', () => {
  it('a square of 0.001 degrees at the equator is about 1.24 ha (111.3 m a side)', () => {
    expect(areaHa(box(0, 0, 0.001, 0.001))).toBeCloseTo(1.237, 2)
  })

  it('a minute of latitude is about a nautical mile of 1,852 m', () => {
    expect(metresBetween([0, 0], [0, 1 / 60]) / 1852).toBeCloseTo(1, 2)
  })
})
