import { braunBlanquet, sixClasses } from './estimators/coverClasses.ts'
import type { CountingMethod } from './method.ts'
import { asCounted, DEFAULT_FRAME_M2, FRAME_POINTS, pilotOfShare, usual } from './parts.ts'

/** Cover of each plant in a frame, judged by eye into classes. Sources: Daubenmire 1959; Braun-Blanquet. */
export const coverClasses: CountingMethod = {
  ...usual,
  protocol: 'Cover classes in frames',
  unit: 'frame',
  entry: 'values',
  values: 'classes',
  byEye: true,
  kit: ['frame'],
  minutesEach: 2,
  asks: ['frame', 'scale'],
  defaults: { frameM2: DEFAULT_FRAME_M2, scale: 'six-class' },
  pilot: (_, halfWidth) => pilotOfShare(FRAME_POINTS, halfWidth),
  sward: {
    amounts: asCounted,
    frameValues: ({ scale }) => ({
      values: [0, ...(scale === 'braun-blanquet' ? braunBlanquet : sixClasses).map((c) => c.midPercent)],
      relative: false,
    }),
  },
}
