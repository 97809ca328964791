import { shuffler } from 'd3-array'
import type { Plant, Region } from '../flora/flora.ts'
import type { PracticeAnswer, PracticeKind } from './answer.ts'
import { confusions } from './confusions.ts'
import { dueNow, learnedFrom } from './schedule.ts'

/** What a reader meets: it decides which plants are new to learn first. */
export interface Around {
  region: Region
  /** Plants sown or found at the reader's places. */
  met: readonly string[]
  /** Pairs `a|b` that were taken for one another in the field and put right in flower. */
  confused?: readonly string[]
}

/** One thing to be asked. */
export interface Ask {
  kind: PracticeKind
  about: string
  /** Why now. */
  because: 'due' | 'confused' | 'new' | 'set'
  /** The same seed is the same specimen. */
  seed?: number
}

const ABUNDANCE: Record<string, number> = { common: 4, frequent: 3, occasional: 2, rare: 1 }

/**
 * New plants to learn: those at the reader's own places first, then by how common they are in the region; as chance has it
 * among those that are equally common, for an order that can be foreseen is learned in place of the plants.
 *
 * @param random uniform 0 to 1
 */
export function newPlants(
  plants: readonly Plant[],
  { region, met }: Around,
  known: ReadonlySet<string>,
  random: () => number,
): string[] {
  const weight = (p: Plant) => (met.includes(p.id) ? 10 : 0) + (ABUNDANCE[p.regions[region] ?? ''] ?? 0)
  return shuffler(random)(plants.filter((p) => !known.has(p.id) && weight(p) > 0))
    .sort((a, b) => weight(b) - weight(a))
    .map((p) => p.id)
}

/**
 * What a session asks: what is due, the longest overdue first; then the check that splits each pair that was confused; then
 * something new. A thing is asked once.
 *
 * @param count questions wanted
 * @param random uniform 0 to 1
 */
export function sessionOf(
  answers: readonly PracticeAnswer[],
  plants: readonly Plant[],
  around: Around,
  now: Date,
  count: number,
  random: () => number,
): Ask[] {
  const learned = learnedFrom(answers)
  const ids = new Set(plants.map((p) => p.id))
  const due = dueNow(learned.values(), now)
    .filter((l) => l.about.split('|').every((id) => ids.has(id)))
    .map((l): Ask => ({ kind: l.about.includes('|') ? 'check' : 'name', about: l.about, because: 'due' }))
  const inField = (around.confused ?? []).filter((about) => about.split('|').every((id) => ids.has(id)))
  const inPractice = confusions(answers)
    .filter((c) => ids.has(c.shown) && ids.has(c.called))
    .map((c) => [c.shown, c.called].sort().join('|'))
  const pairs = [...inField, ...inPractice]
    // A pair that was learned comes back on its own day.
    .filter((about, i, all) => all.indexOf(about) === i && !learned.has(about))
    .map((about): Ask => ({ kind: 'check', about, because: 'confused' }))
  const fresh = newPlants(plants, around, new Set(learned.keys()), random).map((about): Ask => ({
    kind: 'name',
    about,
    because: 'new',
  }))
  // Not everything is old: a fifth of a session at most is pairs, and what is due never crowds out all that is new.
  const most = Math.max(1, Math.floor(count / 5))
  const old = [...due.slice(0, count - 1), ...pairs.slice(0, most)].slice(0, count)
  return [...old, ...fresh].slice(0, count)
}
