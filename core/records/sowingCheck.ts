/** Seedlings in one frame, by plant. */
export type SeedlingFrame = Record<string, number>

/** A new sowing looked at: frames counted on one day. */
export interface SowingCheck {
  /** ISO day. */
  on: string
  frameM2: number
  frames: SeedlingFrame[]
  /** What the tug test, drought and mowing said, in the person's words. */
  note: string
}
