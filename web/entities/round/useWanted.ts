import { useMemo } from 'react'
import type { Grazer } from '@/core/flora/flora.ts'
import { isWanted, isWeed } from '@/core/assess/grazing/eaten.ts'
import { abundanceMatrix } from '@/core/methods/tally.ts'
import type { Round } from '@/core/records/round.ts'
import { shareOf } from '@/core/survey/composition.ts'
import { countedStops, designOf } from '@/core/survey/counted.ts'
import { resolvedUnknowns } from '@/core/survey/figures.ts'
import { useFlora } from '../../stores/floraStore.ts'

/** Shares of what this stock want in a sward, and of what they leave. */
export function useWanted(round: Round, animal: Grazer) {
  const byId = useFlora((s) => s.byId)
  return useMemo(() => {
    const all = abundanceMatrix(countedStops(round), resolvedUnknowns(round))
    const share = (test: (taxon: string) => boolean) => shareOf(all, all.taxa.filter(test), designOf(round))
    return {
      all,
      share,
      desirable: share((t) => byId.has(t) && isWanted(byId.get(t)!, animal)),
      weeds: share((t) => byId.has(t) && isWeed(byId.get(t)!, animal)),
    }
  }, [round, byId, animal])
}
