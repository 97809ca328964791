import { kindsOf } from '../../../flora/flora.ts'
import type { HazardFacts, HazardModule, HazardSays } from './hazard.ts'

/** Selenium of the feed, ppm of dry matter: under the first stock goes short, above the second it is told to poison over time. From memory. */
const SELENIUM_PPM = [0.1, 2] as const
/** Copper over molybdenum for sheep: above it copper is told to build up in the liver; under it cattle go short. From memory. */
const COPPER_RATIO = { sheepMost: 10, cattleLeast: 2 } as const
/** Copper, ppm of dry matter, from which on sheep are told to be poisoned where molybdenum is low. From memory. */
const SHEEP_COPPER_PPM = 15

const gathersSelenium = (facts: HazardFacts): boolean =>
  facts.met.some((p) => p.harm.some((h) => kindsOf(h).includes('selenium')))

/** Selenium: too little and too much lie close together, and no plant of pasture shows either. */
export const selenium: HazardModule = {
  whole: true,
  when: ({ outlook }) => outlook === 'grazing' || outlook === 'hay',
  read: (facts) => {
    const ppm = facts.lab?.sePpm
    const gathers = gathersSelenium(facts)
    const says: HazardSays[] = [
      ppm === undefined
        ? { code: 'selenium-not-tested' }
        : { code: 'selenium-lab', values: { ppm, low: SELENIUM_PPM[0], high: SELENIUM_PPM[1] } },
      ...(gathers ? [{ code: 'selenium-gatherers' as const }] : []),
    ]
    const passed = ppm !== undefined && (ppm < SELENIUM_PPM[0] || ppm > SELENIUM_PPM[1])
    return { grade: passed ? 'act' : gathers ? 'raised' : 'open', says, tests: ['selenium'], acts: ['no-guess-dosing'] }
  },
}

/** Copper: sheep are poisoned by what cattle need. */
export const copper: HazardModule = {
  whole: true,
  when: ({ outlook, animal }) =>
    (outlook === 'grazing' || outlook === 'hay') && (animal === undefined || animal.kind !== 'horses'),
  read: ({ lab, animal }) => {
    const { cuPpm, moPpm } = lab ?? {}
    const sheep = animal === undefined || animal.kind === 'sheep'
    const ratio = cuPpm !== undefined && moPpm !== undefined && moPpm > 0 ? cuPpm / moPpm : undefined
    const passed =
      (sheep && ((ratio ?? 0) > COPPER_RATIO.sheepMost || (cuPpm ?? 0) >= SHEEP_COPPER_PPM)) ||
      (animal?.kind === 'cattle' && ratio !== undefined && ratio < COPPER_RATIO.cattleLeast)
    const says: HazardSays[] =
      cuPpm === undefined
        ? [{ code: 'copper-not-tested' }]
        : [
            { code: 'copper-level', values: { ppm: cuPpm, from: SHEEP_COPPER_PPM } },
            ...(ratio === undefined
              ? []
              : [{ code: 'copper-ratio' as const, values: { ratio: Math.round(ratio * 10) / 10, most: COPPER_RATIO.sheepMost, least: COPPER_RATIO.cattleLeast } }]), // prettier-ignore
          ]
    return { grade: passed ? 'act' : 'open', says, tests: ['copper-molybdenum'], acts: ['no-guess-dosing'] }
  },
}
