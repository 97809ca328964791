import type { CompiledFlora } from './compileFlora.ts'
import { canBeAsked, decides } from './decides.ts'
import type { Plant, Stage } from './flora.ts'
import type { NextCheck } from './nextChecks.ts'
import { costOf } from './lookCost.ts'

/** More than this, in bits, one look need not speak against a poison: another must speak as well. */
const ENOUGH_BITS = 5
/** Below this, in bits over all that are open, a look is not worth making for their sake. */
const LEAST_BITS = 2
const SHOWN = 3

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
  return compiled.flora.characters
    .filter(({ id }) => !asked(id) && canBeAsked(compiled, id, stage, [lead.id]))
    .map((character) => {
      const each = open.map((h) => {
        const { forFirst } = decides(compiled, lead.id, h.id, [character.id], stage)
        return Math.min(ENOUGH_BITS, Math.log2(forFirst))
      })
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
