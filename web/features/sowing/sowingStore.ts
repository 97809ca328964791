import { create } from 'zustand'
import { persist } from 'zustand/middleware'
import type { SowingCheck } from '@/core/records/sowingCheck.ts'
import { keep } from '../../stores/keptApart.ts'
import { browserStore } from '../../stores/browserStore.ts'

interface SowingState {
  /** By the sowing they look at. */
  checks: Record<string, SowingCheck[]>
  set: (eventId: string, checks: SowingCheck[]) => void
}

/** Checks of new sowings: on this device at once, and with the server through the outbox. */
export const useSowings = create<SowingState>()(
  persist(
    (set) => ({
      checks: {},
      set: (eventId, checks) => {
        set((s) => ({ checks: { ...s.checks, [eventId]: checks } }))
        keep('sowing', eventId, { checks })
      },
    }),
    { name: 'fold-sprig-sowings', storage: browserStore },
  ),
)
