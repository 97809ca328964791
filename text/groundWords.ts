import type { WeedCost } from '@/core/assess/fertility/fertility.ts'
import type { Renewal, StemStand } from '@/core/assess/sowing/renew.ts'
import { say } from './say.ts'

const renewals: Record<Renewal, () => string> = {
  manage: () => say('Keep it and manage it'),
  overseed: () => say('Overseed it'),
  renew: () => say('Sow it anew'),
}
export const renewalWords = (renewal: Renewal): string => renewals[renewal]()

const verdicts: Record<WeedCost['verdict'], () => string> = {
  pays: () => say('it pays'),
  'does-not-pay': () => say('it does not pay'),
  'either-way': () => say('it may go either way'),
}
export const weedVerdictWords = (verdict: WeedCost['verdict']): string => verdicts[verdict]()

const stands: Record<StemStand, () => string> = {
  full: () => say('a full stand'),
  falling: () => say('a stand that is falling off'),
  replace: () => say('a stand to be replaced, by another crop first'),
}
/** What a count of stems says of a stand. */
export const stemStandWords = (stand: StemStand): string => stands[stand]()

/** A sum of money, in whichever money it was typed. */
export const moneyWords = (sum: number): string => (Math.abs(sum) < 10 ? sum.toFixed(1) : sum.toFixed(0))
