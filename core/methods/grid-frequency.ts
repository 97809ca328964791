import { GRID_CELLS, gridFrequency as frequencyInCells } from './estimators/frequency.ts'
import type { CountingMethod } from './method.ts'
import { pilotOfShare, usual } from './parts.ts'

/** Cells of a grid of 25 that hold a plant: how a young stand came up. */
export const gridFrequency: CountingMethod = {
  ...usual,
  protocol: 'Frequency in a 5 by 5 grid',
  unit: 'grid',
  entry: 'cells',
  kit: ['grid-of-25'],
  minutesEach: 2,
  pilot: (_, halfWidth) => pilotOfShare(GRID_CELLS, halfWidth),
  figures: ({ round, named }) => ({ frequency: frequencyInCells(round.stops, named) }),
}
