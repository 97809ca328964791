import type { Estimate } from './mixtureFeed.ts'
import type { AnimalClass } from './needs.ts'

export interface Met {
  what: 'protein' | 'energy'
  needPct: number
  hasPct: Estimate
  /** Share of the draws in which the mixture holds enough, 0 to 1. */
  chance: number
  /** Points short in the middle of the draws; 0 where there is enough. */
  shortPct: number
}

/** Is there enough protein and energy in what is eaten, and how sure is that. */
export function meetsNeeds(
  feed: { cpPct: Estimate; tdnPct: Estimate; draws: { cpPct: number[]; tdnPct: number[] } },
  animal: AnimalClass,
): Met[] {
  const one = (what: Met['what'], needPct: number, hasPct: Estimate, draws: number[]): Met => ({
    what,
    needPct,
    hasPct,
    chance: draws.filter((x) => x >= needPct).length / draws.length,
    shortPct: Math.max(0, needPct - hasPct.middle),
  })
  return [
    one('protein', animal.cpPct, feed.cpPct, feed.draws.cpPct),
    one('energy', animal.tdnPct, feed.tdnPct, feed.draws.tdnPct),
  ]
}
