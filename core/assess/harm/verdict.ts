import type { FeedForm, Plant, AtRisk } from '../../flora/flora.ts'
import type { HarmFindings } from './harmFindings.ts'
import type { HazardReading } from './hazards/hazard.ts'
import { acutenesses, type Acuteness } from '../../flora/codes.ts'
import { acutenessFor } from './acuteness.ts'
import { harmAs, harmsByItself } from './kinds.ts'

/**
 * What is said of a sward for one kind of stock in one form. None of them is an all-clear: the last says only that what was
 * counted has nothing on file against it.
 */
export type VerdictCode = 'not-for-them' | 'act-first' | 'test-first' | 'lessened' | 'not-judged' | 'not-excluded'

export interface Verdict {
  animal: AtRisk
  form: FeedForm
  code: VerdictCode
  /** Plants it stands on, those that kill soonest first, then by share; empty for the last two. */
  plants: string[]
  /** Dangers whose mark is passed, for `act-first` and beside the others. */
  hazards: string[]
  /** The day, ISO, before which they are not settled; undefined where one of them has none. */
  from?: string
}

const rank = (acute: Acuteness | undefined): number => (acute ? acutenesses.indexOf(acute) : acutenesses.length)

/**
 * The verdict for a kind of stock: by what was counted, found poisons and feed plants alike, whatever they are grown for. A form
 * of which nobody has told counts as harmful; what the book does not describe, or has no name yet, is not judged.
 *
 * @param animal kind of stock as the plants' files name it
 * @param readings dangers as they were worked out; those whose mark is passed come before any test
 */
export function verdictFor(
  { found, cautions, notJudged, unnamed }: Pick<HarmFindings, 'found' | 'cautions' | 'notJudged' | 'unnamed'>,
  plants: Map<string, Plant>,
  animal: AtRisk,
  form: FeedForm,
  readings: readonly HazardReading[] = [],
): Verdict {
  const onFile = [...found, ...cautions]
    .map((f) => ({ plant: plants.get(f.plant)!, share: f.share.estimate }))
    .filter(({ plant }) => harmAs(plant, form, [animal]) !== undefined)
    .sort((a, b) => rank(acutenessFor(a.plant, animal)) - rank(acutenessFor(b.plant, animal)) || b.share - a.share)
    .map((s) => s.plant)
  const striking = onFile.filter((p) => harmAs(p, form, [animal]) !== 'lessened')
  const certain = striking.filter((p) => harmsByItself(p, animal))
  const acting = readings.filter((r) => r.grade === 'act' && r.hazard.who.includes(animal) && r.forms.includes(form))
  const days = acting.flatMap((r) => r.from ?? [])
  const said = (code: VerdictCode, of: Plant[] = []): Verdict => ({
    ...{ animal, form, code, plants: of.map((p) => p.id), hazards: acting.map((r) => r.hazard.id) },
    ...(acting.length > 0 && days.length === acting.length ? { from: days.sort().at(-1)! } : {}),
  })
  if (certain.length > 0) return said('not-for-them', certain)
  if (acting.length > 0) return said('act-first', striking)
  if (striking.length > 0) return said('test-first', striking)
  if (notJudged.length + unnamed.length > 0) return said('not-judged')
  return onFile.length > 0 ? said('lessened', onFile) : said('not-excluded')
}
