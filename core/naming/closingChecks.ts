import { answerChance, type CharacterTable } from './characterTable.ts'
import type { CompiledFlora } from './compileFlora.ts'
import { canBeAsked } from './decides.ts'
import type { Plant, Stage } from '../flora/flora.ts'
import type { NextCheck } from './nextChecks.ts'
import { costOf } from './lookCost.ts'

/** More than this, in bits, one look need not speak against a poison: another must speak as well. */
const ENOUGH_BITS = 5
/** Below this, in bits over all that are open, a look is not worth making for their sake. */
const LEAST_BITS = 2
const SHOWN = 3

const answers = (table: CharacterTable, row: number): number[] =>
  Array.from({ length: table.outcomes }, (_, s) => answerChance(table, row, s))

/** Mean weight of evidence for a plant against another, in bits, where it is that one (Good 1950). */
const bitsAgainst = (is: readonly number[], other: readonly number[]): number =>
  is.reduce((bits, p, s) => bits + p * Math.log2(p / other[s]!), 0)

/**
 * Looks that would speak most against the harmful plants that are still open, where it is the leading plant: what is left
 * to do when the name is as good as certain and a poison is not yet excluded. The most for its effort first.
 *
 * @param asked characters already answered, or that cannot be looked at
 */
export function closingChecks(
  compiled: CompiledFlora,
  stage: Stage,
  lead: Plant,
  open: readonly Plant[],
  asked: (character: string) => boolean,
): NextCheck[] {
  const tables = compiled.tablesAt(stage)
  const leadRow = compiled.plantIndex.get(lead.id)!
  const rows = open.map((h) => compiled.plantIndex.get(h.id)!)
  return compiled.flora.characters
    .filter(({ id }) => !asked(id) && canBeAsked(compiled, id, stage, [lead.id]))
    .map((character) => {
      const table = tables[compiled.characterIndex.get(character.id)!]!
      const ofLead = answers(table, leadRow)
      const each = rows.map((row) => Math.min(ENOUGH_BITS, bitsAgainst(ofLead, answers(table, row))))
      const bits = each.reduce((a, b) => a + b, 0)
      return { character, bits, against: open[each.indexOf(Math.max(...each))]! }
    })
    .filter(({ bits }) => bits >= LEAST_BITS)
    .sort((a, b) => b.bits / costOf(b.character) - a.bits / costOf(a.character))
    .slice(0, SHOWN)
    .map(({ character: { id, effort }, bits, against }) => ({
      character: id,
      bits: Math.min(bits, ENOUGH_BITS),
      effort,
      decides: against.id,
    }))
}
