import type { HarmNote, Plant, Region } from '../../flora/flora.ts'
import type { Composition, Share } from '../../survey/composition.ts'
import { noneFoundUpperBound } from '../../stats/proportionIntervals.ts'
import { BARE, latinOf, letterOf, LITTER, type Taxon } from '../../records/taxon.ts'
import { byHaste } from './kinds.ts'
import { isOfPoisonousGenus } from './poisonousGenera.ts'

/** A harmful plant that was met. */
export interface HarmFound {
  plant: string
  share: Share
  stopsWith: number
  notes: HarmNote[]
}

/** A taxon without a file, or a reader's own plant that says nothing of harm. */
export interface NotJudged {
  taxon: Taxon
  /** Its genus has poisonous kinds. */
  poisonousGenus: boolean
}

/** What may still be there although nothing was met. */
export interface NoneFound {
  /** Highest share of points (0 to 1) if the plant does not grow in clumps. */
  ofPoints: number | undefined
  /** Highest share of places like a stop (0 to 1) that could hold it, for an eye that sees `SEEN_SHARE` of what is there. */
  ofStops: number
}

export interface HarmFindings {
  found: HarmFound[]
  /** Harmful plants at home in this region that were not met: nothing found is never "none there". */
  notFound: string[]
  /** The other harmful plants of the book, rarer here; not met either. */
  rarerHere: string[]
  /** Harmful plants of fence, hedge, ditch and wood in this region, which stops in the sward do not look at; the worst first. */
  alongEdge: string[]
  bound: NoneFound
  /** Feed, turf and other plants that were met and can harm, whatever they are grown for; the most of them first. */
  cautions: HarmFound[]
  /** Letters still without a name: any of them could be harmful. */
  unnamed: string[]
  /** What was met and this book does not describe, so that nothing is said of it: it could harm. */
  notJudged: NotJudged[]
}

/** Share of the plants within a stop that an eye sees: common practice, no source. A plant that stands alone is easily missed. */
export const SEEN_SHARE = 0.8

/** A letter is told of apart; everything else that no file describes is not judged. A file of the book that names no harm was looked into. */
const isNotJudged = (taxon: Taxon, plants: Map<string, Plant>): boolean => {
  if (taxon === BARE || taxon === LITTER || letterOf(taxon) !== undefined) return false
  const plant = plants.get(taxon)
  return plant === undefined || (plant.harm.length === 0 && plant.own === true)
}

/**
 * What of a round could harm stock or people.
 *
 * @param counted whether amounts are points (they bound the share) or cover values (they do not)
 */
export function harmFindings(
  round: Composition,
  plants: Map<string, Plant>,
  counted: 'points' | 'cover',
  region: Region,
): HarmFindings {
  const met = new Map(round.taxa.map((t) => [t.taxon, t]))
  const toxic = [...plants.values()].filter((p) => p.role === 'toxic')
  const notMet = toxic.filter((p) => !met.has(p.id))
  const found = (p: Plant): HarmFound => {
    const { taxon, stopsWith, ...share } = met.get(p.id)!
    return { plant: taxon, share, stopsWith, notes: p.harm }
  }
  const isEdge = (p: Plant) => p.edge !== undefined && p.regions[region] !== undefined
  const atHome = (p: Plant) => p.regions[region] === 'common' || p.regions[region] === 'frequent'
  return {
    found: toxic.filter((p) => met.has(p.id)).map(found),
    notFound: notMet.filter(atHome).map((p) => p.id),
    rarerHere: notMet.filter((p) => !atHome(p) && !isEdge(p)).map((p) => p.id),
    alongEdge: byHaste(notMet.filter(isEdge), region).map((p) => p.id),
    bound: {
      ofPoints: counted === 'points' ? noneFoundUpperBound(round.total) : undefined,
      ofStops: Math.min(1, noneFoundUpperBound(round.stops) / SEEN_SHARE),
    },
    cautions: round.taxa
      .map((t) => plants.get(t.taxon))
      .filter((p): p is Plant => p !== undefined && p.role !== 'toxic' && p.harm.length > 0)
      .map(found)
      .sort((a, b) => b.share.estimate - a.share.estimate),
    unnamed: round.taxa.map((t) => letterOf(t.taxon)).filter((l): l is string => l !== undefined),
    notJudged: round.taxa
      .filter((t) => isNotJudged(t.taxon, plants))
      .map(({ taxon }) => ({
        taxon,
        poisonousGenus: isOfPoisonousGenus(latinOf(taxon) ?? plants.get(taxon)?.scientificName ?? ''),
      })),
  }
}
