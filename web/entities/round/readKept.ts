import { saysApart } from '@/contract/applied.ts'
import type { LabResult } from '@/core/assess/feed/labResult.ts'
import type { HerdPlan } from '@/core/records/herdPlan.ts'
import { getKept, type Kept } from '../../api/client.ts'
import { pendingCommands } from '../../stores/outboxStore.ts'
import { useHerds } from './herdStore.ts'
import { useLabs } from './labStore.ts'

/** Take over what other devices said of stock and samples; what still waits to be sent from here is newer. */
export async function readKept(): Promise<void> {
  takeKept(await getKept())
}

export function takeKept(kept: Kept): void {
  const waiting = pendingCommands()
  const plans = { ...useHerds.getState().plans }
  const results = { ...useLabs.getState().results }
  for (const { subject, kind, value } of kept) {
    if (waiting.some((c) => saysApart(c, kind, subject))) continue
    if (kind === 'herd') plans[subject] = value as HerdPlan
    else if (kind === 'lab') results[subject] = value as LabResult
  }
  useHerds.setState({ plans })
  useLabs.setState({ results })
}
