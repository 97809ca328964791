import * as Comlink from 'comlink'
import { floraAsRead } from '@/core/practice/ownErrors.ts'
import { flora } from '../stores/floraStore.ts'
import { useOwnReading } from '../stores/ownReadingStore.ts'
import type { NamingApi } from './naming.worker.ts'

/** The book, with the person's own mistakes where they asked for it. */
function asRead() {
  const { counts, readings } = useOwnReading.getState()
  return counts ? floraAsRead(flora(), readings) : flora()
}

let started: Worker | undefined

/** Its script may come beside the book that is opened in it. */
export const startNaming = (): Worker =>
  (started ??= new Worker(new URL('./naming.worker.ts', import.meta.url), { type: 'module' }))

let opened: Promise<Comlink.Remote<NamingApi>> | undefined

/** The one naming worker, with the book open in it. */
export function namingWorker(): Promise<Comlink.Remote<NamingApi>> {
  opened ??= (async () => {
    const api = Comlink.wrap<NamingApi>(startNaming())
    await api.open(asRead())
    return api
  })()
  return opened
}

let edition = 0

/** Changes when the book does: what was worked out before does not hold for it. */
export const bookEdition = (): number => edition

/** Open the book anew: a plant was added, or the person's own mistakes are to count. */
export async function reopenBook(): Promise<void> {
  edition++
  if (opened) await (await opened).open(asRead())
}
