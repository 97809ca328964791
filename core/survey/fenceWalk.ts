import type { Polygon } from 'geojson'
import type { LocalPlane, Metres } from '../geo/localPlane.ts'
import type { Position } from '../geo/route.ts'

/** Width of the strip that a walk along the fence looks at where none was said, metres: common practice, no source. */
export const FENCE_WIDTH_M = 6

const cornersOf = (boundary: Polygon, plane: LocalPlane): Metres[] =>
  boundary.coordinates[0]!.map((p) => plane.toMetres(p as Position))

const long = (a: Metres, b: Metres): number => Math.hypot(b[0] - a[0], b[1] - a[1])

/** Length of a boundary, metres. */
export function perimeterM(boundary: Polygon, plane: LocalPlane): number {
  const ring = cornersOf(boundary, plane)
  return ring.slice(1).reduce((sum, p, i) => sum + long(ring[i]!, p), 0)
}

/** Metres from a place to the nearest point of a boundary. */
export function metresToEdge(place: Position, boundary: Polygon, plane: LocalPlane): number {
  const [x, y] = plane.toMetres(place)
  const ring = cornersOf(boundary, plane)
  let least = Infinity
  for (let i = 1; i < ring.length; i++) {
    const [[ax, ay], [bx, by]] = [ring[i - 1]!, ring[i]!]
    const [dx, dy] = [bx - ax, by - ay]
    const squared = dx * dx + dy * dy
    const t = squared > 0 ? Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / squared)) : 0
    least = Math.min(least, Math.hypot(x - ax - t * dx, y - ay - t * dy))
  }
  return least
}

/**
 * Stops along the fence: evenly around the boundary from a random start, in the middle of a strip inside it.
 *
 * @param count stops wanted, 1 or more
 * @param widthM of the strip, above 0
 * @param ok whether one may stand at a place; stops that may not be stood on are left out
 * @returns in the order of the walk, `count` of them or fewer
 */
export function fenceStops(
  boundary: Polygon,
  { count, widthM, random, plane, ok }: { count: number; widthM: number; random: () => number; plane: LocalPlane; ok: (p: Position) => boolean }, // prettier-ignore
): Position[] {
  const ring = cornersOf(boundary, plane)
  const whole = perimeterM(boundary, plane)
  const start = random()
  const stops: Position[] = []
  for (let i = 0; i < count; i++) {
    let left = (whole * (i + start)) / count
    for (let k = 1; k < ring.length; k++) {
      const [a, b] = [ring[k - 1]!, ring[k]!]
      const side = long(a, b)
      if (left > side && k < ring.length - 1) {
        left -= side
        continue
      }
      const [ux, uy] = side > 0 ? [(b[0] - a[0]) / side, (b[1] - a[1]) / side] : [0, 0]
      // Which side is inside depends on the way the boundary runs round: the one that may be stood on.
      const inward = [-1, 1].map((s): Position =>
        plane.toPosition([a[0] + ux * left + (s * uy * widthM) / 2, a[1] + uy * left - (s * ux * widthM) / 2]),
      )
      const place = inward.find(ok)
      if (place) stops.push(place)
      break
    }
  }
  return stops
}

/** The strip along a boundary that no stop came into. */
export interface EdgeStrip {
  /** Metres from the boundary to the stop nearest to it. */
  metres: number
  /** Share of the paddock that lies in it, 0 to 1, by areas of a strip inside straight sides (corners counted once). */
  share: number
}

/**
 * How much of the edge of a paddock no stop came into: what is counted speaks for the rest.
 *
 * @param hectares area of the paddock
 * @returns undefined without stops
 */
export function edgeStrip(
  stops: readonly Position[],
  boundary: Polygon,
  hectares: number,
  plane: LocalPlane,
): EdgeStrip | undefined {
  // prettier-ignore
  if (stops.length === 0) return undefined
  const metres = Math.min(...stops.map((p) => metresToEdge(p, boundary, plane)))
  const strip = perimeterM(boundary, plane) * metres - 4 * metres ** 2
  return { metres, share: Math.max(0, Math.min(1, strip / (hectares * 10_000))) }
}
