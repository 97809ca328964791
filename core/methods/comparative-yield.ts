import { massFromReadings } from './estimators/standingMass.ts'
import type { CountingMethod } from './method.ts'
import { DEFAULT_FRAME_M2, pilotOfMass, usual } from './parts.ts'

/** Scores against five reference frames, some of them clipped. Source: Haydock & Shaw 1975. */
export const comparativeYield: CountingMethod = {
  ...usual,
  protocol: 'Comparative yield',
  unit: 'frame',
  entry: 'reading',
  kit: ['frame', 'reference-frames', 'shears', 'bags', 'scale'],
  minutesEach: 0.7,
  asks: ['frame', 'dry-share'],
  defaults: { frameM2: DEFAULT_FRAME_M2 },
  pilot: (_, halfWidth) => pilotOfMass(halfWidth),
  reading: { unit: '', max: 5, step: 0.25, heightCm: (score) => 3 * (score ?? 3) },
  mass: massFromReadings,
}
