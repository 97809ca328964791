import { daysAfter } from '../../../records/days.ts'
import { nitrateStep } from '../../feed/labResult.ts'
import { daysBetween, pct } from './ranges.ts'
import type { HazardAct, HazardFacts, HazardModule, HazardSays, HazardTest, Range } from './hazard.ts'

/** NO3-N of the whole ration, ppm of dry matter, that the tables allow to stock in young and to other stock. Extension tables, from memory. */
const LIMIT_PPM = { pregnant: 1000, other: 1500 } as const
/** NO3-N of the feed that is mixed in, ppm, where nobody has tested it: common practice, no source. */
const BASE_PPM: Range = [0, 300]
/** Litres drunk for each kilogram of dry matter eaten, cool to hot days (NRC, from memory). */
const WATER_L_PER_KG = { cattle: [3, 6], sheep: [2, 4], goats: [2, 4], horses: [2, 4] } as const
/** Share that stays after ensiling: 30 to 60 % is lost (extension tables, from memory). */
const LEFT_IN_SILAGE: Range = [0.4, 0.7]
/** Days after the rain that ends a drought until plants have used up what they took in (extension tables, from memory). */
const AFTER_RAIN_DAYS = 7
/** Nitrogen dressed within six weeks from which on it is taken to show, kg/ha: common practice, no source. */
const MUCH_NITROGEN = 80

export interface NitrateRation {
  testPpm: number
  /** NO3-N of the rest of the ration, ppm of dry matter. */
  basePpm: number
  /** What water adds, ppm of dry matter: milligrams a litre times litres drunk for a kilogram of dry matter. */
  waterPpm: number
  pregnant: boolean
}

/**
 * Largest share of the tested feed in the dry matter of a day, 0 to 1: (limit - base - water) / (test - base), and never more
 * than the table of steps allows. Extension tables for cattle, from memory; used for other stock because nobody has better.
 */
export function mostOfRation({ testPpm, basePpm, waterPpm, pregnant }: NitrateRation): number {
  const limit = pregnant ? LIMIT_PPM.pregnant : LIMIT_PPM.other
  const step = nitrateStep(testPpm)
  const table = (pregnant ? step.mostToPregnant : step.mostOfRation) ?? 1
  const room = limit - basePpm - waterPpm
  if (room <= 0) return 0
  const bySum = testPpm > basePpm ? room / (testPpm - basePpm) : 1
  return Math.max(0, Math.min(1, bySum, table))
}

function ofSample(testPpm: number, facts: HazardFacts) {
  const { conditions, animal } = facts
  const litres = WATER_L_PER_KG[animal?.kind ?? 'cattle']
  const water = conditions.waterNitrateMgPerL ?? 0
  const range = (pregnant: boolean): Range => {
    const most = (basePpm: number, l: number) => mostOfRation({ testPpm, basePpm, waterPpm: water * l, pregnant })
    return [most(BASE_PPM[1], litres[1]), most(BASE_PPM[0], litres[0])]
  }
  const said = (code: 'nitrate-ration' | 'nitrate-ration-pregnant', [low, high]: Range): HazardSays => ({
    code,
    values: { ppm: Math.round(testPpm), low: pct(low), high: pct(high), water },
  })
  const [others, inYoung] = [range(false), range(true)]
  const silage: HazardSays = {
    code: 'nitrate-silage',
    values: { low: Math.round(testPpm * LEFT_IN_SILAGE[0]), high: Math.round(testPpm * LEFT_IN_SILAGE[1]) },
  }
  const concerned = [...(conditions.pregnant ? [] : [others]), ...(conditions.pregnant === false ? [] : [inYoung])]
  const passed = concerned.some(([low]) => low < 1)
  return {
    passed,
    says: [
      ...(passed ? [] : [{ code: 'nitrate-lowest-mark' as const, values: { ppm: Math.round(testPpm) } }]),
      ...(passed && !conditions.pregnant ? [said('nitrate-ration', others)] : []),
      ...(passed && conditions.pregnant !== false ? [said('nitrate-ration-pregnant', inYoung)] : []),
      ...(passed ? [silage] : []),
    ],
  }
}

/** What makes nitrate more likely, where no laboratory has seen it. */
function signs({ conditions: c, on }: HazardFacts): HazardSays[] {
  const frost = c.frostOn !== undefined && daysBetween(c.frostOn, on) >= 0 && daysBetween(c.frostOn, on) <= 14
  return [
    ...(c.drought ? [{ code: 'nitrate-drought' as const }] : []),
    ...((c.nitrogenKgPerHa ?? 0) >= MUCH_NITROGEN
      ? [{ code: 'nitrate-dressed' as const, values: { kg: c.nitrogenKgPerHa! } }]
      : []),
    ...(frost ? [{ code: 'nitrate-frost' as const }] : []),
  ]
}

/** The first day after the wait for what grows back when rain ends a drought; undefined where nothing is waited for. */
function waitAfterRain({ conditions, on }: HazardFacts): string | undefined {
  const until = conditions.rainOn === undefined ? undefined : daysAfter(conditions.rainOn, AFTER_RAIN_DAYS)
  return until !== undefined && until > on ? until : undefined
}

/**
 * Nitrate: a ration sum where a laboratory has seen it, else what makes it likely and which test tells. The week after the
 * rain is waited for in both cases: whether the sample was taken before it is not known.
 */
export const nitrate: HazardModule = {
  read: (facts) => {
    const { lab, conditions } = facts
    const wait = waitAfterRain(facts)
    const waiting: HazardSays[] = wait ? [{ code: 'nitrate-wait-rain', values: { day: wait } }] : []
    // What a sample keeps off no day lets on.
    const from = wait ? { from: wait } : {}
    const water: HazardTest[] = conditions.waterNitrateMgPerL === undefined ? ['nitrate-water'] : []
    if (lab?.nitrateNPpm !== undefined) {
      const { passed, says } = ofSample(lab.nitrateNPpm, facts)
      const acts: HazardAct[] = passed ? ['dilute-by-the-figure', 'graze-tops', 'not-hungry'] : ['not-hungry']
      return {
        grade: passed ? 'act' : wait ? 'raised' : 'open',
        says: [...says, ...waiting],
        tests: wait ? ['nitrate-stems', ...water] : water,
        acts: wait && !passed ? ['wait-until', ...acts] : acts,
        ...from,
      }
    }
    const says = [...signs(facts), ...waiting]
    return {
      grade: says.length > 0 ? 'raised' : 'open',
      says,
      tests: ['nitrate-stems', ...water],
      acts: ['none-until-result', 'not-hungry', 'graze-tops'],
      ...from,
    }
  },
}
