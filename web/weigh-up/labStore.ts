import { create } from 'zustand'
import { persist } from 'zustand/middleware'
import type { LabResult } from '@/core/feed/labResult.ts'

interface LabState {
  /** By round; kept on this device. */
  results: Record<string, LabResult>
  set: (roundId: string, result: LabResult | undefined) => void
}

export const useLabs = create<LabState>()(
  persist(
    (set) => ({
      results: {},
      set: (roundId, result) =>
        set((s) => {
          const results = { ...s.results }
          if (result) results[roundId] = result
          else delete results[roundId]
          return { results }
        }),
    }),
    { name: 'fold-sprig-laboratory' },
  ),
)
