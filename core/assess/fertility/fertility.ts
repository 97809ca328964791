/** What a sward brings to the ground, what is carried off it, and what weeds cost. */

const check = (share: number, what: string) => {
  if (!(share >= 0 && share <= 1)) throw new RangeError(`${what} is 0 to 1: ${share}`)
}

/**
 * Nitrogen that legumes bring in a year, kilograms a hectare: 20 to 40 kg for each tonne of legume dry matter (range of
 * field measurements gathered by Carlsson & Huss-Danell 2003, from memory).
 *
 * @param yieldKgPerHaYear dry matter of the whole sward in a year, measured
 */
export function nitrogenFixedKgPerHa(legumeShare: number, yieldKgPerHaYear: number): readonly [number, number] {
  check(legumeShare, 'a share')
  const tonnes = (legumeShare * yieldKgPerHaYear) / 1000
  return [20 * tonnes, 40 * tonnes]
}

/** Share of that nitrogen which reaches the grass in the first year (from memory). */
export const REACHES_GRASS = [0.1, 0.3] as const

/** Legume share from which grass asks for no nitrogen of a bag: common practice, no source. */
export const FEEDS_ITSELF = 0.3
/** Dry matter that a kilogram of nitrogen makes on a grass sward, kg, falling with the rate (from memory). */
export const KG_PER_KG_N = [15, 25] as const

/** Phosphate and potash in a tonne of hay dry matter, kg (tables of removal, from memory). */
const OFFTAKE = { legume: { p2o5: 7, k2o: 28 }, grass: { p2o5: 6, k2o: 25 } } as const

/** What is carried off with hay, kilograms a hectare. */
export function hayOfftake(tonnesPerHa: number, legumeShare: number): { p2o5: number; k2o: number } {
  check(legumeShare, 'a share')
  if (!(tonnesPerHa >= 0)) throw new RangeError(`a yield is 0 or more: ${tonnesPerHa}`)
  const mean = (key: 'p2o5' | 'k2o') =>
    tonnesPerHa * (legumeShare * OFFTAKE.legume[key] + (1 - legumeShare) * OFFTAKE.grass[key])
  return { p2o5: mean('p2o5'), k2o: mean('k2o') }
}

/**
 * Share of a yield that weeds take: the hyperbola of Cousens 1985, YL = i D / (1 + i D / a).
 *
 * @param density weeds, in the unit of `i`
 * @param i share of yield lost to each as their number goes to none
 * @param a share lost to very many, above 0 and at most 1
 */
export function yieldLoss(density: number, i: number, a: number): number {
  if (!(density >= 0 && i >= 0 && a > 0 && a <= 1))
    throw new RangeError('density and i are 0 or more, a is above 0 to 1')
  return (i * density) / (1 + (i * density) / a)
}

/** Forage lost for each kilogram of weed that stands, kg (Grekul & Bork 2004, from memory). */
export const LOST_PER_WEED_KG = [1, 2] as const

export interface WeedCost {
  /** Forage lost in a year, kg a hectare. */
  lostKgPerHa: readonly [number, number]
  /** Money lost over the years, a hectare. */
  loss: readonly [number, number]
  /** What control must save to pay: its cost over the share of weeds it takes out. */
  needed: number
  verdict: 'pays' | 'does-not-pay' | 'either-way'
}

/**
 * Whether control pays: what the weed's forage would be worth over the years that control holds, against its cost.
 *
 * @param weedKgPerHa dry matter of the weed
 * @param price money for a kilogram of forage dry matter that is eaten
 * @param kill share of the weed that control takes out, above 0 to 1
 */
export function weedCost(of: {
  weedKgPerHa: number
  price: number
  years: number
  cost: number
  kill: number
}): WeedCost {
  check(of.kill, 'what is killed')
  if (!(of.kill > 0 && of.years > 0)) throw new RangeError('control kills something, for some years')
  const lost = LOST_PER_WEED_KG.map((k) => k * of.weedKgPerHa) as [number, number]
  const loss = lost.map((kg) => kg * of.price * of.years) as [number, number]
  const needed = of.cost / of.kill
  return {
    lostKgPerHa: lost,
    loss,
    needed,
    verdict: loss[0] > needed ? 'pays' : loss[1] < needed ? 'does-not-pay' : 'either-way',
  }
}
