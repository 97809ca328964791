import { useRef, useState } from 'react'
import type { Observation } from '@/core/records/observation.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { useBench } from './benchStore.ts'
import type { Sheet } from './sheet.ts'
import { answersWith } from './lookAhead.ts'
import { nothingChosen } from './QuestionPanel.tsx'
import { askEngine } from './useIdentification.ts'

/** So long an answer waits for what follows from it, so that the page is drawn once. */
const ENGINE_PATIENCE_MS = 120

interface Of {
  subject: string
  sheet: Sheet
  /** The question that comes up where the person asked for none. */
  waitingFor: string | undefined
  /** An answer was given, changed or taken away. */
  onChanged: () => void
  /** An answer was given. */
  onAnswered: () => void
}

/** The question that is being answered: which it is, what is chosen of it so far, and the answers given. */
export function useAnswering({ subject, sheet, waitingFor, onChanged, onAnswered }: Of) {
  const characters = useFlora((s) => s.characters)
  const bench = useBench()
  const [asked, setAsked] = useState<string | null>(null)
  const [either, setEither] = useState<string[]>(nothingChosen)
  const [page, setPage] = useState(0)
  const [counts, setCounts] = useState<Record<string, number> | null>(null)
  const current = characters.find((c) => c.id === (asked ?? waitingFor ?? 'life.form'))!
  const asks = useRef(0)
  const ask = (character: string | null) => {
    asks.current++
    setAsked(character)
    setEither(nothingChosen)
    setPage(0)
    setCounts(null)
  }
  /** The character whose answer is being worked on, and what ends when it is done. */
  const working = useRef<{ character: string; done: Promise<void> }>(undefined)
  // The answer and what follows from it come up together: the page is drawn once. A slow engine is not waited for.
  const answer = (o: Observation) => {
    const before = working.current
    // Pressed twice it is one answer; about something else it comes after the one before.
    if (before?.character === o.character) return
    const asked = asks.current
    const done = (before?.done ?? Promise.resolve()).then(async () => {
      const answers = answersWith(useBench.getState().sheets[subject]?.answers ?? sheet.answers, o)
      const patience = new Promise((r) => setTimeout(r, ENGINE_PATIENCE_MS))
      await Promise.race([askEngine(sheet.context, answers).catch(() => undefined), patience])
      if (working.current?.done === done) working.current = undefined
      bench.answer(subject, answers)
      onAnswered()
      onChanged()
      // Who has asked for another look meanwhile keeps it.
      if (asks.current === asked) ask(null)
    })
    working.current = { character: o.character, done }
  }
  return {
    asked,
    current,
    either,
    page,
    counts,
    ask,
    answer,
    undo: () => {
      bench.undo(subject)
      ask(null)
    },
    takeAway: (character: string) => {
      bench.remove(subject, character)
      onChanged()
      ask(null)
    },
    toggleEither: (state: string) =>
      setEither((e) => (e.includes(state) ? e.filter((s) => s !== state) : [...e, state])),
    count: (state: string) => setCounts((c) => ({ ...c, [state]: (c?.[state] ?? 0) + 1 })),
    pulled: () => {
      if (counts && Object.keys(counts).length > 0) answer({ character: current.id, counts, sureness: bench.sureness })
      else setCounts(counts ? null : {})
    },
    turnPage: () => setPage((p) => (current.states && (p + 1) * 9 < current.states.length ? p + 1 : 0)),
  }
}
