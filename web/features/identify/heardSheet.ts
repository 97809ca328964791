import type { Context, Observation } from '@/core/records/observation.ts'
import type { Sheet } from './sheet.ts'

/** A reading apart from how sure it was said: taken away once, it stays away until something else is said. */
const readingOf = (o: Observation): string => JSON.stringify({ ...o, sureness: undefined })

const looks = (answers: readonly Observation[]): string[] => answers.map((a) => a.character)

/** The looks that still stand as they were said: what was answered anew by hand no longer hangs on the text. */
export const stillHeard = ({ heard = [], answers }: Sheet, now: readonly Observation[]): string[] =>
  heard.filter((c) => now.some((a) => a.character === c && answers.includes(a)))

/** What a text says, in place of what it said before; an answer given by hand stays, and what was taken away stays away. */
export function heardSheet(sheet: Sheet, text: string, said: readonly Observation[], context: Context): Sheet {
  const before = new Set(sheet.heard)
  const byHand = sheet.answers.filter((a) => !before.has(a.character))
  const denied = text.trim() ? (sheet.denied ?? []) : []
  const heard = said.filter((o) => !looks(byHand).includes(o.character) && !denied.includes(readingOf(o)))
  const answers = [...byHand, ...heard]
  if (sheet.said === text && JSON.stringify(answers) === JSON.stringify(sheet.answers)) return sheet
  return {
    ...sheet,
    said: text,
    heard: looks(heard),
    denied,
    answers,
    // The whole text is one step back.
    past: sheet.said ? sheet.past : [...sheet.past, sheet.answers],
    context: { ...sheet.context, ...context },
  }
}

/** One look taken away; where it was said, that reading does not come again with the next word. */
export function withoutLook(sheet: Sheet, character: string): Sheet {
  const gone = sheet.answers.find((a) => a.character === character)
  const answers = sheet.answers.filter((a) => a !== gone)
  const wasHeard = gone && sheet.heard?.includes(character)
  return {
    ...sheet,
    answers,
    past: [...sheet.past, sheet.answers],
    heard: (sheet.heard ?? []).filter((c) => c !== character),
    denied: [...(sheet.denied ?? []), ...(wasHeard ? [readingOf(gone)] : [])],
  }
}
