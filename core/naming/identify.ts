import { infer, type Inference } from './inference.ts'
import type { CompiledFlora } from './compileFlora.ts'
import { beforeTheName } from './beforeTheName.ts'
import { explain, type Explanation } from './explain.ts'
import { decidingChecks, unmetChecks } from './lookalikes.ts'
import { nextChecks, type NextCheck } from './nextChecks.ts'
import type { Context, Observation } from '../records/observation.ts'
import { openHarm, type WhyOpen } from './openHarm.ts'
import { sawIn, rankedNames, verdictOf, type Verdict } from './verdict.ts'

export interface Candidate {
  plant: string
  probability: number
  evidence: { character: string; bits: number }[]
}

export interface Identification {
  candidates: Candidate[]
  notInBook: number
  harmfulOpen: {
    plant: string
    probability: number
    /** What it would be without the answer that speaks most against it. */
    without: number
    why: WhyOpen
    hangsOn?: string
    check?: string
  }[]
  next: NextCheck[]
  verdict: Verdict
  explanation: Explanation
}

function orderedCandidates(compiled: CompiledFlora, inference: Inference): Candidate[] {
  return compiled.plants
    .map((plant, r) => ({
      plant: plant.id,
      probability: inference.posterior[r]!,
      evidence: inference.weighed.map((w) => ({ character: w.observation.character, bits: w.bits[r]! })),
    }))
    .sort((a, b) => b.probability - a.probability || (a.plant < b.plant ? -1 : 1))
}

/** The plant outside the book that holds most of what is not in it, by its id. */
function likeliestNeighbour(compiled: CompiledFlora, posterior: Float64Array, notInBook: number): string | undefined {
  const first = compiled.plants.length + compiled.strangers.length
  return compiled.neighbours.find((_, i) => posterior[first + i]! > notInBook / 2)?.id
}

/**
 * Name a plant from what was seen of it.
 *
 * Probabilities of all plants and of "not in this book" sum to 1. Evidence is in bits (Good 1950) against the average
 * of the book: plus speaks for a plant, minus against it. Ids and states must have been checked against the flora.
 */
export function identify(compiled: CompiledFlora, context: Context, observations: Observation[]): Identification {
  const inference = infer(compiled, context, observations)
  const candidates = orderedCandidates(compiled, inference)
  const sum = (list: Float64Array) => list.reduce((a, b) => a + b, 0)
  const notInBook = sum(inference.posterior.slice(compiled.plants.length)) + sum(inference.cousins)
  const leadRow = compiled.plantIndex.get(candidates[0]!.plant)!
  const lead = compiled.plants[leadRow]!
  const open = openHarm(compiled, inference, leadRow)
  const observed = new Set(observations.map((o) => o.character))
  const met = new Set(inference.weighed.map((w) => w.observation.character))
  const ranked = nextChecks(compiled, inference, observed, context.lacking ?? [])
  const next = beforeTheName(compiled, ranked, {
    stage: inference.stage,
    lead,
    probability: candidates[0]!.probability,
    open: open.map((o) => o.plant),
    observed,
    probabilityOf: (id) => inference.posterior[compiled.plantIndex.get(id)!]!,
    lacking: context.lacking ?? [],
  })
  return {
    candidates,
    notInBook,
    harmfulOpen: open.map(({ plant, probability, why, hangsOn, without }) => {
      const [check] = plant.id === lead.id ? [] : decidingChecks(compiled, lead, plant, inference.stage)
      return {
        plant: plant.id,
        probability,
        without,
        why,
        ...(hangsOn ? { hangsOn } : {}),
        ...(check ? { check } : {}),
      }
    }),
    next,
    verdict: verdictOf({
      names: rankedNames(compiled, inference.stage, (r) => inference.posterior[r]!, sawIn(observations)),
      evenly: (plants) => plants.reduce((all, id) => all + inference.even.posterior[compiled.plantIndex.get(id)!]!, 0),
      notInBook,
      neighbour: likeliestNeighbour(compiled, inference.posterior, notInBook),
      open: open.map((o) => o.plant),
      unmet: unmetChecks(compiled, lead, inference.stage, met).map((u) => u.harmful),
      lead,
      looks: inference.weighed.length,
    }),
    explanation: explain(compiled, inference, next),
  }
}
