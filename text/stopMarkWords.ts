import { skipWords } from './skipWords.ts'
import type { StopMarkWords } from '@/core/formats/write/writer.ts'
import { say } from './say.ts'

export const stopMarkWords = (): StopMarkWords => ({
  stop: (seq) => say('Stop {{seq}}', { seq }),
  skipped: (skipped) => say('skipped: {{skipped}}', { skipped: skipWords(skipped) }),
  counted: say('counted'),
  toCount: say('to count'),
  walkOf: (name) => say('Walk of {{name}}', { name }),
})
