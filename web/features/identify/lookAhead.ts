import type { Sureness } from '@/core/records/observation.ts'
import { startTransition, useEffect, useState } from 'react'
import { QUICK_MM } from '@/core/drawing/sizeDrawing.ts'
import type { Character } from '@/core/flora/flora.ts'
import type { NextCheck } from '@/core/naming/nextChecks.ts'
import { CANT_TELL, type Observation } from '@/core/records/observation.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { withAnswer } from './benchStore.ts'
import type { Sheet } from './sheet.ts'
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

/** What is answered by one touch or key: the states, the sizes on buttons, and that it cannot be told. */
function oneTouchAnswers({ id: character, states }: Character, sureness: Sureness): Observation[] {
  return [
    ...(states ?? []).map((state) => ({ character, states: [state], sureness })),
    ...(states ? [] : (QUICK_MM[character] ?? [])).map((value) => ({
      character,
      value,
      unit: 'mm' as const,
      sureness,
    })),
    { character, states: [CANT_TELL] },
  ]
}

const noneYet: Character[] = []

/** So many of the next looks worth most now are made ready before it is known which of them an answer leads to. */
const LIKELY = 4
/** So many questions stand ready at once; when new ones come, those that came first go. */
const READY = 14

/**
 * While the person looks at the plant, work out what would be asked after each answer, and draw it ready.
 *
 * @param next looks that are worth most as things stand
 * @returns the questions that may follow, and the one in hand: taking it away can wait until there is time too
 */
export function useLookAhead(
  { id, context, answers }: Sheet,
  character: Character,
  next: NextCheck[],
  sureness: Sureness,
  settled: boolean,
): Character[] {
  const { characters, byId } = useFlora()
  const [ready, setReady] = useState(noneYet)
  useEffect(() => {
    if (!settled) return
    let current = true
    const rest = () => new Promise((r) => setTimeout(r, REST_MS))
    const makeReady = (wanted: (Character | undefined)[]) =>
      startTransition(() =>
        setReady((before) => {
          const called = [character, ...wanted.filter((c) => c !== undefined)]
          return called.every((c) => before.includes(c)) ? before : [...new Set([...called, ...before])].slice(0, READY)
        }),
      )
    const asked = (list: NextCheck[], known: Observation[]) =>
      list
        .filter((n) => !known.some((a) => a.character === n.character))
        .map((n) => characters.find((c) => c.id === n.character))
    const run = async () => {
      const drawings: (() => void)[] = []
      const likely = asked(next, answers).filter((c) => c !== character)
      for (const one of likely.slice(0, LIKELY)) {
        makeReady([one])
        await rest()
        if (!current) return
      }
      for (const [i, answer] of oneTouchAnswers(character, sureness).entries()) {
        await rest()
        if (!current) return
        const foreseen = answersWith(answers, answer)
        const then = await askEngine(context, foreseen)
        if (!current) return
        makeReady(asked(then.next, foreseen).slice(0, 1))
        if (i < KEYS_A_PAGE) drawings.push(...drawingsFor(id, context.stage ?? 'vegetative', foreseen, then, byId))
      }
      for (const draw of drawings) {
        await rest()
        if (!current) return
        draw()
      }
    }
    run().catch(() => undefined)
    return () => void (current = false)
  }, [id, context, answers, character, next, sureness, characters, byId, settled])
  return ready
}
