import type { Runner, RunnerGroup } from '@/core/naming/groupKey.ts'

/** Runners pulled in a paddock, and the groups in which the person's register has an oestrogenic cultivar. */
export interface Pulled {
  runners: Runner[]
  suspect: RunnerGroup[]
}

export const nothingPulled: Pulled = { runners: [], suspect: [] }
