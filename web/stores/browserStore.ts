import { create } from 'zustand'
import { createJSONStorage } from 'zustand/middleware'

/** Whether the browser's store would not take something: then it must be said, for a reload would lose it. */
export const useStoreFull = create(() => ({ full: false }))

/** The browser's store, which may be full or not allowed: what is on the screen stays there, and the person is told. */
// Each store keeps its own shape in it.
// oxlint-disable-next-line typescript/no-explicit-any
export const browserStore = createJSONStorage<any>(() => ({
  getItem: (name) => {
    try {
      return localStorage.getItem(name)
    } catch {
      return null
    }
  },
  setItem: (name, value) => {
    try {
      localStorage.setItem(name, value)
      if (useStoreFull.getState().full) useStoreFull.setState({ full: false })
    } catch {
      useStoreFull.setState({ full: true })
    }
  },
  removeItem: (name) => localStorage.removeItem(name),
}))
