import type { Method } from '@/core/records/method.ts'
import type { Verification } from '@/core/records/verification.ts'
import type { PaddockEvent } from '@/core/records/paddockEvent.ts'
import type { PlanItem } from '@/core/records/planItem.ts'
import type { Holding, Determination, Paddock, Round, Stop } from '@/core/records/round.ts'
import type { SignedPage } from '@/core/records/signedPage.ts'
import type { UndeterminedSpecimen } from '@/core/records/specimen.ts'
import type { PracticeAnswer } from '@/core/practice/answer.ts'
import type { Position } from '@/core/geo/route.ts'

/** A round as it is sent to be planned. */
export interface PlannedRound extends Pick<
  Round,
  'id' | 'paddockId' | 'title' | 'purpose' | 'plannedOn' | 'pointsPerStop' | 'settings'
> {
  method: Method
  /** Without a place where stops are made as one walks. */
  laid: { id: string; seq: number; position?: Position; stratum: string }[]
  route: { line: Position[]; lengthM: number }
}

/** A stop as it is sent: the whole of it, its place only where it has one. */
export type SentStop = Omit<Stop, 'seq' | 'version' | 'position'> & {
  position?: Position
  /** Added on the way, not planned: another device may have added one of the same number. */
  added?: boolean
}
/** What is said of a paddock or round besides its counts. */
export const keptKinds = ['herd', 'lab', 'runners', 'sowing', 'conditions', 'contacts', 'management'] as const
export type KeptKind = (typeof keptKinds)[number]
export interface KeptApart {
  subject: string
  kind: KeptKind
  value: object
}

/**
 * A change that a person made, as plain data. It is kept until the server has taken it, shown in what was read before, and
 * handed on in a file; only this file knows its address.
 */
export type Command =
  | { do: 'plan-round'; round: PlannedRound }
  | { do: 'save-stop'; roundId: string; seq: number; stop: SentStop }
  | { do: 'name-letter'; roundId: string; letter: string; namedAs: string | null }
  | { do: 'write-naming'; naming: Determination }
  | { do: 'keep-unknown'; unknown: Omit<UndeterminedSpecimen, 'letter'> }
  | { do: 'add-holding'; holding: Holding }
  | { do: 'save-holding'; holding: Holding }
  | { do: 'add-paddock'; paddock: Paddock }
  | { do: 'save-paddock'; paddock: Paddock }
  | { do: 'save-event'; event: PaddockEvent }
  | { do: 'delete-event'; paddockId: string; eventId: string }
  | { do: 'save-plan-item'; item: PlanItem }
  | { do: 'delete-plan-item'; id: string }
  | { do: 'keep-apart'; kind: KeptKind; subject: string; value: object }
  | { do: 'drop-apart'; kind: KeptKind; subject: string }
  | { do: 'sign-page'; signed: SignedPage }
  | { do: 'keep-answers'; answers: PracticeAnswer[] }
  | { do: 'check-naming'; check: Verification }
  | { do: 'drop-check'; namingId: string }
  /** What an earlier version kept and no command is known for. */
  | { do: 'request'; method: WriteMethod; url: string; body: unknown }

export type WriteMethod = 'POST' | 'PUT' | 'DELETE'
export interface WriteRequest {
  method: WriteMethod
  url: string
  body: unknown
}
