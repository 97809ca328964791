import { along } from '@turf/along'
import { area } from '@turf/area'
import { bbox } from '@turf/bbox'
import { booleanPointInPolygon } from '@turf/boolean-point-in-polygon'
import { distance } from '@turf/distance'
import { lineString, point } from '@turf/helpers'
import { length } from '@turf/length'
import type { Polygon } from 'geojson'

export type Position = [lon: number, lat: number]

export interface Route {
  stops: Position[]
  /** The zigzag walked. */
  line: Position[]
  lengthM: number
}

/** Area of a paddock in hectares. */
export const areaHa = (boundary: Polygon): number => area(boundary) / 10_000

/** Metres between two positions. */
export const metresBetween = (a: Position, b: Position): number => distance(point(a), point(b), { units: 'meters' })

/** Where the line from one side to the other, at a share of the paddock's width, lies inside the boundary. */
function insideSpan(boundary: Polygon, lon: number): [number, number] | undefined {
  const [, south, , north] = bbox(boundary)
  const steps = 200
  const inside: number[] = []
  for (let i = 0; i <= steps; i++) {
    const lat = south! + ((north! - south!) * i) / steps
    if (booleanPointInPolygon(point([lon, lat]), boundary)) inside.push(lat)
  }
  return inside.length > 1 ? [inside[0]!, inside[inside.length - 1]!] : undefined
}

/**
 * A W laid into a paddock, with stops spread evenly along it.
 *
 * The turning points keep a tenth of the local depth away from the edge, where gateways and hedges make the sward
 * unlike the rest. Stops that fall outside a crooked boundary are left out and the spacing narrowed until enough lie
 * inside. The same input gives the same route: it is drawn before walking.
 *
 * @param boundary a polygon in degrees (GeoJSON order)
 * @param count stops wanted, 1 to 500
 * @param start where on its first spacing the first stop lies, 0 to 1
 * @throws RangeError the paddock is too small or too thin to hold the route
 */
export function wRoute(boundary: Polygon, count: number, start = 0.5): Route {
  if (!(count >= 1 && count <= 500)) throw new RangeError(`a route has 1 to 500 stops: ${count}`)
  const [west, , east] = bbox(boundary)
  const margin = 0.1
  const turns = [0, 1, 2, 3, 4].map((i) => {
    const lon = west! + (east! - west!) * (margin + ((1 - 2 * margin) * i) / 4)
    const span = insideSpan(boundary, lon)
    if (!span) throw new RangeError('the paddock is too thin for a W; draw the boundary again')
    const [low, high] = span
    const inset = (high - low) * margin
    return [lon, i % 2 === 0 ? high - inset : low + inset] as Position
  })
  const line = lineString(turns)
  const lengthM = length(line, { units: 'meters' })
  for (let tried = count; tried <= count * 4 + 20; tried++) {
    const spacing = lengthM / tried
    const stops = Array.from({ length: tried }, (_, i) => along(line, spacing * (i + start), { units: 'meters' }))
      .filter((p) => booleanPointInPolygon(p, boundary))
      .map((p) => p.geometry.coordinates as Position)
    if (stops.length >= count) return { stops: stops.slice(0, count), line: turns, lengthM }
  }
  throw new RangeError('the route does not fit into the boundary')
}
