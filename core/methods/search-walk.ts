import { metresToExclude, plantsPerHectare } from './estimators/searchWalk.ts'
import type { Counted, CountingMethod, SearchFigure } from './method.ts'
import { FRAME_POINTS, pilotOfShare, usual } from './parts.ts'
import { resolved } from './tally.ts'

function searched({ round, named }: Counted): SearchFigure[] {
  const done = round.stops.filter((s) => s.doneAt !== null && s.skipped === null)
  const walkedM = done.reduce((sum, s) => sum + (s.measures.legM ?? 0), 0)
  if (!(walkedM > 0)) return []
  const { stripWidthM: widthM = 4, seenShare = 0.8, targets = [] } = round.settings
  const met = done.flatMap((s) => s.hits.map((h) => ({ taxon: resolved(h.taxon, named), amount: h.amount })))
  return [...new Set([...targets, ...met.map((h) => h.taxon)])].map((taxon) => {
    const found = met.filter((h) => h.taxon === taxon).reduce((sum, h) => sum + h.amount, 0)
    const { perHa, limitsPerHa } = plantsPerHectare({ lengthM: walkedM, widthM, found, seenShare })
    return { taxon, found, perHa, limitsPerHa, walkedM, metresForTen: metresToExclude(10, widthM, seenShare) }
  })
}

/** A strip walked with the eye on harmful plants: how many a hectare there may still be. */
export const searchWalk: CountingMethod = {
  ...usual,
  protocol: 'Search walk for a harmful plant',
  unit: 'leg',
  entry: 'search',
  kit: ['flags', 'gloves', 'sample-bag'],
  minutesEach: 2,
  forHarm: true,
  asks: ['target', 'strip', 'seen-share'],
  defaults: { stripWidthM: 4, seenShare: 0.8, targets: [] },
  fewestPlanned: 20,
  pilot: (_, halfWidth) => pilotOfShare(FRAME_POINTS, halfWidth),
  figures: (counted) => ({ search: searched(counted) }),
}
