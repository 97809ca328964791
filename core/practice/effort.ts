/** Looks at a specimen in the hand, and what each costs: a glance nothing (a head is seen or not there), fingers one, the lens two, the spade four. */
export const lookCosts = {
  turn: 0,
  head: 0,
  sky: 1,
  bend: 1,
  roll: 1,
  cut: 1,
  snap: 1,
  crush: 1,
  lens: 2,
  pull: 4,
} as const
export type PaidLook = keyof typeof lookCosts

/** Effort of the looks that were taken; a look taken twice is paid once. */
export const effortOf = (looks: readonly PaidLook[]): number =>
  [...new Set(looks)].reduce((sum, look) => sum + lookCosts[look], 0)

/** Most that can be spent on one specimen. */
export const MOST_EFFORT = effortOf(Object.keys(lookCosts) as PaidLook[])

/** How much of the points looks may take away. */
const EFFORT_SHARE = 0.2

/**
 * Points of a name given in the field, 0 to 100: how near sureness came to the truth (one less Brier 1950), less up to a
 * fifth for looks. A wrong name said to be certain is worth nothing; a right one, certain, at a glance is worth all.
 *
 * @param sure 0 to 1
 * @param effort of the looks taken, 0 to `MOST_EFFORT`
 */
export function fieldPoints({ right, sure, effort }: { right: boolean; sure: number; effort: number }): number {
  const judged = 1 - (sure - Number(right)) ** 2
  return Math.round(100 * judged * (1 - (right ? (EFFORT_SHARE * Math.min(effort, MOST_EFFORT)) / MOST_EFFORT : 0)))
}
