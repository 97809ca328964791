import { create } from 'zustand'
import { persist } from 'zustand/middleware'
import type { Runner, RunnerGroup } from '@/core/naming/groupKey.ts'
import { keep } from '../../stores/keptApart.ts'
import { browserStore } from '../../stores/browserStore.ts'

/** Runners pulled in a paddock, and the groups in which the person's register has an oestrogenic cultivar. */
export interface Pulled {
  runners: Runner[]
  suspect: RunnerGroup[]
}

interface RunnersState {
  pulled: Record<string, Pulled>
  set: (paddockId: string, pulled: Pulled) => void
}

export const nothingPulled: Pulled = { runners: [], suspect: [] }

/** Runners of each paddock: on this device at once, and with the server through the outbox. */
export const useRunners = create<RunnersState>()(
  persist(
    (set) => ({
      pulled: {},
      set: (paddockId, pulled) => {
        set((s) => ({ pulled: { ...s.pulled, [paddockId]: pulled } }))
        keep('runners', paddockId, pulled)
      },
    }),
    { name: 'fold-sprig-runners', storage: browserStore },
  ),
)
