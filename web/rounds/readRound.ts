import { openStop, type Round, type RoundSummary, type Stop } from '@/core/records/round.ts'
import type { Method } from '@/core/survey/methods.ts'
import type { Position } from '@/core/survey/route.ts'
import { ApiError, getRound, getRounds } from '../api/client.ts'
import { readPlaces } from '../places/readPlaces.ts'
import { useOutbox } from '../stores/outboxStore.ts'
import { stopUrl } from './useSaving.ts'
import { say } from '../language/say.ts'

/** A round as it is sent to be planned. */
export interface PlannedRound extends Pick<
  Round,
  'id' | 'paddockId' | 'title' | 'purpose' | 'plannedOn' | 'pointsPerStop' | 'settings'
> {
  method: Method
  laid: { id: string; seq: number; position: Position; stratum: string }[]
  route: { line: Position[]; lengthM: number }
}

/** A round that the server does not have yet, from what waits to be sent. */
async function waitingRound(id: string): Promise<Round | undefined> {
  const letter = useOutbox.getState().letters.find((l) => l.url === '/api/rounds' && (l.body as PlannedRound).id === id)
  if (!letter) return undefined
  const { laid, ...plan } = letter.body as PlannedRound
  const { holdings, paddocks } = await readPlaces()
  const paddock = paddocks.find((p) => p.id === plan.paddockId)
  if (!paddock) return undefined
  const holding = holdings.find((h) => h.id === paddock.holdingId)
  return {
    ...plan,
    paddock,
    holding: holding?.name ?? '',
    client: holding?.client ?? '',
    source: '',
    stops: laid.map((s) => openStop(s.id, s.seq, s.position, s.stratum)),
    unknowns: [],
  }
}

/** What still waits to be sent is newer than what the server has. */
function withWaiting(round: Round): Round {
  const waiting = useOutbox.getState().letters
  const stops = round.stops.map((stop) => {
    const letter = waiting.findLast((l) => l.url === stopUrl(round.id, stop.seq))
    return letter ? { ...stop, ...(letter.body as Partial<Stop>) } : stop
  })
  const prefix = `/api/rounds/${round.id}/stops/`
  for (const letter of waiting) {
    const seq = Number(letter.url.slice(prefix.length))
    if (letter.url.startsWith(prefix) && !stops.some((s) => s.seq === seq)) {
      const body = letter.body as Partial<Stop> & { id: string }
      stops.push({ ...openStop(body.id, seq, body.position ?? null), ...body })
    }
  }
  const unknowns = [...round.unknowns]
  for (const { url, body } of waiting) {
    const letter = url.startsWith(`/api/rounds/${round.id}/unknowns/`) ? url.at(-1)! : undefined
    if (!letter) continue
    const named = { letter, namedAs: (body as { namedAs?: string | null }).namedAs ?? null }
    const at = unknowns.findIndex((u) => u.letter === letter)
    if (at < 0) unknowns.push(named)
    else unknowns[at] = named
  }
  return { ...round, stops, unknowns }
}

/** A round as this device knows it: the server's, with all that waits here; or one that was planned without a signal. */
export async function readRound(id: string): Promise<Round> {
  const planned = await waitingRound(id)
  if (planned) return withWaiting(planned)
  try {
    return withWaiting(await getRound(id))
  } catch (error) {
    if (error instanceof ApiError && error.status === 0)
      throw new ApiError(0, say('The server does not answer, and this round was not opened on this device before.'))
    throw error
  }
}

/** All rounds, with those that were planned here and are still to be sent. */
export async function readRounds(): Promise<RoundSummary[]> {
  const known = await getRounds()
  const waiting = useOutbox.getState().letters.filter((l) => l.url === '/api/rounds')
  if (waiting.length === 0) return known
  const { holdings, paddocks } = await readPlaces()
  const planned = waiting.flatMap(({ body }): RoundSummary[] => {
    const { laid, id, paddockId, title, method, purpose, plannedOn, pointsPerStop, settings } = body as PlannedRound
    const plan = { id, paddockId, title, method, purpose, plannedOn, pointsPerStop, settings }
    const paddock = paddocks.find((p) => p.id === plan.paddockId)
    const holding = holdings.find((h) => h.id === paddock?.holdingId)
    if (!paddock || known.some((r) => r.id === plan.id)) return []
    return [
      {
        ...plan,
        paddock: paddock.name,
        holding: holding?.name ?? '',
        client: holding?.client ?? '',
        source: '',
        stops: laid.length,
        stopsDone: 0,
      },
    ]
  })
  return [...planned, ...known]
}
