import { without } from '@/core/records/merge.ts'
import type { Verification } from '@/core/records/verification.ts'
import type { PaddockEvent } from '@/core/records/paddockEvent.ts'
import type { PlanItem } from '@/core/records/planItem.ts'
import type { Holding, Paddock } from '@/core/records/round.ts'
import type { SignedPage } from '@/core/records/signedPage.ts'
import type { UndeterminedSpecimen } from '@/core/records/specimen.ts'
import type { PracticeAnswer } from '@/core/practice/answer.ts'
import type { Command, KeptKind, WriteMethod, WriteRequest } from './commands.ts'

// The one place that knows at which address a command is taken, and which command an address stands for.

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
    read: (p, unknown: Omit<UndeterminedSpecimen, 'letter'>) => ({ unknown: { ...unknown, id: p.id! } }),
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
    read: (p, body: Omit<Verification, 'namingId'>) => ({ check: { ...body, namingId: p.namingId! } }),
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
