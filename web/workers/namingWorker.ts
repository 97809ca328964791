import * as Comlink from 'comlink'
import { flora } from '../stores/floraStore.ts'
import type { NamingApi } from './naming.worker.ts'

let opened: Promise<Comlink.Remote<NamingApi>> | undefined

/** The one naming worker, with the book open in it. */
export function namingWorker(): Promise<Comlink.Remote<NamingApi>> {
  opened ??= (async () => {
    const worker = new Worker(new URL('./naming.worker.ts', import.meta.url), { type: 'module' })
    const api = Comlink.wrap<NamingApi>(worker)
    await api.open(flora())
    return api
  })()
  return opened
}

let edition = 0

/** Changes when the book does: what was worked out before does not hold for it. */
export const bookEdition = (): number => edition

/** Open the book anew, after a plant was added. */
export async function reopenBook(): Promise<void> {
  edition++
  if (opened) await (await opened).open(flora())
}
