import type { SpeciesPool } from '@/core/survey/speciesPool.ts'

/** What more stops would find, as far as plants met once or twice can tell. */
export function stillToFind(met: number, { estimate, interval, once, twice }: SpeciesPool): string {
  if (once === 0) return 'No plant was met at one stop only, so few are likely to be still to find.'
  const rare = `${once} ${once === 1 ? 'was' : 'were'} met at one stop only, ${twice} at two`
  if (interval[1] - met < 0.5) return `${rare}: too few to say how many are still to find.`
  return `${rare}: in all there may be ${Math.round(estimate)} or more (${Math.round(interval[0])} to ${Math.round(interval[1])}; Chao 1987).`
}
