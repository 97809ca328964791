import { daysBetween, ends, pct } from './ranges.ts'
import type { HazardFacts, HazardModule, HazardSays, Range } from './hazard.ts'

/** Days after a frost in which bloat is told of more often (Majak et al. 2003, from memory). */
const FROST_DAYS = 3
/** Share of a plant with tannin from which on it is told to lower bloat (McMahon et al. 1999, from memory: a quarter to a third). */
const TANNIN_SHARE = 0.25

/** How strong the danger is, 1 to 4. There is no 0. */
export type BloatLevel = 1 | 2 | 3 | 4

/**
 * The danger of frothy bloat by the share of legumes that cause it: under a third, to a half, above; one step more where they are
 * leafy, and where dew, rain or frost was on them; one less beside a plant with tannin, never below 1. The thirds are common
 * practice; what raises and lowers it Majak et al. 2003 and McMahon et al. 1999, from memory.
 *
 * @param share of bloating legumes in what is eaten, 0 to 1
 */
export function bloatLevel(share: number, raisedBy: number, lowered: boolean): BloatLevel {
  const byShare = share > 1 / 2 ? 3 : share >= 1 / 3 ? 2 : 1
  return Math.min(4, Math.max(1, byShare + raisedBy - (lowered ? 1 : 0))) as BloatLevel
}

/** Share of the legumes, each weighted by how readily it is told to bloat against alfalfa. */
function weighted(facts: HazardFacts, amounts: Record<string, Range>, carriers: string[]): Range {
  const all = ends(facts.share(carriers))
  const parts = carriers.map((id) => ({ share: facts.middle([id]), weight: amounts[id] ?? ([1, 1] as const) }))
  const sum = parts.reduce((a, p) => a + p.share, 0)
  if (sum === 0) return all
  const mean = (of: 0 | 1) => parts.reduce((a, p) => a + p.share * p.weight[of], 0) / sum
  return [all[0] * mean(0), all[1] * mean(1)]
}

/** Frothy bloat, graded. */
export const bloat: HazardModule = {
  forms: ['standing'],
  read: (facts, hazard, carriers) => {
    const { conditions: c, on, stage } = facts
    const share = weighted(facts, hazard.amounts ?? {}, carriers)
    const frosted =
      c.frostOn !== undefined && daysBetween(c.frostOn, on) >= 0 && daysBetween(c.frostOn, on) <= FROST_DAYS
    const raising: HazardSays[] = [
      ...(stage === 'leafy' ? [{ code: 'bloat-leafy' as const }] : []),
      ...(c.wet ? [{ code: 'bloat-wet' as const }] : []),
      ...(frosted ? [{ code: 'bloat-frost' as const }] : []),
    ]
    const tannin = facts.share(hazard.lowers ?? [])
    const lowered = tannin.interval !== undefined && tannin.interval[0] >= TANNIN_SHARE
    const level = (s: number) => bloatLevel(s, raising.length, lowered)
    const [low, high] = [level(share[0]), level(share[1])]
    return {
      grade: high >= 3 ? 'act' : high === 2 || raising.length > 0 ? 'raised' : 'open',
      says: [
        { code: 'bloat-share', values: { low: pct(share[0]), high: pct(share[1]), from: low, to: high } },
        ...raising,
        ...(lowered ? [{ code: 'bloat-lowered' as const, values: { pct: pct(tannin.estimate) } }] : []),
      ],
      tests: [],
      acts: high >= 2 ? ['hay-first', 'never-off-and-on', 'ask-poloxalene'] : ['hay-first', 'never-off-and-on'],
    }
  },
}
