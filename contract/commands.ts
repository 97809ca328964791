import { without } from '@/core/records/merge.ts'
import type { Method } from '@/core/records/method.ts'
import type { NamingCheck } from '@/core/records/namingCheck.ts'
import type { PaddockEvent } from '@/core/records/paddockEvent.ts'
import type { PlanItem } from '@/core/records/planItem.ts'
import type { Holding, Naming, Paddock, Round, Stop } from '@/core/records/round.ts'
import type { SignedPage } from '@/core/records/signedPage.ts'
import type { UnknownPlant } from '@/core/records/specimen.ts'
import type { PracticeAnswer } from '@/core/practice/answer.ts'
import type { Position } from '@/core/geo/route.ts'

/** A round as it is sent to be planned. */
export interface PlannedRound extends Pick<
  Round,
  'id' | 'paddockId' | 'title' | 'purpose' | 'plannedOn' | 'pointsPerStop' | 'settings'
> {
  method: Method
  laid: { id: string; seq: number; position: Position; stratum: string }[]
  route: { line: Position[]; lengthM: number }
}

/** A stop as it is sent: the whole of it, its place only where it has one. */
export type SentStop = Omit<Stop, 'seq' | 'version' | 'position'> & {
  position?: Position
  /** Added on the way, not planned: another device may have added one of the same number. */
  added?: boolean
}
/** What is said of a paddock or round besides its counts. */
export const keptKinds = ['herd', 'lab', 'runners', 'sowing', 'conditions', 'contacts'] as const
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
  | { do: 'write-naming'; naming: Naming }
  | { do: 'keep-unknown'; unknown: Omit<UnknownPlant, 'letter'> }
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
  | { do: 'check-naming'; check: NamingCheck }
  | { do: 'drop-check'; namingId: string }
  /** What an earlier version kept and no command is known for. */
  | { do: 'request'; method: WriteMethod; url: string; body: unknown }

export type WriteMethod = 'POST' | 'PUT' | 'DELETE'
export interface WriteRequest {
  method: WriteMethod
  url: string
  body: unknown
}

type Of<D extends Command['do']> = Extract<Command, { do: D }>
type Params = Record<string, string>

interface Kind<D extends Command['do']> {
  method: WriteMethod
  /** Address with `:names` in the places of parameters. */
  path: string
  params: (command: Of<D>) => Params
  body: (command: Of<D>) => unknown
  /** Field that our server's answer has: an answer without it came from something in between, and took nothing. */
  answers: string
  /** The command that such a request stands for. */
  read: (params: Params, body: never) => Omit<Of<D>, 'do'>
}

const table: { [D in Exclude<Command['do'], 'request'>]: Kind<D> } = {
  'plan-round': {
    method: 'POST',
    path: '/api/rounds',
    answers: 'id',
    params: () => ({}),
    body: (c) => c.round,
    read: (_, round) => ({ round }),
  },
  'save-stop': {
    method: 'PUT',
    path: '/api/rounds/:roundId/stops/:seq',
    answers: 'version',
    params: (c) => ({ roundId: c.roundId, seq: String(c.seq) }),
    body: (c) => c.stop,
    read: (p, stop) => ({ roundId: p.roundId!, seq: Number(p.seq), stop }),
  },
  'name-letter': {
    method: 'PUT',
    path: '/api/rounds/:roundId/unknowns/:letter',
    answers: 'letter',
    params: (c) => ({ roundId: c.roundId, letter: c.letter }),
    body: (c) => ({ namedAs: c.namedAs }),
    read: (p, body: { namedAs?: string | null }) => ({
      roundId: p.roundId!,
      letter: p.letter!,
      namedAs: body.namedAs ?? null,
    }),
  },
  'write-naming': {
    method: 'POST',
    path: '/api/namings',
    answers: 'id',
    params: () => ({}),
    body: (c) => c.naming,
    read: (_, naming) => ({ naming }),
  },
  'keep-unknown': {
    method: 'PUT',
    path: '/api/unknowns/:id',
    answers: 'id',
    params: (c) => ({ id: c.unknown.id }),
    body: (c) => c.unknown,
    read: (p, unknown: Omit<UnknownPlant, 'letter'>) => ({ unknown: { ...unknown, id: p.id! } }),
  },
  'add-holding': {
    method: 'POST',
    path: '/api/holdings',
    answers: 'id',
    params: () => ({}),
    body: (c) => c.holding,
    read: (_, holding) => ({ holding }),
  },
  'save-holding': {
    method: 'PUT',
    path: '/api/holdings/:id',
    answers: 'id',
    params: (c) => ({ id: c.holding.id }),
    body: (c) => c.holding,
    read: (p, holding: Holding) => ({ holding: { ...holding, id: p.id! } }),
  },
  'add-paddock': {
    method: 'POST',
    path: '/api/paddocks',
    answers: 'id',
    params: () => ({}),
    body: (c) => c.paddock,
    read: (_, paddock) => ({ paddock }),
  },
  'save-paddock': {
    method: 'PUT',
    path: '/api/paddocks/:id',
    answers: 'id',
    params: (c) => ({ id: c.paddock.id }),
    body: (c) => c.paddock,
    read: (p, paddock: Paddock) => ({ paddock: { ...paddock, id: p.id! } }),
  },
  'save-event': {
    method: 'PUT',
    path: '/api/paddocks/:paddockId/events/:eventId',
    answers: 'id',
    params: (c) => ({ paddockId: c.event.paddockId, eventId: c.event.id }),
    body: (c) => without(c.event, 'id', 'paddockId'),
    read: (p, body: Omit<PaddockEvent, 'id' | 'paddockId'>) => ({
      event: { ...body, id: p.eventId!, paddockId: p.paddockId! },
    }),
  },
  'delete-event': {
    method: 'DELETE',
    path: '/api/paddocks/:paddockId/events/:eventId',
    answers: 'id',
    params: (c) => ({ paddockId: c.paddockId, eventId: c.eventId }),
    body: () => undefined,
    read: (p) => ({ paddockId: p.paddockId!, eventId: p.eventId! }),
  },
  'save-plan-item': {
    method: 'PUT',
    path: '/api/plan-items/:id',
    answers: 'id',
    params: (c) => ({ id: c.item.id }),
    body: (c) => without(c.item, 'id'),
    read: (p, body: Omit<PlanItem, 'id'>) => ({ item: { ...body, id: p.id! } }),
  },
  'delete-plan-item': {
    method: 'DELETE',
    path: '/api/plan-items/:id',
    answers: 'id',
    params: (c) => ({ id: c.id }),
    body: () => undefined,
    read: (p) => ({ id: p.id! }),
  },
  'keep-apart': {
    method: 'PUT',
    path: '/api/kept/:kind/:subject',
    answers: 'subject',
    params: (c) => ({ kind: c.kind, subject: c.subject }),
    body: (c) => c.value,
    read: (p, value) => ({ kind: p.kind as KeptKind, subject: p.subject!, value }),
  },
  'drop-apart': {
    method: 'DELETE',
    path: '/api/kept/:kind/:subject',
    answers: 'subject',
    params: (c) => ({ kind: c.kind, subject: c.subject }),
    body: () => ({}),
    read: (p) => ({ kind: p.kind as KeptKind, subject: p.subject! }),
  },
  'sign-page': {
    method: 'POST',
    path: '/api/rounds/:roundId/signed-pages',
    answers: 'issue',
    params: (c) => ({ roundId: c.signed.roundId }),
    body: (c) => without(c.signed, 'roundId'),
    read: (p, body: Omit<SignedPage, 'roundId'>) => ({ signed: { ...body, roundId: p.roundId! } }),
  },
  'keep-answers': {
    method: 'POST',
    path: '/api/practice-answers',
    answers: 'kept',
    params: () => ({}),
    body: (c) => ({ answers: c.answers }),
    read: (_, body: { answers: PracticeAnswer[] }) => ({ answers: body.answers }),
  },
  'check-naming': {
    method: 'PUT',
    path: '/api/naming-checks/:namingId',
    answers: 'namingId',
    params: (c) => ({ namingId: c.check.namingId }),
    body: (c) => without(c.check, 'namingId'),
    read: (p, body: Omit<NamingCheck, 'namingId'>) => ({ check: { ...body, namingId: p.namingId! } }),
  },
  'drop-check': {
    method: 'DELETE',
    path: '/api/naming-checks/:namingId',
    answers: 'namingId',
    params: (c) => ({ namingId: c.namingId }),
    body: () => ({}),
    read: (p) => ({ namingId: p.namingId! }),
  },
}

/** What is sent for a command. */
export function requestOf(command: Command): WriteRequest {
  if (command.do === 'request') return { method: command.method, url: command.url, body: command.body }
  const kind = table[command.do] as unknown as Kind<'save-stop'>
  const params = kind.params(command as never)
  const url = kind.path.replace(/:(\w+)/g, (_, name: string) => encodeURIComponent(params[name]!))
  return { method: kind.method, url, body: kind.body(command as never) }
}

/** Whether an answer is that of our server to this command. */
export function isAnswerTo(command: Command, answer: unknown): boolean {
  if (typeof answer !== 'object' || answer === null) return false
  return command.do === 'request' || table[command.do].answers in answer
}

/** The address of a stop: under it this device knows which version it has seen. */
export const stopAddress = (roundId: string, seq: number): string =>
  `/api/rounds/${encodeURIComponent(roundId)}/stops/${seq}`

/** The command that a request stands for: what earlier versions kept were requests. */
export function commandOf({ method, url, body }: WriteRequest): Command {
  for (const [name, kind] of Object.entries(table) as [Exclude<Command['do'], 'request'>, Kind<'save-stop'>][]) {
    if (kind.method !== method) continue
    const names = [...kind.path.matchAll(/:(\w+)/g)].map((m) => m[1]!)
    const found = new RegExp(`^${kind.path.replace(/:\w+/g, '([^/]+)')}$`).exec(url)
    if (!found) continue
    const params = Object.fromEntries(names.map((n, i) => [n, decodeURIComponent(found[i + 1]!)]))
    return { do: name, ...kind.read(params, body as never) } as unknown as Command
  }
  return { do: 'request', method, url, body }
}

/**
 * What a later command of the same key takes the place of while it still waits: the record it writes whole. Names written
 * down, signed pages and answers of practice are records of their own each time.
 */
export function keyOf(command: Command): string {
  if (command.do === 'plan-round') return `/api/rounds/${command.round.id}`
  if (command.do === 'write-naming') return `/api/namings/${command.naming.id}`
  if (command.do === 'sign-page') return `/api/rounds/${command.signed.roundId}/signed-pages/${command.signed.id}`
  if (command.do === 'keep-answers') return `/api/practice-answers/${command.answers.map((a) => a.id).join()}`
  if (command.do === 'add-paddock') return requestOf({ ...command, do: 'save-paddock' }).url
  if (command.do === 'add-holding') return requestOf({ ...command, do: 'save-holding' }).url
  return requestOf(command).url
}

/**
 * One command in place of another of the same key that still waits: what the server does not have yet is still added, with
 * what was changed since.
 */
export function inPlaceOf(before: Command, after: Command): Command {
  if (before.do === 'add-paddock' && after.do === 'save-paddock') return { do: 'add-paddock', paddock: after.paddock }
  if (before.do === 'add-holding' && after.do === 'save-holding') return { do: 'add-holding', holding: after.holding }
  return after
}
