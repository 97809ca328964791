/** How plants harm, what carries a danger, and what is done about them, as the files in `flora/` give it. */
import type {
  Acuteness,
  AtRisk,
  BestTime,
  DosePart,
  DoseState,
  DoseTime,
  HarmKind,
  ProtectiveItem,
  Stage,
} from './codes.ts'

export interface HarmNote {
  who: AtRisk[]
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
  animal: AtRisk
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

/** A danger that comes with several feed plants and is not, or not wholly, seen by looking. */
export interface Hazard {
  id: string
  name: string
  who: AtRisk[]
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
