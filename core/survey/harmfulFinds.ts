import type { Plant } from '../flora/flora.ts'
import type { Position } from '../geo/route.ts'
import { resolved } from '../methods/tally.ts'
import type { Round } from '../records/round.ts'
import { resolvedUnknowns } from './figures.ts'

/** A stop at which something harmful was met, counted or seen beside it. */
export interface HarmfulFind {
  round: string
  /** Year of the round. */
  year: number
  seq: number
  position: Position
  /** Ids of the harmful plants met there. */
  plants: string[]
}

/**
 * Where harmful plants were met over the years, the latest first; unknowns that were named later count under their name.
 * Stops without a position are left out: they say that, not where. What was not met is not in it, and not excluded by it.
 *
 * @param plants the book, by id
 */
export function harmfulFinds(rounds: readonly Round[], plants: ReadonlyMap<string, Plant>): HarmfulFind[] {
  const finds = rounds.flatMap((round) => {
    const named = resolvedUnknowns(round)
    const year = Number(round.plannedOn.slice(0, 4))
    return round.stops.flatMap((stop): HarmfulFind[] => {
      if (!stop.position) return []
      const met = [...stop.hits.map((h) => resolved(h.taxon, named)), ...(stop.measures.near ?? [])]
      const harmful = [...new Set(met)].filter((t) => plants.get(t)?.role === 'toxic').sort()
      return harmful.length > 0
        ? [{ round: round.id, year, seq: stop.seq, position: stop.position, plants: harmful }]
        : []
    })
  })
  return finds.sort((a, b) => b.year - a.year || a.seq - b.seq)
}
