import type { Method } from '@/core/records/method.ts'
import type { RoundSettings } from '@/core/records/measures.ts'
import { braunBlanquet, sixClasses } from '@/core/survey/coverClasses.ts'
import { DEFAULT_NESTS_M } from '@/core/survey/figures.ts'
import { say } from '../../../language/say.ts'

export interface ValueChoice {
  /** Key that gives it. */
  key: string
  label: string
  /** In words, for the button and its hint. */
  says: string
  amount: number
}

const rank = (n: number, says: string): ValueChoice => ({ key: String(n), label: String(n), says, amount: n })

/** What a plant can be given in a frame; none where a number is typed. */
export function valueChoices(method: Method, { scale, nestsM = DEFAULT_NESTS_M }: RoundSettings): ValueChoice[] {
  if (method === 'cover-classes')
    return (scale === 'braun-blanquet' ? braunBlanquet : sixClasses).map((c) => ({
      key: c.code,
      label: c.code,
      says: say('{{fromPercent}} to {{toPercent}} %', { fromPercent: c.fromPercent, toPercent: c.toPercent }),
      amount: c.midPercent,
    }))
  if (method === 'dry-weight-rank') return [rank(1, say('heaviest')), rank(2, say('second')), rank(3, say('third'))]
  if (method === 'nested-frequency')
    return nestsM.map((m, i) => ({
      key: String(i + 1),
      label: String(i + 1),
      says: say('in {{m}} m', { m }),
      amount: i + 1,
    }))
  return []
}

/** How an amount that was given is shown again. */
export function valueLabel(choices: ValueChoice[], amount: number): string {
  const choice = choices.find((c) => Math.abs(c.amount - amount) < 1e-9)
  return choice ? choice.label : String(amount)
}
