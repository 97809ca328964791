import { closingChecks } from './closingChecks.ts'
import type { CompiledFlora } from './compileFlora.ts'
import type { Plant, Stage } from '../flora/flora.ts'
import { unmetChecks } from './lookalikes.ts'
import { isStageOf } from './verdict.ts'
import type { NextCheck } from './nextChecks.ts'

/** From here on a leading plant is asked for the checks against its harmful look-alikes, and from there for looks that close the rest. */
const LEADS_FROM = 0.5
const CLOSES_FROM = 0.85
const CLOSED_AT_ONCE = 8

/** How a naming stands when the next look is chosen. */
export interface Stand {
  stage: Stage
  lead: Plant
  probability: number
  /** Harmful plants not excluded, the likeliest first. */
  open: readonly Plant[]
  /** Characters already answered, "can't tell" included. */
  observed: ReadonlySet<string>
  /** How likely a plant is now. */
  probabilityOf: (plant: string) => number
  /** Kit that is not there. */
  lacking: readonly ('lens' | 'spade')[]
}

/** The check of the book against a harmful look-alike that was not met yet, against one that is open foremost. */
function unmetCheck(compiled: CompiledFlora, { stage, lead, open, observed }: Stand, can: (id: string) => boolean) {
  const unmet = unmetChecks(compiled, lead, stage, observed).flatMap(({ harmful, checks }) =>
    checks.filter(can).map((character) => ({ character, harmful })),
  )
  return unmet.find((u) => open.includes(u.harmful)) ?? unmet[0]
}

/** What a group asks before its members are told apart, where it is most likely one of them and nobody looked yet. */
function firstOfGroup(compiled: CompiledFlora, { stage, observed, probabilityOf }: Stand): string | undefined {
  const of = (ids: readonly string[]) => ids.reduce((all, id) => all + probabilityOf(id), 0)
  const group = compiled.flora.groups.find((g) => g.once && isStageOf(g, stage) && of(g.plants) >= LEADS_FROM)
  return group?.once && !observed.has(group.once.character) ? group.once.character : undefined
}

/** A look put before all others. */
function inFront(compiled: CompiledFlora, ranked: readonly NextCheck[], character: string): NextCheck[] {
  const { effort } = compiled.flora.characters[compiled.characterIndex.get(character)!]!
  const known = ranked.find((n) => n.character === character) ?? { character, bits: 0, effort }
  return [known, ...ranked.filter((n) => n.character !== character)]
}

/**
 * Looks still worth making, those first that stand between a harmless leading plant and its name: the check against a
 * harmful look-alike, then what speaks most against the harmful plants still open.
 *
 * @param ranked looks by what they tell in general, the best first
 */
export function beforeTheName(compiled: CompiledFlora, ranked: readonly NextCheck[], stand: Stand): NextCheck[] {
  const { stage, lead, probability, open, observed, lacking } = stand
  const once = firstOfGroup(compiled, stand)
  if (once !== undefined) return inFront(compiled, ranked, once)
  if (probability < LEADS_FROM || lead.role === 'toxic') return [...ranked]
  const effortOf = (id: string) => compiled.flora.characters[compiled.characterIndex.get(id)!]!.effort
  const can = (id: string) =>
    !(effortOf(id) === 'lens' && lacking.includes('lens')) && !(effortOf(id) === 'dig' && lacking.includes('spade'))
  const check = unmetCheck(compiled, stand, can)
  if (check) {
    const { character, harmful } = check
    const known = ranked.find((n) => n.character === character) ?? { character, bits: 0, effort: effortOf(character) }
    return [{ ...known, decides: harmful.id }, ...ranked.filter((n) => n.character !== character)]
  }
  if (probability < CLOSES_FROM || open.length === 0) return [...ranked]
  const asked = (id: string) => observed.has(id) || !can(id)
  const closing = closingChecks(compiled, stage, lead, open.slice(0, CLOSED_AT_ONCE), asked)
  const first = new Set(closing.map((c) => c.character))
  const rest = ranked.filter((n) => !first.has(n.character))
  return [...closing, ...rest].slice(0, Math.max(ranked.length, closing.length))
}
