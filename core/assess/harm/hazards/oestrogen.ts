import { daysAfter } from '../../../records/days.ts'
import { inDiet } from './ranges.ts'
import type { HazardModule, HazardSays } from './hazard.ts'

/** Formononetin of the diet, % of dry matter, from which on ewes are told to conceive worse (extension tables, from memory). */
const FORMONONETIN_PCT = 0.3
/** Coumestans, ppm of dry matter, from which on the same is told (extension tables, from memory). */
const COUMESTANS_PPM = 25
/** Days before and after the rams go in that ewes are kept off (common practice, no source). */
const BEFORE_DAYS = 42
const AFTER_DAYS = 21

/** Oestrogens of clovers and sick alfalfa: formononetin of the diet, and the days on which breeding ewes are elsewhere. */
export const oestrogen: HazardModule = {
  read: (facts, hazard, carriers) => {
    const { conditions, lab, on, animal } = facts
    const measured = lab?.formononetinPct
    const [low, high] = measured === undefined ? inDiet(facts, hazard.amounts, carriers) : [measured, measured]
    const coumestans = lab?.coumestanPpm
    const ewes = animal === undefined || animal.kind === 'sheep'
    const { joiningOn } = conditions
    const [first, last] = joiningOn ? [daysAfter(joiningOn, -BEFORE_DAYS), daysAfter(joiningOn, AFTER_DAYS)] : []
    const now = first !== undefined && first <= on && on <= last!
    const passed = high >= FORMONONETIN_PCT || (coumestans ?? 0) > COUMESTANS_PPM
    const tell = (n: number) => Math.round(n * 100) / 100
    const says: HazardSays[] = [
      ...(high > 0
        ? [{ code: 'oestrogen-diet' as const, values: { low: tell(low), high: tell(high), from: FORMONONETIN_PCT } }]
        : []),
      ...(coumestans === undefined
        ? []
        : [{ code: 'oestrogen-coumestans' as const, values: { ppm: coumestans, from: COUMESTANS_PPM } }]),
      ...(!ewes ? [] : first ? [{ code: 'oestrogen-ewes-off' as const, values: { first, last: last! } }] : [{ code: 'oestrogen-joining-not-known' as const }]), // prettier-ignore
    ]
    return {
      grade: passed && ewes && (first === undefined || now) ? 'act' : passed ? 'raised' : 'open',
      says,
      tests: coumestans === undefined ? ['isoflavones', 'coumestans'] : ['isoflavones'],
      acts: ['ewes-off'],
      ...(now && passed && ewes ? { from: daysAfter(last!, 1) } : {}),
    }
  },
}
