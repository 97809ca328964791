import { coded } from '../coded.ts'
import type { FileRefusal } from './fileProblem.ts'
import type { Polygon, Position } from 'geojson'

export type BoundaryRead = { boundary: Polygon } | { problem: FileRefusal }

const isPosition = (p: unknown): p is Position =>
  Array.isArray(p) &&
  p.length >= 2 &&
  typeof p[0] === 'number' &&
  typeof p[1] === 'number' &&
  Math.abs(p[0]) <= 180 &&
  Math.abs(p[1]) <= 90

const isRing = (ring: unknown): ring is Position[] =>
  Array.isArray(ring) && ring.length >= 3 && ring.length <= 5000 && ring.every(isPosition)

const closed = (ring: Position[]): Position[] => {
  const [first, last] = [ring[0]!, ring[ring.length - 1]!]
  const flat = ring.map((p) => [p[0]!, p[1]!])
  return first[0] === last[0] && first[1] === last[1] ? flat : [...flat, [first[0]!, first[1]!]]
}

/**
 * The first polygon of a GeoJSON value: a Polygon, a Feature, or a FeatureCollection. An open ring is closed.
 *
 * @returns the boundary, or what is wrong in words a reader can act on
 */
export function readBoundary(value: unknown): BoundaryRead {
  return readAt(value, 0)
}

/** A collection holds features, a feature a polygon: what is wrapped deeper is not GeoJSON. */
const DEEPEST = 3

function readAt(value: unknown, depth: number): BoundaryRead {
  if (depth > DEEPEST) return { problem: coded('geojson-too-deep') }
  if (typeof value !== 'object' || value === null) return { problem: coded('not-geojson') }
  const given = value as { type?: unknown; geometry?: unknown; features?: unknown; coordinates?: unknown }
  if (given.type === 'FeatureCollection' && Array.isArray(given.features)) {
    const reads = given.features.slice(0, 100).map((f) => readAt(f, depth + 1))
    return reads.find((r) => 'boundary' in r) ?? { problem: coded('no-polygon') }
  }
  if (given.type === 'Feature') return readAt(given.geometry, depth + 1)
  if (given.type !== 'Polygon')
    return {
      problem: coded('not-a-polygon', {
        stringify: JSON.stringify(given.type ?? 'nothing'),
      }),
    }
  const rings = Array.isArray(given.coordinates) ? given.coordinates : []
  if (rings.length === 0 || !rings.every(isRing)) return { problem: coded('too-few-corners') }
  if (closed(rings[0]!).length < 4) return { problem: coded('too-few-different-corners') }
  return { boundary: { type: 'Polygon', coordinates: rings.map(closed) } }
}
