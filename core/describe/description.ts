import type { Context, Observation } from '../records/observation.ts'
import { without } from '../records/merge.ts'

/** An observation with the stretch of text it stands on. */
export type Read = Observation & { span: [from: number, to: number]; phrase: string }

/** A word that may mean one of several characters: which is asked, not guessed. */
export interface Asked {
  span: [from: number, to: number]
  phrase: string
  characters: string[]
}

export interface Description {
  observations: Read[]
  questions: Asked[]
  /** Stretches of text of which nothing was understood. */
  unread: [from: number, to: number][]
  context: Context
}

/** The observation itself, without what it stands on. */
export const observationOf = (read: Read): Observation => without(without(read, 'span'), 'phrase') as Observation
