import type { Hit } from '../records/hit.ts'
import type { Round, Stop } from '../records/round.ts'
import { braunBlanquet, sixClasses } from './coverClasses.ts'
import { DRY_WEIGHT_MULTIPLIERS, sharesOfFrame } from './dryWeightRank.ts'
import { isComposition } from './methods.ts'
import { areaHa } from '../geo/route.ts'
import type { Design } from './composition.ts'
import type { FrameValues } from '../stats/likelihoodInterval.ts'
import type { StopTally } from './tally.ts'

/** What was recorded, as amounts that add up: ranks become shares of weight, a plant twice on one pin counts once. */
function additive(round: Round, stop: Stop, weighed: boolean): Hit[] {
  if (round.method === 'layer-points') {
    const seen = new Set<string>()
    return stop.hits.filter((h) => {
      const key = `${h.part} ${h.taxon}`
      return !seen.has(key) && seen.add(key)
    })
  }
  if (round.method !== 'dry-weight-rank') return stop.hits
  const ranks = Object.fromEntries(stop.hits.map((h) => [h.taxon, h.amount]))
  const frameYield = weighed ? stop.measures.frameYield! : 1
  const shares = sharesOfFrame({ ranks }, round.settings.few ?? 'first-takes-third')
  return [...shares].filter(([, share]) => share > 0).map(([taxon, share]) => ({ taxon, amount: share * frameYield }))
}

/** The stops of a round as amounts that add up to a sward; none for a method whose figures do not. */
export function countedStops(round: Round): StopTally[] {
  if (!isComposition(round.method)) return []
  const ranked = round.stops.filter((s) => s.hits.length > 0)
  const weighed = ranked.length > 0 && ranked.every((s) => (s.measures.frameYield ?? 0) > 0)
  return round.stops
    .filter((s) => s.skipped === null)
    .map((s) => ({ seq: s.seq, hits: additive(round, s, weighed), stratum: s.stratum }))
}

/** What a plant can amount to in a frame of a round; undefined for methods that count or weigh. */
function frameValuesOf({ method, settings }: Round): FrameValues | undefined {
  if (method === 'dry-weight-rank') return { values: [0, ...[...DRY_WEIGHT_MULTIPLIERS].reverse()], relative: true }
  if (method !== 'cover-classes') return undefined
  const scale = settings.scale === 'braun-blanquet' ? braunBlanquet : sixClasses
  return { values: [0, ...scale.map((c) => c.midPercent)], relative: false }
}

/** How the stops lie in the paddock, and what can be met at one: sizes of its parts, frames it would hold, classes. */
export function designOf(round: Round): Design {
  const frameValues = frameValuesOf(round)
  const seen = frameValues ? { frameValues } : {}
  const { boundary, strata } = round.paddock
  if (!boundary) return seen
  const whole = areaHa(boundary)
  const parts = strata.filter((p) => !p.keptOut)
  const frame = round.settings.frameM2
  const rest = whole - strata.reduce((sum, p) => sum + areaHa(p.polygon), 0)
  return {
    ...seen,
    ...(parts.length > 0
      ? { partSizes: new Map([['', Math.max(0, rest)], ...parts.map((p) => [p.name, areaHa(p.polygon)] as const)]) }
      : {}),
    ...(frame ? { stopsInAll: Math.max(round.stops.length, Math.floor((whole * 10_000) / frame)) } : {}),
  }
}
