import type { Interval } from '../stats/clusterRatio.ts'

export interface SpeciesPool {
  /** Plants that the whole paddock is estimated to hold, those met included: a lower bound. */
  estimate: number
  se: number
  /** 95 %; never below what was met. */
  interval: Interval
  /** Plants met at one stop only, and at two. */
  once: number
  twice: number
}

/** Two-sided 95 % of a normal distribution. */
const Z = 1.959964

/**
 * How many species there are, those nobody met included, from those met at one or two stops only (Chao 1987, "Chao2",
 * with the factor for few stops). Its variance is that of Chao 1987, its interval log-normal about what is still unseen.
 *
 * @param stopsWith for each species, at how many stops it was met, 1 or more
 * @param stops stops in all
 * @throws RangeError fewer than two stops
 */
export function speciesPool(stopsWith: readonly number[], stops: number): SpeciesPool {
  if (!(stops >= 2)) throw new RangeError('one stop says nothing of what was missed')
  const met = stopsWith.filter((n) => n > 0).length
  const once = stopsWith.filter((n) => n === 1).length
  const twice = stopsWith.filter((n) => n === 2).length
  const few = (stops - 1) / stops
  const unseen = twice > 0 ? (few * once ** 2) / (2 * twice) : (few * once * (once - 1)) / 2
  const estimate = met + unseen
  const r = once / twice
  const variance =
    twice > 0
      ? twice * few * (0.5 + few * (1 + r / 4) * r) * r * r
      : few * (few * ((once * (2 * once - 1) ** 2) / 4 - once ** 4 / estimate / 4) + (once * (once - 1)) / 2)
  const se = Math.sqrt(Math.max(0, variance))
  if (!(unseen > 0)) return { estimate, se, interval: [met, met], once, twice }
  const spread = Math.exp(Z * Math.sqrt(Math.log(1 + variance / unseen ** 2)))
  return { estimate, se, interval: [met + unseen / spread, met + unseen * spread], once, twice }
}
