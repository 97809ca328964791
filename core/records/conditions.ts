export const frosts = ['light', 'killing'] as const
/** A frost that took the tips, or one that killed the plant to the ground. */
export type Frost = (typeof frosts)[number]

/**
 * What somebody knows of the weather, the ground, the stock and the feed of a round, and no count tells. What is left out is
 * not known, and is never taken for the better case.
 */
export interface Conditions {
  /** Stock that is in young, or to be put to the male within the season of the round. */
  pregnant?: boolean
  /** Height of the shortest sorghum kind or johnsongrass that stock can reach, cm. */
  heightCm?: number
  frost?: Frost
  /** Day of the latest frost, ISO. */
  frostOn?: string
  /** Growth is held up by drought. */
  drought?: boolean
  /** Day of the rain that ended a drought, ISO. */
  rainOn?: string
  /** Nitrogen dressed within six weeks, kg/ha; manure counted by its nitrogen. */
  nitrogenKgPerHa?: number
  /** Potash dressed within the year. */
  potash?: boolean
  /** Nitrate of the drinking water, mg NO3-N a litre. */
  waterNitrateMgPerL?: number
  /** The sward is wet, with dew or rain, when stock come to it. */
  wet?: boolean
  /** Tillers sent for the endophyte test, and how many held it. */
  tillersTested?: number
  tillersInfected?: number
  /** Day on which rams or bulls go in, ISO. */
  joiningOn?: string
  /** Heads looked through, and how many had bodies of ergot or of the like. */
  headsLooked?: number
  headsWithErgot?: number
  /** Day of cutting for hay or for wrapping, ISO. */
  cutOn?: string
  /** The cut was crushed by a conditioner. */
  conditioned?: boolean
  /** Baled wet and wrapped, or ensiled. */
  wrapped?: boolean
}
