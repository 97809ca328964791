import { create } from 'zustand'
import { persist } from 'zustand/middleware'
import type { HerdPlan } from '@/core/records/herdPlan.ts'
import { keep } from '../../stores/keptApart.ts'
import { browserStore } from '../../stores/browserStore.ts'

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

/** The stock of each paddock: on this device at once, and with the server through the outbox. */
export const useHerds = create<HerdState>()(
  persist(
    (set, get) => ({
      plans: {},
      set: (paddockId, patch) => {
        const plan = { ...firstHerd, ...get().plans[paddockId], ...patch }
        set((s) => ({ plans: { ...s.plans, [paddockId]: plan } }))
        keep('herd', paddockId, plan)
      },
    }),
    { name: 'fold-sprig-herds', storage: browserStore },
  ),
)
