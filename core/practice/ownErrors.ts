import { cellAt, type Character, type Flora, type Plant } from '../flora/flora.ts'
import { stateShares } from '../flora/frequency.ts'
import { statesMeant } from '../naming/likelihoods.ts'
import { nearShare, slipOf } from '../naming/observerError.ts'
import { isEvidence } from '../records/observation.ts'
import type { Verification } from '../records/verification.ts'
import type { Determination } from '../records/round.ts'
import type { PracticeAnswer } from './answer.ts'

/** How often one person read a character, and how often wrongly. */
export interface Readings {
  character: string
  /**
   * On real plants whose name was verified in flower. `near`: said a state that is taken for one the plant shows; that is
   * vocabulary, not error, and is counted apart.
   */
  field: { read: number; wrong: number; near: number }
  /** On drawn parts, in practice. */
  drawn: { read: number; wrong: number }
}

/** A state that a plant shows in fewer than this share of cases was misread, as a rule. Convention of this project. */
const SELDOM = 0.03
/** A state that careful people take for another at least so often is like it. Convention of this project. */
const LIKE_IT = 0.01
/** Looks that the book's own rate of mistakes stands for beside a person's. Convention of this project. */
const BOOK_LOOKS = 20

/** Was the answer one that the plant hardly shows, or one like those it shows? Undefined where the book does not say. */
function misread(
  plant: Plant,
  character: Character,
  naming: Determination,
  o: Determination['observations'][number],
): 'right' | 'near' | 'wrong' | undefined {
  const stage = naming.context.stage ?? 'vegetative'
  const cell = cellAt(plant, character.id, stage)
  if (cell?.kind !== 'states' || !('states' in o) || !isEvidence(o)) return undefined
  const shares = stateShares(cell, character.states ?? [])
  const said = statesMeant(character, o.states)
  if (said.reduce((sum, s) => sum + (shares[(character.states ?? []).indexOf(s)] ?? 0), 0) >= SELDOM) return 'right'
  const shown = Object.keys(cell.words)
  return shown.some((is) => said.some((s) => nearShare(character, is, s, stage) >= LIKE_IT)) ? 'near' : 'wrong'
}

/**
 * What a person's own answers say of their looking, character by character: answers on verified plants set against what
 * the book says of the plant that it was, and drawn parts read in practice. Those read wrongly most come first.
 *
 * @param namings names written down, with the looks they rest on
 * @param checks what they were in flower; those outside the book say nothing here
 */
export function ownReadings(
  flora: Flora,
  namings: readonly Determination[],
  checks: readonly Verification[],
  answers: readonly PracticeAnswer[],
): Readings[] {
  const plants = new Map(flora.plants.map((p) => [p.id, p]))
  const characters = new Map(flora.characters.map((c) => [c.id, c]))
  const was = new Map(checks.map((c) => [c.namingId, plants.get(c.was)]))
  const out = new Map<string, Readings>()
  const add = (character: string, where: 'field' | 'drawn', wrong: boolean) => {
    const r = out.get(character) ?? { character, field: { read: 0, wrong: 0, near: 0 }, drawn: { read: 0, wrong: 0 } }
    r[where].read++
    if (wrong) r[where].wrong++
    out.set(character, r)
  }
  for (const naming of namings) {
    const plant = was.get(naming.id)
    if (!plant) continue
    for (const o of naming.observations) {
      const character = characters.get(o.character)
      const how = character && misread(plant, character, naming, o)
      if (how === undefined) continue
      add(o.character, 'field', how === 'wrong')
      if (how === 'near') out.get(o.character)!.field.near++
    }
  }
  for (const a of answers)
    if (a.kind === 'read' && a.answered !== '' && characters.has(a.about)) add(a.about, 'drawn', !a.right)
  const wrongs = (r: Readings) => r.field.wrong + r.drawn.wrong
  return [...out.values()].sort((a, b) => wrongs(b) - wrongs(a) || (a.character < b.character ? -1 : 1))
}

/**
 * Rate of mistakes to reckon with: the book's, and the person's own, as the mean of a beta distribution that starts at the
 * book's rate with the weight of twenty looks (Gelman et al. 2013, section 2.4). Never below the book's: a drawing is
 * easier to read than a chewed plant, and a poison must not be excluded on the strength of practice.
 *
 * @param book the book's rate of mistakes, 0 to 1
 */
export function ownMistake(book: number, { field, drawn }: Readings): number {
  const wrong = field.wrong + drawn.wrong
  const read = field.read + drawn.read
  return Math.max(book, (book * BOOK_LOOKS + wrong) / (BOOK_LOOKS + read))
}

/** The book as this person reads it: every character with their own rate of mistakes. */
export function floraAsRead(flora: Flora, readings: readonly Readings[]): Flora {
  const by = new Map(readings.map((r) => [r.character, r]))
  const characters = flora.characters.map((c) => {
    const own = by.get(c.id)
    if (!own) return c
    const mistake = ownMistake(c.mistake, own)
    return { ...c, mistake, slip: slipOf(c) * (mistake / c.mistake) }
  })
  return { ...flora, characters }
}
