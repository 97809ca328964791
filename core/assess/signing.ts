import { coded, type Coded } from '../coded.ts'
import { daysAfter } from '../records/days.ts'
import type { Contacts } from '../records/contacts.ts'
import type { Round } from '../records/round.ts'
import type { HazardReading } from './harm/hazards/hazard.ts'
import { stageWalked } from './harm/hazards/factsOf.ts'
import type { LabResult } from './feed/labResult.ts'
import { madeNormals } from './season/madeNormals.ts'
import type { WeighUp } from './weighUp.ts'

/** What has to be there before pages can be signed. */
export type SigningNeeds = Coded<'advisor-name' | 'advisor-phone' | 'pages-not-whole'>
/** What is open and stands on the pages as open: an advisor may sign with it, having seen it. */
export type SigningOpen = Coded<
  | 'unknown-could-be-poison'
  | 'not-described'
  | 'stock-not-given'
  | 'stage-not-noted'
  | 'result-simulated'
  | 'stops-not-counted'
  | 'danger-to-settle'
  | 'vet-not-given'
>

export interface SigningState {
  needs: SigningNeeds[]
  open: SigningOpen[]
}

interface Known {
  round: Round
  weighed: Pick<WeighUp, 'harm'>
  contacts: Contacts | undefined
  lab: LabResult | undefined
  /** Whether somebody said what is kept. */
  stockSaid: boolean
  readings: readonly HazardReading[]
  /** False where a part of the pages could not be read. */
  whole: boolean
}

/** What stands in the way of a signature. */
export function signingState({ round, weighed, contacts, lab, stockSaid, readings, whole }: Known): SigningState {
  const { unnamed, notJudged } = weighed.harm
  const feeds = round.paddock.outlook === 'grazing' || round.paddock.outlook === 'hay'
  const left = round.stops.filter((s) => s.doneAt === null && s.skipped === null).length
  const acting = readings.filter((r) => r.concerns && r.grade === 'act')
  return {
    needs: [
      ...(contacts?.advisor?.trim() ? [] : [coded('advisor-name' as const)]),
      ...(contacts?.advisorPhone?.trim() ? [] : [coded('advisor-phone' as const)]),
      ...(whole ? [] : [coded('pages-not-whole' as const)]),
    ],
    open: [
      ...(unnamed.length > 0 ? [coded('unknown-could-be-poison' as const, { letters: unnamed.join(' ') })] : []),
      ...(notJudged.length > 0 ? [coded('not-described' as const, { count: notJudged.length })] : []),
      ...(feeds && !stockSaid ? [coded('stock-not-given' as const)] : []),
      ...(feeds && stageWalked(round) === undefined ? [coded('stage-not-noted' as const)] : []),
      ...(lab?.simulated ? [coded('result-simulated' as const)] : []),
      ...(left > 0 ? [coded('stops-not-counted' as const, { count: left })] : []),
      ...acting.map((r) => coded('danger-to-settle' as const, { hazard: r.hazard.name })),
      ...(contacts?.vet?.trim() ? [] : [coded('vet-not-given' as const)]),
    ],
  }
}

/** Mean of the month from which on a sward is taken to grow, degrees Celsius: common practice, no source. */
const GROWING_C = 8
/** Days that a count speaks for, in growth and at rest: common practice, no source. */
const HOLDS_DAYS = { growing: 14, resting: 30 } as const

/** The last day, ISO, for which pages of a walk are held to speak; the sward, the weather and the stock change after it. */
export function holdsUntil(round: Pick<Round, 'plannedOn' | 'paddock'>): string {
  const mean = madeNormals[round.paddock.region].meanC[Number(round.plannedOn.slice(5, 7)) - 1]!
  return daysAfter(round.plannedOn, mean >= GROWING_C ? HOLDS_DAYS.growing : HOLDS_DAYS.resting)
}
