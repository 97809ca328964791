import { create } from 'zustand'
import { persist } from 'zustand/middleware'
import { browserStore } from './browserStore.ts'

export const modes = ['day', 'sun', 'dusk'] as const
export type Mode = (typeof modes)[number]

interface ModeState {
  mode: Mode
  setMode: (mode: Mode) => void
}

const show = (mode: Mode) => (document.documentElement.dataset.mode = mode)

export const useMode = create<ModeState>()(
  persist(
    (set) => ({
      mode: 'day',
      setMode: (mode) => {
        show(mode)
        set({ mode })
      },
    }),
    {
      name: 'fold-sprig-mode',
      storage: browserStore,
      onRehydrateStorage: () => (state) => void (state && show(state.mode)),
    },
  ),
)
