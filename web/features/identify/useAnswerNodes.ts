import { useMemo } from 'react'
import type { Observation } from '@/core/records/observation.ts'
import { answerWords, characterTitle } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'

/** The answers as steps of the rail: each can be asked again and taken away. */
export function useAnswerNodes(
  answers: readonly Observation[],
  onAsk: (character: string) => void,
  onTakeAway: (character: string) => void,
) {
  const characters = useFlora((s) => s.characters)
  return useMemo(
    () =>
      answers.map((a) => ({
        id: a.character,
        label: characterTitle(characters, a.character),
        detail: answerWords(a),
        onPress: () => onAsk(a.character),
        pressLabel: say('Change {{characterTitle}}: {{answerWords}}', {
          characterTitle: characterTitle(characters, a.character),
          answerWords: answerWords(a),
        }),
        onRemove: () => onTakeAway(a.character),
        removeLabel: say('Take away {{characterTitle}}', { characterTitle: characterTitle(characters, a.character) }),
      })),
    [answers, characters, onAsk, onTakeAway],
  )
}
