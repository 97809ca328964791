/** The shapes of the plant knowledge, as the files in `flora/` give it and the whole of `core/` reads it. */
import type { Edge, Ground, Indication, Stage, Trait } from './codes.ts'
import type { ControlAct, Exposure, HarmNote, Hazard } from './harm.ts'
import type { EatenWord, Feed, Grazer, Regrowth, Turf } from './use.ts'

export { stages, type AtRisk, type Ground, type Stage } from './codes.ts'
export * from './harm.ts'
export * from './use.ts'

export const lifeForms = ['grass', 'sedge', 'rush', 'legume', 'forb', 'shrub'] as const
export type LifeForm = (typeof lifeForms)[number]

export const efforts = ['glance', 'hand', 'lens', 'dig'] as const
export type Effort = (typeof efforts)[number]

export const frequencyWords = ['always', 'usually', 'often', 'sometimes', 'rarely', 'never'] as const
export type FrequencyWord = (typeof frequencyWords)[number]

export const regions = [
  'cool-humid',
  'transition',
  'warm-humid',
  'semi-arid',
  'britain-ireland',
  'western-europe',
  'southern-australasia',
] as const
export type Region = (typeof regions)[number]

/** Where people call plants by names of their own. */
export const namePlaces = ['north-america', 'britain-ireland', 'australasia'] as const
export type NamePlace = (typeof namePlaces)[number]

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
  /** Least pH of the soil in which it is sown. */
  phLeast?: number
  sources: string[]
}

export interface Plant {
  id: string
  commonName: string
  scientificName: string
  author: string
  family: string
  alsoCalled: string[]
  /** What it is called in other places than North America, where that is another name. */
  called?: Partial<Record<NamePlace, string>>
  /** Other scientific names that tables and older books use. */
  synonyms?: string[]
  form: LifeForm
  cycle: 'annual' | 'biennial' | 'perennial'
  season: 'cool' | 'warm'
  role: Role
  regions: Partial<Record<Region, AbundanceWord>>
  /** Months of growth, 1 to 12, northern temperate; `seasons.ts` turns them for the south. */
  months: number[]
  ground: Ground[]
  /** What much of it says of the ground. */
  indicates?: Indication[]
  /** Where it stands when it is of the edge of a field rather than of its sward. */
  edge?: Edge[]
  traits?: Trait[]
  /** Heights in mm between which it is kept as turf, low and high. */
  mowMm?: [number, number]
  characters: Record<string, Cell>
  /** Cells that differ at a stage; a character not named here keeps its general cell. */
  stages: Partial<Record<Stage, Record<string, Cell>>>
  lookalikes: Lookalike[]
  feed?: Feed
  /** How animals take it, where that is not what its role lets expect. */
  eaten?: Partial<Record<Grazer, EatenWord>>
  regrowth?: Regrowth
  turf?: Turf
  likeness?: Likeness
  /** Names of its pictures by stage, without their size and ending. */
  plates?: Partial<Record<Stage, string>>
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

/** Proportions of a grown plant before it flowers that no character codes: it is built in space by them. */
export const proportions = [
  // Length of grown blades and of their sheaths, mm; shoots of a tuft; degrees by which the outer ones lean and a blade bends.
  'bladeMm',
  'sheathMm',
  'shoots',
  'leanDegrees',
  'fallDegrees',
  // Length of its stems or runners, mm; how many; side shoots of each.
  'stemMm',
  'stems',
  'branches',
  // Leaves of a rosette, or places on a stem at which leaves stand; leaves round each such place.
  'leaves',
  'whorl',
  // Width of a blade, leaflet or lobe as a share of its length; lobes or leaflets a side; depth of cuts 0 to 1; teeth a side.
  'leafWide',
  'lobes',
  // Length of a leaflet as a share of the leaf it is in a row of.
  'leaflet',
  'cut',
  'teeth',
  // How far tips of lobes are drawn back to the stalk, as a share of their reach; below 0 to the tip.
  'sweep',
  // Of a heart or an arrow: how far the lobes at its foot reach behind the stalk, as a share of half its width, and how they
  // end: 0 round, 1 pointing back, 2 pointing out; of a cut leaf, 1 where its lobes are pointed and not ragged.
  'foot',
  'barb',
] as const
export type Proportion = (typeof proportions)[number]
export const tintedParts = ['upper', 'lower', 'stem', 'base'] as const
/** Colours of parts as CIELAB of D50, in daylight. */
export type Tints = Partial<Record<(typeof tintedParts)[number], readonly [number, number, number]>>

/** What a likeness is built by beside the coded states; low and high of each proportion. */
export interface Likeness {
  ranges: Partial<Record<Proportion, [number, number]>>
  tints: Tints
  sources: string[]
}

/** Plants a vegetative eye cannot split for certain, named together. */
export interface PlantGroup {
  id: string
  name: string
  plants: string[]
  /** The stage at which they can be told apart, where there is one. */
  until?: Stage
  /** What has to be seen before they are told apart then: an unripe head ends in the group. */
  once?: { character: string; state: string }
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
