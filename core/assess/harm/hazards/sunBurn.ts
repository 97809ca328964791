import { ends, pct } from './ranges.ts'
import type { HazardModule, HazardSays } from './hazard.ts'

/** Skin burnt by sun: by a dye in the plant or by a sick liver. Shares from which on it was told stand in `flora/hazards.yaml`. */
export const sunBurn: HazardModule = {
  read: (facts, hazard, carriers) => {
    const told = carriers.flatMap((id) => {
      const from = hazard.amounts?.[id]?.[0]
      return from === undefined ? [] : [{ id, from: from / 100, share: ends(facts.share([id])) }]
    })
    const passed = told.filter((t) => t.share[1] >= t.from)
    const says: HazardSays[] = told.map(({ id, from, share }) => ({
      code: 'sun-liver-share',
      values: { plant: id, low: pct(share[0]), high: pct(share[1]), from: pct(from) },
    }))
    return {
      grade: passed.length > 0 ? 'act' : 'raised',
      says: says.length > 0 ? says : [{ code: 'sun-carriers' }],
      tests: ['liver-enzymes'],
      acts: ['shade-and-off'],
    }
  },
}
