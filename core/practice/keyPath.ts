import type { CompiledFlora } from '../naming/compileFlora.ts'
import { identify } from '../naming/identify.ts'
import type { Observation } from '../records/observation.ts'
import type { PractiseSpecimen } from './specimen.ts'

export interface KeyStep {
  character: string
  /** First name after this check, and its probability. */
  first: string
  probability: number
}

/** Checks after which the engine gives up on a specimen. */
const MOST_CHECKS = 20

/**
 * The checks that the engine makes of a specimen, always the next one that it proposes itself, until it names it or has
 * nothing more to ask: what a reader keys against.
 */
export function keyPath(compiled: CompiledFlora, specimen: PractiseSpecimen): KeyStep[] {
  const seen = new Map(specimen.seen.map((o) => [o.character, o]))
  const answered: Observation[] = []
  const steps: KeyStep[] = []
  for (let i = 0; i < MOST_CHECKS; i++) {
    const before = identify(compiled, { stage: specimen.stage }, answered)
    if (before.verdict.kind === 'named') break
    const next = before.next.find((c) => seen.has(c.character) && !answered.some((a) => a.character === c.character))
    if (!next) break
    answered.push(seen.get(next.character)!)
    const after = identify(compiled, { stage: specimen.stage }, answered)
    steps.push({
      character: next.character,
      first: after.candidates[0]!.plant,
      probability: after.candidates[0]!.probability,
    })
  }
  return steps
}
