import type { Plant, Region, Turf, TurfUse } from '../../flora/flora.ts'
import type { Share } from '../../survey/composition.ts'

/** What a turf is, part by part: what is wanted in it, and what is not. */

/** Share from which a plant has a say in how a turf is kept. */
const HAS_A_SAY = 0.1
/** Cut at so much more than the height that is kept: no more than a third of the leaf goes. */
const THIRD = 1.5

interface Met {
  plant: Plant
  share: number
}

/** Whether a plant is wanted in a turf of this use: sown for it, or named for it in its file. */
export const fitFor = (p: Plant, use: TurfUse): boolean => p.turf?.mowMm[use] !== undefined

export interface Mowing {
  /** Heights that suit all that is wanted, mm. */
  keepMm: readonly [number, number]
  /** The grass is cut when it has reached this, from the height that is kept. */
  cutAtMm: readonly [number, number]
  of: string[]
}

/**
 * Heights of cut for the plants that are wanted; a weed never has a say. Where no height suits all, the plants it is between.
 *
 * @param met plants with their share of the sward, 0 to 1
 */
export function mowing(met: readonly Met[], use: TurfUse): Mowing | { clash: string[] } | undefined {
  const wanted = met.filter((m) => m.share >= HAS_A_SAY && fitFor(m.plant, use))
  if (wanted.length === 0) return undefined
  const bands = wanted.map((m) => m.plant.turf!.mowMm[use]!)
  const low = Math.max(...bands.map((b) => b[0]))
  const high = Math.min(...bands.map((b) => b[1]))
  const of = wanted.map((m) => m.plant.id)
  if (low > high) return { clash: of }
  return { keepMm: [low, high], cutAtMm: [low * THIRD, high * THIRD], of }
}

/** Part of the year's nitrogen given in each season: cool-season turf mostly in autumn, warm-season in summer (Beard, Turgeon; from memory). */
const SPLIT = {
  cool: { spring: 0.25, summer: 0.1, autumn: 0.65 },
  warm: { spring: 0.25, summer: 0.6, autumn: 0.15 },
} as const

/** Water that turf uses against what a wet sward evaporates: cool-season 0.8, warm-season 0.6 (from memory). */
export const WATER_SHARE = { cool: 0.8, warm: 0.6 } as const

export interface TurfFeeding {
  /** Nitrogen of a year, kg a hectare. */
  yearKgPerHa: readonly [number, number]
  season: 'cool' | 'warm'
  split: { spring: number; summer: number; autumn: number }
}

/** Nitrogen of a year by the plants that are wanted, each by its share, and when it is given. */
export function feeding(met: readonly Met[], use: TurfUse): TurfFeeding | undefined {
  const wanted = met.filter((m) => fitFor(m.plant, use))
  const total = wanted.reduce((s, m) => s + m.share, 0)
  if (!(total > 0)) return undefined
  const end = (i: 0 | 1) => wanted.reduce((s, m) => s + (m.share / total) * m.plant.turf!.nKgPerHa[i], 0)
  const warm = wanted.reduce((s, m) => s + (m.plant.season === 'warm' ? m.share : 0), 0)
  const season = warm > total / 2 ? 'warm' : 'cool'
  return { yearKgPerHa: [end(0), end(1)], season, split: SPLIT[season] }
}

/** Bare ground from which a part is sown anew rather than oversown, and from which it is oversown; common practice, no source. */
const ANEW = 0.4
const OVER = 0.1

export type PartWork = 'keep' | 'overseed' | 'sow-anew'

export interface TurfPart {
  part: string
  bare: Share
  /** What is wanted for the use, of all that was counted. */
  wanted: Share
  work: PartWork
  /** Whether its interval holds another answer. */
  sure: boolean
}

const workAt = (bare: number): PartWork => (bare >= ANEW ? 'sow-anew' : bare >= OVER ? 'overseed' : 'keep')

/** What a part of the ground asks for, by its bare ground. */
export function turfPart(part: string, bare: Share, wanted: Share): TurfPart {
  const [low, high] = bare.interval ?? [bare.estimate, bare.estimate]
  const work = workAt(bare.estimate)
  return { part, bare, wanted, work, sure: workAt(low) === work && workAt(high) === work }
}

export interface TurfSeed {
  plant: Plant
  gPerM2: Turf['gPerM2']
  reason: 'sown' | 'stands-here' | 'fits'
}

/**
 * Seed for a repair: what was sown, then what stands there, then what else fits the use and the region. A plant that spreads as a weed
 * into such a turf is none of it, whatever else it is used for.
 */
export function turfSeed(
  plants: readonly Plant[],
  of: { use: TurfUse; region: Region; sown: readonly string[]; met: readonly Met[]; work: PartWork },
): TurfSeed[] {
  const rate = (t: Turf) => (of.work === 'sow-anew' ? t.gPerM2 : t.overseedGPerM2)
  const atHome = (p: Plant) => p.regions[of.region] === 'common' || p.regions[of.region] === 'frequent'
  const standing = of.met.filter((m) => m.share >= HAS_A_SAY)
  const main = of.met.filter((m) => fitFor(m.plant, of.use)).toSorted((a, b) => b.share - a.share)[0]?.plant.season
  const reason = (p: Plant): TurfSeed['reason'] =>
    of.sown.includes(p.id) ? 'sown' : standing.some((m) => m.plant === p) ? 'stands-here' : 'fits'
  const rank = ['sown', 'stands-here', 'fits']
  const share = (p: Plant) => of.met.find((m) => m.plant === p)?.share ?? 0
  return plants
    .filter((p) => fitFor(p, of.use) && (atHome(p) || of.sown.includes(p.id)) && (!main || p.season === main))
    .map((plant) => ({ plant, gPerM2: rate(plant.turf!), reason: reason(plant) }))
    .sort((a, b) => rank.indexOf(a.reason) - rank.indexOf(b.reason) || share(b.plant) - share(a.plant))
}

/** Grams a square metre as pounds a thousand square feet. */
export const lbPer1000Ft2 = (gPerM2: number): number => gPerM2 * 0.204816

/** Kilograms a hectare as pounds a thousand square feet. */
export const lbPer1000Ft2FromKgPerHa = (kgPerHa: number): number => lbPer1000Ft2(kgPerHa / 10)

export type TurfJob = 'stop-annuals' | 'sow-cool' | 'sow-warm' | 'feed-main' | 'rest'

/** Soil a hand deep follows the mean of the air, slower and evener; mean of this month and the last. */
const soilC = (meanC: readonly number[], i: number): number => (meanC[i]! + meanC[(i + 11) % 12]!) / 2

/**
 * The year's work by the warmth of the soil: annual weeds are kept from coming up when it rises through 12 degrees; cool-season seed is sown
 * as it falls through 20 towards 12, warm-season seed once it is above 18 and rising (Beard, Turgeon; from memory).
 *
 * @param meanC means of the months, January first
 * @returns months, 0 to 11, of each job
 */
export function turfCalendar(meanC: readonly number[], season: 'cool' | 'warm'): { job: TurfJob; months: number[] }[] {
  if (meanC.length !== 12) throw new RangeError('twelve months are needed')
  const soil = meanC.map((_, i) => soilC(meanC, i))
  const rising = (i: number) => soil[(i + 1) % 12]! > soil[i]!
  const where = (test: (t: number, i: number) => boolean) => soil.flatMap((t, i) => (test(t, i) ? [i] : []))
  return [
    { job: 'stop-annuals', months: where((t, i) => t < 13 && soil[(i + 1) % 12]! >= 13) },
    season === 'cool'
      ? { job: 'sow-cool', months: where((t, i) => !rising(i) && t >= 12 && t <= 21) }
      : { job: 'sow-warm', months: where((t, i) => rising(i) && t >= 18) },
    {
      job: 'feed-main',
      months: season === 'cool' ? where((t, i) => !rising(i) && t >= 8 && t <= 18) : where((t) => t >= 22),
    },
    { job: 'rest', months: where((t) => (season === 'cool' ? t > 24 : t < 13)) },
  ]
}
