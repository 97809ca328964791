import type { CountingMethod } from './method.ts'
import { asCounted, pilotOfShare, usual } from './parts.ts'

/** First hit of each point along the walk; the stop is the unit. */
export const stepPoints: CountingMethod = {
  ...usual,
  protocol: 'Step points, first hit',
  unit: 'stop',
  entry: 'points',
  kit: ['pin-or-boot'],
  minutesEach: 2,
  pilot: pilotOfShare,
  sward: { amounts: asCounted },
}
