import { randomLcg } from 'd3-random'
import { compileFlora } from '@/core/naming/compileFlora.ts'
import type { Cell, Character, Flora, Plant } from '@/core/flora/flora.ts'
import { identify } from '@/core/naming/identify.ts'
import type { Observation } from '@/core/records/observation.ts'

/** A made flora: time of one update with the ranking of all next checks, memory, and growth with the number of plants. */
function madeFlora(plants: number, characters: number): Flora {
  const random = randomLcg(0.5)
  const list: Character[] = Array.from({ length: characters }, (_, i) => ({
    id: `c${i}`,
    part: 'made',
    title: `c${i}`,
    asks: `c${i}`,
    forms: ['grass'],
    effort: 'hand',
    states: Array.from({ length: 3 + (i % 4) }, (_x, s) => `s${s}`),
    mistake: 0.04,
    lacksAt: [],
    takenFor: [],
    how: [],
  }))
  const cell = (c: Character): Cell => ({
    kind: 'states',
    words: { [c.states![Math.floor(random() * c.states!.length)]!]: 'usually' },
  })
  const plant = (i: number): Plant => ({
    id: `p${i}`,
    commonName: `p${i}`,
    scientificName: '',
    author: '',
    family: '',
    alsoCalled: [],
    form: 'grass',
    cycle: 'perennial',
    season: 'cool',
    role: i % 10 === 0 ? 'toxic' : 'forage',
    regions: {},
    months: [],
    ground: [],
    characters: Object.fromEntries(list.map((c) => [c.id, cell(c)])),
    stages: {},
    lookalikes: [],
    harm: [],
    control: [],
    sources: [],
    speciesDefault: false,
  })
  return { characters: list, plants: Array.from({ length: plants }, (_, i) => plant(i)), groups: [], hazards: [] }
}

function median(times: number[]): number {
  return times.sort((a, b) => a - b)[times.length >> 1]!
}

for (const plants of [1250, 2500, 5000]) {
  const flora = madeFlora(plants, 200)
  const before = process.memoryUsage()
  const compiled = compileFlora(flora)
  const after = process.memoryUsage()
  const bytes = compiled
    .tablesAt('vegetative')
    .reduce((n, t) => n + t.truth.byteLength + t.entropy.byteLength + t.status.byteLength, 0)
  const times: number[] = []
  for (let i = 0; i < 40; i++) {
    const looks: Observation[] = Array.from({ length: i % 6 }, (_, k) => ({ character: `c${k}`, states: ['s0'] }))
    const from = performance.now()
    identify(compiled, {}, looks)
    if (i >= 8) times.push(performance.now() - from)
  }
  console.log(
    `${plants} plants x 200 characters: ${median(times).toFixed(1)} ms median, tables ${(bytes / 1e6).toFixed(1)} MB ` +
      `(array buffers grew by ${((after.arrayBuffers - before.arrayBuffers) / 1e6).toFixed(1)} MB)`,
  )
}
