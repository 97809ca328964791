import { DEFAULT_NESTS_M, nestedFrequency as frequencyInNests } from './estimators/frequency.ts'
import type { CountingMethod } from './method.ts'
import { DEFAULT_FRAME_M2, usual } from './parts.ts'

/** Narrowest half width that is planned for: a frame holds a plant or not, which tells little. Common practice, no source. */
const NARROWEST = 0.1

/** The smallest of the nested frames that holds a plant. */
export const nestedFrequency: CountingMethod = {
  ...usual,
  protocol: 'Frequency in nested frames',
  unit: 'frame',
  entry: 'values',
  values: 'nests',
  kit: ['nested-frame'],
  minutesEach: 1,
  asks: ['frame'],
  defaults: { frameM2: DEFAULT_FRAME_M2, nestsM: DEFAULT_NESTS_M },
  pilot: (_, halfWidth) => ({ sd: 0.5, halfWidth: Math.max(halfWidth, NARROWEST), about: 0.5, from: 'guess' }),
  figures: ({ round, named }) => ({
    frequency: frequencyInNests(round.stops, round.settings.nestsM ?? DEFAULT_NESTS_M, named, round.settings.nestOf),
  }),
}
