import type { CountingMethod } from './method.ts'
import { asCounted, DEFAULT_FRAME_M2, pilotOfShare, usual } from './parts.ts'

/**
 * First hits of points laid over a picture of a frame from above; the frame is the unit. A map of the picture, learned from the
 * points, narrows what is said of green, legume, bare ground and litter (`core/picture`). Source: Cochran 1977, ch. 7.
 */
export const pictureFrame: CountingMethod = {
  ...usual,
  protocol: 'Points on a picture of a frame',
  unit: 'frame',
  entry: 'points',
  points: 49,
  picture: true,
  kit: ['frame'],
  minutesEach: 4,
  asks: ['frame'],
  defaults: { frameM2: DEFAULT_FRAME_M2 },
  pilot: pilotOfShare,
  sward: { amounts: asCounted },
}
