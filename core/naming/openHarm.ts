import type { Inference, Reading } from './inference.ts'
import { isCoded } from './characterTable.ts'
import type { CompiledFlora } from './compileFlora.ts'
import type { Plant } from '../flora/flora.ts'

/** A harmful plant stays open until it is this unlikely. */
export const HARM_OPEN_FROM = 0.001
/** How plainly a look must speak for the leading plant against the harmful one to count as a contradiction (5 to 1). */
const CONTRADICTS_FROM = 5
/** Contradictions, each on something the book has coded and of another kind, that it takes to exclude a poison. */
const LEAST_CONTRADICTIONS = 2

/** Why a harmful plant is not excluded: it is likely enough; it would be, were one answer wrong; too little speaks against it. */
export type WhyOpen = 'likely' | 'one-answer' | 'few-contradictions'

export interface OpenHarm {
  plant: Plant
  /** Of the two observers' readings the higher one, kin outside the book included. */
  probability: number
  why: WhyOpen
  /** The answer that alone speaks it down, where `why` is `one-answer`. */
  hangsOn?: string
  /** What it would be without that answer, by the observer who finds it likeliest. */
  without: number
}

/** Totals of a reading with each one look left out: the whole book's, to scale by. */
function totalsWithout({ posterior, cousins, weighed }: Reading): number[] {
  return weighed.map(({ times, cousinTimes }) => {
    let total = 0
    for (let r = 0; r < posterior.length; r++) total += posterior[r]! / times[r]!
    for (let r = 0; r < cousins.length; r++) total += cousins[r]! / cousinTimes[r]!
    return total
  })
}

const probabilityOf = ({ posterior, cousins }: Reading, row: number): number => posterior[row]! + cousins[row]!

/** The likeliest that a plant comes to when any one look is left out, and that look. */
function likeliestWithout(
  { posterior, cousins, weighed }: Reading,
  totals: readonly number[],
  row: number,
): { probability: number; look: number } {
  let best = { probability: 0, look: -1 }
  weighed.forEach(({ times, cousinTimes }, i) => {
    const probability = (posterior[row]! / times[row]! + cousins[row]! / cousinTimes[row]!) / totals[i]!
    if (probability > best.probability) best = { probability, look: i }
  })
  return best
}

/** Looks that speak plainly for the leading row against another, on coded things, each of another group. */
function contradictions(
  compiled: CompiledFlora,
  { stage, weighed, even }: Inference,
  lead: number,
  row: number,
): number {
  const tables = compiled.tablesAt(stage)
  const kinds = new Set<string>()
  weighed.forEach(({ observation: { character }, times }, i) => {
    const table = tables[compiled.characterIndex.get(character)!]!
    const evenly = even.weighed[i]!.times
    const against = Math.min(times[lead]! / times[row]!, evenly[lead]! / evenly[row]!)
    if (isCoded(table, row) && against >= CONTRADICTS_FROM) kinds.add(table.character.group ?? character)
  })
  return kinds.size
}

/**
 * Harmful plants not excluded, the likeliest first. A poison is excluded only when it is under 1 in 1,000 by both
 * observers, stays so whichever one answer is left out, and at least two independent things the book has coded of it are
 * contradicted; whatever leads. No single answer, no single cell that is missing or says "always", closes it.
 */
export function openHarm(compiled: CompiledFlora, inference: Inference, lead: number): OpenHarm[] {
  const readings: Reading[] = [inference, inference.even]
  const totals = readings.map(totalsWithout)
  const out: OpenHarm[] = []
  compiled.plants.forEach((plant, row) => {
    if (plant.role !== 'toxic') return
    const probability = Math.max(...readings.map((r) => probabilityOf(r, row)))
    const worst = readings
      .map((r, i) => likeliestWithout(r, totals[i]!, row))
      .reduce((a, b) => (b.probability > a.probability ? b : a))
    const without = Math.max(probability, worst.probability)
    const open = { plant, probability, without }
    if (probability >= HARM_OPEN_FROM) out.push({ ...open, why: 'likely' })
    else if (worst.probability >= HARM_OPEN_FROM) {
      const { character } = inference.weighed[worst.look]!.observation
      out.push({ ...open, why: 'one-answer', hangsOn: character })
    } else if (contradictions(compiled, inference, lead, row) < LEAST_CONTRADICTIONS)
      out.push({ ...open, why: 'few-contradictions' })
  })
  return out.sort((a, b) => b.probability - a.probability || b.without - a.without)
}
