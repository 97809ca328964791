import type { SpecimenSheet } from '@/core/formats/specimenSheet.ts'
import type { Context, Observation } from '@/core/records/observation.ts'
import type { UndeterminedSpecimen } from '@/core/records/specimen.ts'

/** One plant being named: what was seen of it, and every earlier state for undo. */
export interface Sheet {
  /** What pictures and a kept description belong to. */
  id: string
  context: Context
  answers: Observation[]
  past: Observation[][]
  place: string
  note: string
  /** What was said of it in somebody's own words, and the looks that were answered by that. */
  said?: string
  heard?: string[]
  /** Readings of it that were taken away. */
  denied?: string[]
  /** A colleague's sheet that was opened here. */
  sent: SpecimenSheet | null
  /** The kept description that it was opened from, as it was then. */
  from?: UndeterminedSpecimen
}
