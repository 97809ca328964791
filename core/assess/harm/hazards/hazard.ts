import type { Coded } from '../../../coded.ts'
import type { FeedForm, Hazard, Plant, Region } from '../../../flora/flora.ts'
import type { Conditions } from '../../../records/conditions.ts'
import type { SwardStage } from '../../../records/measures.ts'
import type { Outlook } from '../../../records/round.ts'
import type { Share } from '../../../survey/composition.ts'
import type { LabResult } from '../../feed/labResult.ts'
import type { AnimalClass } from '../../feed/needs.ts'

/** All that a danger is worked out from. What is undefined is not known. */
export interface HazardFacts {
  /** Day of the round, ISO. */
  on: string
  region: Region
  outlook: Outlook
  /** Class of stock that is kept. */
  animal: AnimalClass | undefined
  conditions: Conditions
  /** A laboratory's result of a sample; one that was made up is not given here. */
  lab: LabResult | undefined
  /** Growth that was noted at most stops. */
  stage: SwardStage | undefined
  /** Plants that were met. */
  met: Plant[]
  /** Share of some plants together, 0 to 1, for that of the dry matter. */
  share: (plants: readonly string[]) => Share
  /** The middle of that share alone. */
  middle: (plants: readonly string[]) => number
}

/**
 * How pressing a danger is. `act`: a mark of the published relation is passed. `raised`: something is known that makes it more
 * likely. `open`: nothing known here tells. There is no lower one: a danger that can be carried is never off.
 */
export const hazardGrades = ['act', 'raised', 'open'] as const
export type HazardGrade = (typeof hazardGrades)[number]

/** A range of a figure, low and high. */
export type Range = readonly [low: number, high: number]

/** A sentence of a danger with its figures, by code; words are made in `text/hazardWords.ts`. */
export type HazardSays = Coded<
  | 'nitrate-ration'
  | 'nitrate-ration-pregnant'
  | 'nitrate-lowest-mark'
  | 'nitrate-silage'
  | 'nitrate-drought'
  | 'nitrate-dressed'
  | 'nitrate-frost'
  | 'nitrate-wait-rain'
  | 'prussic-short'
  | 'prussic-not-measured'
  | 'prussic-light-frost'
  | 'prussic-killing-frost'
  | 'prussic-frost-time'
  | 'prussic-drought'
  | 'prussic-silage-from'
  | 'prussic-lab'
  | 'endophyte-infected'
  | 'endophyte-not-tested'
  | 'endophyte-diet'
  | 'endophyte-gain'
  | 'endophyte-mares'
  | 'endophyte-renovate'
  | 'endophyte-dilute'
  | 'ryegrass-staggers'
  | 'bloat-share'
  | 'bloat-leafy'
  | 'bloat-wet'
  | 'bloat-frost'
  | 'bloat-lowered'
  | 'oestrogen-diet'
  | 'oestrogen-ewes-off'
  | 'oestrogen-joining-not-known'
  | 'oestrogen-coumestans'
  | 'ergot-heads'
  | 'ergot-lab'
  | 'ergot-headed'
  | 'ergot-not-looked'
  | 'tetany-ratio'
  | 'tetany-magnesium'
  | 'tetany-signs'
  | 'laminitis-sugar'
  | 'laminitis-signs'
  | 'sun-liver-share'
  | 'sun-carriers'
  | 'oxalate-diet'
  | 'oxalate-calcium'
  | 'beetles-count'
  | 'beetles-season'
  | 'wrapped-acid'
  | 'wrapped-not-measured'
  | 'wrapped-horses'
  | 'selenium-lab'
  | 'selenium-gatherers'
  | 'selenium-not-tested'
  | 'copper-ratio'
  | 'copper-level'
  | 'copper-not-tested'
  | 'carried'
>

/** What to send or look at. */
export type HazardTest =
  | 'nitrate-stems'
  | 'nitrate-water'
  | 'fresh-leaf-cyanide'
  | 'thirty-tillers'
  | 'isoflavones'
  | 'coumestans'
  | 'fifty-heads'
  | 'ergot-alkaloids'
  | 'minerals-k-ca-mg'
  | 'sugars'
  | 'liver-enzymes'
  | 'oxalate-and-calcium'
  | 'beetles-in-flakes'
  | 'acidity-and-dry-matter'
  | 'selenium'
  | 'copper-molybdenum'
  | 'dicoumarol'

/** What is done. */
export type HazardAct =
  | 'none-until-result'
  | 'not-hungry'
  | 'dilute-by-the-figure'
  | 'graze-tops'
  | 'not-below-height'
  | 'not-on-frosty-nights'
  | 'wait-until'
  | 'mares-off-fescue'
  | 'add-legume'
  | 'renovate'
  | 'watch-staggers'
  | 'hay-first'
  | 'never-off-and-on'
  | 'ask-poloxalene'
  | 'ewes-off'
  | 'top-heads'
  | 'no-hay-of-heads'
  | 'give-magnesium'
  | 'sugar-hours'
  | 'soak-hay'
  | 'shade-and-off'
  | 'calcium'
  | 'cut-before-bloom'
  | 'no-conditioner'
  | 'no-wrapped-to-horses'
  | 'no-opened-bale'
  | 'no-guess-dosing'
  | 'no-mouldy-hay'
  | 'keep-skin-covered'
  | 'before-flowering'

export interface HazardRead {
  grade: HazardGrade
  says: HazardSays[]
  tests: HazardTest[]
  acts: HazardAct[]
  /** First day, ISO, on which the rule that was passed no longer keeps stock off; undefined where no day can be given. */
  from?: string
}

/** A danger that a sward can carry, worked out. */
export interface HazardReading extends HazardRead {
  hazard: Hazard
  /** Plants met that can carry it, the most of them first. */
  plants: string[]
  share: Share
  /** What it concerns: grazed, wilted, as hay, as silage. */
  forms: readonly FeedForm[]
  /** False where the stock that was said is not among those it strikes; people always are. */
  concerns: boolean
}

/** One danger: which plants of a sward carry it, and what follows from what is known. */
export interface HazardModule {
  /** Rule for the plants that carry it, where the list in `flora/hazards.yaml` is not the whole of it. */
  carries?: (plant: Plant) => boolean
  /** Whether it is there at all: a use of the feed, a kind of stock. Left out: wherever a plant carries it. */
  when?: (facts: HazardFacts) => boolean
  /** What it concerns; left out: every form. */
  forms?: readonly FeedForm[]
  /** It belongs to the whole feed: told without a plant that carries it. */
  whole?: boolean
  read: (facts: HazardFacts, hazard: Hazard, carriers: string[]) => HazardRead
}
