import { quantileSorted } from 'd3-array'
import type { Estimate } from './mixtureFeed.ts'
import type { AnimalClass } from './needs.ts'

export interface Herd {
  animal: AnimalClass
  count: number
  /** Kilograms of one animal, where it is not that of the class. */
  bodyKg?: number
  /** What it eats of this feed, % of body weight, where that is not what its class eats of good feed. */
  intakePct?: readonly [low: number, high: number]
}

export interface Grazing {
  /** Standing dry matter, kilograms a hectare: middle and 95 % range. */
  massKgPerHa: Estimate
  areaHa: number
  /** Dry matter left standing, kilograms a hectare. */
  residualKgPerHa: number
  /** Share of what stands above the residual that is eaten, not trodden or fouled, 0 to 1. */
  useShare: number
  /** Share of the sward that this stock refuses, 0 to 1. */
  refusedShare: number
  herd: Herd[]
  /** Growth while they are there, kilograms a hectare and day; none where it is left out. */
  growthKgPerHaDay?: number
}

const DRAWS = 2000
/** Days ahead for which the growth of the month is counted on; common practice, no source. */
const GROWTH_HOLDS_DAYS = 30
/** Two-sided 95 % of a normal distribution. */
const Z = 1.959964

/** About normal, by the sum of twelve uniform draws. */
function normal(random: () => number): number {
  let sum = -6
  for (let i = 0; i < 12; i++) sum += random()
  return sum
}

/**
 * Days a herd can stay: what stands above the residual and is eaten, over what the herd eats in a day.
 *
 *   days = area x (mass - residual) x use x (1 - refused) / sum(count x body weight x intake)
 *
 * Monte Carlo over the error of the mass (normal, cut at 0) and over the range of intake; what grows meanwhile is taken
 * from what the herd needs of the stand, for thirty days: no month's growth speaks for a year.
 *
 * @throws RangeError no animals, or a share out of 0 to 1
 */
export function grazingDays(grazing: Grazing, random: () => number): Estimate {
  const {
    massKgPerHa: mass,
    areaHa,
    residualKgPerHa,
    useShare,
    refusedShare,
    herd,
    growthKgPerHaDay: growth = 0,
  } = grazing
  if (!(herd.reduce((n, h) => n + h.count, 0) > 0)) throw new RangeError('a herd needs an animal')
  for (const share of [useShare, refusedShare])
    if (!(share >= 0 && share <= 1)) throw new RangeError(`a share must be 0 to 1: ${share}`)
  const sd = (mass.high - mass.low) / (2 * Z)
  const days = Float64Array.from({ length: DRAWS }, () => {
    const stands = Math.max(0, mass.middle + sd * normal(random))
    const eaten = areaHa * Math.max(0, stands - residualKgPerHa) * useShare * (1 - refusedShare)
    const u = random()
    const wanted = herd.reduce((sum, { animal, count, bodyKg, intakePct }) => {
      const [low, high] = intakePct ?? animal.intakePct
      return sum + (count * (bodyKg ?? animal.bodyKg) * (low + (high - low) * u)) / 100
    }, 0)
    // What grows is eaten by the same share, as long as it speaks for the growth to come.
    const net = wanted - areaHa * growth * useShare * (1 - refusedShare)
    const first = net > 0 ? eaten / net : Infinity
    return first <= GROWTH_HOLDS_DAYS ? first : GROWTH_HOLDS_DAYS + (eaten - GROWTH_HOLDS_DAYS * net) / wanted
  }).sort()
  const sorted = Array.from(days)
  const at = (p: number) => quantileSorted(sorted, p)!
  return { low: at(0.025), middle: at(0.5), high: at(0.975) }
}

/**
 * The same sum the other way: how many animals can stay for so many days, and how many hectares a herd needs for them.
 *
 * @param one what a herd of one animal finds here, in days
 * @throws RangeError no days asked for
 */
export function stockedFor(
  days: number,
  herd: { count: number; areaHa: number },
  one: Estimate,
): { animals: Estimate; areaHa: Estimate } {
  if (!(days > 0)) throw new RangeError('ask for a day or more')
  const animals = { low: one.low / days, middle: one.middle / days, high: one.high / days }
  const hectares = (n: number) => (n > 0 ? (herd.areaHa * herd.count) / n : Infinity)
  return {
    animals,
    areaHa: { low: hectares(animals.high), middle: hectares(animals.middle), high: hectares(animals.low) },
  }
}

const LB_KG = 0.45359237
const MONTH_DAYS = 30.4
/** Air-dry forage is nine parts dry matter in ten. */
const AIR_DRY = 0.9

/** Ways to count an animal unit month that really differ, each in kilograms of dry matter; the one used is said (all from memory). */
export const animalUnitMonths = {
  /** 12 kg oven-dry a day for a 1,000 lb cow (Society for Range Management 1989); 26 lb oven-dry and 30 lb air-dry are the same. */
  srm: { kgPerMonth: 360 },
  /** 800 lb air-dry a month, as public range is let. */
  'air-dry-800-lb': { kgPerMonth: 800 * LB_KG * AIR_DRY },
  /** 20 lb a day, older practice. */
  'twenty-lb': { kgPerMonth: 20 * LB_KG * MONTH_DAYS },
} as const

/** Animal unit months that a paddock holds above the residual. */
export function aums(
  { areaHa, residualKgPerHa, useShare, refusedShare }: Omit<Grazing, 'herd' | 'massKgPerHa' | 'growthKgPerHaDay'>,
  massKgPerHa: number,
  convention: keyof typeof animalUnitMonths,
): number {
  const eaten = areaHa * Math.max(0, massKgPerHa - residualKgPerHa) * useShare * (1 - refusedShare)
  return eaten / animalUnitMonths[convention].kgPerMonth
}
