/** Seedlings in one frame, by plant; in a frequency grid the cells that hold the plant. */
export type SeedlingFrame = Record<string, number>

/** In a frequency grid: cells that hold any of the sown plants. */
export const ANY_SOWN = 'any-sown'

/** What is noted of a young stand besides its counts. */
export const sowingFlags = [
  'rows-show',
  'gaps-in-rows',
  'tug-holds',
  'tug-comes-out',
  'crust',
  'drought',
  'standing-water',
  'mown-since',
  'grazed-since',
  'weeds-over',
  'eaten',
] as const
export type SowingFlag = (typeof sowingFlags)[number]

/** A new sowing looked at: frames counted on one day. */
export interface SowingCheck {
  /** ISO day. */
  on: string
  /** Of a frame, or of one cell of a grid. */
  frameM2: number
  frames: SeedlingFrame[]
  /** Cells of the grid laid down; left out where seedlings are counted. */
  cells?: number
  /** Plants that were not sown and are counted as well: weed seedlings. */
  others?: string[]
  flags?: SowingFlag[]
  /** Drilled rows looked along: metres in all, and metres of them without a sown seedling. */
  rows?: { metres: number; bare: number }
  /** What the tug test, drought and mowing said, in the person's words. */
  note: string
}
