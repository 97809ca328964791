import * as Comlink from 'comlink'
import { flora } from '../stores/floraStore.ts'
import { openBook } from './openBook.ts'
import { bookEdition } from './namingWorker.ts'
import type { PracticeApi } from './practice.worker.ts'

let opened: { edition: number; api: Promise<Comlink.Remote<PracticeApi>> } | undefined

/** The one practice worker, with the book as it stands now. */
export function practiceWorker(): Promise<Comlink.Remote<PracticeApi>> {
  if (opened?.edition !== bookEdition()) {
    const worker = new Worker(new URL('./practice.worker.ts', import.meta.url), { type: 'module' })
    const remote = Comlink.wrap<PracticeApi>(worker)
    opened = { edition: bookEdition(), api: openBook(remote, flora()).then(() => remote) }
  }
  return opened!.api
}
