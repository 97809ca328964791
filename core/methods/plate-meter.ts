import { massFromReadings } from './estimators/standingMass.ts'
import type { CountingMethod } from './method.ts'
import { DEFAULT_FRAME_M2, pilotOfMass, usual } from './parts.ts'

/** Compressed height under a plate, some places clipped. */
export const plateMeter: CountingMethod = {
  ...usual,
  protocol: 'Plate meter',
  unit: 'reading',
  entry: 'reading',
  kit: ['plate-meter', 'frame', 'shears', 'bags', 'scale'],
  minutesEach: 0.3,
  asks: ['frame', 'dry-share'],
  defaults: { frameM2: DEFAULT_FRAME_M2 },
  pilot: (_, halfWidth) => pilotOfMass(halfWidth),
  reading: { unit: 'cm', max: 60, step: 0.5, instrument: 'plate', heightCm: (cm) => cm },
  mass: massFromReadings,
}
