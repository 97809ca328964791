import { useEffect, useMemo, useState } from 'react'
import { observationOf, type Description, type Read } from '@/core/describe/description.ts'
import type { Observation } from '@/core/records/observation.ts'
import { useStable } from '../../../parts/useStable.ts'
import { useBench, useSheet } from '../benchStore.ts'
import type { Sheet } from '../sheet.ts'
import { heardSheet } from '../heardSheet.ts'
import { askEngine } from '../useIdentification.ts'

/** So long the typing rests before the drawings of the whole bench follow it. */
const REST_MS = 250

const alike = new Map<string, Observation>()

/** The same reading is the same thing, text upon text: what is drawn of it stays. */
function plain(o: Read): Observation {
  const whole: Observation = { sureness: 'sure', ...observationOf(o) }
  const key = JSON.stringify(whole)
  if (!alike.has(key)) alike.set(key, whole)
  return alike.get(key)!
}

/** A text and what it says. */
export interface Said {
  text: string
  said: Description
  answers: Observation[]
}

export interface Heard {
  /** What was read, and of which text. */
  read: Said | undefined
  /** The sheet as it is with that. */
  sheet: Sheet
  /** Put it on the bench now. */
  put: () => void
}

/**
 * What a text says of the plant on the bench. The letter comes first, then the reading, and where it leads is asked
 * for before the reading is drawn; the bench itself follows when the typing rests.
 */
export function useHeard(subject: string, text: string, reader: ((text: string) => Description) | undefined): Heard {
  const sheet = useSheet(subject)
  const [state, setState] = useState<{ read: Said; sheet: Sheet; heard: Sheet }>()
  const take = useStable(() => {
    const said = reader!(text)
    const answers = said.observations.map(plain)
    const heard = heardSheet(sheet, text, answers, said.context)
    askEngine(heard.context, heard.answers).catch(() => undefined)
    setState({ read: { text, said, answers }, sheet, heard })
  })
  useEffect(() => {
    if (!reader) return
    const timer = setTimeout(take)
    return () => clearTimeout(timer)
  }, [text, reader, take])
  const read = state?.read
  const put = useStable(() => {
    // Meanwhile another plant may lie on the bench.
    if (read && useBench.getState().sheets[subject]?.id === sheet.id)
      useBench.getState().hear(subject, read.text, read.answers, read.said.context)
  })
  useEffect(() => {
    if (!read) return
    const timer = setTimeout(put, REST_MS)
    return () => clearTimeout(timer)
  }, [read, put])
  // What was said last is not lost with the line.
  useEffect(() => () => put(), [put])
  const heard = useMemo(() => {
    if (!state) return sheet
    return state.sheet === sheet
      ? state.heard
      : heardSheet(sheet, state.read.text, state.read.answers, state.read.said.context)
  }, [state, sheet])
  return { read, sheet: heard, put }
}
