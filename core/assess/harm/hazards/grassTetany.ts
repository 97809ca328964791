import { madeNormals } from '../../season/madeNormals.ts'
import { ends, monthOf } from './ranges.ts'
import type { HazardFacts, HazardModule, HazardSays } from './hazard.ts'

/** Potassium over calcium and magnesium, in equivalents, above which tetany is told of: Kemp & 't Hart 1957. */
const RATIO = 2.2
/** Magnesium, % of dry matter, under which it is told of (extension tables, from memory). */
const LEAST_MG_PCT = 0.2
/** Milliequivalents in 100 g of dry matter for each percent: 1000 times valence over atomic weight (K 39.10, Ca 40.08, Mg 24.31). */
const MEQ = { k: 25.58, ca: 49.9, mg: 82.29 } as const
/** Mean temperatures of lush cool growth in which it is told of, degrees Celsius (extension tables, from memory). */
const COOL_C = [4, 14] as const
/** Under this share of legume little calcium and magnesium comes with the grass: common practice, no source. */
const LITTLE_LEGUME = 0.25
const MUCH_NITROGEN = 50
/** From so many signs on it is told as raised: common practice, no source. */
const MANY_SIGNS = 3

/**
 * K / (Ca + Mg) in milliequivalents, from percent of dry matter. Source: Kemp & 't Hart 1957.
 *
 * @throws RangeError calcium and magnesium both 0
 */
export function tetanyRatio({ kPct, caPct, mgPct }: { kPct: number; caPct: number; mgPct: number }): number {
  if (!(caPct + mgPct > 0)) throw new RangeError('calcium and magnesium cannot both be 0')
  return (kPct * MEQ.k) / (caPct * MEQ.ca + mgPct * MEQ.mg)
}

/** Which of the known signs are there: none of them is proof, and all can be wanting in a field that kills. */
function signs(facts: HazardFacts): string[] {
  const { conditions: c, region, on, animal, stage, met } = facts
  const mean = madeNormals[region].meanC[monthOf(on) - 1]!
  const legume = ends(facts.share(met.filter((p) => p.form === 'legume').map((p) => p.id)))
  return [
    ...(mean >= COOL_C[0] && mean <= COOL_C[1] ? ['cool'] : []),
    ...(stage === 'leafy' ? ['lush'] : []),
    ...((c.nitrogenKgPerHa ?? 0) >= MUCH_NITROGEN ? ['nitrogen'] : []),
    ...(c.potash ? ['potash'] : []),
    ...(animal?.milking ? ['milking'] : []),
    ...(legume[1] < LITTLE_LEGUME ? ['little-legume'] : []),
  ]
}

/** Grass tetany of milking stock on lush cool-season grass: the balance of minerals, else the signs. */
export const grassTetany: HazardModule = {
  forms: ['standing'],
  carries: (p) => p.form === 'grass' && p.season === 'cool',
  when: ({ outlook, animal }) => outlook === 'grazing' && animal?.kind !== 'horses',
  read: (facts) => {
    const { lab } = facts
    const { kPct, caPct, mgPct } = lab ?? {}
    const said: HazardSays[] = []
    let passed = false
    if (kPct !== undefined && caPct !== undefined && mgPct !== undefined && caPct + mgPct > 0) {
      const ratio = tetanyRatio({ kPct, caPct, mgPct })
      passed = ratio > RATIO
      said.push({ code: 'tetany-ratio', values: { ratio: Math.round(ratio * 100) / 100, from: RATIO } })
    }
    if (mgPct !== undefined) {
      passed ||= mgPct < LEAST_MG_PCT
      said.push({ code: 'tetany-magnesium', values: { pct: mgPct, least: LEAST_MG_PCT } })
    }
    const seen = signs(facts)
    if (said.length === 0 && seen.length > 0) said.push({ code: 'tetany-signs', values: { signs: seen.join(' ') } })
    return {
      grade: passed ? 'act' : seen.length >= MANY_SIGNS ? 'raised' : 'open',
      says: said,
      tests: ['minerals-k-ca-mg'],
      acts: ['give-magnesium'],
    }
  },
}
