import type { Character, Stage } from '../flora/flora.ts'
import { nearShare } from './observerError.ts'

/** Below this share of looks, taking one state for another is not worth a word. */
const WORTH_SAYING = 0.01

/** How an answer may have come about otherwise: a state like it was there, or it was a slip. */
export type EyeNote = { kind: 'near'; is: string; said: string } | { kind: 'slip' } | { kind: 'size' }

/**
 * What the observer model makes of an answer: the state that is most often read as the one said, or that only a slip would
 * explain it.
 *
 * @param said the states answered
 */
export function eyeNote(character: Character, said: readonly string[], stage: Stage): EyeNote {
  if (!character.states) return { kind: 'size' }
  let most: { is: string; said: string; share: number } | undefined
  for (const is of character.states)
    for (const s of said) {
      if (said.includes(is)) continue
      const share = nearShare(character, is, s, stage)
      if (share >= WORTH_SAYING && (!most || share > most.share)) most = { is, said: s, share }
    }
  return most ? { kind: 'near', is: most.is, said: most.said } : { kind: 'slip' }
}
