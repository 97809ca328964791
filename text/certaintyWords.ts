import { certaintyOf, frequencyOf, type Certainty } from '@/core/naming/certainty.ts'
import { say } from './say.ts'

/** A probability as it is said aloud: 0.95 is "19 in 20". */
export function naturalFrequency(p: number): string {
  const f = frequencyOf(p)
  return f ? say('{{times}} in {{of}}', { times: f.times, of: f.of }) : say('less than 1 in 1,000')
}

const words: Record<Certainty, () => string> = {
  'almost-certain': () => say('almost certainly'),
  'very-likely': () => say('very likely'),
  likely: () => say('likely'),
  perhaps: () => say('perhaps'),
  'less-likely': () => say('less likely'),
  unlikely: () => say('unlikely'),
}

/** A probability as a word. */
export const certaintyWord = (p: number): string => words[certaintyOf(p)]()
