import { startTransition, useEffect, useState } from 'react'
import type { Character } from '@/core/naming/flora.ts'
import type { Observation } from '@/core/naming/observation.ts'
import type { Sureness } from '@/core/naming/observerError.ts'
import { useFlora } from '../stores/floraStore.ts'
import { withAnswer, type Sheet } from './benchStore.ts'
import { KEYS_A_PAGE } from './StateAnswers.tsx'
import { drawingsFor } from './readyDrawings.ts'
import { askEngine } from './useIdentification.ts'

const REST_MS = 16

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

const noneYet: Character[] = []

/**
 * While the person looks at the plant, work out what would be asked after each answer, and draw it ready.
 *
 * @returns the questions that may follow, and the one in hand: taking it away can wait until there is time too
 */
export function useLookAhead(
  { id, context, answers }: Sheet,
  character: Character,
  sureness: Sureness,
  settled: boolean,
): Character[] {
  const { characters, byId } = useFlora()
  const [ready, setReady] = useState(noneYet)
  useEffect(() => {
    if (!settled) return
    let current = true
    const rest = () => new Promise((r) => setTimeout(r, REST_MS))
    const run = async () => {
      const drawings: (() => void)[] = []
      let questions = [character]
      for (const state of character.states?.slice(0, KEYS_A_PAGE) ?? []) {
        await rest()
        if (!current) return
        const foreseen = answersWith(answers, { character: character.id, states: [state], sureness })
        const then = await askEngine(context, foreseen)
        if (!current) return
        const next = then.next.find((n) => !foreseen.some((a) => a.character === n.character))
        const asked = characters.find((c) => c.id === next?.character)
        if (asked && !questions.includes(asked)) {
          questions = [...questions, asked]
          startTransition(() => setReady(questions))
        }
        drawings.push(...drawingsFor(id, context.stage ?? 'vegetative', foreseen, then, byId))
      }
      for (const draw of drawings) {
        await rest()
        if (!current) return
        draw()
      }
    }
    run().catch(() => undefined)
    return () => void (current = false)
  }, [id, context, answers, character, sureness, characters, byId, settled])
  return ready
}
