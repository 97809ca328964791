import { group } from 'd3-array'
import { groupOf } from '@/core/records/taxon.ts'
import type { Round } from '@/core/records/round.ts'
import { sharesOf } from '@/core/survey/sharesOf.ts'
import { inPieces } from '../../parts/inPieces.ts'
import { useFlora } from '../../stores/floraStore.ts'

/**
 * The limits that the first drawing of a count needs are searched for one plant at a time beforehand: on a slow phone all of them
 * together take a fifth of a second, in which no key would be heard.
 */
export async function figuresAhead(round: Round): Promise<void> {
  const { byId } = useFlora.getState()
  const { all, share } = sharesOf(round)
  const groups = [...group(all.taxa, (t) => groupOf(t, byId)).values()]
  await inPieces([...all.taxa.map((t) => [t]), ...groups].map((of) => () => share(of)))
}
