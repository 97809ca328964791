import type { Plant } from '@/core/flora/flora.ts'
import { resolved } from '@/core/methods/tally.ts'
import type { Round, Stop } from '@/core/records/round.ts'
import { resolvedUnknowns } from '@/core/survey/figures.ts'

/** Stops at which a harmful plant was counted, letters under their later name. */
export function harmfulStops(round: Round, byId: Map<string, Plant>): ReadonlySet<number> {
  const named = resolvedUnknowns(round)
  const harms = (s: Stop) => s.hits.some((h) => byId.get(resolved(h.taxon, named))?.role === 'toxic')
  return new Set(round.stops.filter(harms).map((s) => s.seq))
}
