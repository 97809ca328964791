import { surenesses } from '@/core/records/observation.ts'
import type { Character } from '@/core/flora/flora.ts'
import { CANT_TELL, type Observation } from '@/core/records/observation.ts'
import { isTyping, useWindowKeys } from '../../ui/windowKeys.ts'
import { useBench } from './benchStore.ts'
import { KEYS_A_PAGE } from './StateAnswers.tsx'

interface Acts {
  /** Several plants are being counted. */
  counting: boolean
  count: (state: string) => void
  pulled: () => void
  settled: boolean
  current: Character
  page: number
  either: string[]
  answer: (o: Observation) => void
  toggleEither: (state: string) => void
  turnPage: () => void
  undo: () => void
  takeSuggested: () => void
  find: () => void
  sayIt: () => void
  compare: () => void
}

function press(e: KeyboardEvent, acts: Acts): void {
  const { current } = acts
  const digit = /^Digit([0-9])$/.exec(e.code)?.[1] ?? /^Numpad([0-9])$/.exec(e.code)?.[1]
  const { sureness, setSureness } = useBench.getState()
  if (digit === '0') return acts.turnPage()
  if (digit && !acts.settled) return
  if (digit && current.states) {
    const state = current.states[acts.page * KEYS_A_PAGE + Number(digit) - 1]
    if (!state) return
    if (acts.counting) acts.count(state)
    else if (e.shiftKey) acts.toggleEither(state)
    else acts.answer({ character: current.id, states: [...new Set([...acts.either, state])], sureness })
    return
  }
  // Questions that may come next stand hidden behind the one in hand, each with a place to type of its own.
  const places = [...document.querySelectorAll<HTMLInputElement>('[data-autofocus]')]
  if (digit || e.key === '.') return places.find((p) => p.checkVisibility())?.focus()
  if (e.key === 'Enter' && acts.either.length > 0)
    return acts.answer({ character: current.id, states: acts.either, sureness })
  if (e.key === 'p' || (e.key === 'Enter' && acts.counting)) return acts.pulled()
  if (e.key === '?') return acts.answer({ character: current.id, states: [CANT_TELL] })
  if (e.key === 's') return setSureness(surenesses[(surenesses.indexOf(sureness) + 1) % surenesses.length]!)
  if (e.key === 'n') return acts.takeSuggested()
  if (e.key === 'c') return acts.compare()
  if (e.key === 'z') return acts.undo()
  if (e.key === 'i') {
    e.preventDefault()
    return acts.sayIt()
  }
  if (e.key === '/') {
    e.preventDefault()
    acts.find()
  }
}

/** The whole bench by keyboard. */
export function useBenchKeys(acts: Acts): void {
  useWindowKeys((e) => {
    if (!isTyping(e.target)) press(e, acts)
  })
}
