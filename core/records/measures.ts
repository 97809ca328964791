/** What a map of a picture says, kept without the picture. */
export interface PictureMeasure {
  map: Record<string, number>
  mapped: string[]
}

/** What is taken at a stop besides plants. Everything may be left out. */
export interface Measures {
  /** Plate meter or ruler in cm, or a score against reference frames. */
  reading?: number
  /** What was cut in the frame at this stop, grams; dry where it was dried, else fresh. */
  clipFreshG?: number
  clipDryG?: number
  /** Yield of a ranked frame, in any unit that is kept to. */
  frameYield?: number
  /** Metres of a leg of a search walk. */
  legM?: number
  heightCm?: number
  barePercent?: number
  stage?: SwardStage
  /** Of a pictured frame: share of each class by the map of the whole frame, and at each named point in order what the map has there. */
  picture?: PictureMeasure
  /** The ground round the stop was looked over for what harms, for some ten seconds. */
  searched?: boolean
  /** Plants that harm, seen near the stop and not under its points. */
  near?: string[]
  /** Dung pats within two paces. */
  dung?: number
  grazed?: Grazed
}

/** A change of some measures; undefined takes one away. */
export type MeasuresPatch = { [K in keyof Measures]?: Measures[K] | undefined }

/** Measures after a change, without those taken away. */
export function patched(measures: Measures, patch: MeasuresPatch): Measures {
  return Object.fromEntries(Object.entries({ ...measures, ...patch }).filter(([, v]) => v !== undefined))
}

/** Growth at a stop: leafy; stems that rise, in boot or bud; headed or in bloom; seed ripe; dead leaf standing. */
export const swardStages = ['leafy', 'stemmy', 'headed', 'ripe', 'cured'] as const
export type SwardStage = (typeof swardStages)[number]
export const grazings = ['not', 'lightly', 'hard'] as const
export type Grazed = (typeof grazings)[number]

export const routeKinds = ['w', 'zigzag', 'grid', 'random', 'rows'] as const
export type RouteKind = (typeof routeKinds)[number]

/** How a round is done: what was settled before walking. */
export interface RoundSettings {
  routeKind?: RouteKind
  /** Stops are made as one walks, none was laid beforehand. */
  asWalked?: boolean
  /** Half width of the 95 % interval that is wanted of a main share, 0.05 for plus or minus 5 in 100. */
  halfWidth?: number
  scale?: 'six-class' | 'braun-blanquet'
  frameM2?: number
  /** Width of the strip that stops along the fence stand for, metres. */
  fenceWidthM?: number
  /** Sides of the nested frames, metres, smallest first. */
  nestsM?: number[]
  /** Side of the nest whose frequency is told of a plant, metres, as the first count of this ground has fixed it. */
  nestOf?: Record<string, number>
  /** What becomes of the ranks a frame of one or two species leaves unfilled. */
  few?: 'first-takes-third' | 'first-takes-second' | 'scaled' | 'left-out'
  stripWidthM?: number
  /** Share of the plants in the strip that the walker would see, in the walker's own judgement. */
  seenShare?: number
  /** Flags planted in the strip for a trial of the eye, and how many of them the walker saw. */
  flagsPlanted?: number
  flagsSeen?: number
  /** Plants a search walk looks for. */
  targets?: string[]
  /** Dry matter share of what was cut, where it is known from a dried sample. */
  dryShare?: number
  observer?: string
  /** The round whose stops another observer counts again. */
  secondOf?: string
}
