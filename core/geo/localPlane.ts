import { booleanPointInPolygon } from '@turf/boolean-point-in-polygon'
import { point } from '@turf/helpers'
import type { Polygon } from 'geojson'
import type { Position } from './route.ts'

const METRES_PER_DEGREE = 111_320

/** East and north in metres. */
export type Metres = [east: number, north: number]

export interface LocalPlane {
  toMetres: (p: Position) => Metres
  toPosition: (m: Metres) => Position
}

/** A flat sheet at a place: good to a thousandth over a few kilometres, which is all a paddock needs. */
export function localPlane([lon0, lat0]: Position): LocalPlane {
  const perLon = METRES_PER_DEGREE * Math.cos((lat0 * Math.PI) / 180)
  return {
    toMetres: ([lon, lat]) => [(lon - lon0) * perLon, (lat - lat0) * METRES_PER_DEGREE],
    toPosition: ([e, n]) => [lon0 + e / perLon, lat0 + n / METRES_PER_DEGREE],
  }
}

export const isInside = (p: Position, polygon: Polygon): boolean => booleanPointInPolygon(point(p), polygon)

/** Ring of a polygon from corners in metres, closed. */
export function polygonOf(corners: Metres[], plane: LocalPlane): Polygon {
  const ring = corners.map(plane.toPosition)
  return { type: 'Polygon', coordinates: [[...ring, ring[0]!]] }
}
