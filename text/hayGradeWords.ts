import type { HayGrade } from '@/core/assess/feed/relativeFeedValue.ts'
import { say } from './say.ts'

const words: Record<HayGrade, () => string> = {
  prime: () => say('prime'),
  'grade-1': () => say('grade {{n}}', { n: 1 }),
  'grade-2': () => say('grade {{n}}', { n: 2 }),
  'grade-3': () => say('grade {{n}}', { n: 3 }),
  'grade-4': () => say('grade {{n}}', { n: 4 }),
  'grade-5': () => say('grade {{n}}', { n: 5 }),
}

export const hayGradeWords = (grade: HayGrade): string => words[grade]()
