import { clipFactors } from './feed/clipFactors.ts'
import { mixtureFeedOf, type MassBy, type MixtureFeed } from './feed/mixtureFeed.ts'
import { walkedStates, type Walked } from './feed/walkedStates.ts'
import { FENCE } from '../records/round.ts'
import { harmFindings, type Walked as LookedOver, type HarmFindings } from './harm/harmFindings.ts'
import { hazardFacts } from './harm/hazards/factsOf.ts'
import { readHazards } from './harm/hazards/index.ts'
import { outlookReading } from './indicators/outlookReading.ts'
import { swardFigures } from './indicators/siteIndicators.ts'
import type { Hazard, Plant } from '../flora/flora.ts'
import type { Round } from '../records/round.ts'
import { byPart, type PartMade } from '../survey/byPart.ts'
import { compositionOf, type Composition, type Share } from '../survey/composition.ts'
import { sharesOf } from '../survey/sharesOf.ts'
import { countedStops, designOf } from '../survey/counted.ts'
import { resolvedUnknowns } from '../survey/figures.ts'
import { countingMethods, isFirstHit } from '../methods/index.ts'
import { abundanceMatrix } from '../methods/tally.ts'

export interface WeighUp {
  composition: Composition
  /** The parts of the paddock by themselves; none where the stops lie in one. */
  parts: PartMade[]
  harm: HarmFindings
  /** As it was walked, and as it would be while leafy and once headed; undefined where no plant with a value was met. */
  feed: { walked: MixtureFeed; leafy: MixtureFeed; headed: MixtureFeed } | undefined
}

/**
 * Everything a round says, from its stops.
 *
 * @param random makes a fresh seeded source per use, so that each figure is the same each time it is shown
 * @param clipped rounds of hand-sorted clips of the same paddock, the one to be asked first in front
 * @returns undefined while nothing is counted
 */
export function weighUp(
  round: Round,
  plants: Map<string, Plant>,
  random: () => () => number,
  clipped: readonly Round[] = [],
): WeighUp | undefined {
  const named = resolvedUnknowns(round)
  const together = abundanceMatrix(countedStops(round), named)
  const made = compositionOf(together, plants, designOf(round))
  if (!made) return undefined
  const massBy = massOf(round, plants, clipped)
  const feed = (at: Walked) => mixtureFeedOf(together, plants, at, random(), massBy)
  const [walked, leafy, headed] = [
    feed(walkedStates(round)),
    feed({ by: 'state', state: 'leafy' }),
    feed({ by: 'state', state: 'headed' }),
  ]
  return {
    composition: made,
    parts: byPart(round, plants),
    harm: harmFindings(
      made,
      plants,
      isFirstHit(round.method) ? 'points' : 'cover',
      round.paddock.region,
      walkedOver(round),
    ),
    feed: walked && leafy && headed && { walked, leafy, headed },
  }
}

/**
 * The shares that a page asks of a round at once, for its plants, dangers and ground, by what they are of: for `sharesOf` in another
 * thread, which then need not find them again.
 */
export function sharesAhead(round: Round, plants: Map<string, Plant>, hazards: readonly Hazard[]): Map<string, Share> {
  const { all, share, known } = sharesOf(round)
  for (const taxon of all.taxa) share([taxon])
  readHazards(hazardFacts(round, plants, {}), hazards)
  swardFigures(round, [...plants.values()])
  outlookReading(round, plants, round.paddock.outlook)
  return known
}

/** What was looked over beside the counting: round the stops, and along the fence. */
function walkedOver({ stops }: Round): LookedOver {
  const done = stops.filter((s) => s.doneAt !== null && s.skipped === null)
  const near = new Map<string, number>()
  for (const stop of done) for (const plant of new Set(stop.measures.near)) near.set(plant, (near.get(plant) ?? 0) + 1)
  return {
    searched: done.filter((s) => s.measures.searched).length,
    edgeStops: done.filter((s) => s.stratum === FENCE).length,
    near,
  }
}

/** How the amounts of a round stand for dry matter. */
function massOf(round: Round, plants: Map<string, Plant>, clipped: readonly Round[]): MassBy {
  if (countingMethods[round.method].sward?.ofDryMatter) return { by: 'weight' }
  const factors = clipped.map((c) => clipFactors(round, c, plants)).find((f) => f !== undefined)
  return factors ? { by: 'clips', factors } : { by: 'guess' }
}
