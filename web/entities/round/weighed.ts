import type { Round, RoundSummary } from '@/core/records/round.ts'
import type { WeighUp } from '@/core/assess/weighUp.ts'
import { hazardFacts } from '@/core/assess/harm/hazards/factsOf.ts'
import { swardFigures } from '@/core/assess/indicators/siteIndicators.ts'
import { readHazards } from '@/core/assess/harm/hazards/index.ts'
import { countingMethods } from '@/core/methods/index.ts'
import { roundsOf } from '../../data/readRound.ts'
import { fresh, reads } from '../../data/reads.ts'
import { pause } from '../../pause.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { startWeighing, weigh, weigher } from '../../workers/weighingWorker.ts'

/** Rounds that clipped and sorted what stands in the same paddock; none where the round itself is of weights. */
async function clippedFor(round: Round): Promise<Round[]> {
  if (countingMethods[round.method].sward?.ofDryMatter) return []
  const isClips = (r: RoundSummary) => countingMethods[r.method].values === 'grams' && r.stopsDone > 0
  return fresh(roundsOf(round.paddockId, 'clips', isClips))
}

/** Longest time that is reckoned at a stretch. */
const PIECE_MS = 8

/** What the page will ask at once, found in pieces while the worker weighs: the shares of plants, of dangers and of the ground. */
async function readAhead(round: Round): Promise<void> {
  const { byId, hazards, plants } = useFlora.getState()
  const facts = hazardFacts(round, byId, {})
  const steps = [
    ...facts.met.map((p) => () => facts.share([p.id])),
    ...hazards.map((h) => () => readHazards(facts, [h])),
    () => swardFigures(round, plants),
  ]
  let since = performance.now()
  for (const step of steps) {
    if (performance.now() - since > PIECE_MS) {
      await pause()
      since = performance.now()
    }
    step()
  }
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
  const figures = weigh(round, clipped)
  await readAhead(round)
  return figures
}
