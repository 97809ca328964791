/** Cardinal temperatures of growth, degrees Celsius. */
export interface Cardinal {
  least: number
  best: number
  most: number
}

/** Cool and warm season grasses: best near 18-24 and 27-35 degrees (common practice, no source for the ends). */
export const cardinals: Record<'cool' | 'warm', Cardinal> = {
  cool: { least: 3, best: 21, most: 31 },
  warm: { least: 10, best: 31, most: 42 },
}

/**
 * Growth at a temperature against that at the best one, 0 to 1: the beta function of Yan & Hunt 1999 (Ann. Bot. 84:607).
 *
 *   ((Tmax - T)/(Tmax - Topt)) ((T - Tmin)/(Topt - Tmin))^((Topt - Tmin)/(Tmax - Topt))
 *
 * @throws RangeError temperatures not in order
 */
export function growthAt(celsius: number, { least, best, most }: Cardinal): number {
  if (!(least < best && best < most)) throw new RangeError('least, best and most temperature must rise')
  if (celsius <= least || celsius >= most) return 0
  return ((most - celsius) / (most - best)) * ((celsius - least) / (best - least)) ** ((best - least) / (most - best))
}
