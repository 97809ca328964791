import type { HazardModule, HazardSays } from './hazard.ts'

/**
 * Highest acidity (pH) at which wrapped or ensiled feed of a dry matter keeps: 0.00359 times g of dry matter a kg, and 3.44.
 * Source: Weissbach, from memory.
 *
 * @param dryPct dry matter, % of the feed as it is, 0 to 100
 */
export function keepingPh(dryPct: number): number {
  if (!(dryPct >= 0 && dryPct <= 100)) throw new RangeError('dry matter is 0 to 100 %')
  return 0.00359 * dryPct * 10 + 3.44
}

/** Botulism and listeria of wrapped and ensiled feed: whether it is sour enough for its dry matter. */
export const wrappedForage: HazardModule = {
  forms: ['silage'],
  whole: true,
  when: ({ outlook, conditions: c }) => c.wrapped === true || (outlook === 'hay' && c.wrapped === undefined),
  read: ({ lab, animal }) => {
    const { ph, dryPct } = lab ?? {}
    const most = dryPct === undefined ? undefined : keepingPh(dryPct)
    const measured = ph !== undefined && most !== undefined
    const says: HazardSays[] = [
      measured
        ? { code: 'wrapped-acid', values: { ph, most: Math.round(most * 100) / 100, dry: dryPct! } }
        : { code: 'wrapped-not-measured' },
      ...(animal === undefined || animal.kind === 'horses' ? [{ code: 'wrapped-horses' as const }] : []),
    ]
    return {
      grade: measured && ph > most ? 'act' : 'open',
      says,
      tests: ['acidity-and-dry-matter'],
      acts: animal?.kind === 'horses' ? ['no-wrapped-to-horses', 'no-opened-bale'] : ['no-opened-bale'],
    }
  },
}
