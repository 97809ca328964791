import { randomLcg } from 'd3-random'
import { plantSpecimen } from '@/core/likeness/specimenOf.ts'
import type { Stage } from '@/core/flora/flora.ts'
import { loadFlora } from '../server/flora/loadFlora.ts'

/**
 * Every plant at each of its stages built in space, twice: how long it takes, how many triangles it has, which are the
 * slowest. The second time is that of a worker that has built some before. Run from source each is some 3 ms slower than
 * as built for the browser: names are kept for functions made within functions.
 */
const build = () =>
  loadFlora().plants.flatMap((plant) =>
    (['vegetative', ...Object.keys(plant.stages)] as Stage[]).map((stage) => {
      const start = performance.now()
      const { plantTriangles, low, high } = plantSpecimen(plant, stage, randomLcg(0.4))
      return { name: `${plant.id} ${stage}`, ms: performance.now() - start, plantTriangles, low: low[1], high: high[1] }
    }),
  )
const WANTED_MS = 60
const first = build()
for (const [time, all] of [
  ['first time', first],
  ['second time', build()],
] as const) {
  const ms = all.map((s) => s.ms).sort((a, b) => a - b)
  const at = (share: number) => ms[Math.floor(share * (ms.length - 1))]!.toFixed(0)
  const over = all.filter((s) => s.ms > WANTED_MS).sort((a, b) => b.ms - a.ms)
  console.log(
    `${time}: ${all.length} specimens, ${at(0.5)} ms median, ${at(0.9)} ms nine in ten, ${at(1)} ms the slowest`,
  )
  console.log(`over ${WANTED_MS} ms: ${over.map((s) => `${s.name} ${s.ms.toFixed(0)}`).join(', ') || 'none'}`)
}
const most = first.toSorted((a, b) => b.plantTriangles - a.plantTriangles)[0]!
console.log(`most triangles: ${most.plantTriangles} (${most.name})`)
const odd = first.filter((s) => !(s.high > 4 && s.low < -4))
if (odd.length > 0) console.log(`without height or root: ${odd.map((s) => s.name).join(', ')}`)
