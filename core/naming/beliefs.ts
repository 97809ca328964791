import type { CompiledFlora } from './compileFlora.ts'
import type { Stage } from './flora.ts'
import { likelihoods } from './likelihoods.ts'
import { isEvidence, type Context, type Observation } from './observation.ts'
import { prior } from './prior.ts'

export interface WeighedObservation {
  observation: Observation
  /** 1 for an observation that stands alone, less where another of its group says partly the same. */
  weight: number
  /** Likelihood per row. */
  likelihood: Float64Array
  /** Bits for (+) or against (-) each row, against the average of the book under the prior. */
  bits: Float64Array
}

export interface Beliefs {
  stage: Stage
  prior: Float64Array
  posterior: Float64Array
  /** The same with the evidence taken at two thirds: what harm is judged by. */
  cautious: Float64Array
  weighed: WeighedObservation[]
}

function variance(logs: Float64Array, weights: Float64Array): number {
  let mean = 0
  for (let r = 0; r < logs.length; r++) mean += weights[r]! * logs[r]!
  let sum = 0
  for (let r = 0; r < logs.length; r++) sum += weights[r]! * (logs[r]! - mean) ** 2
  return sum
}

/** Evidence may be less independent than it looks, and a poison missed costs more than a check too many. */
const CAUTION = 2 / 3

function weighedUp(before: Float64Array, weighed: WeighedObservation[], share: number): Float64Array {
  const logs = before.map(Math.log2)
  for (const w of weighed) for (let r = 0; r < logs.length; r++) logs[r] = logs[r]! + share * w.bits[r]!
  const top = logs.reduce((a, b) => Math.max(a, b), -Infinity)
  const posterior = logs.map((l) => 2 ** (l - top))
  const total = posterior.reduce((a, b) => a + b, 0)
  return posterior.map((p) => p / total)
}

/**
 * Bayes' rule over the book and the strangers.
 *
 * Within a group of characters that say partly the same thing, the observation that splits the book most counts in
 * full, the second by half, the third by a third: the order in which they were made does not matter.
 * Weight of evidence in bits after Good (1950).
 */
export function believe(compiled: CompiledFlora, context: Context, observations: Observation[]): Beliefs {
  const stage = context.stage ?? 'vegetative'
  const before = prior(compiled, context)
  const looks = observations.filter(isEvidence).map((observation) => {
    const likelihood = likelihoods(compiled, stage, observation)
    const character = compiled.flora.characters[compiled.characterIndex.get(observation.character)!]!
    return {
      observation,
      likelihood,
      group: character.group,
      spread: variance(likelihood.map(Math.log2), before),
    }
  })
  const weighed = looks.map((look): WeighedObservation => {
    const stronger = looks.filter(
      (o) =>
        look.group !== undefined &&
        o.group === look.group &&
        (o.spread > look.spread || (o.spread === look.spread && o.observation.character < look.observation.character)),
    ).length
    const weight = 1 / (1 + 0.35 * stronger)
    let mean = 0
    for (let r = 0; r < before.length; r++) mean += before[r]! * look.likelihood[r]!
    const bits = look.likelihood.map((l) => weight * Math.log2(l / mean))
    return { observation: look.observation, weight, likelihood: look.likelihood, bits }
  })
  const posterior = weighedUp(before, weighed, 1)
  return { stage, prior: before, posterior, cautious: weighedUp(before, weighed, CAUTION), weighed }
}
