import { roundAfter, roundOfCommand } from '@/contract/applied.ts'
import type { Command } from '@/contract/commands.ts'
import type { Round } from '@/core/records/round.ts'
import { followVersions } from './newVersion.ts'

const DATA = 'fold-sprig-data'
const REST_MS = 2000
/** Rounds still to be walked that are kept on the device. */
const MOST_ROUNDS = 12

/** The service worker writes into the same store: one at a time. */
const alone = (work: () => Promise<void>): Promise<void> =>
  globalThis.navigator?.locks ? navigator.locks.request('fold-sprig-data', work) : work()

/** Change a round as it is kept on this device; nothing happens where it is not kept. */
async function change(url: string, by: (round: Round) => Round): Promise<void> {
  if (!('caches' in globalThis)) return
  await alone(async () => {
    const cache = await caches.open(DATA)
    const kept = await cache.match(url)
    if (!kept) return
    const round = by((await kept.json()) as Round)
    await cache.put(url, new Response(JSON.stringify(round), { headers: { 'content-type': 'application/json' } }))
  })
}

/**
 * What the server has taken is put into the copy kept on this device before it leaves the outbox: so a page opened
 * without a signal shows it, whichever moment the signal goes.
 *
 * @param version what the server calls it now, where it counts versions
 */
export async function applyToCache(command: Command, version: number | undefined): Promise<void> {
  try {
    const roundId = roundOfCommand(command)
    if (roundId !== undefined) await change(`/api/rounds/${roundId}`, (round) => roundAfter(round, command, version))
    // A round that was planned here: the server's own copy is fetched once, and so kept.
    if (command.do === 'plan-round') await fetch(`/api/rounds/${command.round.id}`)
  } catch {
    // Storage that is full or not allowed: the server has it, and that is what counts.
  }
}

/** Rounds still to be walked are read once, so that they open in a field without a signal. */
export async function registerServiceWorker(): Promise<void> {
  if (!('serviceWorker' in navigator) || !import.meta.env.PROD) return
  // The page that is asked for comes first; what a later day may need comes after it.
  await new Promise((r) => setTimeout(r, REST_MS))
  followVersions(await navigator.serviceWorker.register('/sw.js'))
  await navigator.serviceWorker.ready
  // What waits to be sent must not make room for other pages while there is no signal.
  await navigator.storage?.persist?.()
  const answer = await fetch('/api/rounds')
  if (!answer.ok) return
  const rounds = (await answer.json()) as { id: string; stops: number; stopsDone: number }[]
  const toWalk = rounds.filter((r) => r.stopsDone < r.stops).slice(0, MOST_ROUNDS)
  await Promise.allSettled(toWalk.map((r) => fetch(`/api/rounds/${r.id}`)))
}

/** Take away what was kept of the records, for whoever uses this device next. */
export async function forgetRecords(): Promise<void> {
  // What is still on its way is not kept either.
  globalThis.navigator?.serviceWorker?.controller?.postMessage('forget')
  if ('caches' in globalThis) await caches.delete(DATA)
}
