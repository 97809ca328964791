import type { Inference } from './inference.ts'
import { answerChance } from './characterTable.ts'
import type { CompiledFlora } from './compileFlora.ts'
import type { NextCheck } from './nextChecks.ts'

export interface Explanation {
  /** The look without which another plant would lead, or that speaks most for the first against the second. */
  turned?: string
  /** The look that speaks most against the leading plant while the rest speaks for it: worth a second look. */
  contradicts?: { character: string; bits: number }
  /** A look still to be made, and the answer to it that would put another plant first. */
  wouldChange?: { character: string; state: string; plant: string }
}

/** Bits against the leading plant from which a look is called out. */
const CONTRADICTS_FROM = -2

/** Rows below this cannot be put first by one look. */
const STANDING_FROM = 1e-4

function bestRow(scores: Float64Array, plants: number): number {
  let best = 0
  for (let r = 1; r < plants; r++) if (scores[r]! > scores[best]!) best = r
  return best
}

function turnedBy(
  compiled: CompiledFlora,
  { weighed, posterior }: Inference,
  lead: number,
  second: number,
): string | undefined {
  let most: { character: string; bits: number } | undefined
  for (const w of weighed) {
    const without = posterior.map((p, r) => Math.log2(Math.max(p, 1e-300)) - w.bits[r]!)
    const decided = bestRow(without, compiled.plants.length) !== lead
    const bits = w.bits[lead]! - w.bits[second]! + (decided ? 100 : 0)
    if (bits > 0.2 && (!most || bits > most.bits)) most = { character: w.observation.character, bits }
  }
  return most?.character
}

function contradicting({ weighed }: Inference, lead: number): Explanation['contradicts'] {
  let worst: Explanation['contradicts']
  for (const w of weighed)
    if (w.bits[lead]! <= CONTRADICTS_FROM && (!worst || w.bits[lead]! < worst.bits))
      worst = { character: w.observation.character, bits: w.bits[lead]! }
  return weighed.length > 1 ? worst : undefined
}

function changedBy(
  compiled: CompiledFlora,
  { stage, posterior }: Inference,
  next: NextCheck[],
  lead: number,
): Explanation['wouldChange'] {
  let best: (Explanation['wouldChange'] & { chance: number }) | undefined
  const rows = [...posterior.keys()].filter((r) => posterior[r]! >= STANDING_FROM)
  for (const { character } of next.slice(0, 5)) {
    const table = compiled.tablesAt(stage)[compiled.characterIndex.get(character)!]!
    const states = table.character.states
    if (!states) continue
    states.forEach((state, s) => {
      let chance = 0
      let first: number | undefined
      let most = -1
      for (const r of rows) {
        const joint = posterior[r]! * answerChance(table, r, s)
        chance += joint
        if (joint > most && r < compiled.plants.length) [first, most] = [r, joint]
      }
      // Where hardly a plant of the book is left, an answer puts none of them first.
      if (first !== undefined && first !== lead && (!best || chance > best.chance))
        best = { character, state, plant: compiled.plants[first]!.id, chance }
    })
  }
  return best && { character: best.character, state: best.state, plant: best.plant }
}

/** Why the verdict is what it is, and what could upset it. */
export function explain(compiled: CompiledFlora, inference: Inference, next: NextCheck[]): Explanation {
  if (inference.weighed.length === 0) return {}
  const lead = bestRow(inference.posterior, compiled.plants.length)
  const others = inference.posterior.map((p, r) => (r === lead ? -1 : p))
  const second = bestRow(others, compiled.plants.length)
  const turned = turnedBy(compiled, inference, lead, second)
  const contradicts = contradicting(inference, lead)
  const wouldChange = changedBy(compiled, inference, next, lead)
  return {
    ...(turned ? { turned } : {}),
    ...(contradicts ? { contradicts } : {}),
    ...(wouldChange ? { wouldChange } : {}),
  }
}
