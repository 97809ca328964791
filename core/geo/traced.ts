import { lineString } from '@turf/helpers'
import { simplify } from '@turf/simplify'
import { localPlane, type Metres } from './localPlane.ts'
import type { Position } from './route.ts'

/** A place that was walked through, and how far off it may be. */
export interface WalkedFix {
  position: Position
  /** Metres. */
  accuracyM: number
}

/** Fixes less sure than this are left out, metres. */
export const WORST_FIX_M = 25
/** A walked line is taken to run straight where it keeps this close to it, metres: about the error of a hand-held receiver. */
export const TRACE_TOLERANCE_M = 5
const FEWEST_CORNERS = 3

/**
 * Corners of a boundary that was walked round: fixes that may be far off are left out, and those that lie within the tolerance
 * of a straight side (Ramer 1972, Douglas & Peucker 1973).
 *
 * @param fixes in the order of the walk
 * @returns corners without the first repeated, fewer than three where no area was walked round
 */
export function tracedCorners(fixes: readonly WalkedFix[], toleranceM = TRACE_TOLERANCE_M): Position[] {
  const good = fixes.filter((f) => f.accuracyM <= WORST_FIX_M).map((f) => f.position)
  if (good.length < FEWEST_CORNERS) return good
  const plane = localPlane(good[0]!)
  // The farthest place from the start parts the round in two lines: a closed line has no side to be held against.
  const metres = good.map(plane.toMetres)
  const away = metres.map(([e, n]) => Math.hypot(e, n))
  const far = away.indexOf(Math.max(...away))
  const straight = (line: Metres[]) =>
    line.length < 2 ? line : (simplify(lineString(line), { tolerance: toleranceM, highQuality: true }).geometry.coordinates as Metres[]) // prettier-ignore
  const there = straight(metres.slice(0, far + 1))
  const back = straight([...metres.slice(far), metres[0]!])
  const corners = [...there, ...back.slice(1, -1)]
  return corners.map(plane.toPosition)
}
