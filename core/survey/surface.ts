import type { Position } from '../geo/route.ts'
import { localPlane } from '../geo/localPlane.ts'

/** A stop with the share of a plant there. */
export interface PlacedShare {
  position: Position
  share: number
}

/** What stands at a place as the stops round it tell, and how far off the nearest of them is. */
export interface AtPlace {
  /** 0 to 1. */
  share: number
  /** Metres to the nearest stop over the spacing of the stops: above 1 nobody came near. */
  reach: number
}

/**
 * The share of a plant between the stops: the mean of them all, each by the inverse square of its distance (Shepard 1968), no
 * nearer than half of the usual spacing, so that a single stop makes no peak of its own. It draws what was counted, and is no
 * estimate with an error: `reach` says how far it is guessed.
 *
 * @param stops with a place, two or more
 * @throws RangeError fewer than two stops
 */
export function shareSurface(stops: readonly PlacedShare[]): (at: Position) => AtPlace {
  if (stops.length < 2) throw new RangeError('a surface needs two stops or more')
  const plane = localPlane(stops[0]!.position)
  const placed = stops.map((s) => ({ at: plane.toMetres(s.position), share: s.share }))
  const nearest = placed
    .map((a, i) =>
      Math.min(...placed.filter((_, j) => j !== i).map((b) => Math.hypot(a.at[0] - b.at[0], a.at[1] - b.at[1]))),
    )
    .sort((a, b) => a - b)
  const spacing = Math.max(1, nearest[Math.floor(nearest.length / 2)]!)
  return (position) => {
    const [x, y] = plane.toMetres(position)
    let [sum, weights, least] = [0, 0, Infinity]
    for (const { at, share } of placed) {
      const away = Math.hypot(at[0] - x, at[1] - y)
      const weight = 1 / Math.max(away, spacing / 2) ** 2
      sum += weight * share
      weights += weight
      least = Math.min(least, away)
    }
    return { share: sum / weights, reach: least / spacing }
  }
}
