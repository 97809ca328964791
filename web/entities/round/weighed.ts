import type { Round } from '@/core/records/round.ts'
import type { WeighUp } from '@/core/assess/weighUp.ts'
import { fresh, reads } from '../../data/reads.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { startWeighing, weigh, weigher } from '../../workers/weighingWorker.ts'

/** The figures of a round, with the book and what is known of stock and samples read first. */
export async function weighed(round: Round): Promise<WeighUp | undefined> {
  startWeighing()
  await Promise.all([
    // Without a signal what this device knows of stock and samples is enough.
    fresh(reads.kept).catch(() => undefined),
    useFlora.getState().load().then(weigher),
  ])
  return weigh(round)
}
