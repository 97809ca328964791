import { create } from 'zustand'
import { persist } from 'zustand/middleware'

/** What a client keeps on a paddock, and how it is grazed; kept for each paddock on this device. */
export interface HerdPlan {
  animal: string
  count: number
  residualKgPerHa: number
  usePct: number
  refusedPct: number
  /** A stated guess of the standing dry matter, where nothing was measured. */
  guessKgPerHa: number
  /** Days for which animals and hectares are asked; left out: a week. */
  wantedDays?: number
}

export const firstHerd: HerdPlan = {
  animal: 'cow-suckling',
  count: 20,
  residualKgPerHa: 1500,
  usePct: 60,
  refusedPct: 0,
  guessKgPerHa: 2500,
}

interface HerdState {
  plans: Record<string, HerdPlan>
  set: (paddockId: string, patch: Partial<HerdPlan>) => void
}

export const useHerds = create<HerdState>()(
  persist(
    (set) => ({
      plans: {},
      set: (paddockId, patch) =>
        set((s) => ({ plans: { ...s.plans, [paddockId]: { ...firstHerd, ...s.plans[paddockId], ...patch } } })),
    }),
    { name: 'fold-sprig-herds' },
  ),
)
