import type { Plant } from '../../../flora/flora.ts'
import type { Conditions } from '../../../records/conditions.ts'
import { swardStages, type SwardStage } from '../../../records/measures.ts'
import type { Round } from '../../../records/round.ts'
import { sharesOf } from '../../../survey/sharesOf.ts'
import type { LabResult } from '../../feed/labResult.ts'
import type { AnimalClass } from '../../feed/needs.ts'
import type { HazardFacts } from './hazard.ts'

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
  const { all, share, middle } = sharesOf(round)
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
