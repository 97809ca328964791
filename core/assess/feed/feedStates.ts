import type { Feed, FeedRange, Plant } from '../../flora/flora.ts'
import type { SwardStage } from '../../records/measures.ts'
import { forageClassOf, type ForageClass } from './forageClass.ts'

/** How far a plant has grown, as it is fed: cured is dead leaf that stands, or lies and is rained on. */
export const feedStates = ['leafy', 'boot', 'headed', 'ripe', 'cured'] as const
export type FeedState = (typeof feedStates)[number]

/** The state that a growth noted at a stop stands for. */
export const stateNoted: Record<SwardStage, FeedState> = {
  leafy: 'leafy',
  stemmy: 'boot',
  headed: 'headed',
  ripe: 'ripe',
  cured: 'cured',
}

/** What becomes of headed growth: protein is multiplied, points of fibre are added. */
interface Fall {
  cp: number
  adf: number
  ndf: number
}
const RIPE: Fall = { cp: 0.75, adf: 3, ndf: 4 }
/** From memory of tables of standing winter feed: half the protein of headed growth, and fibre near its end. */
const CURED: Record<ForageClass, Fall> = {
  legume: { cp: 0.6, adf: 9, ndf: 10 },
  'cool-grass': { cp: 0.55, adf: 7, ndf: 8 },
  'warm-grass': { cp: 0.6, adf: 5, ndf: 5 },
  forb: { cp: 0.55, adf: 8, ndf: 8 },
  browse: { cp: 0.75, adf: 4, ndf: 4 },
}
/** No dry matter holds more fibre: the rest of it is protein, ash and wax. */
const MOST_NDF = 85
const MOST_ADF = 58

const both = ([low, high]: [number, number], by: (x: number) => number): [number, number] => [by(low), by(high)]

const fallen = (r: FeedRange, fall: Fall): FeedRange => ({
  cp: both(r.cp, (x) => x * fall.cp),
  adf: both(r.adf, (x) => Math.min(MOST_ADF, x + fall.adf)),
  ndf: both(r.ndf, (x) => Math.min(MOST_NDF, x + fall.ndf)),
})

/** Parts of several ranges put together. @param parts weights above 0 */
export function mixedRange(parts: readonly [weight: number, range: FeedRange][]): FeedRange {
  const total = parts.reduce((s, [w]) => s + w, 0)
  const of = (key: keyof FeedRange): [number, number] => {
    const end = (i: 0 | 1) => parts.reduce((s, [w, r]) => s + w * r[key][i], 0) / total
    return [end(0), end(1)]
  }
  return { cp: of('cp'), adf: of('adf'), ndf: of('ndf') }
}

/**
 * Protein and fibre of a plant in a state: from its file where it says so; boot halfway between leafy and headed; ripe and
 * cured by the fall that is usual for its class.
 */
export function feedIn(plant: Pick<Plant, 'form' | 'season'> & { feed: Feed }, state: FeedState): FeedRange {
  const { feed } = plant
  if (state === 'leafy') return feed.leafy
  if (state === 'headed') return feed.stemmy
  if (state === 'boot') return mixedRange([[1, feed.leafy], [1, feed.stemmy]]) // prettier-ignore
  if (state === 'ripe') return feed.ripe ?? fallen(feed.stemmy, RIPE)
  return feed.cured ?? fallen(feed.stemmy, CURED[forageClassOf(plant)])
}

/** States in which a plant may stand in a month, January first: northern, mown or grazed now and then; common practice, no source. */
const months: Record<'cool' | 'warm', readonly (readonly FeedState[])[]> = {
  cool: [
    ['leafy', 'cured'],
    ['leafy', 'cured'],
    ['leafy'],
    ['leafy'],
    ['leafy', 'boot', 'headed'],
    ['boot', 'headed', 'ripe'],
    ['leafy', 'headed', 'ripe'],
    ['leafy', 'ripe', 'cured'],
    ['leafy', 'cured'],
    ['leafy', 'cured'],
    ['leafy', 'cured'],
    ['leafy', 'cured'],
  ],
  warm: [
    ['cured'],
    ['cured'],
    ['cured'],
    ['leafy', 'cured'],
    ['leafy'],
    ['leafy', 'boot'],
    ['leafy', 'boot', 'headed'],
    ['leafy', 'boot', 'headed'],
    ['leafy', 'headed', 'ripe'],
    ['ripe', 'cured'],
    ['cured'],
    ['cured'],
  ],
}

/** @param month 1 to 12 */
export const statesOfMonth = (season: 'cool' | 'warm', month: number): readonly FeedState[] =>
  months[season][month - 1]!
