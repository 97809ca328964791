import { massFromReadings } from './estimators/standingMass.ts'
import type { CountingMethod } from './method.ts'
import { DEFAULT_FRAME_M2, pilotOfMass, usual } from './parts.ts'

/** Height of the sward at a ruler, some places clipped. */
export const rulerHeight: CountingMethod = {
  ...usual,
  protocol: 'Ruler height',
  unit: 'reading',
  entry: 'reading',
  kit: ['sward-ruler', 'frame', 'shears', 'bags', 'scale'],
  minutesEach: 0.4,
  asks: ['frame', 'dry-share'],
  defaults: { frameM2: DEFAULT_FRAME_M2 },
  pilot: (_, halfWidth) => pilotOfMass(halfWidth),
  reading: { unit: 'cm', max: 200, step: 0.5, heightCm: (cm) => cm },
  mass: massFromReadings,
}
