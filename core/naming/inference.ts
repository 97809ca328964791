import { lacksBy } from './characterTable.ts'
import type { CompiledFlora } from './compileFlora.ts'
import type { Stage } from '../flora/flora.ts'
import { likelihoods } from './likelihoods.ts'
import { isEvidence, type Context, type Observation } from '../records/observation.ts'
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

/** What one look multiplies each row by. */
type Factors = Pick<WeighedObservation, 'observation' | 'times' | 'cousinTimes'>

/** What one idea of the observer makes of the observations. */
export interface Reading {
  posterior: Float64Array
  /** Probability per plant that it is a kin of it which this book does not hold. */
  cousins: Float64Array
  weighed: Factors[]
}

export interface Inference extends Reading {
  stage: Stage
  prior: Float64Array
  weighed: WeighedObservation[]
  /** Posterior with the kin laid on the plants and strangers that they look like: what a next look is weighed by. */
  posteriorWithKin: Float64Array
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
function weights(compiled: CompiledFlora, stage: Stage, observations: Observation[]): Look[] {
  const looks = observations.filter(isEvidence).map((observation) => {
    const character = compiled.characterIndex.get(observation.character) ?? -1
    const table = compiled.tablesAt(stage)[character]
    if (!table) throw new RangeError(`the book has no character "${observation.character}"`)
    return { observation, character, table, id: table.character.id }
  })
  return looks.map(({ observation, character, table, id }) => {
    const { group } = table.character
    const tellsMore = (o: (typeof looks)[number]) => o.table.tells - table.tells || (o.id < id ? 1 : -1)
    const more = looks.filter(
      (o) => group !== undefined && o.table.character.group === group && o.id !== id && tellsMore(o) > 0,
    ).length
    return { observation, character, weight: 1 / (1 + SAID_AGAIN * more) }
  })
}

/**
 * That a plant lacks a part, as another character of it says, is said once: who takes a cut leaf for leaflets answers all
 * questions about leaflets so. A plant of another kind lacks each part for itself.
 */
function sayLackOnce(compiled: CompiledFlora, stage: Stage, looks: Look[], weighed: Factors[]): void {
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
      const worst = said.reduce((a, b) => (weighed[b]!.times[r]! < weighed[a]!.times[r]! ? b : a))
      for (const i of said) if (i !== worst) weighed[i]!.times[r] = Math.max(1, weighed[i]!.times[r]!)
    }
  }
}

function factorsOf(compiled: CompiledFlora, stage: Stage, before: Float64Array, looks: Look[], observer: Observer) {
  const factors = looks.map(({ observation, weight }) => {
    const likelihood = likelihoods(compiled, stage, observation, observer)
    let mean = 0
    for (let r = 0; r < before.length; r++) mean += before[r]! * likelihood[r]!
    const times = new Float64Array(before.length)
    for (let r = 0; r < times.length; r++)
      times[r] = weight === 1 ? likelihood[r]! / mean : (likelihood[r]! / mean) ** weight
    return { observation, weight, likelihood, times, cousinTimes: new Float64Array(compiled.plants.length) }
  })
  sayLackOnce(compiled, stage, looks, factors)
  for (const { times, cousinTimes } of factors)
    for (let r = 0; r < cousinTimes.length; r++)
      cousinTimes[r] = LIKE_ITS_PLANT * times[r]! + (1 - LIKE_ITS_PLANT) * times[compiled.strangerOf[r]!]!
  return factors
}

/** Least part of the likeliest row that a row keeps: it must not vanish, or it could not come back when a look is left out. */
const LEAST_KEPT = 1e-250

/** Bayes' rule: prior times all factors, scaled to sum to 1 over plants, strangers and kin. */
function reading(before: Float64Array, cousinsBefore: Float64Array, weighed: Factors[]): Omit<Reading, 'weighed'> {
  const posterior = Float64Array.from(before)
  const cousins = Float64Array.from(cousinsBefore)
  const multiply = (into: Float64Array, by: Float64Array) => {
    let total = 0
    for (let r = 0; r < into.length; r++) total += into[r] = Math.max(LEAST_KEPT, into[r]! * by[r]!)
    return total
  }
  const scale = (into: Float64Array, total: number) => {
    for (let r = 0; r < into.length; r++) into[r] = into[r]! / total
  }
  for (const { times, cousinTimes } of weighed) {
    const total = multiply(posterior, times) + multiply(cousins, cousinTimes)
    scale(posterior, total)
    scale(cousins, total)
  }
  return { posterior, cousins }
}

/** Probability of each row with that of the kin laid on what they look like. */
function laidTogether(compiled: CompiledFlora, rows: Float64Array, cousins: Float64Array): Float64Array {
  const out = Float64Array.from(rows)
  for (let r = 0; r < cousins.length; r++) {
    const stranger = compiled.strangerOf[r]!
    out[r] = out[r]! + LIKE_ITS_PLANT * cousins[r]!
    out[stranger] = out[stranger]! + (1 - LIKE_ITS_PLANT) * cousins[r]!
  }
  return out
}

/** Bayes' rule over the book, its kin and the strangers, by both observers. Weight of evidence in bits after Good (1950). */
export function infer(compiled: CompiledFlora, context: Context, observations: Observation[]): Inference {
  const stage = context.stage ?? 'vegetative'
  const before = prior(compiled, context)
  const cousinsBefore = cousinPrior(compiled, before)
  const average = laidTogether(compiled, before, cousinsBefore)
  const looks = weights(compiled, stage, observations)
  const weighed = factorsOf(compiled, stage, average, looks, 'near').map((f) => ({
    ...f,
    bits: f.times.map(Math.log2),
  }))
  const near = reading(before, cousinsBefore, weighed)
  const evenly = factorsOf(compiled, stage, average, looks, 'even')
  return {
    stage,
    prior: before,
    ...near,
    weighed,
    posteriorWithKin: laidTogether(compiled, near.posterior, near.cousins),
    even: { ...reading(before, cousinsBefore, evenly), weighed: evenly },
  }
}
