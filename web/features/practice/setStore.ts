import { create } from 'zustand'
import { createJSONStorage, persist } from 'zustand/middleware'
import type { TrainerSet } from '@/core/practice/trainerSet.ts'

interface SetState {
  /** The set a trainer has open, until the tab is closed. */
  set: TrainerSet | undefined
  open: (set: TrainerSet) => void
}

export const useTrainerSet = create<SetState>()(
  persist((write) => ({ set: undefined, open: (set) => write({ set }) }), {
    name: 'fold-sprig-open-set',
    storage: createJSONStorage(() => sessionStorage),
  }),
)
