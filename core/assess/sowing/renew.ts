import type { Share } from '../../survey/composition.ts'

export type Renewal = 'manage' | 'overseed' | 'renew'

/** Shares of desirable plants from which a sward is kept as it is, and under which it is sown anew (Undersander & Cosgrove, from memory). */
const KEEP = 0.6
const RENEW = 0.3

const at = (share: number): Renewal => (share >= KEEP ? 'manage' : share >= RENEW ? 'overseed' : 'renew')

export interface RenewalSays {
  likely: Renewal
  /** What the ends of the interval would say; one where both say the same. */
  between: Renewal[]
}

/** Manage, overseed or sow anew, by the share of plants that are wanted. */
export function renewal({ estimate, interval }: Share): RenewalSays {
  const [low, high] = interval ?? [estimate, estimate]
  return { likely: at(estimate), between: [...new Set([at(low), at(high)])] }
}

export interface RenewalMoney {
  /** Money a hectare and year. */
  cost: number
  gain: number
  worth: 'pays' | 'does-not-pay'
  /** Gain in dry matter that would just pay, kg a hectare and year. */
  evenKgPerHa: number
}

/**
 * What sowing costs a year against what it brings: C i / (1 - (1 + i)^-n), over the chance that it takes.
 *
 * @param of.cost money a hectare, once
 * @param of.years it lasts
 * @param of.interest 0 to 1 a year
 * @param of.fails chance that it fails, 0 to under 1
 * @param of.gainKgPerHa dry matter more in a year that is eaten
 * @param of.price money a kilogram of it
 */
export function renewalMoney(of: {
  cost: number
  years: number
  interest: number
  fails: number
  gainKgPerHa: number
  price: number
}): RenewalMoney {
  const { cost, years, interest, fails, gainKgPerHa, price } = of
  if (!(cost >= 0 && years >= 1 && interest >= 0 && fails >= 0 && fails < 1 && price > 0))
    throw new RangeError('a cost, a year or more, an interest, a chance under 1 and a price are needed')
  const once = interest > 0 ? (cost * interest) / (1 - (1 + interest) ** -years) : cost / years
  const yearly = once / (1 - fails)
  const gain = gainKgPerHa * price
  return { cost: yearly, gain, worth: gain > yearly ? 'pays' : 'does-not-pay', evenKgPerHa: yearly / price }
}

export type StemStand = 'full' | 'falling' | 'replace'

const M2_PER_FT2 = 0.09290304

/** Alfalfa by stems: above 55 a square foot full, under 40 to be replaced (Undersander & Cosgrove, from memory). @param perM2 stems a square metre */
export function stemStand(perM2: number): StemStand {
  if (!(perM2 >= 0)) throw new RangeError(`stems are 0 or more: ${perM2}`)
  const perFt2 = perM2 * M2_PER_FT2
  return perFt2 > 55 ? 'full' : perFt2 >= 40 ? 'falling' : 'replace'
}
