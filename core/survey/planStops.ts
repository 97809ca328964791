import type { Method } from '../records/method.ts'
import { tQuantile } from '../stats/tQuantile.ts'
import { abundanceWords, type Plant, type Region } from '../flora/flora.ts'
import type { Figures } from './figures.ts'
import type { KitItem, Pilot } from '../methods/method.ts'
import { countingMethods } from '../methods/index.ts'
import { metresToExclude } from '../methods/estimators/searchWalk.ts'
import { stopsNeeded } from '../stats/stopsNeeded.ts'

export interface PlannedStops {
  stops: number
  t: number
  /** Half width that so many stops would give, and one stop less. */
  reached: number
  reachedByOneLess: number | undefined
}

/** @param inAll stops that the paddock holds, so that counting all of them leaves nothing open */
const halfWidthAt = (sd: number, n: number, inAll = Infinity): number =>
  tQuantile(0.975, n - 1) * sd * Math.sqrt(Math.max(0, 1 - n / inAll) / n)

/** The smallest number of stops for the half width wanted, and the arithmetic behind it. Source: Cochran 1977, ch. 4. */
export function planStops(pilot: Pilot, stopsInAll?: number): PlannedStops {
  const stops = stopsNeeded({ ...pilot, ...(stopsInAll === undefined ? {} : { stopsInAll }) })
  return {
    stops,
    t: tQuantile(0.975, stops - 1),
    reached: halfWidthAt(pilot.sd, stops, stopsInAll),
    reachedByOneLess: stops > 2 ? halfWidthAt(pilot.sd, stops - 1, stopsInAll) : undefined,
  }
}

/** The spread met in an earlier round of the same method: that of the most uncertain main species. */
export function pilotFrom(figures: Figures, halfWidth: number): Pilot | undefined {
  const { composition, mass } = figures
  if (composition && composition.stops > 2) {
    const worst = composition.taxa
      .filter((t) => t.estimate >= 0.1 && t.se !== undefined)
      .sort((a, b) => b.se! - a.se!)[0]
    if (worst)
      return {
        sd: worst.se! * Math.sqrt(composition.stops),
        halfWidth,
        about: worst.estimate,
        from: 'earlier-round',
        taxon: worst.taxon,
      }
  }
  if (mass && !('problem' in mass))
    return {
      sd: mass.se * Math.sqrt(mass.readings),
      halfWidth: halfWidth * 2 * mass.kgPerHa,
      about: mass.kgPerHa,
      from: 'earlier-round',
    }
  return undefined
}

/** Metres of a search walk after which, with nothing found by an eye that sees so much at least, at most so many plants a hectare are left. */
export const searchMetres = (perHa: number, stripWidthM: number, leastSeen: number): number =>
  Math.ceil(metresToExclude(perHa, stripWidthM, leastSeen))

/** Harmful plants at home in a region, the commonest first: what to look for on the walk. */
export function lookFor(plants: Plant[], region: Region): Plant[] {
  const rank = (p: Plant) => ['common', 'frequent'].indexOf(p.regions[region] ?? '')
  return plants.filter((p) => p.role === 'toxic' && rank(p) >= 0).sort((a, b) => rank(a) - rank(b))
}

/** Harmful plants of fence, hedge, ditch and wood in a region, the commonest first: what a walk along the edge looks for. */
export function lookAlongEdge(plants: Plant[], region: Region): Plant[] {
  const rank = (p: Plant) => abundanceWords.indexOf(p.regions[region]!)
  return plants
    .filter((p) => p.role === 'toxic' && p.edge !== undefined && p.regions[region] !== undefined)
    .sort((a, b) => rank(a) - rank(b))
}

/** What to carry: for the method, for naming, and where the sap of a plant that may be met burns. */
export function kitFor(method: Method, expected: Plant[]): KitItem[] {
  const burns = expected.some((p) => p.harm.some((h) => h.who.includes('people') && h.protect !== undefined))
  return [
    ...countingMethods[method].kit,
    'lens',
    'knife-and-spade',
    'bags-for-unknowns',
    ...(burns ? (['gloves-and-sleeves'] as const) : []),
  ]
}
