import type { BlockFeatures } from './blocks.ts'
import { pictureClasses, type PictureClass } from './classes.ts'
import type { PicturedFrame } from './differenceEstimate.ts'
import { blockAt, type FramePoint } from './points.ts'
import { segmented } from './segment.ts'

const FOLDS = 4

/** A point of a frame that was named. */
export interface NamedPoint {
  at: FramePoint
  is: PictureClass
}

/** What a map makes of a frame and its points, each point judged by a map that did not learn from it. */
export interface FrameMap extends PicturedFrame {
  /** Class of each block by the map that learned from all points, row by row: to be looked at, not reckoned with. */
  blocks: PictureClass[]
}

/**
 * A frame mapped by its own named points without judging itself: the points are parted, the map of each part learns from the others
 * only, and the shares of the maps are averaged as their parts weigh (cross-fitting; Breidt & Opsomer 2017 for model-assisted
 * estimates). So the difference estimator stays right though map and correction come from the same points.
 *
 * @param perSide blocks on each side of the frame
 */
export function crossFitted(
  blocks: readonly BlockFeatures[],
  perSide: number,
  points: readonly NamedPoint[],
  seed: number,
): FrameMap {
  // prettier-ignore
  const named = points.map(({ at, is }) => ({ block: blockAt(at, perSide), is }))
  const map = Object.fromEntries(pictureClasses.map((c) => [c, 0])) as Record<PictureClass, number>
  const judged = new Array<{ named: PictureClass; mapped: PictureClass }>(named.length)
  for (let fold = 0; fold < FOLDS; fold++) {
    // Neighbours along the walk go into different parts.
    const mine = named.flatMap((_, i) => (i % FOLDS === fold ? [i] : []))
    if (mine.length === 0) continue
    const classes = segmented(blocks, named.filter((_, i) => i % FOLDS !== fold), seed) // prettier-ignore
    for (const c of classes) map[c] += mine.length / named.length / blocks.length
    for (const i of mine) judged[i] = { named: named[i]!.is, mapped: classes[named[i]!.block]! }
  }
  const whole = segmented(blocks, named, seed)
  if (named.length === 0) for (const c of whole) map[c] += 1 / blocks.length
  return { points: judged, map, blocks: whole }
}
