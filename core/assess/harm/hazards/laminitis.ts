import { northernMonthOf } from '../../../flora/seasons.ts'
import { daysBetween } from './ranges.ts'
import type { HazardFacts, HazardModule, HazardSays } from './hazard.ts'

/** Sugar and starch together, % of dry matter: what founder-prone horses are kept under (NRC Horses 2007: 10 to 12, from memory). */
const SUGAR_PCT = [10, 12] as const
/** Months of the north in which cool-season grass is told to hold most sugar, with sun after cold nights: common practice, no source. */
const SUGAR_MONTHS = [3, 4, 5, 9, 10, 11]
const FROST_DAYS = 7
const MANY_SIGNS = 2

function signs({ conditions: c, on, stage, met, region }: HazardFacts): string[] {
  const cool = met.some((p) => p.form === 'grass' && p.season === 'cool')
  const frosted = c.frostOn !== undefined && daysBetween(c.frostOn, on) >= 0 && daysBetween(c.frostOn, on) <= FROST_DAYS
  return [
    ...(cool && SUGAR_MONTHS.includes(northernMonthOf(on, region)) ? ['season'] : []),
    ...(frosted ? ['frost'] : []),
    ...(stage === 'headed' || stage === 'stemmy' || stage === 'ripe' ? ['heads'] : []),
    ...(c.drought ? ['drought'] : []),
  ]
}

/** Founder of horses and ponies by sugar: what a laboratory finds, else what raises it. */
export const laminitis: HazardModule = {
  forms: ['standing', 'hay'],
  carries: (p) => p.form === 'grass' || p.form === 'legume',
  when: ({ outlook, animal }) =>
    (outlook === 'grazing' || outlook === 'hay') && (animal === undefined || animal.kind === 'horses'),
  read: (facts) => {
    const { wscPct, starchPct } = facts.lab ?? {}
    const sugar = wscPct === undefined ? undefined : wscPct + (starchPct ?? 0)
    const seen = signs(facts)
    const says: HazardSays[] = [
      ...(sugar === undefined
        ? []
        : [{ code: 'laminitis-sugar' as const, values: { pct: Math.round(sugar * 10) / 10, from: SUGAR_PCT[0], to: SUGAR_PCT[1] } }]), // prettier-ignore
      ...(seen.length > 0 ? [{ code: 'laminitis-signs' as const, values: { signs: seen.join(' ') } }] : []),
    ]
    return {
      grade: sugar !== undefined && sugar >= SUGAR_PCT[0] ? 'act' : seen.length >= MANY_SIGNS ? 'raised' : 'open',
      says,
      tests: ['sugars'],
      acts: facts.outlook === 'hay' ? ['soak-hay', 'sugar-hours'] : ['sugar-hours'],
    }
  },
}
