import { quantileSorted } from 'd3-array'
import { intakePct } from './intake.ts'
import type { Estimate, FeedDraws } from './mixtureFeed.ts'
import { dailyNeeds, type AnimalClass, type EnergyUnit } from './needs.ts'

export interface Met {
  what: 'protein' | 'energy'
  unit: 'kg' | EnergyUnit
  /** What one animal needs in a day, and what it takes in with what it eats. */
  need: number
  has: Estimate
  /** Share of the draws in which it takes in enough, 0 to 1. */
  chance: number
  /** Short in a day in the middle of the draws; 0 where there is enough. */
  short: number
}

/** Something about the feed as a whole that no single figure says. */
export type FeedNote = 'protein-first' | 'fills-before-it-feeds' | 'more-than-needed'

export interface NeedsMet {
  met: [protein: Met, energy: Met]
  /** Dry matter eaten in a day, kg. */
  eatsKg: Estimate
  notes: FeedNote[]
}

/** More energy than this of what is needed makes an animal that does nothing fat. Common practice, no source. */
const TOO_MUCH = 1.3
/** From here up the rumen lacks protein to digest with (Moore et al. 1999), and under that share of protein alone. */
const TDN_PER_PROTEIN = 7
const LEAST_PROTEIN = 7.5

function summary(draws: number[]): Estimate {
  // As numbers, which sorts in a tenth of the time that a comparison takes.
  const sorted = Array.from(Float64Array.from(draws).sort())
  const at = (p: number) => quantileSorted(sorted, p)!
  return { middle: at(0.5), low: at(0.025), high: at(0.975) }
}

/** Steps in which the wish to eat goes through its range, so that the answer is the same each time. */
const STEPS = 20
const wish = ([low, high]: readonly [number, number], i: number) => low + ((high - low) * ((i % STEPS) + 0.5)) / STEPS

/**
 * Does an animal take in enough protein and energy, and how sure is that: what it eats in a day of this feed, in each
 * draw, against what it needs.
 *
 * @param feed draws of protein, fibre and energy that belong together
 */
export function meetsNeeds({ draws }: { draws: FeedDraws }, animal: AnimalClass): NeedsMet {
  const need = dailyNeeds(animal)
  const eats = draws.cpPct.map((cp, i) => {
    const wanted = wish(animal.intakePct, i)
    return (intakePct(animal.kind, wanted, { cp, ndf: draws.ndfPct[i]! }) / 100) * animal.bodyKg
  })
  const energyOf = (i: number) => (need.unit === 'mcal-de' ? draws.horseDe[i]! : draws.tdnPct[i]! / 100)
  const one = (what: Met['what'], unit: Met['unit'], least: number, per: (i: number) => number): Met => {
    const taken = eats.map((kg, i) => kg * per(i))
    const has = summary(taken)
    const chance = taken.filter((x) => x >= least).length / taken.length
    return { what, unit, need: least, has, chance, short: Math.max(0, least - has.middle) }
  }
  const protein = one('protein', 'kg', need.proteinKg, (i) => draws.cpPct[i]! / 100)
  const energy = one('energy', need.unit, need.energy, energyOf)
  const eatsKg = summary(eats)
  const [cp, tdn] = [summary(draws.cpPct).middle, summary(draws.tdnPct).middle]
  const ruminant = animal.kind !== 'horses'
  const idle = !animal.milking && !animal.inYoung && animal.gainKg === undefined
  const notes: FeedNote[] = [
    ...(ruminant && (cp < LEAST_PROTEIN || tdn / cp > TDN_PER_PROTEIN) ? ['protein-first' as const] : []),
    ...(eatsKg.middle < 0.95 * need.eatsKg ? ['fills-before-it-feeds' as const] : []),
    ...(idle && energy.has.middle > TOO_MUCH * energy.need ? ['more-than-needed' as const] : []),
  ]
  return { met: [protein, energy], eatsKg, notes }
}

/**
 * What a herd lacks over its stay, in the unit of the need, at the middle of what is eaten; the range is that of the sward.
 *
 * @throws RangeError no animals, or no days
 */
export function shortOver(met: Met, count: number, days: number): Estimate {
  if (!(count > 0 && days >= 0)) throw new RangeError('a herd and a stay are needed')
  const short = (has: number) => Math.max(0, met.need - has) * count * days
  return { low: short(met.has.high), middle: short(met.has.middle), high: short(met.has.low) }
}
