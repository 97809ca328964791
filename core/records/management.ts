import type { TurfUse } from '../flora/use.ts'

/** How stock are moved. */
export const grazingSystems = ['range-season-long', 'continuous', 'moved-in-a-week', 'moved-daily'] as const
export type GrazingSystem = (typeof grazingSystems)[number]

/** What of a pasture's condition is asked, and scored 1 (poor) to 5. */
export const askedConditions = ['compaction', 'erosion', 'vigour', 'gathering'] as const
export type AskedCondition = (typeof askedConditions)[number]
export type ConditionAnswers = Partial<Record<AskedCondition, number>>

/** Twelve monthly means of a place, January first. */
export interface Normals {
  meanC: readonly number[]
  rainMm: readonly number[]
  /** Degrees, north above 0. */
  latitude: number
}

/** How a paddock is used, and what is known of it besides its plants. What is left out is not known. */
export interface Management {
  turfUse?: TurfUse
  system?: GrazingSystem
  /** Days that stock stay before they are moved. */
  stayDays?: number
  /** Ground that the stock have in all, this paddock with it, ha. */
  groundHa?: number
  /** Dry matter of a year, kg a hectare, measured. */
  yieldKgPerHaYear?: number
  /** pH of the soil, measured. */
  ph?: number
  condition?: ConditionAnswers
  /** Stems counted on a square metre, where alfalfa or its like is sown. */
  stemsPerM2?: number
  /** Typed, or read from a file. */
  normals?: Normals
}
