import * as Comlink from 'comlink'
import { floraAsRead } from '@/core/practice/ownErrors.ts'
import { flora } from '../stores/floraStore.ts'
import { useOwnReading } from '../stores/ownReadingStore.ts'
import { openBook } from './openBook.ts'
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
  opened ??= openedIn(Comlink.wrap<NamingApi>(startNaming()))
  return opened
}

async function openedIn(api: Comlink.Remote<NamingApi>): Promise<Comlink.Remote<NamingApi>> {
  await openBook(api, asRead())
  return api
}

let edition = 0

/** Changes when the book does: what was worked out before does not hold for it. */
export const bookEdition = (): number => edition

/** Open the book anew: a plant was added, or the person's own mistakes are to count. */
export async function reopenBook(): Promise<void> {
  edition++
  // One after the other: pieces of two books must not meet.
  if (opened) await (opened = opened.then(openedIn))
}
