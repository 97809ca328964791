import { NO_SUCH_PART, NOT_CODED, type CharacterTable, type CompiledFlora } from './compileFlora.ts'
import type { Region, Stage } from './flora.ts'
import { confusionMatrix, measuringError, type Sureness } from './observerError.ts'
import { sizeDensity } from './sizeDistribution.ts'

export interface Context {
  /** 1 to 12. */
  month?: number
  stage?: Stage
  region?: Region
  /** Plant ids of the sown list. */
  sown?: string[]
}

/** One look. Several states mean "either of these". */
export type Observation = { character: string; sureness?: Sureness } & (
  { states: string[] } | { value: number; unit?: 'mm' }
)

/** Answer that carries no evidence. */
export const CANT_TELL = 'cant-tell'

/** True where an observation says something. */
export function isEvidence(o: Observation): boolean {
  return 'value' in o || !o.states.includes(CANT_TELL)
}

/**
 * Likelihood of an observation under each row (plants, then strangers): a probability, or a density per ln mm.
 * A plant with nothing coded gets the mean of the coded ones, so that the look says nothing for or against it.
 */
export function likelihoods(compiled: CompiledFlora, stage: Stage, o: Observation): Float64Array {
  const table = compiled.tables[stage][compiled.characterIndex.get(o.character)!]!
  const sureness = o.sureness ?? 'sure'
  return 'value' in o
    ? sizeLikelihoods(table, compiled, o.value, sureness)
    : stateLikelihoods(table, o.states, sureness, stage)
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
    for (let t = 0; t < states.length; t++) p += table.truth[r * table.outcomes + t]! * given[t]!
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
  const meanOf = (form: string) => {
    const same = coded.filter((r) => compiled.plants[r]!.form === form)
    const use = same.length >= 3 ? same : coded
    return use.length === 0 ? anySize : use.reduce((s, r) => s + out[r]!, 0) / use.length
  }
  for (let r = 0; r < rows; r++) {
    const stranger = compiled.strangers[r - compiled.plants.length]
    if (table.status[r] === NO_SUCH_PART) out[r] = 0.02 * anySize
    else if (stranger) out[r] = 0.5 * meanOf(stranger) + 0.5 * anySize
    else if (table.status[r] === NOT_CODED) out[r] = meanOf(compiled.plants[r]!.form)
  }
  return out
}
