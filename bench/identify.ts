import { compileFlora } from '@/core/naming/compileFlora.ts'
import { identify } from '@/core/naming/identify.ts'
import type { Observation } from '@/core/records/observation.ts'
import { loadFlora } from '@/server/flora/loadFlora.ts'

/** Time of one naming with the ranking of all next checks: median and slowest of many, in milliseconds. */
const flora = loadFlora()
const started = performance.now()
const compiled = compileFlora(flora)
const compileMs = performance.now() - started

const looks: Observation[] = [
  { character: 'life.form', states: ['grass'] },
  { character: 'vernation', states: ['rolled'] },
  { character: 'blade.width', value: 8 },
  { character: 'auricles', states: ['short-blunt'] },
  { character: 'blade.ribs', states: ['deep-ribs'] },
]
const times: number[] = []
for (let i = 0; i < 400; i++) {
  const from = performance.now()
  identify(compiled, { month: (i % 12) + 1 }, looks.slice(0, 1 + (i % looks.length)))
  if (i >= 50) times.push(performance.now() - from)
}
times.sort((a, b) => a - b)
console.log(`${flora.plants.length} plants x ${flora.characters.length} characters`)
console.log(
  `compile ${compileMs.toFixed(0)} ms; one update ${times[times.length >> 1]!.toFixed(2)} ms median, ${times.at(-1)!.toFixed(2)} ms slowest`,
)
