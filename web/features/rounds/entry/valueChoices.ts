import type { Method } from '@/core/records/method.ts'
import { countingMethods } from '@/core/methods/index.ts'
import type { ValueKind } from '@/core/methods/method.ts'
import type { RoundSettings } from '@/core/records/measures.ts'
import { braunBlanquet, sixClasses } from '@/core/methods/estimators/coverClasses.ts'
import { DEFAULT_NESTS_M } from '@/core/methods/estimators/frequency.ts'
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

const choicesOf: Record<ValueKind, (settings: RoundSettings) => ValueChoice[]> = {
  classes: ({ scale }) =>
    (scale === 'braun-blanquet' ? braunBlanquet : sixClasses).map((c) => ({
      key: c.code,
      label: c.code,
      says: say('{{fromPercent}} to {{toPercent}} %', { fromPercent: c.fromPercent, toPercent: c.toPercent }),
      amount: c.midPercent,
    })),
  ranks: () => [rank(1, say('heaviest')), rank(2, say('second')), rank(3, say('third'))],
  nests: ({ nestsM = DEFAULT_NESTS_M }) =>
    nestsM.map((m, i) => ({ key: String(i + 1), label: String(i + 1), says: say('in {{m}} m', { m }), amount: i + 1 })),
  grams: () => [],
}

/** What a plant can be given in a frame; none where a number is typed. */
export function valueChoices(method: Method, settings: RoundSettings): ValueChoice[] {
  const { values } = countingMethods[method]
  return values ? choicesOf[values](settings) : []
}

/** How an amount that was given is shown again. */
export function valueLabel(choices: ValueChoice[], amount: number): string {
  const choice = choices.find((c) => Math.abs(c.amount - amount) < 1e-9)
  return choice ? choice.label : String(amount)
}
