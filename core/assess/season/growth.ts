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

/**
 * Growth of a mixture through the year against its best month, by the share of cool and warm season plants.
 *
 * @param normalsC mean temperature of each month, January first
 * @returns twelve values, the highest 1; the same for the cool and the warm share alone, on the same scale
 */
export function seasonCurve(
  normalsC: readonly number[],
  shares: { cool: number; warm: number },
): { mixture: number[]; cool: number[]; warm: number[] } {
  if (normalsC.length !== 12) throw new RangeError('twelve monthly temperatures are needed')
  const cool = normalsC.map((t) => shares.cool * growthAt(t, cardinals.cool))
  const warm = normalsC.map((t) => shares.warm * growthAt(t, cardinals.warm))
  const sum = cool.map((c, i) => c + warm[i]!)
  const top = Math.max(...sum)
  const scaled = (list: number[]) => list.map((x) => (top > 0 ? x / top : 0))
  return { mixture: scaled(sum), cool: scaled(cool), warm: scaled(warm) }
}
