import type { PartWork, TurfJob, TurfSeed } from '@/core/assess/turf/turf.ts'
import type { TurfUse } from '@/core/flora/flora.ts'
import { say } from './say.ts'

const uses: Record<TurfUse, () => string> = {
  sports: () => say('sports ground'),
  lawn: () => say('lawn'),
  'low-upkeep': () => say('rough, low upkeep'),
}
export const turfUseWords = (use: TurfUse): string => uses[use]()

const works: Record<PartWork, () => string> = {
  keep: () => say('keep as it is'),
  overseed: () => say('overseed'),
  'sow-anew': () => say('sow anew'),
}
export const partWorkWords = (work: PartWork): string => works[work]()

const jobs: Record<TurfJob, () => string> = {
  'stop-annuals': () =>
    say('Soil warms through 13 °C: annual weeds come up; what keeps them down goes on before, by its label'),
  'sow-cool': () => say('Cool soil of 12 to 21 °C: overseed and repair'),
  'sow-warm': () => say('Soil above 18 °C and warming: seed, sprigs or sod'),
  'feed-main': () => say('Main feeding'),
  rest: () => say('Rest: little growth, so little wear, no seed'),
}
export const turfJobWords = (job: TurfJob): string => jobs[job]()

const reasons: Record<TurfSeed['reason'], () => string> = {
  sown: () => say('sown here'),
  'stands-here': () => say('stands here'),
  fits: () => say('fits the use and the region'),
}
export const turfSeedWords = (reason: TurfSeed['reason']): string => reasons[reason]()
