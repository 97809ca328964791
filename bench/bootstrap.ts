import { randomLcg } from 'd3-random'
import { sampleWithReplacement } from 'simple-statistics'
import { bootstrapRatio } from '@/core/stats/bootstrap.ts'

/** 10,000 resamples of 500 stops, against the same statistic by the resampling of simple-statistics in the same run. */
const RESAMPLES = 10_000
const random = randomLcg(0.4)
const points = Array.from({ length: 500 }, () => 20)
const hits = points.map((n) => Math.round(random() * n))
const stops = hits.map((h, i) => [h, points[i]!] as const)

function byLibrary(): number[] {
  const drawn: number[] = []
  for (let r = 0; r < RESAMPLES; r++) {
    let [a, b] = [0, 0]
    for (const [h, p] of sampleWithReplacement([...stops], stops.length, random)) {
      a += h
      b += p
    }
    drawn.push(a / b)
  }
  return drawn.sort((x, y) => x - y)
}

function median(work: () => unknown, times: number): number {
  const list = Array.from({ length: times }, () => {
    const from = performance.now()
    work()
    return performance.now() - from
  })
  return list.sort((x, y) => x - y)[Math.floor(times / 2)]!
}

const own = median(() => bootstrapRatio(hits, points, random, { resamples: RESAMPLES }), 7)
const library = median(byLibrary, 5)
console.log(
  `10,000 resamples of 500 stops: ${own.toFixed(0)} ms median of 7; simple-statistics ${library.toFixed(0)} ms; ratio ${(library / own).toFixed(1)}`,
)
