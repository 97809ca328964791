import { massFromClips } from './estimators/standingMass.ts'
import type { CountingMethod } from './method.ts'
import { asCounted, DEFAULT_FRAME_M2, FRAME_POINTS, pilotOfShare, usual } from './parts.ts'

/** Frames cut, sorted by hand and weighed plant by plant. */
export const clips: CountingMethod = {
  ...usual,
  protocol: 'Hand-sorted clips',
  unit: 'frame',
  entry: 'values',
  values: 'grams',
  kit: ['frame', 'shears', 'bags-and-marker', 'scale'],
  minutesEach: 12,
  asks: ['frame', 'dry-share'],
  defaults: { frameM2: DEFAULT_FRAME_M2 },
  pilot: (_, halfWidth) => pilotOfShare(FRAME_POINTS, halfWidth),
  sward: { amounts: asCounted, ofDryMatter: true },
  mass: massFromClips,
}
