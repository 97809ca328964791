import { hashKey, QueryClient, useQuery, type QueryKey } from '@tanstack/react-query'
import { useMemo } from 'react'
import { answersAfter, checksAfter, keptAfter, placesAfter, planAfter, roundAfter, signaturesAfter, touchedBy } from '@/contract/applied.ts'
import { keyOf } from '@/contract/commandKeys.ts'
import type { Command } from '@/contract/commands.ts'
import { standingOf } from '@/contract/standingOf.ts'
import * as api from '../api/client.ts'
import { wasSentWhileOpening } from '../stores/openOutbox.ts'
import { lookUpShown, onGone, onTaken, pendingCommands, useOutbox } from '../stores/outboxStore.ts'

/** What was read from the server, by its key; the service worker answers where there is no signal. */
export const serverReads = new QueryClient({
  defaultOptions: {
    // A screen that was just read for is not read for again by each of its panels.
    queries: { staleTime: 5000, retry: false, networkMode: 'always', refetchOnWindowFocus: false },
  },
})

/** Something the server can be asked for, and how a command that it does not have yet changes it. */
export interface Read<T> {
  queryKey: QueryKey
  queryFn: () => Promise<T>
  after: (value: T, command: Command, version?: number) => T
}

const same = <T>(value: T): T => value
const read = <T>(queryKey: QueryKey, queryFn: () => Promise<T>, after: Read<T>['after'] = same): Read<T> => ({
  queryKey,
  queryFn,
  after,
})

const PLACES = ['places']
const knownPlaces = () => {
  const known = serverReads.getQueryData<Awaited<ReturnType<typeof api.getPlaces>>>(PLACES)
  return pendingCommands().reduce(placesAfter, known ?? { holdings: [], paddocks: [] })
}

/** Everything that a screen reads; the first word of a key is what `touchedBy` speaks of. */
export const reads = {
  rounds: read(['rounds'], api.getRounds),
  latestRounds: read(['rounds', 'latest'], api.getLatestRounds),
  round: (id: string) => read(['rounds', id], () => api.getRound(id), roundAfter),
  places: read(PLACES, api.getPlaces, placesAfter),
  plan: read(['plan'], api.getPlanLines, (lines, command) => planAfter(lines, command, knownPlaces())),
  kept: read(['kept'], api.getKept, keptAfter),
  answers: read(['answers'], api.getPracticeAnswers, answersAfter),
  namings: read(['namings'], api.getNamings),
  namingsOf: (roundId: string) => read(['namings', roundId], () => api.getNamingsOf(roundId)),
  checks: read(['checks'], api.getNamingChecks, checksAfter),
  unknowns: read(['unknowns'], api.getUnknowns),
  events: read(['events'], api.getEvents),
  photosOf: (subject: string) => read(['photos', subject], () => api.getPhotos(subject)),
  words: (language: string) => read(['words', language], () => api.getWords(language)),
  counts: (paddockId: string) => read(['counts', paddockId], () => api.getCounts(paddockId)),
  mostCounted: read(['counts', 'most'], api.getMostCounted),
  recentlyFound: read(['counts', 'found'], api.getRecentlyFound),
  copies: read(['copies'], api.getCopies),
  copyState: read(['copies', 'state'], api.getCopyState),
  signatures: (roundId: string) =>
    read(['signatures', roundId], () => api.getSignatures(roundId), (list, command) => signaturesAfter(list, roundId, command)), // prettier-ignore
  links: (roundId: string) => read(['links', roundId], () => api.getLinks(roundId)),
}

/** The latest the server has taken of each record since the page was opened, in order. */
const taken = new Map<string, { n: number; command: Command; version: number | undefined }>()
let takenCount = 0
onTaken(({ command, version }) => {
  const key = keyOf(command)
  taken.delete(key)
  taken.set(key, { n: takenCount++, command, version })
})

/** What was asked for once. */
const askedOnce = new Set<string>()

/** The server's answer, with what it took since it was asked: the answer may be older than that. */
async function answerTo<T>({ queryKey, queryFn, after }: Read<T>): Promise<T> {
  // The first answer may have been asked for ahead, before the page knew what waited to be sent.
  const key = hashKey(queryKey)
  const first = !askedOnce.has(key)
  const from = first ? 0 : takenCount
  askedOnce.add(key)
  const answer = await queryFn()
  const since = [...taken.values()].filter(({ n }) => n >= from)
  // Not every answer can be brought up to date by what was taken alone.
  if ((first && wasSentWhileOpening()) || since.some(({ command }) => touchedBy(command).includes(String(queryKey[0]))))
    setTimeout(() => void serverReads.invalidateQueries({ queryKey, exact: true }))
  return since.reduce<T>((value, { command, version }) => after(value, command, version), answer)
}

const asked = <T>(what: Read<T>) => ({
  queryKey: what.queryKey,
  queryFn: () => answerTo(what),
  meta: { after: what.after },
})

/** Ask the server now, for a screen that is being opened; what waits to be sent is put on top. */
export async function fresh<T>(what: Read<T>): Promise<T> {
  await serverReads.cancelQueries({ queryKey: what.queryKey, exact: true })
  const now = await answerTo(what)
  serverReads.getQueryCache().build(serverReads, serverReads.defaultQueryOptions(asked(what))).setData(now)
  return pendingCommands().reduce<T>((value, command) => what.after(value, command), now)
}

export interface ReadNow<T> {
  data: T | undefined
  /** Why it could not be read, where it was never read before. */
  problem: Error | undefined
  again: () => void
}

/** What a panel shows: what was read last, with what waits to be sent; read again when it changed. */
export function useRead<T>(what: Read<T>): ReadNow<T> {
  const { data, error, refetch } = useQuery<T>(asked(what), serverReads)
  const pending = useOutbox((s) => s.pending)
  const { after } = what
  const now = useMemo(
    () => (data === undefined ? undefined : pending.reduce<T>((v, p) => after(v, p.command), data)),
    [data, pending, after],
  )
  return { data: now, problem: (now === undefined && error) || undefined, again: () => void refetch() }
}

/** What is read now of a record that a command changes, with what waits on top; undefined where it was never read. */
function shownOf(command: Command): object | null | undefined {
  const now = <T>({ queryKey, after }: Read<T>) => {
    const known = serverReads.getQueryData<T>(queryKey)
    return known === undefined ? undefined : pendingCommands().reduce<T>((v, c) => after(v, c), known)
  }
  return standingOf(command, {
    kept: () => now(reads.kept),
    plan: () => now(reads.plan),
    places: () => now(reads.places),
    unknowns: () => now(reads.unknowns),
    events: () => now(reads.events),
    checks: () => now(reads.checks),
  })
}

/** What the server has taken is put into what was read, then read again where it is on the screen. */
export function followOutbox(): void {
  lookUpShown(shownOf)
  // What somebody else wrote is shown where it met ours.
  useOutbox.subscribe(({ conflicts }, before) => {
    for (const { command } of conflicts.filter((c) => !before.conflicts.includes(c)))
      for (const word of touchedBy(command)) void serverReads.invalidateQueries({ queryKey: [word] })
  })
  onGone((commands) => {
    for (const word of commands.flatMap(touchedBy)) void serverReads.invalidateQueries({ queryKey: [word] })
  })
  onTaken(({ command, version }) => {
    for (const query of serverReads.getQueryCache().getAll()) {
      const after = query.meta?.after as Read<unknown>['after'] | undefined
      if (after && query.state.data !== undefined) query.setData(after(query.state.data, command, version))
    }
    for (const word of touchedBy(command)) void serverReads.invalidateQueries({ queryKey: [word] })
  })
}
