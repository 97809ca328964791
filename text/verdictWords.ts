import type { VerdictCode } from '@/core/assess/harm/verdict.ts'
import { say } from './say.ts'

const words: Record<VerdictCode, () => string> = {
  'not-for-them': () => say('not for them while this stands in it'),
  'act-first': () => say('not before this is settled'),
  'test-first': () => say('test first'),
  lessened: () => say('harm on file that is reported lessened in this form, not gone'),
  'not-judged': () => say('not judged: part of it has no name or no file'),
  'not-excluded': () => say('nothing on file against what was counted; what was not met is not excluded'),
}

export const harmVerdictWords = (code: VerdictCode): string => words[code]()
