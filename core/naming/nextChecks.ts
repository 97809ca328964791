import type { Beliefs } from './beliefs.ts'
import { NO_SUCH_PART, type CharacterTable, type CompiledFlora } from './compileFlora.ts'
import type { Character, Effort, Stage } from './flora.ts'

export interface NextCheck {
  character: string
  /** Expected gain in bits. */
  bits: number
  effort: Effort
  /** Set where the check decides between the leading plant and a harmful one that is still open. */
  decides?: string
}

/** What a look costs against a glance, and how much dearer one that is often misread is: colour comes last. Conventions of this project. */
const COST: Record<Effort, number> = { glance: 1, hand: 1.2, lens: 1.6, dig: 2.5 }
const OFTEN_MISREAD = 0.15
const MISREAD_COST = 1.8
const LEAST_BITS = 0.005

const costOf = (c: Character): number => COST[c.effort] * (c.mistake >= OFTEN_MISREAD ? MISREAD_COST : 1)

/**
 * Expected information of a look, in bits (Lindley 1956): mutual information of the answer and the plant.
 *
 * @param belief probability of each row, summing to 1
 */
export function expectedBits(chances: Float64Array, outcomes: number, belief: Float64Array): number {
  let bits = 0
  for (let s = 0; s < outcomes; s++) {
    let p = 0
    for (let r = 0; r < belief.length; r++) p += belief[r]! * chances[r * outcomes + s]!
    if (p <= 0) continue
    for (let r = 0; r < belief.length; r++) {
      const joint = belief[r]! * chances[r * outcomes + s]!
      if (joint > 1e-12) bits += joint * Math.log2(chances[r * outcomes + s]! / p)
    }
  }
  return Math.max(0, bits)
}

function shareWithPart(table: CharacterTable, belief: Float64Array): number {
  let share = 0
  for (let r = 0; r < belief.length; r++) if (table.status[r] !== NO_SUCH_PART) share += belief[r]!
  return share
}

/** Belief folded to "harmful or not", keeping the rows: what a look says of harm alone. */
function harmBits(compiled: CompiledFlora, chances: Float64Array, outcomes: number, belief: Float64Array): number {
  let bits = 0
  const toxic = compiled.plants.map((p) => p.role === 'toxic')
  let prob = 0
  for (let r = 0; r < compiled.plants.length; r++) if (toxic[r]) prob += belief[r]!
  if (prob < 1e-6 || prob > 1 - 1e-6) return 0
  for (let s = 0; s < outcomes; s++) {
    let all = 0
    let harm = 0
    for (let r = 0; r < belief.length; r++) {
      const joint = belief[r]! * chances[r * outcomes + s]!
      all += joint
      if (toxic[r]) harm += joint
    }
    if (harm > 0) bits += harm * Math.log2(harm / all / prob)
    if (all - harm > 1e-15) bits += (all - harm) * Math.log2((all - harm) / all / (1 - prob))
  }
  return Math.max(0, bits)
}

/**
 * Looks still worth making, best gain per effort first. What tells harmful from harmless counts double. A part that
 * most of the remaining plants lack, or that is not there at this stage, is not asked for.
 *
 * @param observed ids of characters already answered (can't tell included)
 */
export function nextChecks(compiled: CompiledFlora, beliefs: Beliefs, observed: Set<string>, limit = 10): NextCheck[] {
  const groupsSeen = new Map<string, number>()
  for (const { observation } of beliefs.weighed) {
    const group = compiled.flora.characters[compiled.characterIndex.get(observation.character)!]!.group
    if (group) groupsSeen.set(group, (groupsSeen.get(group) ?? 0) + 1)
  }
  const belief = beliefs.posterior
  const ranked = compiled.tables[beliefs.stage]
    .filter((t) => !observed.has(t.character.id) && !t.character.lacksAt.includes(beliefs.stage))
    .map((table) => {
      const { character, outcomes, answers: chances } = table
      const damp = 1 / (1 + (character.group ? (groupsSeen.get(character.group) ?? 0) : 0))
      const fits = shareWithPart(table, belief)
      const bits = damp * fits * expectedBits(chances, outcomes, belief)
      const harm = damp * fits * harmBits(compiled, chances, outcomes, belief)
      return {
        character: character.id,
        bits,
        effort: character.effort,
        worth: (bits + harm) / costOf(character),
      }
    })
    .filter((c) => c.bits >= LEAST_BITS)
    .sort((a, b) => b.worth - a.worth)
  return ranked.slice(0, limit).map(({ character, bits, effort }) => ({ character, bits, effort }))
}

/** Belief that only two plants are left, equally likely. */
export function beliefInTwo(compiled: CompiledFlora, a: string, b: string): Float64Array {
  const belief = new Float64Array(compiled.rows)
  belief[compiled.plantIndex.get(a)!] = 0.5
  belief[compiled.plantIndex.get(b)!] = 0.5
  return belief
}

/** Expected bits (0 to 1) of each look at a stage for telling two plants apart, the best first. */
export function splitPair(compiled: CompiledFlora, a: string, b: string, stage: Stage): NextCheck[] {
  const belief = beliefInTwo(compiled, a, b)
  return compiled.tables[stage]
    .filter((t) => !t.character.lacksAt.includes(stage) && shareWithPart(t, belief) > 0.99)
    .map((t) => ({
      character: t.character.id,
      bits: expectedBits(t.answers, t.outcomes, belief),
      effort: t.character.effort,
    }))
    .filter((c) => c.bits >= LEAST_BITS)
    .sort((x, y) => y.bits - x.bits)
}
