import { mixtureFeedOf, type Growth, type MixtureFeed } from '../feed/mixtureFeed.ts'
import { harmFindings, type HarmFindings } from '../harm/harmFindings.ts'
import type { Plant } from '../naming/flora.ts'
import type { Round } from '../records/round.ts'
import { compositionOf, type Composition } from './composition.ts'
import { tallied, type NamedLetters } from './tally.ts'

export interface WeighUp {
  composition: Composition
  harm: HarmFindings
  feed: { leafy: MixtureFeed | undefined; stemmy: MixtureFeed | undefined }
}

/** Letters of a round that have a name by now. */
export function namedLetters(round: Pick<Round, 'unknowns'>): NamedLetters {
  return Object.fromEntries(round.unknowns.flatMap((u) => (u.namedAs ? [[u.letter, u.namedAs]] : [])))
}

/**
 * Everything a round says, from its stops.
 *
 * @param random makes a fresh seeded source per use, so that each figure is the same each time it is shown
 * @returns undefined while nothing is counted
 */
export function weighUp(round: Round, plants: Map<string, Plant>, random: () => () => number): WeighUp | undefined {
  const named = namedLetters(round)
  const together = tallied(round.stops, named)
  const made = compositionOf(together, plants)
  if (!made) return undefined
  const feed = (growth: Growth) => mixtureFeedOf(together, plants, growth, random())
  return {
    composition: made,
    harm: harmFindings(made, plants, round.method === 'step-points' ? 'points' : 'cover', round.paddock.region),
    feed: { leafy: feed('leafy'), stemmy: feed('stemmy') },
  }
}
