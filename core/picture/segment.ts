import { RandomForestClassifier } from 'ml-random-forest'
import type { BlockFeatures } from './blocks.ts'
import { pictureClasses, type PictureClass } from './classes.ts'

/** A block that somebody named. */
export interface NamedBlock {
  block: number
  is: PictureClass
}

/** So many named points of two kinds or more before a forest is grown; till then colour alone decides. */
export const FEWEST_NAMED = 12
const TREES = 25
const GREEN_FROM = 0.15
const LIT_FROM = 0.5

/** What a block is by its colour alone: green by excess green, else bright and pale dead stuff, else ground. */
function byColour([, , light, excess]: BlockFeatures): PictureClass {
  return excess > GREEN_FROM ? 'green' : light > LIT_FROM ? 'litter' : 'bare'
}

/**
 * The class of each block of a picture: by a small random forest grown on the blocks that were named (Breiman 2001), by colour
 * alone as long as few are. It need not be right: the difference estimator corrects it, and gets narrower the better it is.
 *
 * @param seed whole number: the same seed grows the same forest
 */
export function segmented(
  blocks: readonly BlockFeatures[],
  named: readonly NamedBlock[],
  seed: number,
): PictureClass[] {
  const kinds = [...new Set(named.map((n) => n.is))]
  if (named.length < FEWEST_NAMED || kinds.length < 2) return blocks.map(byColour)
  const forest = new RandomForestClassifier({
    ...{ seed, nEstimators: TREES, maxFeatures: 0.7, replacement: true, useSampleBagging: true, noOOB: true },
  })
  forest.train(
    named.map((n) => [...blocks[n.block]!]),
    named.map((n) => pictureClasses.indexOf(n.is)),
  )
  return forest.predict(blocks.map((b) => [...b])).map((k) => pictureClasses[k]!)
}
