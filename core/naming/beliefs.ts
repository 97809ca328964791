import { lacksBy, type CompiledFlora } from './compileFlora.ts'
import { expectedBits } from './expectedBits.ts'
import type { Stage } from './flora.ts'
import { likelihoods } from './likelihoods.ts'
import { isEvidence, type Context, type Observation } from './observation.ts'
import type { Observer } from './observerError.ts'
import { cousinPrior, prior } from './prior.ts'

export interface WeighedObservation {
  observation: Observation
  /** 1 for an observation that stands alone, less where another of its group says partly the same. */
  weight: number
  /** Likelihood per row. */
  likelihood: Float64Array
  /** Bits for (+) or against (-) each row, against the average of the book under the prior. */
  bits: Float64Array
  /** The same as a factor (2^bits), and that of each plant's kin outside the book. */
  times: Float64Array
  cousinTimes: Float64Array
}

/** What one idea of the observer makes of the observations. */
export interface Reading {
  posterior: Float64Array
  /** Probability per plant that it is a kin of it which this book does not hold. */
  cousins: Float64Array
  weighed: WeighedObservation[]
}

export interface Beliefs extends Reading {
  stage: Stage
  prior: Float64Array
  /** Posterior with the kin laid on the plants and strangers that they look like: what a next look is weighed by. */
  believed: Float64Array
  /** The same observations as read by the even observer: a name must hold, and a poison fall, under both. */
  even: Reading
}

/** A kin outside the book looks this much like its plant, and the rest like any stranger of its kind. */
const LIKE_ITS_PLANT = 0.7
/** What a second, third ... observation of one group is worth: 1 / (1 + this for each that tells more). */
const SAID_AGAIN = 0.35

interface Look {
  observation: Observation
  character: number
  weight: number
}

/**
 * Within a group of characters that say partly the same thing, the observation whose character tells most in this book
 * counts in full, the second by 1 / 1.35, the third by 1 / 1.7: whatever was answered, and in whatever order.
 */
function weights(compiled: CompiledFlora, stage: Stage, before: Float64Array, observations: Observation[]): Look[] {
  const tables = compiled.tablesAt(stage)
  const rows = Int32Array.from(before.keys())
  const looks = observations.filter(isEvidence).map((observation) => {
    const character = compiled.characterIndex.get(observation.character) ?? -1
    const table = tables[character]
    if (!table) throw new RangeError(`the book has no character "${observation.character}"`)
    const { group, id } = table.character
    return { observation, character, group, id, tells: group ? expectedBits(table, rows, before) : 0 }
  })
  return looks.map(({ observation, character, group, id, tells }) => {
    const more = looks.filter(
      (o) => group !== undefined && o.group === group && (o.tells > tells || (o.tells === tells && o.id < id)),
    ).length
    return { observation, character, weight: 1 / (1 + SAID_AGAIN * more) }
  })
}

/**
 * That a plant lacks a part, as another character of it says, is said once: who takes a cut leaf for leaflets answers all
 * questions about leaflets so. A plant of another kind lacks each part for itself.
 */
function sayLackOnce(compiled: CompiledFlora, stage: Stage, looks: Look[], weighed: WeighedObservation[]): void {
  const tables = compiled.tablesAt(stage)
  const byParent = new Map<string, number[]>()
  looks.forEach(({ character }, i) => {
    const parent = tables[character]!.character.noneWhere?.character
    if (parent) byParent.set(parent, [...(byParent.get(parent) ?? []), i])
  })
  for (const [parent, list] of byParent) {
    // The parent's own answer says the same.
    const said = [...list, ...looks.flatMap((l, i) => (l.observation.character === parent ? [i] : []))]
    if (said.length < 2) continue
    for (let r = 0; r < compiled.rows; r++) {
      if (!list.some((i) => lacksBy(tables[looks[i]!.character]!, r) === parent)) continue
      const worst = said.reduce((a, b) => (weighed[b]!.bits[r]! < weighed[a]!.bits[r]! ? b : a))
      for (const i of said) if (i !== worst) weighed[i]!.bits[r] = Math.max(0, weighed[i]!.bits[r]!)
    }
  }
}

function weigh(compiled: CompiledFlora, stage: Stage, before: Float64Array, looks: Look[], observer: Observer) {
  const weighed = looks.map(({ observation, weight }): WeighedObservation => {
    const likelihood = likelihoods(compiled, stage, observation, observer)
    let mean = 0
    for (let r = 0; r < before.length; r++) mean += before[r]! * likelihood[r]!
    const bits = likelihood.map((l) => weight * Math.log2(l / mean))
    return { observation, weight, likelihood, bits, times: bits, cousinTimes: bits }
  })
  sayLackOnce(compiled, stage, looks, weighed)
  const plants = compiled.plants.length
  const strangerOf = compiled.plants.map((p) => plants + compiled.strangers.indexOf(p.form))
  for (const w of weighed) {
    w.times = w.bits.map((b) => 2 ** b)
    w.cousinTimes = w.times.slice(0, plants)
    for (let r = 0; r < plants; r++)
      w.cousinTimes[r] = LIKE_ITS_PLANT * w.times[r]! + (1 - LIKE_ITS_PLANT) * w.times[strangerOf[r]!]!
  }
  return weighed
}

/** Bayes' rule: prior times all factors, scaled to sum to 1 over plants, strangers and kin. */
function reading(before: Float64Array, cousinsBefore: Float64Array, weighed: WeighedObservation[]): Reading {
  const logs = before.map(Math.log2)
  const cousinLogs = cousinsBefore.map(Math.log2)
  for (const w of weighed) {
    for (let r = 0; r < logs.length; r++) logs[r] = logs[r]! + w.bits[r]!
    for (let r = 0; r < cousinLogs.length; r++) cousinLogs[r] = cousinLogs[r]! + Math.log2(w.cousinTimes[r]!)
  }
  const top = [...logs, ...cousinLogs].reduce((a, b) => Math.max(a, b), -Infinity)
  const [posterior, cousins] = [logs.map((l) => 2 ** (l - top)), cousinLogs.map((l) => 2 ** (l - top))]
  let total = 0
  for (const p of posterior) total += p
  for (const p of cousins) total += p
  return { posterior: posterior.map((p) => p / total), cousins: cousins.map((p) => p / total), weighed }
}

/** Probability of each row with that of the kin laid on what they look like. */
function laidTogether(compiled: CompiledFlora, rows: Float64Array, cousins: Float64Array): Float64Array {
  const out = Float64Array.from(rows)
  compiled.plants.forEach((plant, r) => {
    const stranger = compiled.plants.length + compiled.strangers.indexOf(plant.form)
    out[r] = out[r]! + LIKE_ITS_PLANT * cousins[r]!
    out[stranger] = out[stranger]! + (1 - LIKE_ITS_PLANT) * cousins[r]!
  })
  return out
}

/** Bayes' rule over the book, its kin and the strangers, by both observers. Weight of evidence in bits after Good (1950). */
export function believe(compiled: CompiledFlora, context: Context, observations: Observation[]): Beliefs {
  const stage = context.stage ?? 'vegetative'
  const before = prior(compiled, context)
  const cousinsBefore = cousinPrior(compiled, before)
  const average = laidTogether(compiled, before, cousinsBefore)
  const looks = weights(compiled, stage, average, observations)
  const read = (observer: Observer) => reading(before, cousinsBefore, weigh(compiled, stage, average, looks, observer))
  const near = read('near')
  return {
    stage,
    prior: before,
    ...near,
    believed: laidTogether(compiled, near.posterior, near.cousins),
    even: read('even'),
  }
}
