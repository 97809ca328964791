import { believe, type Beliefs } from './beliefs.ts'
import type { CompiledFlora } from './compileFlora.ts'
import { explain, type Explanation } from './explain.ts'
import type { Plant } from './flora.ts'
import { nextChecks, type NextCheck } from './nextChecks.ts'
import type { Context, Observation } from './observation.ts'
import { standing, verdictOf, type Verdict } from './verdict.ts'

export interface Candidate {
  plant: string
  probability: number
  evidence: { character: string; bits: number }[]
}

export interface Identification {
  candidates: Candidate[]
  notInBook: number
  harmfulOpen: { plant: string; probability: number; check?: string }[]
  next: NextCheck[]
  verdict: Verdict
  explanation: Explanation
}

/** A harmful plant stays open until it is this unlikely. */
export const HARM_OPEN_FROM = 0.001
/** Bits by which one sure look at the deciding check must speak for the leading plant to settle the matter (32 to 1). */
const DECISIVE_BITS = 5
/** Bits from which a look speaks plainly against a plant (32 to 1). */
const PLAIN_BITS = 5

/** The deciding check between two plants as the book names it, from either plant's page. */
export function decidingCheck(a: Plant, b: Plant): { check: string; why: string } | undefined {
  return a.lookalikes.find((l) => l.plant === b.id) ?? b.lookalikes.find((l) => l.plant === a.id)
}

/** True where a sure look at the deciding check settles that it is the leading plant and not the harmful one. */
function settled(compiled: CompiledFlora, { weighed }: Beliefs, lead: Plant, harmful: Plant): boolean {
  const check = decidingCheck(lead, harmful)?.check
  const [forLead, forHarm] = [compiled.plantIndex.get(lead.id)!, compiled.plantIndex.get(harmful.id)!]
  return weighed.some(
    ({ observation: o, bits }) =>
      o.character === check && (o.sureness ?? 'sure') === 'sure' && bits[forLead]! - bits[forHarm]! >= DECISIVE_BITS,
  )
}

function orderedCandidates(compiled: CompiledFlora, beliefs: Beliefs): Candidate[] {
  return compiled.plants
    .map((plant, r) => ({
      plant: plant.id,
      probability: beliefs.posterior[r]!,
      evidence: beliefs.weighed.map((w) => ({ character: w.observation.character, bits: w.bits[r]! })),
    }))
    .sort((a, b) => b.probability - a.probability || (a.plant < b.plant ? -1 : 1))
}

/** The check that decides between the leading plant and a harmful one that is open comes first. */
function decidingFirst(
  next: NextCheck[],
  compiled: CompiledFlora,
  lead: Plant,
  open: Plant[],
  observed: Set<string>,
): NextCheck[] {
  for (const harmful of open) {
    const named = harmful.id === lead.id ? undefined : decidingCheck(lead, harmful)
    if (!named || observed.has(named.check)) continue
    const known = next.find((n) => n.character === named.check)
    const effort = compiled.flora.characters[compiled.characterIndex.get(named.check)!]!.effort
    const first: NextCheck = { ...(known ?? { character: named.check, bits: 0, effort }), decides: harmful.id }
    return [first, ...next.filter((n) => n.character !== named.check)]
  }
  return next
}

/** Probability of a harmful plant, read cautiously: never less than the plain one. */
function harmProbability(compiled: CompiledFlora, beliefs: Beliefs, plant: Plant): number {
  const row = compiled.plantIndex.get(plant.id)!
  return Math.max(beliefs.posterior[row]!, beliefs.cautious[row]!)
}

/** True where two sure looks each speak plainly for the leading plant against the harmful one: both are seldom odd. */
function twiceAgainst(compiled: CompiledFlora, { weighed }: Beliefs, lead: Plant, harmful: Plant): boolean {
  const [l, h] = [compiled.plantIndex.get(lead.id)!, compiled.plantIndex.get(harmful.id)!]
  const plain = ({ observation: o, bits }: Beliefs['weighed'][number]) =>
    (o.sureness ?? 'sure') === 'sure' && bits[l]! - bits[h]! >= PLAIN_BITS
  return weighed.filter(plain).length >= 2
}

/**
 * Harmful plants not yet excluded: those at 1 in 1,000 or more, and those that come to it on the cautious reading unless
 * two looks speak plainly against them. The check that decides between it and the leading plant may settle it alone; no
 * other single look excludes a poison, for it can be odd.
 */
function harmfulOpen(compiled: CompiledFlora, beliefs: Beliefs, lead: Plant): Plant[] {
  const p = (plant: Plant) => harmProbability(compiled, beliefs, plant)
  const isOpen = (plant: Plant): boolean => {
    if (plant.role !== 'toxic' || p(plant) < HARM_OPEN_FROM || settled(compiled, beliefs, lead, plant)) return false
    const plainly = beliefs.posterior[compiled.plantIndex.get(plant.id)!]! >= HARM_OPEN_FROM
    return plainly || !twiceAgainst(compiled, beliefs, lead, plant)
  }
  return compiled.plants.filter(isOpen).sort((a, b) => p(b) - p(a))
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
  const notInBook = beliefs.posterior.slice(compiled.plants.length).reduce((a, b) => a + b, 0)
  const lead = compiled.plants[compiled.plantIndex.get(candidates[0]!.plant)!]!
  const open = harmfulOpen(compiled, beliefs, lead)
  const observed = new Set(observations.map((o) => o.character))
  const ranked = nextChecks(compiled, beliefs, observed, context.lacking ?? [])
  const leading = candidates[0]!.probability >= 0.5 && lead.role !== 'toxic'
  const next = leading ? decidingFirst(ranked, compiled, lead, open, observed) : ranked
  return {
    candidates,
    notInBook,
    harmfulOpen: open.map((plant) => {
      const check = plant.id === lead.id ? undefined : decidingCheck(lead, plant)?.check
      const probability = harmProbability(compiled, beliefs, plant)
      return { plant: plant.id, probability, ...(check ? { check } : {}) }
    }),
    next,
    verdict: verdictOf(
      standing(compiled, beliefs.stage, (r) => beliefs.posterior[r]!),
      notInBook,
      open,
      lead,
      beliefs.weighed.length,
    ),
    explanation: explain(compiled, beliefs, next),
  }
}
