import type { AccountRole } from '@/contract/accounts.ts'
import type { Meanings, VocabularyFile } from '@/core/describe/vocabulary.ts'
import { bookOf, piecesOf } from '@/contract/bookColumns.ts'
import { pause } from '../pause.ts'
import type { Signature, SignedPage } from '@/core/records/signedPage.ts'
import type { Flora } from '@/core/flora/flora.ts'
import type { RoundFile } from '@/core/formats/roundFile.ts'
import type { PracticeAnswer } from '@/core/practice/answer.ts'
import type { PaddockEvent } from '@/core/records/paddockEvent.ts'
import type { Verification } from '@/core/records/verification.ts'
import type { YearCount } from '@/core/survey/paddockHistory.ts'
import type { PlanLine } from '@/core/records/planItem.ts'
import type { Holding, Determination, Paddock, Round, RoundSummary, Stop } from '@/core/records/round.ts'
import type { Photo, UndeterminedSpecimen } from '@/core/records/specimen.ts'
import type { KeptApart } from '@/contract/commands.ts'
import { requested } from './requested.ts'
import { say, word } from '../language/say.ts'

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

/** A client's link, where the page was opened with one: it stands for a name and password, for one round. */
let link: string | undefined
export const holdLink = (token: string): void => void (link = token)

/** After so long nothing comes any more: a signal that is only just there must not hold up what waits behind. */
const LONGEST_MS = 60_000

/** @param read what an answer that is ours holds; it throws at any other */
export async function send<T>(
  method: 'GET' | 'POST' | 'PUT' | 'DELETE',
  url: string,
  body?: unknown,
  read: (response: Response) => Promise<unknown> = (response) => response.json(),
): Promise<T> {
  let response: Response
  requested.add(url)
  try {
    response = await fetch(url, {
      method,
      signal: AbortSignal.timeout(LONGEST_MS),
      // A page to sign in at, or of somebody else's network, is no answer of ours.
      ...(method === 'GET' ? {} : { redirect: 'error' as const }),
      headers: {
        ...(link ? { authorization: `Bearer ${link}` } : {}),
        ...(body === undefined
          ? {}
          : { 'content-type': body instanceof Blob ? 'application/octet-stream' : 'application/json' }),
      },
      ...(body === undefined ? {} : { body: body instanceof Blob ? body : JSON.stringify(body) }),
    })
  } catch {
    throw new ApiError(0, say('The server does not answer. What you typed is kept here and sent when it is back.'))
  }
  const answer: unknown = await (response.ok ? read(response) : response.json()).catch(() => undefined)
  if (response.ok && answer !== undefined) return answer as T
  if (response.ok)
    throw new ApiError(
      0,
      say('Something between this device and the server answered in its place. What you typed is kept here.'),
    )
  // Said as long as it is: a window may have been nearly over.
  const wait = response.status === 429 ? Number(response.headers.get('retry-after')) : 0
  const error = (answer as { error?: { message: string; field?: string; theirs?: unknown } } | undefined)?.error
  throw new ApiError(
    response.status,
    [
      error ? word(error.message) : say('The server answered {{status}}.', { status: response.status }),
      wait > 0 ? say('Again in {{count}} seconds.', { count: wait }) : '',
    ]
      .filter(Boolean)
      .join(' '),
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
/** Why the daily copy could not be made, where it could not. */
export const getCopyState = () => send<{ problem: string | null }>('GET', '/api/copies/state')
export const checkCopy = (file: File) =>
  send<{ madeAt: string; tables: { name: string; rows: number }[] }>('POST', '/api/backup/check', file)

/** How people say what they see, in a language, and what plants are called. */
export const getWords = (language: string) =>
  send<{ file: VocabularyFile; meanings: Meanings; names: Record<string, string[]> }>('GET', `/api/words/${language}`)

const readPieces = async (response: Response): Promise<string[]> => piecesOf(await response.text())

/** The plant book, which is sent in columns, each on a line of its own. */
export const getBook = async (): Promise<Flora> =>
  bookOf(await send<string[]>('GET', '/api/book-pieces', undefined, readPieces), pause)
export const getRounds = () => send<RoundSummary[]>('GET', '/api/rounds')
/** So many of those that were planned last come with all that are still to be walked. */
export const LATEST_ROUNDS = 100
export const getLatestRounds = () => send<RoundSummary[]>('GET', `/api/rounds?latest=${LATEST_ROUNDS}`)
export const getRound = (id: string) => send<Round>('GET', `/api/rounds/${id}`)
export const getPlaces = () => send<{ holdings: Holding[]; paddocks: Paddock[] }>('GET', '/api/places')
export const getPaddock = (id: string) =>
  send<{ paddock: Paddock; events: PaddockEvent[] }>('GET', `/api/paddocks/${id}`)
/** Pictures of a subject: a specimen on the bench, or a paddock. */
export const getPhotos = (subject: string) => send<Photo[]>('GET', `/api/photos?subject=${encodeURIComponent(subject)}`)
export const getUnknowns = () => send<UndeterminedSpecimen[]>('GET', '/api/unknowns')
export const getPlanLines = () => send<PlanLine[]>('GET', '/api/plan-items')
export const getKept = () => send<Kept>('GET', '/api/kept')
export const getPracticeAnswers = () => send<PracticeAnswer[]>('GET', '/api/practice-answers')
export const getEvents = () => send<PaddockEvent[]>('GET', '/api/events')
export const getCounts = (paddockId: string) => send<YearCount[]>('GET', `/api/paddocks/${paddockId}/counts`)
/** Counts of the paddock that was counted most often, which the daybook opens with. */
export const getMostCounted = () => send<{ paddockId: string | null; counts: YearCount[] }>('GET', '/api/most-counted')
/** Taxa met in rounds of the last two years. */
export const getRecentlyFound = () => send<string[]>('GET', '/api/recently-found')
export const getNamingChecks = () => send<Verification[]>('GET', '/api/naming-checks')
export const getNamings = () => send<Determination[]>('GET', '/api/namings')
/** Every name that was written down in a round, however long ago. */
export const getNamingsOf = (roundId: string) => send<Determination[]>('GET', `/api/namings?round=${roundId}`)
export const openRoundFile = (file: RoundFile) => send<RoundFileTaken>('POST', '/api/round-files', file)
export const importDune = () => send<{ roundId: string; species: number; linked: number }>('POST', '/api/imports/dune')

/** Who is signed in, where the server asks for that at all. */
export interface Me {
  accounts: boolean
  account: { name: string; role: 'advisor' | 'trainee' } | null
}
export const getMe = () => send<Me>('GET', '/api/me')
export const signIn = (name: string, password: string) => send<Me>('POST', '/api/sign-in', { name, password })
export const signOut = () => send<Me>('POST', '/api/sign-out')
export const changeOwnPassword = (now: string, password: string) =>
  send<unknown>('PUT', '/api/me/password', { now, password })

export interface Account {
  id: string
  name: string
  role: AccountRole
  madeAt: string
  closedAt: string | null
}
export const getAccounts = () => send<Account[]>('GET', '/api/accounts')
export const addAccount = (account: { name: string; role: AccountRole; password: string }) =>
  send<Account>('POST', '/api/accounts', account)
export const changeAccount = (id: string, to: { role: AccountRole; closed: boolean }) =>
  send<Account>('PUT', `/api/accounts/${id}`, to)
export const giveNewPassword = (id: string, password: string) =>
  send<unknown>('PUT', `/api/accounts/${id}/password`, { password })

/** Something that was changed, or that somebody tried to change. */
export interface AuditLine {
  id: string
  at: string
  who: string
  role: string
  method: string
  path: string
  status: number
}
export const getAudit = (before?: string) =>
  send<AuditLine[]>('GET', before ? `/api/audit?before=${encodeURIComponent(before)}` : '/api/audit')

/** A link by which a client reads the pages of one round. */
export interface ClientLink {
  id: string
  madeBy: string
  madeAt: string
  expiresAt: string
  openedAt: string | null
}
export const getLinks = (roundId: string) => send<ClientLink[]>('GET', `/api/links?round=${roundId}`)
export const addLink = (roundId: string, days: number) =>
  send<{ link: ClientLink; token: string }>('POST', '/api/links', { id: crypto.randomUUID(), roundId, days })
export const deleteLink = (id: string) => send<unknown>('DELETE', `/api/links/${id}`)

export type Kept = KeptApart[]
export interface Shared {
  round: Round
  plan: PlanLine[]
  kept: Kept
  /** The latest issue that was signed. */
  signed?: SignedPage
}
export const getShared = () => send<Shared>('GET', '/api/shared')
export const getSignatures = (roundId: string) => send<Signature[]>('GET', `/api/rounds/${roundId}/signed-pages`)
export const getSignedPage = (id: string) => send<SignedPage>('GET', `/api/signed-pages/${id}`)
