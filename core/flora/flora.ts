/** The shapes of the plant knowledge, as the files in `flora/` give it and the whole of `core/` reads it. */
import type {
  Acuteness,
  BestTime,
  DosePart,
  DoseState,
  DoseTime,
  HarmKind,
  Indication,
  ProtectiveItem,
  Trait,
} from './codes.ts'

export const lifeForms = ['grass', 'sedge', 'rush', 'legume', 'forb', 'shrub'] as const
export type LifeForm = (typeof lifeForms)[number]

export const stages = ['seedling', 'vegetative', 'mown', 'rosette', 'bolting', 'flowering'] as const
export type Stage = (typeof stages)[number]

export const efforts = ['glance', 'hand', 'lens', 'dig'] as const
export type Effort = (typeof efforts)[number]

export const frequencyWords = ['always', 'usually', 'often', 'sometimes', 'rarely', 'never'] as const
export type FrequencyWord = (typeof frequencyWords)[number]

export const regions = ['cool-humid', 'transition', 'warm-humid', 'semi-arid'] as const
export type Region = (typeof regions)[number]

export const abundanceWords = ['common', 'frequent', 'occasional', 'rare'] as const
export type AbundanceWord = (typeof abundanceWords)[number]

export const roles = ['forage', 'turf', 'native', 'weed', 'toxic'] as const
export type Role = (typeof roles)[number]

/** A state said where another is there, by a share of careful looks. */
export interface TakenFor {
  is: string
  said: string
  share: number
  /** Only at this stage. */
  stage?: Stage
}

/** Something an advisor can see, feel or smell. Has `states`, or else `unit` and `range` (millimetres). */
export interface Character {
  id: string
  part: string
  title: string
  asks: string
  forms: LifeForm[]
  effort: Effort
  states?: string[]
  unit?: 'mm'
  range?: [number, number]
  needs?: string
  caution?: string
  /** Share of careful looks that read it wrongly, 0 to 0.5. */
  mistake: number
  /** Characters of one group say partly the same thing. */
  group?: string
  lacksAt: Stage[]
  /** Chance of a slip that falls anywhere (wrong plant, wrong line, wrong leaf); made of `mistake` where it is not given. */
  slip?: number
  /** Places of states in attributes (density of hairs, width of a leaf): states that stand near are taken for one another. */
  places?: Record<string, Record<string, number>>
  /** Share of careful looks that say a state whose place is the same; a step away it is less by e (2.7). */
  near?: number
  /** Pairs taken for one another, with a direction where it has one. */
  takenFor: TakenFor[]
  /** General answers, each with the states it covers: "hairy" without more. */
  covers?: Record<string, string[]>
  /**
   * What seedlings show where a plant's file does not say: sizes so many times the grown ones (low end by the first, high end
   * by the second), or states that come beside those of the grown plant, by life form.
   */
  young?: { times: [number, number] } | { states: Record<string, LifeForm[]> }
  /** The state of a plant on which nothing is to be remarked: "none", "plain"; what nobody coded is mostly that. */
  plain?: string
  /** Another character, and the state of it that means there is no such part. */
  noneWhere?: { character: string; state: string }
  how: string[]
}

export type StateCell = { kind: 'states'; words: Record<string, FrequencyWord> }
/** Millimetres: four in five plants lie within `typical`, all but about one in a hundred within `extreme`. */
export type RangeCell = { kind: 'range'; typical: [number, number]; extreme: [number, number] }
export type Cell = StateCell | RangeCell

export interface Lookalike {
  plant: string
  /** The character that decides between the two. */
  check: string
  /** A second one, where only both together decide. */
  and?: string
  /** True where no look decides before flower or fruit, and it is said so. */
  undecided?: boolean
  why: string
}

export interface HarmNote {
  who: string[]
  kind: HarmKind
  /** Further kinds of the same note. */
  also?: HarmKind[]
  /** What becomes of this harm in forms that are not standing, where it is not as its kind has it. */
  forms?: Partial<Record<Exclude<FeedForm, 'standing'>, FormWord>>
  /** How it goes, where it is not as its kind has it. */
  acute?: Acuteness
  /** The stages at which it is told of; left out: every stage. Other stages are not known to be without it. */
  stages?: Stage[]
  /** Sources of this note; left out: those of the exposure. */
  sources?: string[]
  /** What a person wears who handles it. */
  protect?: ProtectiveItem[]
  note: string
}

/** All kinds of one note of harm, the first one first. */
export const kindsOf = (h: Pick<HarmNote, 'kind' | 'also'>): HarmKind[] => [h.kind, ...(h.also ?? [])]

/** What stock may meet a plant as. */
export const feedForms = ['standing', 'wilted', 'hay', 'silage'] as const
export type FeedForm = (typeof feedForms)[number]

/** What is reported of a form: its harm stays, is lessened, or nobody is known to have said. None of them means harmless. */
export const formWords = ['harmful', 'lessened', 'unknown'] as const
export type FormWord = (typeof formWords)[number]

/** A dose that harmed, as somebody reported it: never a threshold below which nothing happens. */
export interface ReportedDose {
  animal: string
  part: DosePart
  state?: DoseState
  taken?: DoseTime
  /** Percent of body weight, low and high of what was reported. */
  percent: [number, number]
  source: string
}

/** How a plant harms: what of it, as what, what shows and what is done first. */
export interface Exposure {
  parts: string
  forms: Record<FeedForm, FormWord>
  signs: string
  onset: string
  first: string
  /** What tells, where looking does not. */
  test?: string
  doses: ReportedDose[]
  sources: string[]
}

export const schools = ['hands', 'herbicide'] as const
/** With herbicide or without: both are offered, in the client's preference. */
export type School = (typeof schools)[number]

/** What can be done about an unwanted plant at a stage. */
export interface ControlAct {
  stage: Stage
  school: School
  do: string
  /** Height in cm up to which it is said to work. */
  upToCm?: number
  tools?: string
  wear?: ProtectiveItem[]
  /** What becomes of what was cut or dug. */
  waste?: string
  /** When it works best. */
  best?: BestTime[]
  /** Days until somebody looks again. */
  backDays?: number
  /** At this stage it no longer works. */
  tooLate: boolean
}

export const sowingTimes = ['late-winter', 'spring', 'early-summer', 'late-summer', 'autumn'] as const
export type SowingTime = (typeof sowingTimes)[number]

/** How a plant is sown. Rates are of pure live seed. */
export interface Sowing {
  /** Kilograms a hectare sown alone, low and high. */
  kgPerHa: [number, number]
  /** The same as one part of a mixture, or drilled into a standing sward. */
  mixKgPerHa?: [number, number]
  seedsPerKg: number
  depthMm: [number, number]
  when: SowingTime[]
  sources: string[]
}

/** A danger that comes with several feed plants and is not, or not wholly, seen by looking. */
export interface Hazard {
  id: string
  name: string
  who: string[]
  /** Plants that can carry it. */
  plants: string[]
  /** What an eye can see of it. */
  shows: string
  /** What no eye can. */
  hidden: string
  /**
   * What each plant brings to it, low and high: for nitrate and others nothing; centimetres for prussic acid (grazed from this height on),
   * ppb for the endophyte, weight against alfalfa for bloat, % of dry matter for oestrogen and oxalate, % of the diet for sun-burn.
   */
  amounts?: Record<string, [number, number]>
  /** Plants beside which it is told to be less. */
  lowers?: string[]
  /** The test that tells; "none" where there is none. */
  test: string
  do: string
  sources: string[]
}

/** Percent of dry matter, each a low and a high. */
export interface FeedRange {
  cp: [number, number]
  adf: [number, number]
  ndf: [number, number]
}

export interface Plant {
  id: string
  commonName: string
  scientificName: string
  author: string
  family: string
  alsoCalled: string[]
  /** Other scientific names that tables and older books use. */
  synonyms?: string[]
  form: LifeForm
  cycle: 'annual' | 'biennial' | 'perennial'
  season: 'cool' | 'warm'
  role: Role
  regions: Partial<Record<Region, AbundanceWord>>
  /** Months of growth, 1 to 12, northern temperate. */
  months: number[]
  ground: string[]
  /** What much of it says of the ground. */
  indicates?: Indication[]
  traits?: Trait[]
  /** Heights in mm between which it is kept as turf, low and high. */
  mowMm?: [number, number]
  characters: Record<string, Cell>
  /** Cells that differ at a stage; a character not named here keeps its general cell. */
  stages: Partial<Record<Stage, Record<string, Cell>>>
  lookalikes: Lookalike[]
  feed?: { leafy: FeedRange; stemmy: FeedRange }
  worth?: string
  sowing?: Sowing
  harm: HarmNote[]
  exposure?: Exposure
  control: ControlAct[]
  sources: string[]
  /** The plant an import links to when only the species is known. */
  speciesDefault: boolean
  /** A reader added it: nobody looked through what it says of harm. */
  own?: boolean
}

/** Plants a vegetative eye cannot split for certain, named together. */
export interface PlantGroup {
  id: string
  name: string
  plants: string[]
  /** The stage at which they can be told apart, where there is one. */
  until?: Stage
  why: string
}

/** A plant that turns up in swards and is not in the book: described only so far that it can be told from what is. */
export interface Neighbour {
  id: string
  commonName: string
  form: LifeForm
  characters: Record<string, Cell>
  stages: Partial<Record<Stage, Record<string, Cell>>>
}

export interface Flora {
  characters: Character[]
  plants: Plant[]
  /** Plants outside the book that are known by sight; none where left out. */
  neighbours?: Neighbour[]
  groups: PlantGroup[]
  hazards: Hazard[]
}

/** The cell of a plant for a character at a stage, or undefined where nothing is coded. */
export function cellAt(plant: Pick<Plant, 'characters' | 'stages'>, character: string, stage: Stage): Cell | undefined {
  return plant.stages[stage]?.[character] ?? plant.characters[character]
}
