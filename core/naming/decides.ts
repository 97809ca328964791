import { answerChance, lacks } from './characterTable.ts'
import type { CompiledFlora } from './compileFlora.ts'
import type { Stage } from '../flora/flora.ts'

/** How plainly a check speaks for each of two plants where it is that plant: ratios of likelihoods, geometric means. */
export interface Decides {
  forFirst: number
  forSecond: number
}

/** A check decides when it speaks at least so much, whichever of the two it is. */
export const DECIDES_FROM = 10

/**
 * How plainly one look, or several together, tell two plants apart, by the book's own cells and a careful eye: the mean
 * weight of evidence (Good 1950) for each where it is that one, as a ratio. Several looks are taken as independent.
 *
 * @param checks characters whose part both plants have at the stage
 */
export function decides(
  compiled: CompiledFlora,
  a: string,
  b: string,
  checks: readonly string[],
  stage: Stage,
): Decides {
  const [rowA, rowB] = [compiled.plantIndex.get(a)!, compiled.plantIndex.get(b)!]
  let [bitsA, bitsB] = [0, 0]
  for (const id of checks) {
    const table = compiled.tablesAt(stage)[compiled.characterIndex.get(id)!]!
    for (let s = 0; s < table.outcomes; s++) {
      const [p, q] = [answerChance(table, rowA, s), answerChance(table, rowB, s)]
      bitsA += p * Math.log2(p / q)
      bitsB += q * Math.log2(q / p)
    }
  }
  return { forFirst: 2 ** bitsA, forSecond: 2 ** bitsB }
}

/** True where both plants have what a check asks for at a stage, and it can be asked then. */
export function canBeAsked(compiled: CompiledFlora, check: string, stage: Stage, plants: readonly string[]): boolean {
  const table = compiled.tablesAt(stage)[compiled.characterIndex.get(check) ?? -1]
  if (!table || table.character.lacksAt.includes(stage)) return false
  return plants.every((id) => !lacks(table, compiled.plantIndex.get(id)!))
}
