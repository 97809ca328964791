import type { HarmNote, Plant, Region } from '../../flora/flora.ts'
import type { Composition, Share } from '../../survey/composition.ts'
import { noneFoundUpperBound } from '../../stats/proportionIntervals.ts'
import { BARE, latinOf, letterOf, LITTER, type Taxon } from '../../records/taxon.ts'
import { USUAL_EYE } from '../../methods/estimators/searchWalk.ts'
import { byHaste } from './acuteness.ts'
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
  /**
   * Share of the ground (0 to 1) that it covers at most, by points: where it stands evenly, and however clumped it stands
   * (P(no hit at a stop) is at most 1 less the mean share). Undefined where whole frames were looked through.
   */
  ground: { even: number; clumped: number } | undefined
  /**
   * Share of places (0 to 1) that hold it at most: frames that were looked through, or stops with the ground round them
   * looked over. Undefined where only points were counted: they do not say at how many places a plant stands.
   */
  places: { upTo: number; looked: number } | undefined
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
  /** Stops that were counted along the fence; 0: it was not walked. */
  edgeStops: number
  /** Feed, turf and other plants that were met and can harm, whatever they are grown for; the most of them first. */
  cautions: HarmFound[]
  /** Letters still without a name: any of them could be harmful. */
  unnamed: string[]
  /** What was met and this book does not describe, so that nothing is said of it: it could harm. */
  notJudged: NotJudged[]
}

/** The least share of the plants round a stop that an eye sees: a bound goes by it. The usual eye sees 6 to 9 in 10: common practice, no source. */
export const LEAST_SEEN = USUAL_EYE[0]

/** Share of a plant that was seen and never hit. */
const seenNear = (upTo: number): Share => ({
  ...{ estimate: 0, interval: [0, upTo], se: undefined, designEffect: undefined, method: 'exact' },
})

/** What nothing met leaves open. @param looked frames looked through, or stops looked round */
export function noneFound(points: number | undefined, stops: number, looked: number): NoneFound {
  const bound = noneFoundUpperBound
  return {
    ground: points === undefined ? undefined : { even: bound(points), clumped: bound(stops) },
    places: looked === 0 ? undefined : { upTo: Math.min(1, bound(looked) / LEAST_SEEN), looked },
  }
}

/** What was looked over beside the counting. */
export interface Walked {
  /** Stops round which the ground was looked over. */
  searched?: number
  /** Stops counted along the fence. */
  edgeStops?: number
  /** Plants seen near stops, each with the number of those stops. */
  near?: ReadonlyMap<string, number>
}

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
 * @param walk what was looked over beside the counting
 */
export function harmFindings(
  round: Composition,
  plants: Map<string, Plant>,
  counted: 'points' | 'cover',
  region: Region,
  walk: Walked = {},
): HarmFindings {
  const none = { even: noneFoundUpperBound(round.total), clumped: noneFoundUpperBound(round.stops) }
  const met = new Map<string, Share & { stopsWith: number }>(round.taxa.map((t) => [t.taxon, t]))
  // Seen beside the points and never under one: it is there, and how much of it the points bound from above only.
  for (const [plant, stopsWith] of walk.near ?? [])
    if (!met.has(plant)) met.set(plant, { ...seenNear(none.clumped), stopsWith })
  const toxic = [...plants.values()].filter((p) => p.role === 'toxic')
  const notMet = toxic.filter((p) => !met.has(p.id))
  const found = (p: Plant): HarmFound => {
    const { estimate, interval, se, designEffect, method, stopsWith } = met.get(p.id)!
    return { plant: p.id, share: { estimate, interval, se, designEffect, method }, stopsWith, notes: p.harm }
  }
  const isEdge = (p: Plant) => p.edge !== undefined && p.regions[region] !== undefined
  const atHome = (p: Plant) => p.regions[region] === 'common' || p.regions[region] === 'frequent'
  return {
    found: toxic.filter((p) => met.has(p.id)).map(found),
    notFound: notMet.filter(atHome).map((p) => p.id),
    rarerHere: notMet.filter((p) => !atHome(p) && !isEdge(p)).map((p) => p.id),
    alongEdge: byHaste(notMet.filter(isEdge), region).map((p) => p.id),
    bound:
      counted === 'points'
        ? noneFound(round.total, round.stops, walk.searched ?? 0)
        : noneFound(undefined, round.stops, round.stops),
    edgeStops: walk.edgeStops ?? 0,
    cautions: [...met.keys()]
      .map((taxon) => plants.get(taxon))
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
