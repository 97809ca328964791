import { eyeRange, metresToExclude, searchLimits } from './estimators/searchWalk.ts'
import type { Counted, CountingMethod, SearchFigure } from './method.ts'
import { FRAME_POINTS, pilotOfShare, usual } from './parts.ts'
import { resolved, type ResolvedUnknowns } from './tally.ts'
import type { RoundSettings } from '../records/measures.ts'
import { FENCE, type Stop } from '../records/round.ts'

/** Legs inside and legs along the fence, each by itself: a strip of the edge says nothing of the ground within, nor this of it. */
function searched({ round, named }: Counted): SearchFigure[] {
  const done = round.stops.filter((s) => s.doneAt !== null && s.skipped === null)
  const [fence, inside] = [done.filter((s) => s.stratum === FENCE), done.filter((s) => s.stratum !== FENCE)]
  // What was found on legs of which none has a length must not drop out with them.
  const long = (legs: Stop[]) => legs.length === 0 || legs.some((s) => (s.measures.legM ?? 0) > 0)
  if (!long(fence) || !long(inside)) return searchedOn(done, round.settings, named)
  return [
    ...searchedOn(inside, round.settings, named),
    ...searchedOn(fence, round.settings, named).map((f) => ({ ...f, fence: true as const })),
  ]
}

function searchedOn(done: Stop[], settings: RoundSettings, named: ResolvedUnknowns): SearchFigure[] {
  const legs = done.filter((s) => (s.measures.legM ?? 0) > 0)
  const walkedM = legs.reduce((sum, s) => sum + s.measures.legM!, 0)
  if (!(walkedM > 0)) return []
  const { stripWidthM: widthM = 4, seenShare: judged = 0.8, targets = [], flagsPlanted, flagsSeen } = settings
  const eye = eyeRange(judged, flagsPlanted && flagsSeen ? { planted: flagsPlanted, seen: flagsSeen } : undefined)
  const met = done.flatMap((s) => s.hits.map((h) => resolved(h.taxon, named)))
  return [...new Set([...targets, ...met])].map((taxon) => {
    const foundAt = (s: Stop) =>
      s.hits.filter((h) => resolved(h.taxon, named) === taxon).reduce((sum, h) => sum + h.amount, 0)
    const counts = legs.map((s) => ({ lengthM: s.measures.legM!, found: foundAt(s) }))
    const found = done.reduce((sum, s) => sum + foundAt(s), 0)
    // What was found on a leg without a length was found all the same: it counts with the first that has one.
    counts[0]!.found += found - counts.reduce((sum, l) => sum + l.found, 0)
    const limits = searchLimits(counts, widthM, { judged, range: eye })
    return { taxon, found, ...limits, eye, walkedM, metresForTen: metresToExclude(10, widthM, eye[0]) }
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
  asks: ['target', 'strip', 'seen-share', 'flags'],
  defaults: { stripWidthM: 4, seenShare: 0.8, targets: [] },
  fewestPlanned: 20,
  pilot: (_, halfWidth) => pilotOfShare(FRAME_POINTS, halfWidth),
  figures: (counted) => ({ search: searched(counted) }),
}
