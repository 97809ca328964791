import * as Comlink from 'comlink'
import type { Round } from '@/core/records/round.ts'
import type { WeighUp } from '@/core/assess/weighUp.ts'
import { flora } from '../stores/floraStore.ts'
import { sharesOf } from '@/core/survey/sharesOf.ts'
import { openBook } from './openBook.ts'
import { bookEdition } from './namingWorker.ts'
import type { WeighingApi } from './weighing.worker.ts'

let opened: { edition: number; api: Promise<Comlink.Remote<WeighingApi>> } | undefined

let spare: Worker | undefined

const spareWorker = (): Worker =>
  (spare ??= new Worker(new URL('./weighing.worker.ts', import.meta.url), { type: 'module' }))

/** Its script may come beside the book that is opened in it. */
export function startWeighing(): void {
  if (opened?.edition !== bookEdition()) spareWorker()
}

/** The worker that weighs up, with the book open in it. */
export function weigher(): Promise<Comlink.Remote<WeighingApi>> {
  if (opened?.edition !== bookEdition()) {
    const remote = Comlink.wrap<WeighingApi>(spareWorker())
    // Another edition of the book is opened in another worker.
    spare = undefined
    opened = { edition: bookEdition(), api: openBook(remote, flora()).then(() => remote) }
  }
  return opened!.api
}

/** Everything a round says, worked out beside the page; undefined while nothing is counted. @param clipped of its paddock */
export async function weigh(round: Round, clipped: Round[] = []): Promise<WeighUp | undefined> {
  const weighed = await (await weigher()).weigh(round, clipped)
  if (!weighed) return undefined
  const { known } = sharesOf(round)
  for (const [of, share] of weighed.shares) known.set(of, share)
  return weighed.figures
}
