import type { Character, Hazard, Plant, PlantGroup } from '@/core/naming/flora.ts'
import type { RoundFile } from '@/core/formats/roundFile.ts'
import type { PracticeAnswer } from '@/core/practice/answer.ts'
import type { PaddockEvent } from '@/core/records/paddockEvent.ts'
import type { NamingCheck } from '@/core/records/namingCheck.ts'
import type { YearCount } from '@/core/survey/paddockHistory.ts'
import type { PlanLine } from '@/core/records/planItem.ts'
import type { Holding, Naming, Paddock, Round, RoundSummary, Stop } from '@/core/records/round.ts'
import type { UnknownPlant } from '@/core/records/specimen.ts'

/** What became of a round that was opened from a file. */
export interface RoundFileTaken {
  roundId: string
  isNew: boolean
  stopsTaken: number
  conflicts: { seq: number; mine: Stop; theirs: Stop }[]
}

/** What the server said was wrong, or that it could not be reached (status 0). */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly field?: string,
    /** What stands there already, where somebody else wrote first. */
    readonly theirs?: unknown,
  ) {
    super(message)
  }
}

export async function send<T>(method: 'GET' | 'POST' | 'PUT' | 'DELETE', url: string, body?: unknown): Promise<T> {
  let response: Response
  try {
    response = await fetch(url, {
      method,
      ...(body === undefined
        ? {}
        : body instanceof Blob
          ? { headers: { 'content-type': 'application/octet-stream' }, body }
          : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
    })
  } catch {
    throw new ApiError(0, 'The server does not answer. What you typed is kept here and sent when it is back.')
  }
  const answer: unknown = await response.json().catch(() => undefined)
  if (response.ok) return answer as T
  const error = (answer as { error?: { message: string; field?: string; theirs?: unknown } } | undefined)?.error
  throw new ApiError(
    response.status,
    error?.message ?? `The server answered ${response.status}.`,
    error?.field,
    error?.theirs,
  )
}

/** A copy kept beside the data. */
export interface KeptCopy {
  name: string
  bytes: number
  madeAt: string
}
export const getCopies = () => send<KeptCopy[]>('GET', '/api/copies')
export const checkCopy = (file: File) =>
  send<{ madeAt: string; tables: { name: string; rows: number }[] }>('POST', '/api/backup/check', file)

export const getPlants = () => send<Plant[]>('GET', '/api/plants')
export const getCharacters = () => send<Character[]>('GET', '/api/characters')
export const getGroups = () => send<PlantGroup[]>('GET', '/api/groups')
export const getHazards = () => send<Hazard[]>('GET', '/api/hazards')
export const getRounds = () => send<RoundSummary[]>('GET', '/api/rounds')
export const getRound = (id: string) => send<Round>('GET', `/api/rounds/${id}`)
export const getPlaces = () => send<{ holdings: Holding[]; paddocks: Paddock[] }>('GET', '/api/places')
export const getPaddock = (id: string) =>
  send<{ paddock: Paddock; events: PaddockEvent[] }>('GET', `/api/paddocks/${id}`)
export const getUnknowns = () => send<UnknownPlant[]>('GET', '/api/unknowns')
export const getPlanLines = () => send<PlanLine[]>('GET', '/api/plan-items')
export const getKept = () =>
  send<{ subject: string; kind: 'herd' | 'lab' | 'runners' | 'sowing'; value: object }[]>('GET', '/api/kept')
export const getPracticeAnswers = () => send<PracticeAnswer[]>('GET', '/api/practice-answers')
export const getEvents = () => send<PaddockEvent[]>('GET', '/api/events')
export const getCounts = (paddockId: string) => send<YearCount[]>('GET', `/api/paddocks/${paddockId}/counts`)
/** Counts of the paddock that was counted most often, which the daybook opens with. */
export const getMostCounted = () => send<{ paddockId: string | null; counts: YearCount[] }>('GET', '/api/most-counted')
/** Taxa met in rounds of the last two years. */
export const getRecentlyFound = () => send<string[]>('GET', '/api/recently-found')
export const getNamingChecks = () => send<NamingCheck[]>('GET', '/api/naming-checks')
export const getNamings = () => send<Naming[]>('GET', '/api/namings')
export const openRoundFile = (file: RoundFile) => send<RoundFileTaken>('POST', '/api/round-files', file)
export const importDune = () => send<{ roundId: string; species: number; linked: number }>('POST', '/api/imports/dune')
