import type { Context, Observation } from './observation.ts'

/** What a colleague says of a sheet that was sent to them. */
export interface Opinion {
  by: string
  /** Plant id; null where they could not name it either. */
  plant: string | null
  /** How sure, 0 to 1, where the engine gave a figure for it. */
  probability: number | null
  note: string
  at: string
}

/** A described plant that waits for its name under a letter. */
export interface UndeterminedSpecimen {
  id: string
  letter: string
  place: string
  note: string
  context: Context
  observations: Observation[]
  madeAt: string
  opinion: Opinion | null
  namedAs: string | null
}

/** A picture kept of a subject, without its bytes. */
export interface Photo {
  id: string
  mime: string
}

/** Letters in the order they are given out: A to Z, then AA, AB ... */
export function letterAt(index: number): string {
  const last = String.fromCharCode(65 + (index % 26))
  return index < 26 ? last : letterAt(Math.floor(index / 26) - 1) + last
}

/** Plants looked at for an answer: the most that any one answer counted. */
export const specimensIn = (observations: Observation[]): number =>
  Math.max(
    1,
    ...observations.map((o) =>
      'counts' in o ? Object.values(o.counts).reduce((a, b) => a + b, 0) : 'values' in o ? o.values.length : 1,
    ),
  )
