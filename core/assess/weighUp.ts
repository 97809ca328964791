import { mixtureFeedOf, type MixtureFeed } from './feed/mixtureFeed.ts'
import { walkedStates, type Walked } from './feed/walkedStates.ts'
import { harmFindings, type HarmFindings } from './harm/harmFindings.ts'
import type { Plant } from '../flora/flora.ts'
import type { Round } from '../records/round.ts'
import { compositionOf, type Composition } from '../survey/composition.ts'
import { countedStops, designOf } from '../survey/counted.ts'
import { namedLetters } from '../survey/figures.ts'
import { countingMethods, isFirstHit } from '../methods/index.ts'
import { tallied } from '../methods/tally.ts'

export interface WeighUp {
  composition: Composition
  harm: HarmFindings
  /** As it was walked, and as it would be while leafy and once headed; undefined where no plant with a value was met. */
  feed: { walked: MixtureFeed; leafy: MixtureFeed; headed: MixtureFeed } | undefined
}

/**
 * Everything a round says, from its stops.
 *
 * @param random makes a fresh seeded source per use, so that each figure is the same each time it is shown
 * @returns undefined while nothing is counted
 */
export function weighUp(round: Round, plants: Map<string, Plant>, random: () => () => number): WeighUp | undefined {
  const named = namedLetters(round)
  const together = tallied(countedStops(round), named)
  const made = compositionOf(together, plants, designOf(round))
  if (!made) return undefined
  const ofDryMatter = countingMethods[round.method].sward?.ofDryMatter === true
  const feed = (at: Walked) => mixtureFeedOf(together, plants, at, random(), ofDryMatter)
  const [walked, leafy, headed] = [
    feed(walkedStates(round)),
    feed({ by: 'state', state: 'leafy' }),
    feed({ by: 'state', state: 'headed' }),
  ]
  return {
    composition: made,
    harm: harmFindings(made, plants, isFirstHit(round.method) ? 'points' : 'cover', round.paddock.region),
    feed: walked && leafy && headed && { walked, leafy, headed },
  }
}
