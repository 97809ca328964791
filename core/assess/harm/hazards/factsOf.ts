import type { Plant } from '../../../flora/flora.ts'
import type { Conditions } from '../../../records/conditions.ts'
import { swardStages, type SwardStage } from '../../../records/measures.ts'
import type { Round } from '../../../records/round.ts'
import { middleShareOf, shareOf, type Share } from '../../../survey/composition.ts'
import { countedStops, designOf } from '../../../survey/counted.ts'
import { resolvedUnknowns } from '../../../survey/figures.ts'
import { abundanceMatrix, type AbundanceMatrix } from '../../../methods/tally.ts'
import type { LabResult } from '../../feed/labResult.ts'
import type { AnimalClass } from '../../feed/needs.ts'
import type { HazardFacts } from './hazard.ts'

const NOTHING_COUNTED: Share = {
  estimate: 0,
  interval: undefined,
  se: undefined,
  designEffect: undefined,
  method: 'none',
}

interface Counted {
  all: AbundanceMatrix
  share: (plants: readonly string[]) => Share
  middle: (plants: readonly string[]) => number
}

const counted = new WeakMap<Round, Counted>()

/** What was counted does not turn on whose stock it is read for: each share of a round is found once. */
function countedOf(round: Round): Counted {
  const before = counted.get(round)
  if (before) return before
  const all = abundanceMatrix(countedStops(round), resolvedUnknowns(round))
  const design = designOf(round)
  const shares = new Map<string, Share>()
  const found: Counted = {
    all,
    share: (plants) => {
      if (all.totals.length === 0) return NOTHING_COUNTED
      const key = plants.join(' ')
      const share = shares.get(key) ?? shareOf(all, plants, design)
      shares.set(key, share)
      return share
    },
    middle: (plants) => (all.totals.length > 0 ? middleShareOf(all, plants, design) : 0),
  }
  counted.set(round, found)
  return found
}

/** Growth noted at most stops; of two as often the riper. Undefined where it was noted at none. */
export function stageWalked(round: Round): SwardStage | undefined {
  const noted = round.stops.filter((s) => s.skipped === null).flatMap((s) => s.measures.stage ?? [])
  if (noted.length === 0) return undefined
  const times = (stage: SwardStage) => noted.filter((s) => s === stage).length
  return swardStages.reduce((most, stage) => (times(stage) >= times(most) ? stage : most), swardStages[0])
}

/**
 * What a round, its stock, its laboratory result and what somebody wrote of its day say together.
 *
 * @param lab a simulated one is left out: nobody's stock is judged by a figure that was made up
 */
export function hazardFacts(
  round: Round,
  plants: Map<string, Plant>,
  known: { animal?: AnimalClass | undefined; conditions?: Conditions | undefined; lab?: LabResult | undefined },
): HazardFacts {
  const { all, share, middle } = countedOf(round)
  return {
    on: round.plannedOn,
    region: round.paddock.region,
    outlook: round.paddock.outlook,
    animal: known.animal,
    conditions: known.conditions ?? {},
    lab: known.lab?.simulated ? undefined : known.lab,
    stage: stageWalked(round),
    met: all.taxa.flatMap((t) => plants.get(t) ?? []),
    share,
    middle,
  }
}
