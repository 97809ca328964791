import { northernMonthOf } from '../../../flora/seasons.ts'
import type { Region } from '../../../flora/flora.ts'
import type { HazardModule, HazardSays, Range } from './hazard.ts'

/** Cantharidin that was reported to kill a horse, milligrams a kilogram of its weight. From memory. */
const LETHAL_MG_PER_KG: Range = [0.5, 1]
/** Cantharidin in one beetle, milligrams. From memory; kinds differ much. */
const MG_PER_BEETLE: Range = [1, 5]
/** Months of the north, by cutting, in which the beetles swarm at flowers: common practice, no source. */
const SWARMING = [6, 7, 8, 9]
/** Where swarms in alfalfa are told of often: common practice, no source. */
const OFTEN: readonly Region[] = ['transition', 'warm-humid', 'semi-arid']
/** Weight of a horse where none was said, kg. */
const HORSE_KG = 500

/**
 * Beetles that hold what was reported to kill a horse: crushed ones in hay count as live ones do.
 *
 * @param bodyKg above 0
 */
export function deadlyBeetles(bodyKg: number): Range {
  if (!(bodyKg > 0)) throw new RangeError('the body weight must be above 0')
  return [
    Math.floor((bodyKg * LETHAL_MG_PER_KG[0]) / MG_PER_BEETLE[1]),
    Math.ceil((bodyKg * LETHAL_MG_PER_KG[1]) / MG_PER_BEETLE[0]),
  ]
}

/** Blister beetles baled with alfalfa hay. */
export const blisterBeetle: HazardModule = {
  forms: ['hay'],
  when: ({ outlook }) => outlook === 'hay',
  read: ({ animal, conditions: c, on, region, stage }) => {
    const [low, high] = deadlyBeetles(animal?.kind === 'horses' ? animal.bodyKg : HORSE_KG)
    const swarming = SWARMING.includes(northernMonthOf(c.cutOn ?? on, region))
    const likely = swarming && OFTEN.includes(region)
    const says: HazardSays[] = [
      { code: 'beetles-count', values: { low, high } },
      ...(swarming ? [{ code: 'beetles-season' as const }] : []),
    ]
    return {
      grade: likely && (c.conditioned || stage === 'headed') ? 'act' : swarming ? 'raised' : 'open',
      says,
      tests: ['beetles-in-flakes'],
      acts: ['cut-before-bloom', 'no-conditioner'],
    }
  },
}
