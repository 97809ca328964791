import { tQuantile } from '../stats/tQuantile.ts'
import type { Interval } from '../stats/clusterRatio.ts'
import { pictureClasses, type PictureClass } from './classes.ts'

/** A frame of which a picture was taken: what was named at its points, what the map has there, and the map of the whole frame. */
export interface PicturedFrame {
  points: readonly { named: PictureClass; mapped: PictureClass }[]
  /** Share of each class over the whole frame, by the map; together 1. */
  map: Record<PictureClass, number>
}

export interface Estimated {
  estimate: number
  /** 95 %; undefined where the spread cannot be told. */
  interval: Interval | undefined
  se: number | undefined
}

export interface PictureShare {
  class: PictureClass
  byPoints: Estimated
  withMap: Estimated
  /** Variance by points alone over variance with the map: how many times as many points the map is worth; undefined where either is none. */
  worth: number | undefined
}

const mean = (list: readonly number[]) => list.reduce((a, b) => a + b, 0) / list.length

/** Mean of values with its 95 % interval by Student's t, held between 0 and 1. */
function estimated(values: readonly number[], shift = 0): Estimated {
  const n = values.length
  const middle = mean(values)
  const estimate = Math.min(1, Math.max(0, shift + middle))
  if (n < 2) return { estimate, interval: undefined, se: undefined }
  const se = Math.sqrt(values.reduce((s, x) => s + (x - middle) ** 2, 0) / (n - 1) / n)
  if (se === 0) return { estimate, interval: undefined, se }
  const half = tQuantile(0.975, n - 1) * se
  return { estimate, interval: [Math.max(0, shift + middle - half), Math.min(1, shift + middle + half)], se }
}

const compared = (c: PictureClass, byPoints: Estimated, withMap: Estimated): PictureShare => ({
  class: c,
  byPoints,
  withMap,
  worth: byPoints.se && withMap.se ? (byPoints.se / withMap.se) ** 2 : undefined,
})

/**
 * Shares of one frame, by its points alone and with the map: the share of the map over the whole frame, corrected by how far the map
 * is off at the points (difference estimator; Cochran 1977, ch. 7; Sarndal, Swensson & Wretman 1992, ch. 6). It is right
 * whatever the map says, as long as the map was not fitted to the points that correct it, and the narrower the better the map is.
 *
 * @throws RangeError no point was named
 */
export function frameShares({ points, map }: PicturedFrame): PictureShare[] {
  if (points.length === 0) throw new RangeError('name a point of the frame first')
  return pictureClasses.map((c) => {
    const is = (x: PictureClass) => Number(x === c)
    return compared(
      c,
      estimated(points.map((p) => is(p.named))),
      estimated(points.map((p) => is(p.named) - is(p.mapped)), map[c]),
    ) // prettier-ignore
  })
}

/**
 * Shares of a round of such frames: the mean over the frames, the frame as the unit.
 *
 * @throws RangeError no frame
 */
export function roundShares(frames: readonly PicturedFrame[]): PictureShare[] {
  if (frames.length === 0) throw new RangeError('no frame was pictured')
  const each = frames.map(frameShares)
  return pictureClasses.map((c, k) =>
    compared(
      c,
      estimated(each.map((f) => f[k]!.byPoints.estimate)),
      estimated(each.map((f) => f[k]!.withMap.estimate)),
    ),
  )
}
