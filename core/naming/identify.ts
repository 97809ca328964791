import { believe, type Beliefs } from './beliefs.ts'
import type { CompiledFlora } from './compileFlora.ts'
import { closingChecks } from './closingChecks.ts'
import { explain, type Explanation } from './explain.ts'
import type { Plant, Stage } from './flora.ts'
import { decidingChecks, unmetChecks } from './lookalikes.ts'
import { nextChecks, type NextCheck } from './nextChecks.ts'
import type { Context, Observation } from './observation.ts'
import { openHarm, type OpenHarm, type WhyOpen } from './openHarm.ts'
import { standing, verdictOf, type Verdict } from './verdict.ts'

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

/** From here on a leading plant is asked for the checks against its harmful look-alikes, and from there for looks that close the rest. */
const LEADS_FROM = 0.5
const CLOSES_FROM = 0.85
const CLOSED_AT_ONCE = 8

function orderedCandidates(compiled: CompiledFlora, beliefs: Beliefs): Candidate[] {
  return compiled.plants
    .map((plant, r) => ({
      plant: plant.id,
      probability: beliefs.posterior[r]!,
      evidence: beliefs.weighed.map((w) => ({ character: w.observation.character, bits: w.bits[r]! })),
    }))
    .sort((a, b) => b.probability - a.probability || (a.plant < b.plant ? -1 : 1))
}

/** The checks that stand between the leading plant and harmful ones come first, those that decide against open ones foremost. */
function decidingFirst(
  next: NextCheck[],
  compiled: CompiledFlora,
  stage: Stage,
  lead: Plant,
  open: readonly OpenHarm[],
  observed: ReadonlySet<string>,
): NextCheck[] | undefined {
  const unmet = unmetChecks(compiled, lead, stage, observed)
  const standsOpen = new Set(open.map((o) => o.plant.id))
  const first = unmet.find((u) => standsOpen.has(u.harmful.id)) ?? unmet[0]
  if (!first) return undefined
  const known = next.find((n) => n.character === first.checks[0])
  const character = first.checks[0]!
  const { effort } = compiled.flora.characters[compiled.characterIndex.get(character)!]!
  const check: NextCheck = { ...(known ?? { character, bits: 0, effort }), decides: first.harmful.id }
  return [check, ...next.filter((n) => n.character !== character)]
}

/** Looks still worth making, those first that stand between a harmless leading plant and its name. */
function beforeTheName(
  ranked: NextCheck[],
  compiled: CompiledFlora,
  { stage }: Beliefs,
  lead: Plant,
  probability: number,
  open: readonly OpenHarm[],
  observed: ReadonlySet<string>,
  { lacking = [] }: Context,
): NextCheck[] {
  if (probability < LEADS_FROM || lead.role === 'toxic') return ranked
  const deciding = decidingFirst(ranked, compiled, stage, lead, open, observed)
  if (deciding || probability < CLOSES_FROM || open.length === 0) return deciding ?? ranked
  const effortOf = (id: string) => compiled.flora.characters[compiled.characterIndex.get(id)!]!.effort
  const cannot = (id: string) =>
    (effortOf(id) === 'lens' && lacking.includes('lens')) || (effortOf(id) === 'dig' && lacking.includes('spade'))
  const harmful = open.slice(0, CLOSED_AT_ONCE).map((o) => o.plant)
  const closing = closingChecks(compiled, stage, lead, harmful, (id) => observed.has(id) || cannot(id))
  const first = new Set(closing.map((c) => c.character))
  return [...closing, ...ranked.filter((n) => !first.has(n.character))].slice(
    0,
    Math.max(ranked.length, closing.length),
  )
}

/** The plant outside the book that holds most of what is not in it, by name. */
function likeliestNeighbour(compiled: CompiledFlora, posterior: Float64Array, notInBook: number): string | undefined {
  const first = compiled.plants.length + compiled.strangers.length
  return compiled.neighbours.find((_, i) => posterior[first + i]! > notInBook / 2)?.commonName
}

/**
 * Name a plant from what was seen of it.
 *
 * Probabilities of all plants and of "not in this book" sum to 1. Evidence is in bits (Good 1950) against the average
 * of the book: plus speaks for a plant, minus against it. Ids and states must have been checked against the flora.
 */
export function identify(compiled: CompiledFlora, context: Context, observations: Observation[]): Identification {
  const beliefs = believe(compiled, context, observations)
  const candidates = orderedCandidates(compiled, beliefs)
  const sum = (list: Float64Array) => list.reduce((a, b) => a + b, 0)
  const notInBook = sum(beliefs.posterior.slice(compiled.plants.length)) + sum(beliefs.cousins)
  const leadRow = compiled.plantIndex.get(candidates[0]!.plant)!
  const lead = compiled.plants[leadRow]!
  const open = openHarm(compiled, beliefs, leadRow)
  const observed = new Set(observations.map((o) => o.character))
  const met = new Set(beliefs.weighed.map((w) => w.observation.character))
  const ranked = nextChecks(compiled, beliefs, observed, context.lacking ?? [])
  const next = beforeTheName(ranked, compiled, beliefs, lead, candidates[0]!.probability, open, observed, context)
  return {
    candidates,
    notInBook,
    harmfulOpen: open.map(({ plant, probability, why, hangsOn, without }) => {
      const [check] = plant.id === lead.id ? [] : decidingChecks(compiled, lead, plant, beliefs.stage)
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
      names: standing(compiled, beliefs.stage, (r) => beliefs.posterior[r]!),
      evenly: (plants) => plants.reduce((all, id) => all + beliefs.even.posterior[compiled.plantIndex.get(id)!]!, 0),
      notInBook,
      neighbour: likeliestNeighbour(compiled, beliefs.posterior, notInBook),
      open: open.map((o) => o.plant),
      unmet: unmetChecks(compiled, lead, beliefs.stage, met).map((u) => u.harmful),
      lead,
      looks: beliefs.weighed.length,
    }),
    explanation: explain(compiled, beliefs, next),
  }
}
