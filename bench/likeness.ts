import { randomLcg } from 'd3-random'
import { plantSpecimen } from '@/core/likeness/specimenOf.ts'
import type { Stage } from '@/core/flora/flora.ts'
import { loadFlora } from '../server/flora/loadFlora.ts'

/** Every plant at each of its stages built in space: how long it takes, how many triangles it has, which are the slowest. */
const all = loadFlora().plants.flatMap((plant) =>
  (['vegetative', ...Object.keys(plant.stages)] as Stage[]).map((stage) => {
    const start = performance.now()
    const { plantTriangles, low, high } = plantSpecimen(plant, stage, randomLcg(0.4))
    return { name: `${plant.id} ${stage}`, ms: performance.now() - start, plantTriangles, low: low[1], high: high[1] }
  }),
)
const ms = all.map((s) => s.ms).sort((a, b) => a - b)
const at = (share: number) => ms[Math.floor(share * (ms.length - 1))]!.toFixed(0)
const WANTED_MS = 60
const within = ms.filter((x) => x <= WANTED_MS).length / ms.length
console.log(
  `${all.length} specimens: ${at(0.5)} ms median, ${at(0.9)} ms nine in ten, ${at(1)} ms the slowest; ${(100 * within).toFixed(0)} % within ${WANTED_MS} ms`,
)
const most = all.sort((a, b) => b.plantTriangles - a.plantTriangles)[0]!
console.log(`most triangles: ${most.plantTriangles} (${most.name})`)
const odd = all.filter((s) => !(s.high > 4 && s.low < -4))
if (odd.length > 0) console.log(`without height or root: ${odd.map((s) => s.name).join(', ')}`)
