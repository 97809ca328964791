/** A point of a frame, 0 to 1 from its left and its upper side. */
export type FramePoint = [u: number, v: number]

/**
 * Points of a frame in a square grid from a random start, row by row there and back: each place of the frame is as likely as the next.
 *
 * @param count points wanted, a square number best; the grid holds the next larger square and leaves the last ones out
 */
export function gridPoints(count: number, random: () => number): FramePoint[] {
  const side = Math.ceil(Math.sqrt(count))
  const [u0, v0] = [random(), random()]
  const rows = Array.from({ length: side }, (_, r) =>
    Array.from({ length: side }, (_, c): FramePoint => [(c + u0) / side, (r + v0) / side]),
  )
  return rows.flatMap((row, r) => (r % 2 === 0 ? row : row.toReversed())).slice(0, count)
}

/** The block of a picture that a point falls into. @param perSide blocks on each side */
export const blockAt = ([u, v]: FramePoint, perSide: number): number =>
  Math.min(perSide - 1, Math.floor(v * perSide)) * perSide + Math.min(perSide - 1, Math.floor(u * perSide))
