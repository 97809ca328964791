import type { LabResult } from '@/core/assess/feed/labResult.ts'
import type { Conditions } from '@/core/records/conditions.ts'
import type { Contacts } from '@/core/records/contacts.ts'
import type { Management } from '@/core/records/management.ts'
import type { HerdPlan } from '@/core/records/herdPlan.ts'
import { useKept } from '../../data/useKept.ts'

export const firstHerd: HerdPlan = {
  animal: 'cow-suckling',
  count: 20,
  residualKgPerHa: 1500,
  usePct: 60,
  refusedPct: 0,
  guessKgPerHa: 2500,
}

/**
 * The stock of a paddock; undefined while nobody has said what is kept there. A change goes to the server whole.
 *
 * @param usual what is usual of such a sward, where nobody said otherwise
 */
export function useHerd(paddockId: string, usual: Partial<HerdPlan> = {}) {
  const { set, ...now } = useKept<HerdPlan>('herd', paddockId)
  return { ...now, change: (patch: Partial<HerdPlan>) => set({ ...firstHerd, ...usual, ...now.data, ...patch }) }
}

/** The laboratory result of a round; one that was taken away speaks nowhere any more. */
export const useLab = (roundId: string) => useKept<LabResult>('lab', roundId)

/** A change of some fields; undefined takes one away. */
type Patch<T> = { [K in keyof T]?: T[K] | undefined }
const patched = <T extends object>(before: T | undefined, patch: Patch<T>): T =>
  Object.fromEntries(Object.entries({ ...before, ...patch }).filter(([, v]) => v !== undefined)) as T

/** What somebody knows of the day, the weather and the stock of a round. */
export function useConditions(roundId: string) {
  const { set, ...now } = useKept<Conditions>('conditions', roundId)
  return { ...now, change: (patch: Patch<Conditions>) => set(patched(now.data, patch)) }
}

/** Who stands behind the pages of a holding, and whom its people call. */
export function useContacts(holdingId: string) {
  const { set, ...now } = useKept<Contacts>('contacts', holdingId)
  return { ...now, change: (patch: Patch<Contacts>) => set(patched(now.data, patch)) }
}

/** How a paddock is used, and what is known of its place. */
export function useManagement(paddockId: string) {
  const { set, ...now } = useKept<Management>('management', paddockId)
  return { ...now, change: (patch: Patch<Management>) => set(patched(now.data, patch)) }
}
