import type { Hit } from '../records/hit.ts'
import type { RoundSettings } from '../records/measures.ts'
import type { Round, Stop } from '../records/round.ts'
import type { Taxon } from '../records/taxon.ts'
import type { Interval } from '../stats/clusterRatio.ts'
import type { FrameValues } from '../stats/likelihoodInterval.ts'
import type { Frequency } from './estimators/frequency.ts'
import type { MassResult } from './estimators/standingMass.ts'
import type { ResolvedUnknowns, AbundanceMatrix } from './tally.ts'

/** Things to carry, as codes. */
export const kitItems = [
  'pin-or-boot',
  'pin-or-frame',
  'strung-grid',
  'frame',
  'shears',
  'bags-and-marker',
  'bags',
  'scale',
  'nested-frame',
  'grid-of-25',
  'reference-frames',
  'plate-meter',
  'sward-ruler',
  'flags',
  'gloves',
  'sample-bag',
  'lens',
  'knife-and-spade',
  'bags-for-unknowns',
  'gloves-and-sleeves',
] as const
export type KitItem = (typeof kitItems)[number]

/** How a stop is written down: what the hand does there. */
export type Entry = 'points' | 'values' | 'cells' | 'reading' | 'search'
/** What a plant is given in a frame, where the entry is by values. */
export type ValueKind = 'classes' | 'ranks' | 'nests' | 'grams'
/** What a method asks for when a round is planned, beside paddock, precision and route. */
export type SettingAsked = 'frame' | 'scale' | 'few' | 'dry-share' | 'target' | 'strip' | 'seen-share' | 'flags'

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

export interface SearchFigure {
  taxon: Taxon
  /** Of the legs along the fence alone: they speak for its strip, those inside for the rest. */
  fence?: true
  found: number
  perHa: number
  /** Where none was found: from 0 to the bound for plants that stand singly. */
  limitsPerHa: Interval
  /** Where none was found on two legs or more: the bound if they stand in clumps. */
  clumpedPerHa?: number
  /** Share of the plants in the strip that the eye sees, fewest and most. */
  eye: Interval
  walkedM: number
  /** Metres that would have to be walked with nothing found to leave at most 10 plants a hectare, standing singly. */
  metresForTen: number
}

export interface Uniformity {
  /** Sown plants, or the leading one where nothing is known to be sown. */
  of: Taxon[]
  mean: number
  /** Coefficient of variation of their share between grids: 0 is the same everywhere. */
  cv: number
}

/** Figures that only some methods give. */
export interface OwnFigures {
  /** Share of pins that each plant covers; only for layered points. */
  cover: { taxon: Taxon; estimate: number; interval: Interval | undefined }[]
  frequency: Frequency[]
  search: SearchFigure[]
  /** How alike the grids of a turf are; undefined for other methods and with fewer than three grids. */
  uniformity: Uniformity | undefined
}

/** What a method makes its own figures from. */
export interface Counted {
  round: Round
  named: ResolvedUnknowns
  /** Amounts by stop and plant; without a plant where the method makes no sward. */
  together: AbundanceMatrix
  /** Plants by share, the greatest first, bare ground and litter left out; empty where the method makes no sward. */
  leading: Taxon[]
}

/** A method of counting: all that the rest of the program has to know of it, except its words (`text/methodWords.ts`). */
export interface CountingMethod {
  /** What files and other programs call it: kept in files, never translated. */
  protocol: string
  /** One place of the round: stop, frame, leg. */
  unit: 'stop' | 'frame' | 'grid' | 'reading' | 'leg'
  entry: Entry
  /** What to carry, besides notebook and lens. */
  kit: KitItem[]
  /** Minutes a practised person needs at one unit, without the way. Common practice, no source. */
  minutesEach: number
  /** Points at a unit that a plan proposes; only with entry by points. */
  points: number
  asks: SettingAsked[]
  /** Settings where nothing was chosen. */
  defaults: RoundSettings
  /** Fewest stops that a plan proposes. */
  fewestPlanned: number
  /** A cautious guess of the spread where there is no earlier round; half width as a share, 0 to 1. */
  pilot: (pointsPerStop: number, halfWidth: number) => Pilot
  /** What a plant is given; only with entry by values. */
  values?: ValueKind
  /** Points are named on a picture of the frame; only with entry by points. */
  picture?: true
  /** Every plant on a pin is written down, once a pin. */
  layered?: true
  /** The yield of each frame can be taken too. */
  frameYield?: true
  /** Amounts are judged by eye, so that a second eye is worth a look. */
  byEye?: true
  /** Keys go to harmful plants, and none to bare ground. */
  forHarm?: true
  reading?: ReadingTaken
  /** Only for methods whose figures add up to a whole sward. */
  sward?: {
    /** What was recorded at a stop, as amounts that add up. */
    amounts: (round: Round) => (stop: Stop) => Hit[]
    /** The shares are of dry matter, not of points or cover. */
    ofDryMatter?: true
    /** What a plant can amount to in a frame, for classes and ranks. */
    frameValues?: (settings: RoundSettings) => FrameValues
  }
  mass?: (round: Pick<Round, 'stops' | 'settings'>) => MassResult
  figures?: (counted: Counted) => Partial<OwnFigures>
}

/** One number read at each stop, that clipped frames turn into mass. */
export interface ReadingTaken {
  unit: 'cm' | ''
  max: number
  step: number
  instrument?: 'plate'
  /** Height that a reading stands for, cm; for the simulated scale. */
  heightCm: (reading: number | undefined) => number | undefined
}
