import type { SpeciesPool } from '@/core/survey/speciesPool.ts'
import { say } from '../../language/say.ts'

/** What more stops would find, as far as plants met once or twice can tell. */
export function stillToFind(met: number, { estimate, interval, once, twice }: SpeciesPool): string {
  if (once === 0) return say('No plant was met at one stop only, so few are likely to be still to find.')
  const rare = say('{{count}} were met at one stop only, {{twice}} at two', { count: once, twice })
  if (interval[1] - met < 0.5) return say('{{rare}}: too few to say how many are still to find.', { rare })
  return say(
    '{{rare}}: at the least about {{estimate}} in all; that lower bound itself is known from {{interval}} to {{interval2}} (Chao 1987).',
    {
      rare,
      estimate: Math.round(estimate),
      interval: Math.round(interval[0]),
      interval2: Math.round(interval[1]),
    },
  )
}
