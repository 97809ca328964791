import { say } from '../say.ts'

/** Schools of finding out how much of each plant there is. Their data are kept apart. */
export const methods = [
  'step-points',
  'layer-points',
  'turf-grid',
  'cover-classes',
  'dry-weight-rank',
  'clips',
  'nested-frequency',
  'grid-frequency',
  'comparative-yield',
  'plate-meter',
  'ruler-height',
  'search-walk',
] as const
export type Method = (typeof methods)[number]

/** How a stop is written down: what the hand does there. */
export type Entry = 'points' | 'values' | 'cells' | 'reading' | 'search'

export interface MethodInfo {
  name: string
  /** What its figures are a share or amount of. */
  says: string
  /** One place of the round: stop, frame, leg. */
  unit: 'stop' | 'frame' | 'grid' | 'reading' | 'leg'
  /** What it is called, one and many. */
  unitName: string
  units: string
  entry: Entry
  /** What to carry, besides notebook and lens. */
  kit: string[]
  /** Minutes a practised person needs at one unit, without the way. Common practice, no source. */
  minutesEach: number
  /** What the figures are worked out by, and why. */
  estimator: string
}

const byStop = say(
  'Ratio estimate with the stop as the unit (Cochran 1977, ch. 6), Korn and Graubard limits: points of one stop lie close together and are alike, so they do not count as independent.',
)
const twoPhase = say(
  'Double sampling with regression (Cochran 1977, ch. 12): many quick readings, some of them clipped; the line through the clipped ones turns the mean reading into mass.',
)

export const methodInfo: Record<Method, MethodInfo> = {
  'step-points': {
    name: say('Step points, first hit'),
    says: say('share of the ground by first hit'),
    unit: 'stop',
    unitName: say('stop'),
    units: say('stops'),
    entry: 'points',
    kit: [say('a pin, or a notch in the boot tip')],
    minutesEach: 2,
    estimator: byStop,
  },
  'layer-points': {
    name: say('Pin points, all layers'),
    says: say('share of all hits, and cover of each plant'),
    unit: 'stop',
    unitName: say('stop'),
    units: say('stops'),
    entry: 'points',
    kit: [say('a pin or a pin frame')],
    minutesEach: 4,
    estimator: byStop,
  },
  'turf-grid': {
    name: say('Turf grid'),
    says: say('share of grid intersections'),
    unit: 'grid',
    unitName: say('grid'),
    units: say('grids'),
    entry: 'points',
    kit: [say('a strung grid frame')],
    minutesEach: 3,
    estimator: byStop,
  },
  'cover-classes': {
    name: say('Cover classes in frames'),
    says: say('share of all cover, from class mid-points'),
    unit: 'frame',
    unitName: say('frame'),
    units: say('frames'),
    entry: 'values',
    kit: [say('a frame')],
    minutesEach: 2,
    estimator: say(
      'Mid-points of the classes (Daubenmire 1959; Braun-Blanquet), then a ratio estimate with the frame as the unit and limits by likelihood (Owen 2001) that leave room for a class one above the highest that was met. The width of a class and the eye add an error that the interval does not hold. In made rounds it held the truth 94 to 96 times in 100; for a plant under a tenth in a patchy sward 92.',
    ),
  },
  'dry-weight-rank': {
    name: say('Dry-weight rank'),
    says: say('share of dry weight'),
    unit: 'frame',
    unitName: say('frame'),
    units: say('frames'),
    entry: 'values',
    kit: [say('a frame')],
    minutesEach: 1,
    estimator: say(
      "Multipliers 0.7019, 0.2108, 0.0873 ('t Mannetje and Haydock 1963); equal ranks share theirs. Frames are weighted by their yield where every one has it. Ratio estimate with the frame as the unit and limits by likelihood (Owen 2001) that leave room for a rank one above the highest that was met. In made rounds they held the truth 93 to 97 times in 100, rare plants included.",
    ),
  },
  clips: {
    name: say('Hand-sorted clips'),
    says: say('share of weight, and mass'),
    unit: 'frame',
    unitName: say('frame'),
    units: say('frames'),
    entry: 'values',
    kit: [say('a frame'), say('shears'), say('bags and a marker'), say('a scale')],
    minutesEach: 12,
    estimator: say('Weights per species over all weights: a ratio estimate with the frame as the unit.'),
  },
  'nested-frequency': {
    name: say('Frequency in nested frames'),
    says: say('share of frames that hold a plant'),
    unit: 'frame',
    unitName: say('frame'),
    units: say('frames'),
    entry: 'values',
    kit: [say('a nested frame')],
    minutesEach: 1,
    estimator: say(
      'Each frame holds the plant or not: Wilson interval of a share. It depends on the size of the frame, so only the same nest is compared from year to year.',
    ),
  },
  'grid-frequency': {
    name: say('Frequency in a 5 by 5 grid'),
    says: say('share of cells that hold a plant'),
    unit: 'grid',
    unitName: say('grid'),
    units: say('grids'),
    entry: 'cells',
    kit: [say('a grid of 25 cells')],
    minutesEach: 2,
    estimator: say(
      'Cells of one grid lie side by side: ratio estimate with the grid as the unit, Korn and Graubard limits.',
    ),
  },
  'comparative-yield': {
    name: say('Comparative yield'),
    says: say('dry mass a hectare'),
    unit: 'frame',
    unitName: say('frame'),
    units: say('frames'),
    entry: 'reading',
    kit: [say('a frame'), say('five reference frames pegged out'), say('shears'), say('bags'), say('a scale')],
    minutesEach: 0.7,
    estimator: say('{{twoPhase}} Scores 1 to 5 against reference frames (Haydock and Shaw 1975).', { twoPhase }),
  },
  'plate-meter': {
    name: say('Plate meter'),
    says: say('dry mass a hectare'),
    unit: 'reading',
    unitName: say('reading'),
    units: say('readings'),
    entry: 'reading',
    kit: [say('a plate meter'), say('a frame'), say('shears'), say('bags'), say('a scale')],
    minutesEach: 0.3,
    estimator: twoPhase,
  },
  'ruler-height': {
    name: say('Ruler height'),
    says: say('dry mass a hectare'),
    unit: 'reading',
    unitName: say('reading'),
    units: say('readings'),
    entry: 'reading',
    kit: [say('a sward ruler'), say('a frame'), say('shears'), say('bags'), say('a scale')],
    minutesEach: 0.4,
    estimator: twoPhase,
  },
  'search-walk': {
    name: say('Search walk for a harmful plant'),
    says: say('plants a hectare'),
    unit: 'leg',
    unitName: say('leg'),
    units: say('legs'),
    entry: 'search',
    kit: [say('flags'), say('gloves'), say('a bag for a sample')],
    minutesEach: 2,
    estimator: say(
      'Exact limits of a Poisson count (Garwood 1936) over the strip walked, divided by the share one would see, as you judged it. Nothing found leaves an upper limit, never none.',
    ),
  },
}

/** Methods whose figures add up to a whole sward. */
export const isComposition = (m: Method): boolean =>
  ['step-points', 'layer-points', 'turf-grid', 'cover-classes', 'dry-weight-rank', 'clips'].includes(m)

export const READING: Partial<Record<Method, { name: string; unit: string; max: number; step: number }>> = {
  'comparative-yield': { name: say('Score'), unit: '', max: 5, step: 0.25 },
  'plate-meter': { name: say('Compressed height'), unit: 'cm', max: 60, step: 0.5 },
  'ruler-height': { name: say('Sward height'), unit: 'cm', max: 200, step: 0.5 },
}
