import type { Plant } from '../flora/flora.ts'
import type { Round } from '../records/round.ts'
import { classOfTaxon, type PictureClass } from './classes.ts'
import { roundShares, type PictureShare, type PicturedFrame } from './differenceEstimate.ts'

/** The shares of a round of pictured frames by points alone and with their maps; undefined where no frame was mapped. */
export function picturedRound(
  round: Pick<Round, 'stops'>,
  plants: Map<string, Plant>,
): { frames: number; shares: PictureShare[] } | undefined {
  // prettier-ignore
  const frames = round.stops.flatMap(({ hits, measures: { picture }, skipped }): PicturedFrame[] => {
    const n = Math.min(hits.length, picture?.mapped.length ?? 0)
    if (!picture || skipped !== null || n === 0) return []
    const points = hits.slice(0, n).map((h, i) => ({
      named: classOfTaxon(h.taxon, plants),
      mapped: picture.mapped[i] as PictureClass,
    }))
    return [{ points, map: picture.map as Record<PictureClass, number> }]
  })
  return frames.length === 0 ? undefined : { frames: frames.length, shares: roundShares(frames) }
}
