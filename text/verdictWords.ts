import type { Haste } from '@/core/assess/harm/kinds.ts'
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

const hastes: Record<Exclude<Haste, 'other'>, () => string> = {
  'within-hours': () => say('Told to kill within hours'),
  'adds-up': () => say('Adds up over days to months, and shows late'),
}
/** How soon the worst of it harms. */
export const hasteWords = (haste: Exclude<Haste, 'other'>): string => hastes[haste]()
