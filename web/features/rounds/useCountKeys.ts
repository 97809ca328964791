import type { Position } from '@/core/geo/route.ts'
import type { Taxon } from '@/core/records/taxon.ts'
import { isTyping, useWindowKeys } from '../../ui/windowKeys.ts'
import type { CountKey } from './countKeys.ts'
import { entryOf, type CountAction, type CountState } from './countState.ts'
import { nextNow } from './countWords.ts'
import type { ValueChoice } from './entry/valueChoices.ts'

interface Keys {
  state: CountState
  keys: CountKey[]
  choices: ValueChoice[]
  act: (action: CountAction) => void
  /** Where one stands, as far as it is known. */
  here: () => Position | null
  onTaxon: (taxon: Taxon) => void
  add: () => void
  newUnknown: () => void
  /** Digits typed before a plant: that many hits at once. */
  times: string
  setTimes: (digits: string) => void
}

/** Everything by single keys: a plant, its value, the same again, the next stop, undo. */
export function useCountKeys({
  state,
  keys,
  choices,
  act,
  here,
  onTaxon,
  add,
  newUnknown,
  times,
  setTimes,
}: Keys): void {
  const valueOf = (key: string): boolean => {
    if (!state.chosen || entryOf(state) !== 'values') return false
    if (key === '0' || key === 'Backspace') act({ kind: 'value', taxon: state.chosen, amount: null })
    else {
      const choice = choices.find((c) => c.key === key)
      if (!choice) return false
      act({ kind: 'value', taxon: state.chosen, amount: choice.amount })
    }
    return true
  }
  useWindowKeys((e) => {
    if (isTyping(e.target)) return
    // A cell of the grid that has the focus takes the space bar and Enter itself.
    const inCell = e.target instanceof HTMLElement && e.target.closest('[data-grid]') !== null
    const pressed = keys.find((k) => k.key === e.key.toLowerCase())
    if (valueOf(e.key)) void 0
    else if (/^\d$/.test(e.key) && entryOf(state) === 'points') setTimes((times + e.key).slice(-3))
    else if (e.key === 'x') newUnknown()
    else if (pressed) onTaxon(pressed.taxon)
    else if (e.key === ' ' && !inCell) act({ kind: 'same' })
    else if (e.key === 'Enter' && !inCell) act(nextNow(here))
    else if (e.key === ']' || e.key === '[') act({ kind: 'step', by: e.key === ']' ? 1 : -1 })
    else if (e.key === 'Escape') {
      act({ kind: 'choose', taxon: null })
      setTimes('')
    } else if (e.key === 'z') act({ kind: 'undo' })
    else if (e.key === '/') add()
    else return
    e.preventDefault()
  })
}
