import type { LabResult } from '@/core/assess/feed/labResult.ts'
import type { HerdPlan } from '@/core/records/herdPlan.ts'
import { useKept } from '../../data/useKept.ts'

export const firstHerd: HerdPlan = {
  animal: 'cow-suckling',
  count: 20,
  residualKgPerHa: 1500,
  usePct: 60,
  refusedPct: 0,
  guessKgPerHa: 2500,
}

/** The stock of a paddock; undefined while nobody has said what is kept there. A change goes to the server whole. */
export function useHerd(paddockId: string) {
  const { set, ...now } = useKept<HerdPlan>('herd', paddockId)
  return { ...now, change: (patch: Partial<HerdPlan>) => set({ ...firstHerd, ...now.data, ...patch }) }
}

/** The laboratory result of a round; one that was taken away speaks nowhere any more. */
export const useLab = (roundId: string) => useKept<LabResult>('lab', roundId)
