import type { Sureness } from '@/core/records/observation.ts'
import { create } from 'zustand'
import { persist } from 'zustand/middleware'
import type { Context, Observation } from '@/core/records/observation.ts'
import type { UndeterminedSpecimen } from '@/core/records/specimen.ts'
import { browserStore } from '../../stores/browserStore.ts'
import { heardSheet, stillHeard, withoutLook } from './heardSheet.ts'
import type { Sheet } from './sheet.ts'

interface BenchState {
  /** A sheet per subject: the loose plant, or a letter of a round. */
  sheets: Record<string, Sheet>
  sureness: Sureness
  start: (subject: string, context: Context) => void
  setContext: (subject: string, context: Context) => void
  setText: (subject: string, text: Partial<Pick<Sheet, 'place' | 'note'>>) => void
  /** The answers with one more, or one changed; `withAnswer` makes them. */
  answer: (subject: string, answers: Observation[]) => void
  /** What a text says: in place of what it said before; an answer given by hand stays. */
  hear: (subject: string, text: string, observations: Observation[], context: Context) => void
  remove: (subject: string, character: string) => void
  undo: (subject: string) => void
  /** A new plant, at the same place and time. */
  clear: (subject: string) => void
  /** Put a description on the bench: a colleague's sheet, or one kept under a letter. */
  open: (subject: string, sheet: Partial<Sheet>) => void
  /** It was kept: what is changed from now on stands on that. */
  setFrom: (subject: string, from: UndeterminedSpecimen) => void
  setSureness: (sureness: Sureness) => void
}

export const emptySheet: Sheet = { id: '', context: {}, answers: [], past: [], place: '', note: '', sent: null }

const changed = (sheet: Sheet, answers: Observation[]): Sheet => ({
  ...sheet,
  answers,
  past: [...sheet.past, sheet.answers],
  heard: stillHeard(sheet, answers),
})

/** Answers with one added, or put in place of the one there was to the same look. */
export const withAnswer = (answers: Observation[], o: Observation): Observation[] => [
  ...answers.filter((a) => a.character !== o.character),
  o,
]

const fresh = (context: Context): Sheet => ({ ...emptySheet, id: crypto.randomUUID(), context })

export const useBench = create<BenchState>()(
  persist(
    (set) => {
      const edit = (subject: string, by: (sheet: Sheet) => Sheet) =>
        set((s) => ({ sheets: { ...s.sheets, [subject]: by({ ...emptySheet, ...s.sheets[subject] }) } }))
      return {
        sheets: {},
        sureness: 'sure',
        start: (subject, context) =>
          edit(subject, (sheet) =>
            sheet.id ? sheet : sheet.answers.length > 0 ? { ...sheet, id: crypto.randomUUID() } : fresh(context),
          ),
        setContext: (subject, context) => edit(subject, (sheet) => ({ ...sheet, context })),
        setText: (subject, text) => edit(subject, (sheet) => ({ ...sheet, ...text })),
        answer: (subject, answers) => edit(subject, (sheet) => changed(sheet, answers)),
        hear: (subject, text, observations, context) =>
          edit(subject, (sheet) => heardSheet(sheet, text, observations, context)),
        remove: (subject, character) => edit(subject, (sheet) => withoutLook(sheet, character)),
        undo: (subject) =>
          edit(subject, (sheet) => {
            const before = sheet.past.at(-1)
            if (!before) return sheet
            return { ...sheet, answers: before, past: sheet.past.slice(0, -1), heard: stillHeard(sheet, before) }
          }),
        clear: (subject) =>
          edit(subject, (sheet) => ({
            ...fresh(sheet.context),
            place: sheet.place,
            past: [...sheet.past, sheet.answers],
          })),
        open: (subject, sheet) => edit(subject, () => ({ ...fresh({}), ...sheet })),
        setFrom: (subject, from) => edit(subject, (sheet) => ({ ...sheet, from })),
        setSureness: (sureness) => set({ sureness }),
      }
    },
    { name: 'fold-sprig-bench', storage: browserStore },
  ),
)

/** The sheet of a subject, whole even where an earlier version kept less of it. */
export const useSheet = (subject: string): Sheet => {
  const kept = useBench((s) => s.sheets[subject])
  return kept?.id && kept.place !== undefined ? kept : { ...emptySheet, ...kept }
}
