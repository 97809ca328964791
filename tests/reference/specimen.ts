import type { Context } from '@/core/records/observation.ts'
import type { Look } from '../support/book.ts'

export interface Specimen {
  what: string
  /** Where the description comes from; "from memory" where the book was not at hand. */
  source: string
  context?: Context
  looks: Look[]
  /** The plant it is, or 'not-in-book'. */
  is: string
  /** first: the likeliest. named: also at 19 in 20 with no harm open. three: among the first three. */
  by: 'first' | 'named' | 'three'
}
