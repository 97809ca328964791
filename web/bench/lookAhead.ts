import { useEffect } from 'react'
import { drawState } from '@/core/drawing/drawState.ts'
import type { Character } from '@/core/naming/flora.ts'
import type { Context, Observation } from '@/core/naming/observation.ts'
import type { Sureness } from '@/core/naming/observerError.ts'
import { withAnswer } from './benchStore.ts'
import { KEYS_A_PAGE } from './StateAnswers.tsx'
import { askEngine } from './useIdentification.ts'

const REST_MS = 40

const foreseen = new WeakMap<Observation[], Map<string, Observation[]>>()

/** The answers with one more; the same list each time, so that what was worked out ahead is found again. */
export function answersWith(answers: Observation[], o: Observation): Observation[] {
  const of = foreseen.get(answers) ?? new Map<string, Observation[]>()
  foreseen.set(answers, of)
  const key = JSON.stringify(o)
  const next = of.get(key) ?? withAnswer(answers, o)
  of.set(key, next)
  return next
}

/** While the person looks at the plant, work out what would be asked after each answer, and draw it ready. */
export function useLookAhead(
  context: Context,
  answers: Observation[],
  character: Character,
  sureness: Sureness,
  characters: Character[],
  settled: boolean,
): void {
  useEffect(() => {
    if (!settled) return
    let current = true
    const rest = () => new Promise((r) => setTimeout(r, REST_MS))
    const run = async () => {
      for (const state of character.states?.slice(0, KEYS_A_PAGE) ?? []) {
        await rest()
        if (!current) return
        const then = await askEngine(
          context,
          answersWith(answers, { character: character.id, states: [state], sureness }),
        )
        const asked = characters.find((c) => c.id === then.next[0]?.character)
        for (const s of asked?.states ?? []) {
          if (!current) return
          drawState(asked!.id, s)
        }
      }
    }
    run().catch(() => undefined)
    return () => void (current = false)
  }, [context, answers, character, sureness, characters, settled])
}
