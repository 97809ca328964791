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

/**
 * What a herd lacks of protein or of TDN over its stay, kilograms, at the middle of the intake of its class; the range is
 * that of the sward.
 *
 * @throws RangeError no animals, or no days
 */
export function shortOver(met: Met, animal: AnimalClass, count: number, days: number): Estimate {
  if (!(count > 0 && days >= 0)) throw new RangeError('a herd and a stay are needed')
  const eatenKg = ((animal.intakePct[0] + animal.intakePct[1]) / 200) * animal.bodyKg * count * days
  const short = (has: number) => (Math.max(0, met.needPct - has) / 100) * eatenKg
  return { low: short(met.hasPct.high), middle: short(met.hasPct.middle), high: short(met.hasPct.low) }
}
