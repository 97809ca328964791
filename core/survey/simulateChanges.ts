import { randomGamma } from 'd3-random'
import type { YearCount } from './paddockHistory.ts'
import { taxonTrends } from './paddockHistory.ts'

const STOPS = 30
const POINTS = 20

/** A sward of many plants, a few common and most rare: shares that halve from one to the next, no lower than 2 in 1,000. */
function shares(plants: number): number[] {
  const raw = Array.from({ length: plants }, (_, i) => Math.max(0.002, 0.24 * 0.8 ** i))
  const total = raw.reduce((a, b) => a + b, 0)
  return raw.map((x) => x / total)
}

/** One count of a sward in which nothing changes: each stop keeps the shares it has. */
function countOf(at: readonly number[][], year: number, random: () => number): YearCount {
  const plants = at[0]!.length
  const byStop: YearCount['byStop'] = {}
  at.forEach((there, s) => {
    for (let p = 0; p < POINTS; p++) {
      let u = random()
      const k = there.findIndex((x) => (u -= x) <= 0)
      const taxon = `plant-${k < 0 ? plants - 1 : k}`
      const stops = (byStop[taxon] ??= {})
      stops[s + 1] = (stops[s + 1] ?? 0) + 1 / POINTS
    }
  })
  const mean = (stops: Record<number, number>) => Object.values(stops).reduce((a, b) => a + b, 0) / STOPS
  return {
    ...{ roundId: String(year), title: '', method: 'step-points', on: `${year}-05-01`, stops: STOPS, byStop },
    shares: Object.fromEntries(
      Object.entries(byStop).map(([taxon, stops]) => [
        taxon,
        { ...{ estimate: mean(stops), interval: undefined, se: undefined, designEffect: undefined }, method: 'none' },
      ]),
    ),
  }
}

/** Of unchanged paddocks, the share in which any plant is said to rise, fall, arrive or go. */
export function falseChanges(
  { plants, counts, evenness }: { plants: number; counts: number; evenness: number },
  paddocks: number,
  random: () => number,
): number {
  const sward = shares(plants)
  let wrong = 0
  for (let i = 0; i < paddocks; i++) {
    const at = Array.from({ length: STOPS }, () => {
      const weights = sward.map((x) => randomGamma.source(random)(x * evenness, 1)())
      const total = weights.reduce((a, b) => a + b, 0)
      return weights.map((w) => w / total)
    })
    const made = Array.from({ length: counts }, (_, y) => countOf(at, 2020 + y, random))
    const said = taxonTrends(made).map((c) => c.course)
    if (said.some((c) => ['rising', 'falling', 'arriving', 'gone'].includes(c))) wrong++
  }
  return wrong / paddocks
}
