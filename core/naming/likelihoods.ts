import { NO_SUCH_PART, NOT_CODED, type CharacterTable, type CompiledFlora } from './compileFlora.ts'
import { lifeForms, type Stage } from './flora.ts'
import type { Observation } from './observation.ts'
import { confusionMatrix, measuringError, type Sureness } from './observerError.ts'
import { sizeDensity } from './sizeDistribution.ts'

/** Chance that plants pulled side by side are one clone and show the same. Convention of this project. */
const CLONE = 0.2
/** Sizes of plants pulled side by side: n of them tell as much as n / (1 + (n - 1) x this). */
const SIZES_ALIKE = 0.2

/**
 * Likelihood of an observation under each row (plants, then strangers): a probability, or a density per ln mm.
 * A plant with nothing coded gets the mean of the coded ones, so that the look says nothing for or against it.
 *
 * @throws RangeError where the book has no such character, or the character no such state
 */
export function likelihoods(compiled: CompiledFlora, stage: Stage, o: Observation): Float64Array {
  const table = compiled.tablesAt(stage)[compiled.characterIndex.get(o.character) ?? -1]
  if (!table) throw new RangeError(`the book has no character "${o.character}"`)
  const given = 'states' in o ? o.states : 'counts' in o ? Object.keys(o.counts) : []
  const strange = given.find((s) => !table.character.states?.includes(s))
  if (strange !== undefined) throw new RangeError(`${o.character} has no state "${strange}"`)
  const sureness = o.sureness ?? 'sure'
  if ('states' in o) return stateLikelihoods(table, o.states, sureness, stage)
  if ('value' in o) return sizeLikelihoods(table, compiled, o.value, sureness)
  if ('counts' in o) return countLikelihoods(table, o.counts, sureness, stage)
  const each = o.values.map((v) => sizeLikelihoods(table, compiled, v, sureness))
  const worth = 1 / (1 + (each.length - 1) * SIZES_ALIKE)
  return each[0]!.map((_, r) => Math.exp(worth * each.reduce((sum, of) => sum + Math.log(of[r]!), 0)))
}

/**
 * Several plants pulled, so many of each answer. Either they are one clone, and one truth stands behind all answers; or
 * each plant is a draw of its own. Without the first, three odd plants of one clone would speak three times.
 */
function countLikelihoods(
  table: CharacterTable,
  counts: Record<string, number>,
  sureness: Sureness,
  stage: Stage,
): Float64Array {
  const states = table.character.states ?? []
  const confusion = confusionMatrix(table.character, sureness, stage)
  const seen = states.flatMap((s, i) => (counts[s] ? [{ i, n: counts[s] }] : []))
  const ofClone = confusion.map((row) => seen.reduce((p, { i, n }) => p * row[i]! ** n, 1))
  const out = new Float64Array(table.rows)
  for (let r = 0; r < table.rows; r++) {
    let clone = 0
    for (let t = 0; t < states.length; t++) clone += table.truth[t * table.rows + r]! * ofClone[t]!
    let apart = 1
    for (const { i, n } of seen) {
      let p = 0
      for (let t = 0; t < states.length; t++) p += table.truth[t * table.rows + r]! * confusion[t]![i]!
      apart *= p ** n
    }
    out[r] = CLONE * clone + (1 - CLONE) * apart
  }
  return out
}

function stateLikelihoods(table: CharacterTable, answered: string[], sureness: Sureness, stage: Stage): Float64Array {
  const states = table.character.states ?? []
  const confusion = confusionMatrix(table.character, sureness, stage)
  // Chance of the answer given each true state; an either/or answer adds its states up.
  const given = confusion.map((row) => answered.reduce((sum, s) => sum + (row[states.indexOf(s)] ?? 0), 0))
  const rows = table.status.length
  const out = new Float64Array(rows)
  for (let r = 0; r < rows; r++) {
    let p = 0
    for (let t = 0; t < states.length; t++) p += table.truth[t * table.rows + r]! * given[t]!
    out[r] = p
  }
  return out
}

function sizeLikelihoods(table: CharacterTable, compiled: CompiledFlora, mm: number, sureness: Sureness): Float64Array {
  const { widen, blunder } = measuringError(sureness)
  const [low, high] = table.character.range ?? [0, 1000]
  const anySize = 1 / Math.log(high / Math.max(low, high / 400))
  const rows = table.status.length
  const out = new Float64Array(rows)
  const coded: number[] = []
  for (let r = 0; r < compiled.plants.length; r++) {
    const knots = table.knots[r]
    if (!knots) continue
    out[r] = (1 - blunder) * sizeDensity(knots, mm, widen) + blunder * anySize
    coded.push(r)
  }
  const means = new Map(
    lifeForms.map((form) => {
      const same = coded.filter((r) => compiled.plants[r]!.form === form)
      const use = same.length >= 3 ? same : coded
      return [form, use.length === 0 ? anySize : use.reduce((sum, r) => sum + out[r]!, 0) / use.length] as const
    }),
  )
  for (let r = 0; r < rows; r++) {
    const stranger = compiled.strangers[r - compiled.plants.length]
    if (table.status[r] === NO_SUCH_PART) out[r] = 0.02 * anySize
    else if (stranger) out[r] = 0.5 * means.get(stranger)! + 0.5 * anySize
    else if (table.status[r] === NOT_CODED) out[r] = means.get(compiled.plants[r]!.form)!
  }
  return out
}
