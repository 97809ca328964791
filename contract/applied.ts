import { without } from '@/core/records/merge.ts'
import { openStop, type Holding, type Paddock, type Round, type RoundSummary, type Stop } from '@/core/records/round.ts'
import type { PaddockEvent } from '@/core/records/paddockEvent.ts'
import type { PlanLine } from '@/core/records/planItem.ts'
import type { PracticeAnswer } from '@/core/practice/answer.ts'
import type { Signature } from '@/core/records/signedPage.ts'
import type { Verification } from '@/core/records/verification.ts'
import type { Command, KeptApart, PlannedRound, SentStop } from './commands.ts'

// What was read before, as the commands change it: shown before the server has taken them, and kept on the device after.

export interface Places {
  holdings: Holding[]
  paddocks: Paddock[]
}

const replaced = <T>(list: readonly T[], same: (x: T) => boolean, value: T): T[] =>
  list.some(same) ? list.map((x) => (same(x) ? value : x)) : [...list, value]

function withStop(round: Round, seq: number, whole: SentStop, version?: number): Round {
  const sent = { ...whole }
  // How it came to be is the server's to know; the stop is as any other.
  delete sent.added
  const before = round.stops.find((s) => s.seq === seq) ?? openStop(sent.id, seq, sent.position ?? null)
  const stop: Stop = { ...before, ...sent, seq, ...(version === undefined ? {} : { version }) }
  return { ...round, stops: replaced(round.stops, (s) => s.seq === seq, stop) }
}

const withLetter = (round: Round, letter: string, namedAs: string | null): Round => ({
  ...round,
  unknowns: replaced(round.unknowns, (u) => u.letter === letter, { letter, namedAs }),
})

/** A round after one command. @param version what the server calls the stop now, once it has taken it */
export function roundAfter(round: Round, command: Command, version?: number): Round {
  if (command.do === 'save-stop' && command.roundId === round.id)
    return withStop(round, command.seq, command.stop, version)
  if (command.do === 'name-letter' && command.roundId === round.id)
    return withLetter(round, command.letter, command.namedAs)
  if (command.do === 'write-naming' && command.naming.roundId === round.id && command.naming.letter !== null)
    return withLetter(round, command.naming.letter, command.naming.plant)
  return round
}

/** The round that a command changes, if any. */
export function roundOfCommand(command: Command): string | undefined {
  if (command.do === 'save-stop' || command.do === 'name-letter') return command.roundId
  if (command.do === 'write-naming') return command.naming.roundId ?? undefined
  return undefined
}

/** Holdings and paddocks after one command. */
export function placesAfter({ holdings, paddocks }: Places, command: Command): Places {
  if (command.do === 'add-holding' || command.do === 'save-holding')
    return { holdings: replaced(holdings, (h) => h.id === command.holding.id, command.holding), paddocks }
  if (command.do === 'add-paddock' || command.do === 'save-paddock')
    return { holdings, paddocks: replaced(paddocks, (p) => p.id === command.paddock.id, command.paddock) }
  return { holdings, paddocks }
}

/** The history of a paddock after one command, the latest first. */
export function eventsAfter(events: readonly PaddockEvent[], paddockId: string, command: Command): PaddockEvent[] {
  if (command.do === 'delete-event') return events.filter((e) => e.id !== command.eventId)
  if (command.do !== 'save-event' || command.event.paddockId !== paddockId) return [...events]
  const { event } = command
  return replaced(events, (e) => e.id === event.id, event).sort((a, b) => (a.onDate < b.onDate ? 1 : -1))
}

/** The plan after one command. */
export function planAfter(lines: readonly PlanLine[], command: Command, { holdings, paddocks }: Places): PlanLine[] {
  if (command.do === 'delete-plan-item') return lines.filter((l) => l.id !== command.id)
  if (command.do !== 'save-plan-item') return [...lines]
  const { item } = command
  const before = lines.find((l) => l.id === item.id)
  const paddock = paddocks.find((p) => p.id === item.paddockId)
  const holding = holdings.find((h) => h.id === paddock?.holdingId)
  const where = { paddock: paddock?.name ?? before?.paddock ?? '', holding: holding?.name ?? before?.holding ?? '' }
  return replaced(lines, (l) => l.id === item.id, { ...item, ...where })
}

const placeOf = (plan: Pick<PlannedRound, 'paddockId'>, { holdings, paddocks }: Places) => {
  const paddock = paddocks.find((p) => p.id === plan.paddockId)
  const holding = holdings.find((h) => h.id === paddock?.holdingId)
  return { paddock, holding: holding?.name ?? '', client: holding?.client ?? '' }
}

/** A round that was planned here and that the server does not have yet; undefined where its paddock is not known. */
export function plannedRound({ laid, ...plan }: PlannedRound, places: Places): Round | undefined {
  const { paddock, ...names } = placeOf(plan, places)
  if (!paddock) return undefined
  const stops = laid.map((s) => openStop(s.id, s.seq, s.position ?? null, s.stratum))
  return { ...plan, paddock, ...names, source: '', stops, unknowns: [] }
}

/** The list of rounds after one command. */
export function roundsAfter(rounds: readonly RoundSummary[], command: Command, places: Places): RoundSummary[] {
  if (command.do !== 'plan-round' || rounds.some((r) => r.id === command.round.id)) return [...rounds]
  const { laid, id, paddockId, title, method, purpose, plannedOn, pointsPerStop, settings } = command.round
  const { paddock, ...names } = placeOf(command.round, places)
  if (!paddock) return [...rounds]
  const plan = { id, paddockId, title, method, purpose, plannedOn, pointsPerStop, settings }
  return [{ ...plan, paddock: paddock.name, ...names, source: '', stops: laid.length, stopsDone: 0 }, ...rounds]
}

/** Answers of practice after one command. */
export function answersAfter(answers: readonly PracticeAnswer[], command: Command): PracticeAnswer[] {
  if (command.do !== 'keep-answers') return [...answers]
  return [...answers, ...command.answers.filter((a) => !answers.some((x) => x.id === a.id))]
}

/** Names that were looked at in flower after one command. */
export function checksAfter(checks: Verification[], command: Command): Verification[] {
  if (command.do === 'drop-check') return checks.filter((c) => c.namingId !== command.namingId)
  if (command.do !== 'check-naming') return checks
  return replaced(checks, (c) => c.namingId === command.check.namingId, command.check)
}

/** What is said of paddocks and rounds besides their counts, after one command. */
export function keptAfter(kept: KeptApart[], command: Command): KeptApart[] {
  if (command.do !== 'keep-apart' && command.do !== 'drop-apart') return kept
  const { kind, subject } = command
  const same = (k: KeptApart) => k.kind === kind && k.subject === subject
  if (command.do === 'drop-apart') return kept.filter((k) => !same(k))
  return replaced(kept, same, { kind, subject, value: command.value })
}

/** The signatures of a round after one command, the first issue first. */
export function signaturesAfter(signatures: Signature[], roundId: string, command: Command): Signature[] {
  if (command.do !== 'sign-page' || command.signed.roundId !== roundId) return signatures
  const signature: Signature = without(command.signed, 'page')
  return replaced(signatures, (s) => s.id === signature.id, signature)
}

/** What has to be read again once the server has taken a command. */
const touched: Record<Exclude<Command['do'], 'request'>, string[]> = {
  'plan-round': ['rounds'],
  'save-stop': ['rounds', 'counts'],
  'name-letter': ['rounds', 'counts'],
  'write-naming': ['namings', 'rounds', 'counts'],
  'keep-unknown': ['unknowns'],
  'add-holding': ['places'],
  'save-holding': ['places', 'rounds'],
  'add-paddock': ['places'],
  'save-paddock': ['places', 'rounds'],
  'save-event': ['events'],
  'delete-event': ['events'],
  'save-plan-item': ['plan'],
  'delete-plan-item': ['plan'],
  'keep-apart': ['kept'],
  'drop-apart': ['kept'],
  'sign-page': ['signatures'],
  'keep-answers': ['answers'],
  'check-naming': ['checks'],
  'drop-check': ['checks'],
}

export const touchedBy = (command: Command): string[] => (command.do === 'request' ? [] : touched[command.do])
