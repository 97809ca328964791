import type { Plant } from '@/core/flora/flora.ts'
import type { Round } from '@/core/records/round.ts'
import type { WeighUp } from '@/core/assess/weighUp.ts'

const MOST = 8

/** Plants met that somebody may want to act on: harmful ones first, then weeds that were not sown, the commonest first. */
export function unwanted(round: Round, weighed: WeighUp, byId: Map<string, Plant>): Plant[] {
  const met = weighed.composition.taxa.flatMap((t) => byId.get(t.taxon) ?? [])
  const harmful = met.filter((p) => p.role === 'toxic')
  const weeds = met.filter((p) => p.role === 'weed' && !round.paddock.sown.includes(p.id))
  return [...harmful, ...weeds].slice(0, MOST)
}
