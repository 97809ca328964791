import { inDiet } from './ranges.ts'
import type { HazardModule, HazardSays } from './hazard.ts'

/** Soluble oxalate of the diet, % of dry matter, from which on grazing stock not used to it is told to sicken. From memory. */
const CONCERN_PCT = 2
/** Calcium over oxalate by weight under which horses are told to lose calcium from the bone. From memory. */
const LEAST_CALCIUM = 0.5

/** Soluble oxalate of docks, pigweeds and goosefoots, and of tropical grasses to horses. */
export const oxalate: HazardModule = {
  read: (facts, hazard, carriers) => {
    const [low, high] = inDiet(facts, hazard.amounts, carriers)
    const { caPct } = facts.lab ?? {}
    const tell = (n: number) => Math.round(n * 100) / 100
    const ratio = caPct === undefined || high === 0 ? undefined : caPct / high
    const horses = facts.animal === undefined || facts.animal.kind === 'horses'
    const says: HazardSays[] = [
      { code: 'oxalate-diet', values: { low: tell(low), high: tell(high), from: CONCERN_PCT } },
      ...(ratio !== undefined && horses
        ? [{ code: 'oxalate-calcium' as const, values: { ratio: tell(ratio), least: LEAST_CALCIUM } }]
        : []),
    ]
    const short = ratio !== undefined && horses && ratio < LEAST_CALCIUM
    return {
      grade: high >= CONCERN_PCT || short ? 'act' : high >= CONCERN_PCT / 2 ? 'raised' : 'open',
      says,
      tests: ['oxalate-and-calcium'],
      acts: horses ? ['not-hungry', 'calcium'] : ['not-hungry'],
    }
  },
}
