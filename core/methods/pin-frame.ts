import type { CountingMethod } from './method.ts'
import { asCounted, pilotOfShare, usual } from './parts.ts'

/**
 * First hits of ten pins in a row, let down through a frame; the frame is the unit, for its pins stand close together.
 * Source: Levy & Madden 1933 (from memory).
 */
export const pinFrame: CountingMethod = {
  ...usual,
  protocol: 'Frame of ten pins',
  unit: 'frame',
  entry: 'points',
  points: 10,
  kit: ['pin-or-frame'],
  minutesEach: 2,
  pilot: pilotOfShare,
  sward: { amounts: asCounted },
}
