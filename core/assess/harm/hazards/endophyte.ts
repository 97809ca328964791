import { clopperPearson } from '../../../stats/proportionIntervals.ts'
import { northernMonthOf } from '../../../flora/seasons.ts'
import { ends, inDiet, pct } from './ranges.ts'
import type { HazardAct, HazardFacts, HazardModule, HazardSays, Range } from './hazard.ts'

/** Ergovaline of the whole diet, ppb, from which on trouble is told of. From memory of extension tables. */
const LIMIT_PPB = { cattle: [400, 750], horses: [300, 500], sheep: [300, 500], goats: [300, 500] } as const
/** Share of a year's highest level that infected plants hold: heads in June and July hold most, winter leaf least. From memory. */
const BY_MONTH: readonly Range[] = [
  [0.1, 0.4],
  [0.1, 0.3],
  [0.1, 0.4],
  [0.2, 0.6],
  [0.4, 1],
  [0.6, 1],
  [0.4, 1],
  [0.3, 0.7],
  [0.3, 0.8],
  [0.3, 0.8],
  [0.3, 0.7],
  [0.2, 0.6], // prettier-ignore
]
/** Gain lost each day for each tenth of the diet that is infected, grams: Stuedemann & Hoveland 1988, from memory. */
const LOST_G_PER_TENTH = 45
/** Infected share from which on a stand is sown anew, and from which on it is thinned with legume (Ball et al., from memory). */
const RENOVATE = 0.6
const DILUTE = 0.25

/** Share of tillers infected, 0 to 1, by a test of some of them; the whole of it where none was made. */
export function infectedShare({ tillersTested: n, tillersInfected: x }: HazardFacts['conditions']): Range {
  if (n === undefined || x === undefined || n < 1 || x > n) return [0, 1]
  return clopperPearson({ x, n })
}

/** Ergovaline of the diet, ppb: that of a laboratory's sample of the sward, else plants, infection and month together. */
function ergovaline(
  facts: HazardFacts,
  amounts: Record<string, [number, number]>,
  carriers: string[],
  infected: Range,
): Range {
  const measured = facts.lab?.ergovalinePpb
  if (measured !== undefined) return [measured, measured]
  const [low, high] = inDiet(facts, amounts, carriers)
  const month = BY_MONTH[northernMonthOf(facts.on, facts.region) - 1]!
  return [low * infected[0] * month[0], high * infected[1] * month[1]]
}

/** The endophyte of tall fescue and of perennial ryegrass: infection, what it does to the diet, and when it is worth renewing. */
export const endophyte: HazardModule = {
  read: (facts, hazard, carriers) => {
    const { conditions, lab, animal } = facts
    const amounts = hazard.amounts ?? {}
    const fescue = carriers.filter((id) => id in amounts)
    const ryegrass = carriers.filter((id) => !(id in amounts))
    const tested = conditions.tillersTested !== undefined && conditions.tillersInfected !== undefined
    const infected = infectedShare(conditions)
    const says: HazardSays[] = []
    const acts: HazardAct[] = []
    let passed = false
    if (fescue.length > 0) {
      const limit = LIMIT_PPB[animal?.kind ?? 'horses']
      const [low, high] = ergovaline(facts, amounts, fescue, infected)
      passed = high >= limit[0] && (tested || lab?.ergovalinePpb !== undefined)
      says.push(
        tested
          ? { code: 'endophyte-infected', values: { x: conditions.tillersInfected!, n: conditions.tillersTested!, low: pct(infected[0]), high: pct(infected[1]) } } // prettier-ignore
          : { code: 'endophyte-not-tested' },
        { code: 'endophyte-diet', values: { low: Math.round(low), high: Math.round(high), from: limit[0], to: limit[1] } }, // prettier-ignore
      )
      const share = ends(facts.share(fescue))
      if (animal?.kind === 'cattle') {
        const lost = (of: 0 | 1) => Math.round(share[of] * infected[of] * 10 * LOST_G_PER_TENTH)
        says.push({ code: 'endophyte-gain', values: { low: lost(0), high: lost(1) } })
      }
      if (animal === undefined || animal.kind === 'horses') {
        says.push({ code: 'endophyte-mares' })
        acts.push('mares-off-fescue')
      }
      if (tested) {
        const middle = conditions.tillersInfected! / conditions.tillersTested!
        if (middle >= RENOVATE) says.push({ code: 'endophyte-renovate' })
        else if (middle >= DILUTE) says.push({ code: 'endophyte-dilute' })
        if (middle >= DILUTE) acts.push(middle >= RENOVATE ? 'renovate' : 'add-legume')
      }
    }
    if (ryegrass.length > 0) {
      says.push({ code: 'ryegrass-staggers' })
      acts.push('watch-staggers')
    }
    return {
      grade: passed ? 'act' : tested && fescue.length > 0 ? 'raised' : 'open',
      says,
      tests: ['thirty-tillers'],
      acts,
    }
  },
}
