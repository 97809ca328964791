import { believe, type Beliefs } from './beliefs.ts'
import { naturalFrequency } from './certainty.ts'
import type { CompiledFlora } from './compileFlora.ts'
import type { Plant } from './flora.ts'
import { nextChecks, type NextCheck } from './nextChecks.ts'
import type { Context, Observation } from './observation.ts'

export interface Candidate {
  plant: string
  probability: number
  evidence: { character: string; bits: number }[]
}

export interface Verdict {
  kind: 'named' | 'narrowed' | 'open'
  text: string
}

export interface Identification {
  candidates: Candidate[]
  notInBook: number
  harmfulOpen: { plant: string; probability: number; check?: string }[]
  next: NextCheck[]
  verdict: Verdict
}

/** A name is written when it would be right about 19 times in 20. */
export const NAMED_FROM = 0.95
/** A harmful plant stays open until it is this unlikely. */
export const HARM_OPEN_FROM = 0.001
/** Bits by which one sure look at the deciding check must speak for the leading plant to settle the matter (32 to 1). */
const DECISIVE_BITS = 5

/** The deciding check between two plants as the book names it, from either plant's page. */
export function decidingCheck(a: Plant, b: Plant): { check: string; why: string } | undefined {
  return a.lookalikes.find((l) => l.plant === b.id) ?? b.lookalikes.find((l) => l.plant === a.id)
}

function decisivelyExcluded(compiled: CompiledFlora, beliefs: Beliefs, lead: Plant, harmful: Plant): boolean {
  const check = decidingCheck(lead, harmful)?.check
  const [forLead, forHarm] = [compiled.plantIndex.get(lead.id)!, compiled.plantIndex.get(harmful.id)!]
  return beliefs.weighed.some(
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

/** A harmless name is never the verdict while a harmful plant is open; the check that decides then comes first. */
function decidingFirst(
  next: NextCheck[],
  compiled: CompiledFlora,
  lead: Plant,
  open: Plant[],
  observed: Set<string>,
): NextCheck[] {
  const row = open.find((h) => h.id !== lead.id)
  const named = row && decidingCheck(lead, row)
  if (!row || !named || observed.has(named.check)) return next
  const known = next.find((n) => n.character === named.check)
  const effort = compiled.flora.characters[compiled.characterIndex.get(named.check)!]!.effort
  const first: NextCheck = { ...(known ?? { character: named.check, bits: 0, effort }), decides: row.id }
  return [first, ...next.filter((n) => n.character !== named.check)]
}

function verdictOf(compiled: CompiledFlora, candidates: Candidate[], notInBook: number, open: Plant[]): Verdict {
  const name = (id: string) => compiled.plants[compiled.plantIndex.get(id)!]!.commonName
  const [first] = candidates
  const said = (c: Candidate) => `${name(c.plant)}, ${naturalFrequency(c.probability)}`
  if (notInBook >= 0.5) return { kind: 'open', text: `Probably not in this book (${naturalFrequency(notInBook)}).` }
  if (!first) return { kind: 'open', text: 'The book is empty.' }
  const others = open.filter((h) => h.id !== first.plant)
  const leadIsHarmful = compiled.plants[compiled.plantIndex.get(first.plant)!]!.role === 'toxic'
  if (first.probability >= NAMED_FROM && (leadIsHarmful || others.length === 0))
    return {
      kind: 'named',
      text: `${name(first.plant)}: right about ${naturalFrequency(first.probability)} times.`,
    }
  if (first.probability >= NAMED_FROM) {
    const which = others.map((h) => h.commonName.toLowerCase()).join(' and ')
    return {
      kind: 'narrowed',
      text: `Looks like ${name(first.plant).toLowerCase()}, but ${which} is not excluded yet.`,
    }
  }
  let sum = 0
  const few = candidates.filter((c) => {
    const needed = sum < 0.9 * (1 - notInBook)
    sum += c.probability
    return needed
  })
  if (few.length <= 4) return { kind: 'narrowed', text: `${few.map(said).join('; or ')}.` }
  return { kind: 'open', text: `Still open: ${few.length} plants would have to be set aside.` }
}

/**
 * Name a plant from what was seen of it.
 *
 * Probabilities of all plants and of "not in this book" sum to 1. Evidence is in bits (Good 1950) against the average
 * of the book: plus speaks for a plant, minus against it.
 *
 * @throws nothing for observations whose ids and states were checked against the flora before
 */
export function identify(compiled: CompiledFlora, context: Context, observations: Observation[]): Identification {
  const beliefs = believe(compiled, context, observations)
  const candidates = orderedCandidates(compiled, beliefs)
  let notInBook = 0
  for (let r = compiled.plants.length; r < compiled.rows; r++) notInBook += beliefs.posterior[r]!
  const lead = compiled.plants[compiled.plantIndex.get(candidates[0]!.plant)!]!
  const open = compiled.plants
    .filter((p, r) => p.role === 'toxic' && beliefs.posterior[r]! >= HARM_OPEN_FROM)
    .filter((p) => !decisivelyExcluded(compiled, beliefs, lead, p))
    .sort(
      (a, b) => beliefs.posterior[compiled.plantIndex.get(b.id)!]! - beliefs.posterior[compiled.plantIndex.get(a.id)!]!,
    )
  const observed = new Set(observations.map((o) => o.character))
  const ranked = nextChecks(compiled, beliefs, observed)
  const leading = candidates[0]!.probability >= 0.5 && lead.role !== 'toxic'
  return {
    candidates,
    notInBook,
    harmfulOpen: open.map((p) => {
      const check = p.id === lead.id ? undefined : decidingCheck(lead, p)?.check
      return {
        plant: p.id,
        probability: beliefs.posterior[compiled.plantIndex.get(p.id)!]!,
        ...(check ? { check } : {}),
      }
    }),
    next: leading ? decidingFirst(ranked, compiled, lead, open, observed) : ranked,
    verdict: verdictOf(compiled, candidates, notInBook, open),
  }
}
