import type { Sureness } from '../records/observation.ts'
import type { Character, LifeForm, Stage } from '../flora/flora.ts'
import { confusionMatrix, type Observer } from './observerError.ts'
import type { SizeKnots } from './sizeDistribution.ts'

/** One character at one stage, ready for arithmetic. Rows are the plants, then the strangers. */
export interface CharacterTable {
  character: Character
  /** States, or size bins. */
  outcomes: number
  rows: number
  /**
   * Probability of what is truly there, outcome by outcome: that of row r and outcome t is at t * rows + r, so that a sum
   * over the plants runs along the memory. Single precision: a book of thousands must fit a phone.
   */
  truth: Float32Array
  /** How often each outcome is met in the book at all, summing to 1. */
  met: number[]
  /** outcomes x outcomes: chance of each answer of a careful near observer, given what is there. */
  confusion: number[][]
  /** Bits that a careful look at it gives of a plant of which nothing is known. */
  tells: number
  /** Bits of doubt left in a careful observer's answer when the plant is known, per row. */
  entropy: Float32Array
  status: Uint8Array
  /** Coded plant rows by life form, and the share of that form's plants which they are. */
  coded: Map<LifeForm, { rows: number[]; share: number }>
  /** Rows of plants that have no such part. */
  without: Int32Array
  /** Size characters: what the coded ranges mean, per plant row. */
  knots: (SizeKnots | undefined)[]
  /** Edges of the size bins in mm, outcomes + 1 of them; none for states. */
  edges: number[]
}

export const CODED = 0
export const NOT_CODED = 1
/** The plant has no such part, being of another kind. */
export const NOT_OF_KIND = 2
/** The plant has no such part, as another character of it says. */
export const LEFT_AWAY = 3

/** True where a row has no such part. */
export const lacks = ({ status }: CharacterTable, row: number): boolean => status[row]! >= NOT_OF_KIND

/** What says that a row has no such part: its kind, or another character. */
export const lacksBy = ({ status, character }: CharacterTable, row: number): string | undefined =>
  status[row] === NOT_OF_KIND ? 'form' : status[row] === LEFT_AWAY ? character.noneWhere!.character : undefined

/** True where the book says what a row shows, or that it has no such part. */
export const isCoded = ({ status }: CharacterTable, row: number): boolean => status[row] !== NOT_CODED

/** Chance of an answer of a careful observer at a row. */
export function answerChance(
  { outcomes, rows, truth, confusion }: CharacterTable,
  row: number,
  answer: number,
): number {
  let p = 0
  for (let t = 0; t < outcomes; t++) p += truth[t * rows + row]! * confusion[t]![answer]!
  return p
}

const noConfusion = (n: number): number[][] =>
  Array.from({ length: n }, (_, t) => Array.from({ length: n }, (_, s) => (s === t ? 1 : 0)))

/** Chance of each answer given what is there; sizes are not mistaken for one another here. */
export function confusionOf(table: CharacterTable, sureness: Sureness, stage: Stage, observer: Observer): number[][] {
  const { character, outcomes, met } = table
  return character.states ? confusionMatrix(character, sureness, stage, observer, met) : noConfusion(outcomes)
}
