import type { Acuteness } from '@/core/flora/codes.ts'
import type { VerdictCode } from '@/core/assess/harm/verdict.ts'
import { say } from './say.ts'

const words: Record<VerdictCode, () => string> = {
  'not-for-them': () => say('not for them until this is out and it was walked again'),
  'act-first': () => say('not before this is settled'),
  'test-first': () => say('test first'),
  lessened: () => say('harm on file that is reported lessened in this form, not gone'),
  'not-judged': () => say('not judged: part of it has no name or no file'),
  'not-excluded': () => say('nothing on file against what was counted; what was not met is not excluded'),
}

export const harmVerdictWords = (code: VerdictCode): string => words[code]()

const goes: Record<Acuteness, () => string> = {
  hours: () => say('Told to kill within hours'),
  days: () => say('Sickens within days'),
  'adds-up': () => say('Adds up over days to months, and shows late'),
  yield: () => say('Lowers yield or fertility'),
  irritates: () => say('Irritates or injures'),
}
/** How the worst of it goes. */
export const acutenessWords = (acute: Acuteness): string => goes[acute]()
