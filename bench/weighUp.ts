import { randomLcg } from 'd3-random'
import { openStop, type Round } from '@/core/records/round.ts'
import { weighUp } from '@/core/assess/weighUp.ts'
import { loadFlora } from '../server/flora/loadFlora.ts'

/** Figures of a round of 10,000 stops of 20 points. */
const plants = new Map(loadFlora().plants.map((p) => [p.id, p]))
const random = randomLcg(0.3)
const taxa = [
  'perennial-ryegrass',
  'white-clover',
  'timothy',
  'dandelion',
  'red-clover',
  'tansy-ragwort',
  'curly-dock',
  'bare',
]
const stops = Array.from({ length: 10_000 }, (_, i) => ({
  ...openStop(String(i), i + 1, null),
  doneAt: '2026-05-01T10:00:00Z',
  hits: Array.from({ length: 20 }, () => ({ taxon: taxa[Math.floor(random() ** 2 * taxa.length)]!, amount: 1 })),
}))
const round: Round = {
  id: 'r',
  paddockId: 'p',
  title: '',
  holding: '',
  client: '',
  method: 'step-points',
  purpose: '',
  plannedOn: '2026-05-01',
  pointsPerStop: 20,
  source: '',
  settings: {},
  route: null,
  unknowns: [],
  stops,
  paddock: {
    id: 'p',
    holdingId: 'h',
    name: '',
    boundary: null,
    region: 'cool-humid',
    outlook: 'grazing',
    sown: [],
    strata: [],
    note: '',
  },
}
const times: number[] = []
for (let i = 0; i < 7; i++) {
  const from = performance.now()
  weighUp(round, plants, () => randomLcg(1))
  times.push(performance.now() - from)
}
console.log(`weigh-up of 10,000 stops: ${times.sort((a, b) => a - b)[3]!.toFixed(0)} ms median of 7`)
