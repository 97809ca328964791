import { create } from 'zustand'
import { noFilter, type BookFilter } from './filters.ts'

interface FilterStore {
  filter: BookFilter
  set: (filter: BookFilter) => void
}

/** What the book is narrowed to; it stays while one goes from plant to plant. */
export const useBookFilter = create<FilterStore>((set) => ({
  filter: noFilter,
  set: (filter) => set({ filter }),
}))
