import type { Round, RoundSummary } from '@/core/records/round.ts'
import type { WeighUp } from '@/core/assess/weighUp.ts'
import { countingMethods } from '@/core/methods/index.ts'
import { roundsOf } from '../../data/readRound.ts'
import { fresh, reads } from '../../data/reads.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { startWeighing, weigh, weigher } from '../../workers/weighingWorker.ts'

/** Rounds that clipped and sorted what stands in the same paddock; none where the round itself is of weights. */
async function clippedFor(round: Round): Promise<Round[]> {
  if (countingMethods[round.method].sward?.ofDryMatter) return []
  const isClips = (r: RoundSummary) => countingMethods[r.method].values === 'grams' && r.stopsDone > 0
  return fresh(roundsOf(round.paddockId, 'clips', isClips))
}

/** The figures of a round, with the book and what is known of stock and samples read first. */
export async function weighed(round: Round): Promise<WeighUp | undefined> {
  startWeighing()
  const [clipped] = await Promise.all([
    clippedFor(round).catch(() => []),
    // Without a signal what this device knows of stock and samples is enough.
    fresh(reads.kept).catch(() => undefined),
    useFlora.getState().load().then(weigher),
  ])
  return weigh(round, clipped)
}
