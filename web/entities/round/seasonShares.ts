import type { Composition } from '@/core/survey/composition.ts'

/** Shares of plants that grow in the cool and in the warm, of all that were counted with a season. */
export function seasonShares(made: Composition, season: (taxon: string) => 'cool' | 'warm' | undefined) {
  let [cool, warm] = [0, 0]
  for (const t of made.taxa) {
    const s = season(t.taxon)
    if (s === 'cool') cool += t.estimate
    else if (s === 'warm') warm += t.estimate
  }
  const all = cool + warm
  return all > 0 ? { cool: cool / all, warm: warm / all } : undefined
}
