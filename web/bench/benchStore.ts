import { create } from 'zustand'
import { persist } from 'zustand/middleware'
import type { Context, Observation } from '@/core/naming/observation.ts'
import type { Sureness } from '@/core/naming/observerError.ts'

/** One plant being named: what was seen of it, and every earlier state for undo. */
export interface Sheet {
  context: Context
  answers: Observation[]
  past: Observation[][]
}

interface BenchState {
  /** A sheet per subject: the loose plant, or a letter of a round. */
  sheets: Record<string, Sheet>
  sureness: Sureness
  start: (subject: string, context: Context) => void
  setContext: (subject: string, context: Context) => void
  answer: (subject: string, observation: Observation) => void
  remove: (subject: string, character: string) => void
  undo: (subject: string) => void
  clear: (subject: string) => void
  setSureness: (sureness: Sureness) => void
}

export const emptySheet: Sheet = { context: {}, answers: [], past: [] }

const changed = (sheet: Sheet, answers: Observation[]): Sheet => ({
  ...sheet,
  answers,
  past: [...sheet.past, sheet.answers],
})

export const useBench = create<BenchState>()(
  persist(
    (set) => {
      const edit = (subject: string, by: (sheet: Sheet) => Sheet) =>
        set((s) => ({ sheets: { ...s.sheets, [subject]: by(s.sheets[subject] ?? emptySheet) } }))
      return {
        sheets: {},
        sureness: 'sure',
        start: (subject, context) =>
          set((s) => (s.sheets[subject] ? s : { sheets: { ...s.sheets, [subject]: { ...emptySheet, context } } })),
        setContext: (subject, context) => edit(subject, (sheet) => ({ ...sheet, context })),
        answer: (subject, o) =>
          edit(subject, (sheet) => changed(sheet, [...sheet.answers.filter((a) => a.character !== o.character), o])),
        remove: (subject, character) =>
          edit(subject, (sheet) =>
            changed(
              sheet,
              sheet.answers.filter((a) => a.character !== character),
            ),
          ),
        undo: (subject) =>
          edit(subject, (sheet) => {
            const before = sheet.past.at(-1)
            return before ? { ...sheet, answers: before, past: sheet.past.slice(0, -1) } : sheet
          }),
        clear: (subject) => edit(subject, (sheet) => changed(sheet, [])),
        setSureness: (sureness) => set({ sureness }),
      }
    },
    { name: 'fold-sprig-bench' },
  ),
)
