import type { Sureness } from '../records/observation.ts'
import { confusionOf, isCoded, lacks, type CharacterTable } from './characterTable.ts'
import type { CompiledFlora } from './compileFlora.ts'
import { lifeForms, type Character, type Stage } from '../flora/flora.ts'
import type { Observation } from '../records/observation.ts'
import { measuringError, type Observer } from './observerError.ts'
import { sizeAtScore, sizeDensity } from './sizeDistribution.ts'

/**
 * Chance that plants pulled side by side show the same: one clone, or one strain that differs from the book in the same
 * way. Convention of this project.
 */
const CLONE = 0.4
/** Sizes of plants pulled side by side: n of them tell as much as n / (1 + (n - 1) x this). */
const SIZES_ALIKE = 0.2
/** A size read off a smaller leaf than the one meant, or not at its widest, spreads this much further down (twice as far). */
const LOOSE_WIDEN = 0.5

/** The states an answer stands for: a general one ("hairy") for each that it covers. */
export const statesMeant = (character: Character, answered: readonly string[]): string[] => [
  ...new Set(answered.flatMap((s) => character.covers?.[s] ?? [s])),
]

/** True where a character has the state, or the general answer. */
export const isAnswer = (character: Character, state: string): boolean =>
  (character.states?.includes(state) ?? false) || character.covers?.[state] !== undefined

/**
 * Likelihood of an observation under each row (plants, then strangers): a probability, or a density per ln mm.
 *
 * @throws RangeError where the book has no such character, or the character no such state
 */
export function likelihoods(
  compiled: CompiledFlora,
  stage: Stage,
  o: Observation,
  observer: Observer = 'near',
): Float64Array {
  const table = compiled.tablesAt(stage)[compiled.characterIndex.get(o.character) ?? -1]
  if (!table) throw new RangeError(`the book has no character "${o.character}"`)
  const { character } = table
  const given = 'states' in o ? o.states : 'counts' in o ? Object.keys(o.counts) : []
  const strange = given.find((s) => !isAnswer(character, s))
  if (strange !== undefined) throw new RangeError(`${o.character} has no state "${strange}"`)
  const sureness = o.sureness ?? 'sure'
  if ('states' in o || 'counts' in o) {
    const confusion = confusionOf(table, sureness, stage, observer)
    return 'states' in o ? stateLikelihoods(table, o.states, confusion) : countLikelihoods(table, o.counts, confusion)
  }
  const sizes = (mm: number) => sizeLikelihoods(table, compiled, mm, sureness, observer)
  if ('value' in o) return sizes(o.value)
  const each = o.values.map(sizes)
  const worth = 1 / (1 + (each.length - 1) * SIZES_ALIKE)
  return each[0]!.map((_, r) => Math.exp(worth * each.reduce((sum, of) => sum + Math.log(of[r]!), 0)))
}

/** Chance of an answer given each true state; an either/or answer adds its states up. */
function givenEach({ character }: CharacterTable, answered: readonly string[], confusion: number[][]): number[] {
  const at = statesMeant(character, answered).map((s) => character.states!.indexOf(s))
  return confusion.map((row) => at.reduce((sum, s) => sum + row[s]!, 0))
}

function overTruth({ truth, rows }: CharacterTable, given: readonly number[]): Float64Array {
  const out = new Float64Array(rows)
  for (let t = 0; t < given.length; t++)
    for (let r = 0; r < rows; r++) out[r] = out[r]! + truth[t * rows + r]! * given[t]!
  return out
}

const stateLikelihoods = (table: CharacterTable, answered: string[], confusion: number[][]): Float64Array =>
  overTruth(table, givenEach(table, answered, confusion))

/**
 * Several plants pulled, so many of each answer. Either they are one clone, and one truth stands behind all answers; or
 * each plant is a draw of its own. Without the first, three odd plants of one clone would speak three times.
 */
function countLikelihoods(table: CharacterTable, counts: Record<string, number>, confusion: number[][]): Float64Array {
  const seen = Object.entries(counts).flatMap(([s, n]) => (n ? [{ given: givenEach(table, [s], confusion), n }] : []))
  const ofClone = confusion.map((_, t) => seen.reduce((p, { given, n }) => p * given[t]! ** n, 1))
  const clone = overTruth(table, ofClone)
  const apart = new Float64Array(table.rows).fill(1)
  for (const { given, n } of seen) {
    const one = overTruth(table, given)
    for (let r = 0; r < apart.length; r++) apart[r] = apart[r]! * one[r]! ** n
  }
  return apart.map((p, r) => CLONE * clone[r]! + (1 - CLONE) * p)
}

function sizeLikelihoods(
  table: CharacterTable,
  compiled: CompiledFlora,
  mm: number,
  sureness: Sureness,
  observer: Observer,
): Float64Array {
  const error = measuringError(sureness)
  const { widen, blunder } = error
  const loose = observer === 'near' ? error.loose : 0
  const [low, high] = table.character.range ?? [0, 1000]
  const anySize = 1 / Math.log(high / Math.max(low, high / 400))
  const rows = table.status.length
  const out = new Float64Array(rows)
  for (let r = 0; r < rows; r++) {
    const knots = table.knots[r]
    if (!knots) continue
    const meant = sizeDensity(knots, mm, widen)
    const read = mm < sizeAtScore(knots, 0) ? sizeDensity(knots, mm, LOOSE_WIDEN) : meant
    out[r] = (1 - blunder) * ((1 - loose) * meant + loose * read) + blunder * anySize
  }
  const uncoded = new Map(
    lifeForms.map((form) => {
      const { rows: coded, share } = table.coded.get(form)!
      const mean = coded.length === 0 ? anySize : coded.reduce((sum, r) => sum + out[r]!, 0) / coded.length
      return [form, share * mean + (1 - share) * anySize] as const
    }),
  )
  const { plants, strangers, neighbours } = compiled
  for (let r = 0; r < rows; r++) {
    if (lacks(table, r)) out[r] = 0.02 * anySize
    else if (r < plants.length) {
      if (!isCoded(table, r)) out[r] = uncoded.get(plants[r]!.form)!
    } else if (!table.knots[r]) {
      const at = r - plants.length
      const form = strangers[at] ?? neighbours[at - strangers.length]!.form
      out[r] = 0.5 * uncoded.get(form)! + 0.5 * anySize
    }
  }
  return out
}
