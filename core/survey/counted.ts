import type { Round } from '../records/round.ts'
import { areaHa } from '../geo/route.ts'
import { countingMethods } from '../methods/index.ts'
import type { StopTally } from '../methods/tally.ts'
import type { Design } from './composition.ts'

/** The stops of a round as amounts that add up to a sward; none for a method whose figures do not. */
export function countedStops(round: Round): StopTally[] {
  const { sward } = countingMethods[round.method]
  if (!sward) return []
  const amounts = sward.amounts(round)
  return round.stops
    .filter((s) => s.skipped === null)
    .map((s) => ({ seq: s.seq, hits: amounts(s), stratum: s.stratum }))
}

/** How the stops lie in the paddock, and what can be met at one: sizes of its parts, frames it would hold, classes. */
export function designOf(round: Round): Design {
  const frameValues = countingMethods[round.method].sward?.frameValues?.(round.settings)
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
