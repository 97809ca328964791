import { plannedRound, roundAfter, roundsAfter } from '@/contract/applied.ts'
import type { Round, RoundSummary } from '@/core/records/round.ts'
import { ApiError } from '../api/client.ts'
import { readPlaces } from './readPlaces.ts'
import { fresh, reads, type Read } from './reads.ts'
import { pendingCommands } from '../stores/outboxStore.ts'
import { say } from '../language/say.ts'

/** A round that the server does not have yet, from what waits to be sent. */
async function waitingRound(id: string): Promise<Round | undefined> {
  const planned = pendingCommands().find((c) => c.do === 'plan-round' && c.round.id === id)
  return planned?.do === 'plan-round' ? plannedRound(planned.round, await readPlaces()) : undefined
}

/** What still waits to be sent is newer than what the server has. */
const withWaiting = (round: Round): Round => pendingCommands().reduce((r, c) => roundAfter(r, c), round)

/** A round as this device knows it: the server's, with all that waits here; or one that was planned without a signal. */
export async function readRound(id: string): Promise<Round> {
  const planned = await waitingRound(id)
  if (planned) return withWaiting(planned)
  try {
    return await fresh(reads.round(id))
  } catch (error) {
    if (error instanceof ApiError && error.status === 0)
      throw new ApiError(0, say('The server does not answer, and this round was not opened on this device before.'))
    throw error
  }
}

/** All rounds, with those that were planned here and are still to be sent. */
export const readRounds = (): Promise<RoundSummary[]> => withPlanned(reads.rounds)
/** Those that are still to be walked, and the latest of the others. */
export const readLatestRounds = (): Promise<RoundSummary[]> => withPlanned(reads.latestRounds)

async function withPlanned(which: Read<RoundSummary[]>): Promise<RoundSummary[]> {
  const known = await fresh(which)
  const waiting = pendingCommands().filter((c) => c.do === 'plan-round')
  if (waiting.length === 0) return known
  const places = await readPlaces()
  return waiting.reduceRight((rounds, c) => roundsAfter(rounds, c, places), known)
}

/** The rounds of a paddock that fit, read whole, the latest first; one that cannot be read is an error, never left out. */
export const roundsOf = (paddockId: string, why: string, fits: (r: RoundSummary) => boolean): Read<Round[]> => ({
  queryKey: ['rounds', 'of', paddockId, why],
  queryFn: async () =>
    Promise.all((await readRounds()).filter((r) => r.paddockId === paddockId && fits(r)).map((r) => readRound(r.id))),
  after: (rounds) => rounds,
})
