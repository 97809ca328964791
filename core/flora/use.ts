/** What a plant is worth to those who graze, mow or play on it: shapes of the fields of use in its file. */

/** Percent of dry matter, each a low and a high. */
export interface FeedRange {
  cp: [number, number]
  adf: [number, number]
  ndf: [number, number]
}

/** Feed value by growth; a state without a range of its own is worked out from these (`core/assess/feed/feedStates.ts`). */
export interface Feed {
  leafy: FeedRange
  /** Headed or in bloom. */
  stemmy: FeedRange
  ripe?: FeedRange
  cured?: FeedRange
  sources: string[]
}

/** Animals whose tastes are told apart. */
export const grazers = ['cattle', 'sheep', 'goats', 'horses'] as const
export type Grazer = (typeof grazers)[number]

/** How an animal takes a plant: gladly at any growth, as long as it is leafy, or hardly while there is anything else. */
export const eatenWords = ['readily', 'while-young', 'little'] as const
export type EatenWord = (typeof eatenWords)[number]

/** When a plant has grown again, and between which heights it is grazed. */
export interface Regrowth {
  /** Days of rest in full growth, fewest and most. */
  days: [number, number]
  /** Leaves a tiller has made since it was grazed. */
  leaves?: [number, number]
  /** Height at which stock go in, and at which they come out, cm. */
  inCm: [number, number]
  outCm: [number, number]
  sources: string[]
}

export const turfUses = ['sports', 'lawn', 'low-upkeep'] as const
export type TurfUse = (typeof turfUses)[number]

/** How a plant is kept as turf; a use that is not named is none of its. */
export interface Turf {
  /** Heights of cut, mm, by use. */
  mowMm: Partial<Record<TurfUse, [number, number]>>
  /** Nitrogen in a year, kg a hectare. */
  nKgPerHa: [number, number]
  /** Seed on bare ground and into a standing turf, g a square metre. */
  gPerM2: [number, number]
  overseedGPerM2: [number, number]
  sources: string[]
}
