import { useWords } from '../../language/useWords.ts'
import { memo } from 'react'
import type { Observation } from '@/core/records/observation.ts'
import { answerWords, characterTitle } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'

interface Props {
  answers: Observation[]
  onAsk: (character: string) => void
  onTakeAway: (character: string) => void
}

/** On a phone, where the rail has no room for its steps: what was answered, each to change or take away. */
export const SeenSoFar = memo(function SeenSoFar({ answers, onAsk, onTakeAway }: Props) {
  useWords()
  const characters = useFlora((s) => s.characters)
  if (answers.length === 0) return null
  return (
    <ul aria-label={say('Seen so far')} className="mt-3 flex flex-wrap gap-1.5 min-[901px]:hidden">
      {answers.map((a) => (
        <li key={a.character} className="flex rounded-xl border border-rule bg-sheet">
          <button
            type="button"
            className="min-h-11 py-1 pl-3 text-left leading-tight"
            onClick={() => onAsk(a.character)}
          >
            {characterTitle(characters, a.character)} <b>{answerWords(a)}</b>
          </button>
          <button
            type="button"
            aria-label={say('Take away {{characterTitle}}', {
              characterTitle: characterTitle(characters, a.character),
            })}
            className="min-h-11 min-w-11"
            onClick={() => onTakeAway(a.character)}
          >
            ×
          </button>
        </li>
      ))}
    </ul>
  )
})
