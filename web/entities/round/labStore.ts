import { create } from 'zustand'
import { persist } from 'zustand/middleware'
import type { LabResult } from '@/core/assess/feed/labResult.ts'
import { keep } from '../../stores/keptApart.ts'
import { browserStore } from '../../stores/browserStore.ts'

interface LabState {
  results: Record<string, LabResult>
  set: (roundId: string, result: LabResult | undefined) => void
}

/** Laboratory results by round: on this device at once, and with the server through the outbox. */
export const useLabs = create<LabState>()(
  persist(
    (set) => ({
      results: {},
      set: (roundId, result) => {
        set((s) => {
          const results = { ...s.results }
          if (result) results[roundId] = result
          else delete results[roundId]
          return { results }
        })
        keep('lab', roundId, result)
      },
    }),
    { name: 'fold-sprig-laboratory', storage: browserStore },
  ),
)
