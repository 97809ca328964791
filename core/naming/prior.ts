import type { CompiledFlora } from './compileFlora.ts'
import type { AbundanceWord, LifeForm, Plant, Region } from '../flora/flora.ts'
import { growsIn } from '../flora/seasons.ts'
import type { Context } from '../records/observation.ts'

/**
 * Weights of the prior. Conventions of this project, kept flat on purpose: region, month and the sown list narrow
 * the field, but no plant is ever shut out.
 */
export const ABUNDANCE_WEIGHT: Record<AbundanceWord, number> = {
  common: 1,
  frequent: 0.7,
  occasional: 0.4,
  rare: 0.15,
}
const NOT_OF_REGION = 0.08
/** Where no region was said: those of the continent that most asks come from, and how much less a plant of another counts. */
const homeRegions: ReadonlySet<Region> = new Set(['cool-humid', 'transition', 'warm-humid', 'semi-arid'])
const ELSEWHERE_TIMES = 0.2
const OUT_OF_SEASON = 0.4
/** A plant of hedge, wood or garden, met in the sward itself. */
const EDGE_TIMES = 0.35
const SOWN_TIMES = 8
const FOUND_TIMES = 4
const NEIGHBOUR_TIMES = 3
const OTHER_GROUND = 0.5
/** Share of unknown plants, met in a paddock, that this book does not hold. */
export const NOT_IN_BOOK_PRIOR = 0.05
/** Of these, the share that is kin of a plant of the book and looks mostly like it; the rest is split over the life forms. */
const KIN_SHARE = 0.5
/** Of the rest, the share that is one of the neighbours known by sight, where there are any: each as likely as the next. */
const KNOWN_SHARE = 0.4
const STRANGER_SHARE: Record<LifeForm, number> = {
  grass: 0.25,
  sedge: 0.1,
  rush: 0.05,
  legume: 0.12,
  forb: 0.35,
  shrub: 0.13,
}

function regionWeight(plant: Plant, context: Context): number {
  if (context.region) {
    const word = plant.regions[context.region]
    return word ? ABUNDANCE_WEIGHT[word] : NOT_OF_REGION
  }
  const known = whereCommonest.get(plant)
  if (known !== undefined) return known
  const words = Object.entries(plant.regions) as [Region, AbundanceWord][]
  const here = ([r, w]: [Region, AbundanceWord]) => ABUNDANCE_WEIGHT[w] * (homeRegions.has(r) ? 1 : ELSEWHERE_TIMES)
  const weight = words.length === 0 ? ABUNDANCE_WEIGHT.occasional : Math.max(...words.map(here))
  whereCommonest.set(plant, weight)
  return weight
}
/** Weight of a plant in the region where it is commonest, worked out once. */
const whereCommonest = new WeakMap<Plant, number>()

export interface PriorFactor {
  why: 'region' | 'month' | 'sown' | 'found' | 'neighbours' | 'ground'
  times: number
}

/** What the prior of a plant is made of, each factor only where the context names it: all visible, each switched off by leaving it out. */
export function priorFactors(plant: Plant, context: Context): PriorFactor[] {
  const factors: PriorFactor[] = []
  if (context.region) factors.push({ why: 'region', times: regionWeight(plant, context) })
  if (context.month !== undefined)
    factors.push({ why: 'month', times: growsIn(plant, context.month, context.region) ? 1 : OUT_OF_SEASON })
  if (context.sown?.includes(plant.id)) factors.push({ why: 'sown', times: SOWN_TIMES })
  if (context.found?.includes(plant.id)) factors.push({ why: 'found', times: FOUND_TIMES })
  if (context.neighbours?.includes(plant.id)) factors.push({ why: 'neighbours', times: NEIGHBOUR_TIMES })
  if (context.ground && context.ground.length > 0)
    factors.push({ why: 'ground', times: plant.ground.some((g) => context.ground!.includes(g)) ? 1 : OTHER_GROUND })
  return factors
}

/**
 * Probability of each row (plants, then strangers) before the plant is looked at.
 *
 * @returns probabilities above 0; with those of `cousinPrior` they sum to 1, and what is not in the book holds NOT_IN_BOOK_PRIOR
 */
export function prior(compiled: CompiledFlora, context: Context): Float64Array {
  const weights = compiled.plants.map((plant) => {
    const anywhere = context.region ? 1 : regionWeight(plant, context)
    return priorFactors(plant, context).reduce((w, f) => w * f.times, anywhere * (plant.edge ? EDGE_TIMES : 1))
  })
  const total = weights.reduce((a, b) => a + b, 0)
  const out = new Float64Array(compiled.rows)
  weights.forEach((w, r) => (out[r] = (w / total) * (1 - NOT_IN_BOOK_PRIOR)))
  const strange = NOT_IN_BOOK_PRIOR * (weights.length > 0 ? 1 - KIN_SHARE : 1)
  const { plants, strangers, neighbours } = compiled
  const known = neighbours.length > 0 ? KNOWN_SHARE : 0
  strangers.forEach((form, i) => (out[plants.length + i] = strange * (1 - known) * STRANGER_SHARE[form]))
  if (known > 0) out.fill((strange * known) / neighbours.length, plants.length + strangers.length)
  return out
}

/** Probability, per plant and before it is looked at, of a kin of it that the book does not hold: as likely as it is itself. */
export function cousinPrior(compiled: CompiledFlora, before: Float64Array): Float64Array {
  const times = (NOT_IN_BOOK_PRIOR * KIN_SHARE) / (1 - NOT_IN_BOOK_PRIOR)
  return before.slice(0, compiled.plants.length).map((p) => p * times)
}
