import { feedForms, type FeedForm, type Hazard } from '../../../flora/flora.ts'
import { bloat } from './bloat.ts'
import { blisterBeetle } from './blisterBeetle.ts'
import { endophyte } from './endophyte.ts'
import { ergot } from './ergot.ts'
import { grassTetany } from './grassTetany.ts'
import { hazardGrades, type HazardAct, type HazardFacts, type HazardModule, type HazardReading, type HazardSays, type HazardTest } from './hazard.ts' // prettier-ignore
import { laminitis } from './laminitis.ts'
import { copper, selenium } from './minerals.ts'
import { nitrate } from './nitrate.ts'
import { oestrogen } from './oestrogen.ts'
import { oxalate } from './oxalate.ts'
import { prussicAcid } from './prussicAcid.ts'
import { sunBurn } from './sunBurn.ts'
import { wrappedForage } from './wrappedForage.ts'

const CARRIED: HazardSays = { code: 'carried' }

/** A danger of which only its plants are known: it is carried, and the test and the act go by its name. */
const carriedWith = (forms: FeedForm[], tests: HazardTest[], acts: HazardAct[]): HazardModule => ({
  forms,
  read: () => ({ grade: 'open', says: [CARRIED], tests, acts }),
})

/** Each danger of `flora/hazards.yaml` and what works it out. */
export const hazardModules: Record<string, HazardModule> = {
  bloat,
  'blister-beetle': blisterBeetle,
  'blister-sap': carriedWith(['standing', 'wilted'], [], ['keep-skin-covered']),
  copper,
  endophyte,
  ergot,
  'grass-tetany': grassTetany,
  laminitis,
  'mouldy-sweetclover': carriedWith(['hay', 'silage'], ['dicoumarol'], ['no-mouldy-hay']),
  nitrate,
  oestrogen,
  oxalate,
  pollen: carriedWith([], [], ['before-flowering']),
  'prussic-acid': prussicAcid,
  selenium,
  'sun-burn': sunBurn,
  'wrapped-forage': wrappedForage,
}

/**
 * What of a sward can carry dangers that looking does not tell, worked out from what is known; the most pressing first. A danger
 * whose plants were not met is left out, which does not say that it is not there.
 */
export function readHazards(facts: HazardFacts, hazards: readonly Hazard[]): HazardReading[] {
  const readings = hazards.flatMap((hazard): HazardReading[] => {
    const module = hazardModules[hazard.id]
    if (!module || (module.when && !module.when(facts))) return []
    const carriers = facts.met
      .filter((p) => module.carries?.(p) ?? hazard.plants.includes(p.id))
      .map((p) => ({ id: p.id, amount: facts.middle([p.id]) }))
      .sort((a, b) => b.amount - a.amount)
      .map((c) => c.id)
    if (carriers.length === 0 && !module.whole) return []
    const concerns =
      facts.animal === undefined || hazard.who.includes(facts.animal.kind) || hazard.who.includes('people')
    const share = facts.share(carriers)
    const forms = module.forms ?? feedForms
    const read = module.read(facts, hazard, carriers)
    // Where nothing is known of it that can be said, that its plants are there is.
    const says = read.says.length > 0 ? read.says : [CARRIED]
    return [{ hazard, plants: carriers, share, concerns, forms, ...read, says }]
  })
  return readings.sort(
    (a, b) =>
      Number(b.concerns) - Number(a.concerns) ||
      hazardGrades.indexOf(a.grade) - hazardGrades.indexOf(b.grade) ||
      b.share.estimate - a.share.estimate,
  )
}
