import type { Method } from '../records/method.ts'
import tQuantile from '@stdlib/stats-base-dists-t-quantile'
import type { Plant, Region } from '../flora/flora.ts'
import type { Figures } from './figures.ts'
import { methodInfo, READING, type KitItem } from './methods.ts'
import { metresToExclude } from './searchWalk.ts'
import { stopsNeeded } from '../stats/stopsNeeded.ts'

/** What the number of stops is worked out from. */
export interface Pilot {
  /** Standard deviation between stops, in the unit of the half width. */
  sd: number
  /** Half width wanted of the 95 % interval. */
  halfWidth: number
  /** Share (0 to 1) or mass that the spread belongs to, for the words. */
  about: number
  from: 'earlier-round' | 'guess'
  /** Plant that the spread belongs to, where it is of one. */
  taxon?: string
}

export interface PlannedStops {
  stops: number
  t: number
  /** Half width that so many stops would give, and one stop less. */
  reached: number
  reachedByOneLess: number | undefined
}

const halfWidthAt = (sd: number, n: number): number => (tQuantile(0.975, n - 1) * sd) / Math.sqrt(n)

/** The smallest number of stops for the half width wanted, and the arithmetic behind it. Source: Cochran 1977, ch. 4. */
export function planStops(pilot: Pilot, stopsInAll?: number): PlannedStops {
  const stops = stopsNeeded({ ...pilot, ...(stopsInAll === undefined ? {} : { stopsInAll }) })
  return {
    stops,
    t: tQuantile(0.975, stops - 1),
    reached: halfWidthAt(pilot.sd, stops),
    reachedByOneLess: stops > 2 ? halfWidthAt(pilot.sd, stops - 1) : undefined,
  }
}

/** Variance of clustered points against as many at random, where nothing is known. Common practice, no source. */
const USUAL_DESIGN_EFFECT = 2.5
/** Share of a main species where nothing is known: near the middle the spread is widest. */
const USUAL_SHARE = 0.3
/** Coefficient of variation of standing mass from place to place. Common practice, no source. */
const USUAL_MASS_CV = 0.35
const USUAL_MASS_KG_PER_HA = 2000

/** A cautious guess where there is no earlier round. */
export function guessedPilot(method: Method, pointsPerStop: number, halfWidth: number): Pilot {
  const from = 'guess' as const
  if (READING[method])
    return {
      sd: USUAL_MASS_CV * USUAL_MASS_KG_PER_HA,
      halfWidth: halfWidth * 2 * USUAL_MASS_KG_PER_HA,
      about: USUAL_MASS_KG_PER_HA,
      from,
    }
  if (method === 'nested-frequency') return { sd: 0.5, halfWidth: Math.max(halfWidth, 0.1), about: 0.5, from }
  const points = methodInfo[method].entry === 'points' ? pointsPerStop : method === 'grid-frequency' ? 25 : 10
  const sd = Math.sqrt((USUAL_DESIGN_EFFECT * USUAL_SHARE * (1 - USUAL_SHARE)) / points)
  return { sd, halfWidth, about: USUAL_SHARE, from }
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

/** Metres of a search walk after which, with nothing found, at most so many plants a hectare are left. */
export const searchMetres = (perHa: number, stripWidthM: number, seenShare: number): number =>
  Math.ceil(metresToExclude(perHa, stripWidthM, seenShare))

/** Harmful plants at home in a region, the commonest first: what to look for on the walk. */
export function lookFor(plants: Plant[], region: Region): Plant[] {
  const rank = (p: Plant) => ['common', 'frequent'].indexOf(p.regions[region] ?? '')
  return plants.filter((p) => p.role === 'toxic' && rank(p) >= 0).sort((a, b) => rank(a) - rank(b))
}

/** What to carry: for the method, for naming, and where the sap of a plant that may be met burns. */
export function kitFor(method: Method, expected: Plant[]): KitItem[] {
  const burns = expected.some((p) => p.harm.some((h) => h.who.includes('people') && h.protect !== undefined))
  return [
    ...methodInfo[method].kit,
    'lens',
    'knife-and-spade',
    'bags-for-unknowns',
    ...(burns ? (['gloves-and-sleeves'] as const) : []),
  ]
}
