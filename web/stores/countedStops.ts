import { openDB, type IDBPDatabase } from 'idb'
import { keyOf } from '@/contract/commandKeys.ts'
import { stopAddress } from '@/contract/commandRequests.ts'
import type { Stop } from '@/core/records/round.ts'
import type { StopConflict } from './outboxEntry.ts'
import type { SaveStop } from './outboxPages.ts'

// What this device counted and the server has taken: offered again where the server, after a copy was restored, no longer
// has it.

const STORE = 'stops'
/** Some three seasons of an advisor; the earliest go. */
const MOST = 5000

interface Counted {
  command: SaveStop
  version: number
  at: number
}

let opened: Promise<IDBPDatabase> | undefined
const open = () =>
  (opened ??= openDB('fold-sprig-counted', 1, {
    upgrade: (db) => void db.createObjectStore(STORE).createIndex('at', 'at'),
  }))

/** Keep a stop that the server has taken; where nothing can be kept, nothing can be offered again. */
export async function keepCounted(command: SaveStop, version: number): Promise<void> {
  try {
    const db = await open()
    await db.put(STORE, { command, version, at: Date.now() } satisfies Counted, keyOf(command))
    for (let over = (await db.count(STORE)) - MOST; over > 0; over--) {
      const earliest = await db.transaction(STORE, 'readwrite').store.index('at').openCursor()
      await earliest?.delete()
    }
  } catch {
    // The server has it, and that is what counts.
  }
}

const seenAt = ({ hits, measures, skipped }: Pick<Stop, 'hits' | 'measures' | 'skipped'>) =>
  JSON.stringify([hits, measures, skipped])

/** Stops of a round that this device counted and that the server has in an earlier version only: what it counted, and what stands there. */
export async function lostStops(roundId: string, stops: readonly Stop[]): Promise<StopConflict[]> {
  try {
    const db = await open()
    const found = await Promise.all(
      stops.map(async (theirs): Promise<StopConflict[]> => {
        const key = stopAddress(roundId, theirs.seq)
        const mine = (await db.get(STORE, key)) as Counted | undefined
        if (!mine || mine.version <= theirs.version || seenAt(mine.command.stop) === seenAt(theirs)) return []
        return [{ key, command: mine.command, theirs }]
      }),
    )
    return found.flat()
  } catch {
    return []
  }
}
