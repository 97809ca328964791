import { create } from 'zustand'
import { persist } from 'zustand/middleware'
import type { Readings } from '@/core/practice/ownErrors.ts'
import { browserStore } from './browserStore.ts'

interface OwnReadingState {
  /** Does the bench reckon with the person's own mistakes? Only on their say. */
  counts: boolean
  readings: Readings[]
  set: (counts: boolean, readings: Readings[]) => void
}

/** How this person reads a plant, kept on this device: another person at it starts from the book's rates. */
export const useOwnReading = create<OwnReadingState>()(
  persist(
    (set) => ({
      counts: false,
      readings: [],
      set: (counts, readings) => set({ counts, readings }),
    }),
    { name: 'fold-sprig-own-reading', storage: browserStore },
  ),
)
