import type { Estimate } from './mixtureFeed.ts'
import type { ForageClass } from './forageClass.ts'

/** Names by which hay is sold: legume hay by relative feed value, grass hay by protein. */
export const hayDesignations = ['supreme', 'premium', 'good', 'fair', 'utility'] as const
export type HayDesignation = (typeof hayDesignations)[number]

/** From here up a mixture is sold as legume hay. Common practice, no source. */
const LEGUME_HAY = 0.5

export interface Designated {
  by: 'relative-feed-value' | 'protein'
  best: HayDesignation
  likely: HayDesignation
  worst: HayDesignation
}

/** Relative feed value of legume hay, and protein of grass hay, above which each name stands (market news of the US Department of Agriculture, from memory). */
const LEGUME: readonly [above: number, HayDesignation][] = [[185, 'supreme'], [170, 'premium'], [150, 'good'], [130, 'fair']] // prettier-ignore
const GRASS: readonly [above: number, HayDesignation][] = [[13, 'premium'], [9, 'good'], [5, 'fair']] // prettier-ignore

const named = (scale: typeof LEGUME, value: number) => scale.find(([above]) => value > above)?.[1] ?? 'utility'

/** How hay of such feed would be called, from the worse end of its range to the better. */
export function hayDesignation({ rfv, cpPct, legume }: { rfv: Estimate; cpPct: Estimate; legume: number }): Designated {
  const [by, scale, of] =
    legume >= LEGUME_HAY ? (['relative-feed-value', LEGUME, rfv] as const) : (['protein', GRASS, cpPct] as const)
  return { by, best: named(scale, of.high), likely: named(scale, of.middle), worst: named(scale, of.low) }
}

/** What cutting, drying and baling cost: points of relative feed value, and of protein where leaf is lost (practice of alfalfa growers, from memory). */
const RFV_LOST = [15, 25] as const
const CP_LOST: Partial<Record<ForageClass, readonly [number, number]>> = { legume: [1, 3] }
const CP_LOST_ELSE = [0.5, 1.5] as const

/** The hay that a standing sward would make: its better end loses least. */
export function asHay(
  standing: { rfv: Estimate; cpPct: Estimate },
  legume: number,
): { rfv: Estimate; cpPct: Estimate } {
  const [least, most] = legume >= LEGUME_HAY ? CP_LOST.legume! : CP_LOST_ELSE
  const lessen = (e: Estimate, [few, many]: readonly [number, number]): Estimate => ({
    low: Math.max(0, e.low - many),
    middle: Math.max(0, e.middle - (few + many) / 2),
    high: Math.max(0, e.high - few),
  })
  return { rfv: lessen(standing.rfv, RFV_LOST), cpPct: lessen(standing.cpPct, [least, most]) }
}

export const bales = ['small-square', 'round', 'large-square'] as const
export type Bale = (typeof bales)[number]

/** Water in hay at which it is baled without a preservative, % (extension tables, from memory). */
export const baleAtPct: Record<Bale, readonly [number, number]> = {
  'small-square': [18, 20],
  round: [15, 18],
  'large-square': [14, 16],
}

export type HeatCode = 'watch' | 'move-apart' | 'fire-service'

/** What the temperature inside a stack means, from each step up, degrees Celsius (extension tables, from memory). */
export const heatSteps: readonly { from: number; code: HeatCode }[] = [
  { from: 55, code: 'watch' },
  { from: 65, code: 'move-apart' },
  { from: 80, code: 'fire-service' },
]

/** The step that a temperature has reached; undefined below the first. */
export function heating(celsius: number): HeatCode | undefined {
  if (!(celsius > -40 && celsius < 400)) throw new RangeError(`no temperature of a stack: ${celsius}`)
  return heatSteps.findLast((s) => celsius >= s.from)?.code
}

export interface Feedstuff {
  cpPct: number
  tdnPct: number
  /** Money for a tonne of its dry matter. */
  price: number
}

/**
 * What a tonne of dry matter of hay is worth as feed, by the prices of protein and of energy that two other feeds imply:
 * the two-feed substitution of Petersen 1932.
 *
 * @throws RangeError feeds that say the same of both
 */
export function hayValue(hay: Omit<Feedstuff, 'price'>, energyFeed: Feedstuff, proteinFeed: Feedstuff): number {
  const det = energyFeed.cpPct * proteinFeed.tdnPct - proteinFeed.cpPct * energyFeed.tdnPct
  if (Math.abs(det) < 1e-9) throw new RangeError('the two feeds must differ in protein against energy')
  const perCp = (energyFeed.price * proteinFeed.tdnPct - proteinFeed.price * energyFeed.tdnPct) / det
  const perTdn = (energyFeed.cpPct * proteinFeed.price - proteinFeed.cpPct * energyFeed.price) / det
  return hay.cpPct * perCp + hay.tdnPct * perTdn
}

/** Maize grain and soybean meal, % of dry matter (feed tables, from memory): the two that prices are mostly known of. */
export const usualFeeds = { grain: { cpPct: 9, tdnPct: 88 }, meal: { cpPct: 50, tdnPct: 84 } } as const
