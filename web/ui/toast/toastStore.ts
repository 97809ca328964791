import { create } from 'zustand'

/** Something that was done a moment ago, and how it is taken back. */
export interface Told {
  id: string
  says: string
  undo: () => void
}

interface ToastState {
  told: Told[]
  gone: (id: string) => void
}

/** What was done last, for as long as it can be taken back. */
export const useToasts = create<ToastState>()((set) => ({
  told: [],
  gone: (id) => set((s) => ({ told: s.told.filter((t) => t.id !== id) })),
}))

/** Say what was done, with a way back. */
export const toast = (says: string, undo: () => void): void =>
  useToasts.setState((s) => ({ told: [...s.told, { id: crypto.randomUUID(), says, undo }] }))
