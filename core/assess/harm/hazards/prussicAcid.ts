import { daysAfter } from '../../../records/days.ts'
import { madeNormals } from '../../season/madeNormals.ts'
import { monthOf } from './ranges.ts'
import type { HazardAct, HazardFacts, HazardModule, HazardRead, HazardSays } from './hazard.ts'

/** New shoots after a light frost are let grow to this height, cm (extension tables, from memory). */
const REGROWTH_CM = 60
/** Days kept off after a frost that killed the plants: seven to ten, the longer is used (extension tables, from memory). */
const AFTER_KILLING_DAYS = 10
/** Silage is left closed for three to eight weeks; the longer is used (extension tables, from memory). */
const SILAGE_DAYS = 56
/** Prussic acid in dry matter, ppm: below the first mixed feeding is told of, above the second none (extension tables, from memory). */
const HCN_PPM = [500, 1000] as const
/** Monthly mean at and below which nights can freeze, degrees Celsius: common practice, no source. */
const FROSTY_MEAN_C = 12

interface Rule {
  says: HazardSays
  /** It keeps stock off now. */
  keepsOff: boolean
  /** The day from which on it no longer does; undefined: no day can be said. */
  from?: string
}

/**
 * The rules that keep stock off young, frosted or drought-struck growth, each with its day where it has one.
 *
 * @param leastCm height from which the plants that were met are grazed, cm: the tallest of them decides
 */
export function prussicRules({ conditions: c, on, region }: HazardFacts, leastCm: number): Rule[] {
  const rules: Rule[] = []
  if (c.heightCm === undefined)
    rules.push({ says: { code: 'prussic-not-measured', values: { least: leastCm } }, keepsOff: false })
  else if (c.heightCm < leastCm)
    rules.push({ says: { code: 'prussic-short', values: { cm: c.heightCm, least: leastCm } }, keepsOff: true })
  if (c.frost === 'light')
    rules.push({ says: { code: 'prussic-light-frost', values: { least: Math.max(REGROWTH_CM, leastCm) } }, keepsOff: true }) // prettier-ignore
  if (c.frost === 'killing') {
    // Without its day the frost may have been last night.
    const from = daysAfter(c.frostOn ?? on, AFTER_KILLING_DAYS)
    rules.push({ says: { code: 'prussic-killing-frost', values: { day: from } }, keepsOff: from > on, from })
  }
  if (c.frost === undefined && madeNormals[region].meanC[monthOf(on) - 1]! <= FROSTY_MEAN_C)
    rules.push({ says: { code: 'prussic-frost-time' }, keepsOff: false })
  if (c.drought) rules.push({ says: { code: 'prussic-drought' }, keepsOff: true })
  return rules
}

/** What a laboratory's figure of fresh leaf says. */
function ofSample(ppm: number): HazardRead {
  const mark = ppm > HCN_PPM[1] ? 2 : ppm >= HCN_PPM[0] ? 1 : 0
  return {
    grade: mark > 0 ? 'act' : 'open',
    says: [{ code: 'prussic-lab', values: { ppm: Math.round(ppm), mark, low: HCN_PPM[0], high: HCN_PPM[1] } }],
    tests: ['fresh-leaf-cyanide'],
    acts: mark > 0 ? ['none-until-result', 'not-hungry'] : ['not-hungry'],
  }
}

/** Prussic acid: a calendar of height, frost and drought for the sorghum kinds. */
export const prussicAcid: HazardModule = {
  forms: ['standing', 'wilted', 'silage'],
  read: (facts, hazard, carriers) => {
    const { lab, conditions: c, on } = facts
    const heights = carriers.flatMap((id) => hazard.amounts?.[id]?.[1] ?? [])
    const rules = prussicRules(facts, Math.max(...heights, 0) || REGROWTH_CM)
    const keeping = rules.filter((r) => r.keepsOff)
    const days = keeping.flatMap((r) => r.from ?? [])
    const silage = c.wrapped && c.cutOn ? daysAfter(c.cutOn, SILAGE_DAYS) : undefined
    const sample = lab?.hcnPpm === undefined ? undefined : ofSample(lab.hcnPpm)
    const acts: HazardAct[] = ['not-below-height', 'not-hungry', 'not-on-frosty-nights']
    return {
      grade: keeping.length > 0 || sample?.grade === 'act' ? 'act' : rules.length > 0 ? 'raised' : 'open',
      says: [
        ...(sample?.says ?? []),
        ...rules.map((r) => r.says),
        ...(silage && silage > on ? [{ code: 'prussic-silage-from' as const, values: { day: silage } }] : []),
      ],
      tests: ['fresh-leaf-cyanide'],
      acts: keeping.length > 0 ? ['wait-until', ...acts] : acts,
      // One rule without a day leaves no day for the whole.
      ...(keeping.length > 0 && days.length === keeping.length ? { from: days.sort().at(-1)! } : {}),
    }
  },
}
