import { skipReasons } from '@/core/records/round.ts'
import { say } from './say.ts'

const words: Record<(typeof skipReasons)[number], () => string> = {
  'stock on it': () => say('stock on it'),
  'under water': () => say('under water'),
  'cannot be reached': () => say('cannot be reached'),
  'treated, keep off': () => say('treated, keep off'),
}

/** Why a stop was skipped: one of the usual reasons, or what somebody wrote. */
export const skipWords = (reason: string): string =>
  (skipReasons as readonly string[]).includes(reason) ? words[reason as (typeof skipReasons)[number]]() : reason
