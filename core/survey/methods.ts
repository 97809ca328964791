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
  unit: string
  entry: Entry
  /** What to carry, besides notebook and lens. */
  kit: string[]
  /** Minutes a practised person needs at one unit, without the way. Common practice, no source. */
  minutesEach: number
  /** What the figures are worked out by, and why. */
  estimator: string
}

const byStop =
  'Ratio estimate with the stop as the unit (Cochran 1977, ch. 6), Korn and Graubard limits: points of one stop lie close together and are alike, so they do not count as independent.'
const twoPhase =
  'Double sampling with regression (Cochran 1977, ch. 12): many quick readings, some of them clipped; the line through the clipped ones turns the mean reading into mass.'

export const methodInfo: Record<Method, MethodInfo> = {
  'step-points': {
    name: 'Step points, first hit',
    says: 'share of the ground by first hit',
    unit: 'stop',
    entry: 'points',
    kit: ['a pin, or a notch in the boot tip'],
    minutesEach: 2,
    estimator: byStop,
  },
  'layer-points': {
    name: 'Pin points, all layers',
    says: 'share of all hits, and cover of each plant',
    unit: 'stop',
    entry: 'points',
    kit: ['a pin or a pin frame'],
    minutesEach: 4,
    estimator: byStop,
  },
  'turf-grid': {
    name: 'Turf grid',
    says: 'share of grid intersections',
    unit: 'grid',
    entry: 'points',
    kit: ['a strung grid frame'],
    minutesEach: 3,
    estimator: byStop,
  },
  'cover-classes': {
    name: 'Cover classes in frames',
    says: 'share of all cover, from class mid-points',
    unit: 'frame',
    entry: 'values',
    kit: ['a frame'],
    minutesEach: 2,
    estimator:
      'Mid-points of the classes (Daubenmire 1959; Braun-Blanquet), then a ratio estimate with the frame as the unit. The width of a class and the eye add an error that the interval does not hold; for plants of about a tenth and less it is too narrow (in made rounds it held the truth about 9 times in 10).',
  },
  'dry-weight-rank': {
    name: 'Dry-weight rank',
    says: 'share of dry weight',
    unit: 'frame',
    entry: 'values',
    kit: ['a frame'],
    minutesEach: 1,
    estimator:
      "Multipliers 0.7019, 0.2108, 0.0873 ('t Mannetje and Haydock 1963); equal ranks share theirs. Frames are weighted by their yield where every one has it. Ratio estimate with the frame as the unit; for plants of about a tenth and less the interval is too narrow (in made rounds it held the truth about 9 times in 10).",
  },
  clips: {
    name: 'Hand-sorted clips',
    says: 'share of weight, and mass',
    unit: 'frame',
    entry: 'values',
    kit: ['a frame', 'shears', 'bags and a marker', 'a scale'],
    minutesEach: 12,
    estimator: 'Weights per species over all weights: a ratio estimate with the frame as the unit.',
  },
  'nested-frequency': {
    name: 'Frequency in nested frames',
    says: 'share of frames that hold a plant',
    unit: 'frame',
    entry: 'values',
    kit: ['a nested frame'],
    minutesEach: 1,
    estimator:
      'Each frame holds the plant or not: Wilson interval of a share. It depends on the size of the frame, so only the same nest is compared from year to year.',
  },
  'grid-frequency': {
    name: 'Frequency in a 5 by 5 grid',
    says: 'share of cells that hold a plant',
    unit: 'grid',
    entry: 'cells',
    kit: ['a grid of 25 cells'],
    minutesEach: 2,
    estimator:
      'Cells of one grid lie side by side: ratio estimate with the grid as the unit, Korn and Graubard limits.',
  },
  'comparative-yield': {
    name: 'Comparative yield',
    says: 'dry mass a hectare',
    unit: 'frame',
    entry: 'reading',
    kit: ['a frame', 'five reference frames pegged out', 'shears', 'bags', 'a scale'],
    minutesEach: 0.7,
    estimator: `${twoPhase} Scores 1 to 5 against reference frames (Haydock and Shaw 1975).`,
  },
  'plate-meter': {
    name: 'Plate meter',
    says: 'dry mass a hectare',
    unit: 'reading',
    entry: 'reading',
    kit: ['a plate meter', 'a frame', 'shears', 'bags', 'a scale'],
    minutesEach: 0.3,
    estimator: twoPhase,
  },
  'ruler-height': {
    name: 'Ruler height',
    says: 'dry mass a hectare',
    unit: 'reading',
    entry: 'reading',
    kit: ['a sward ruler', 'a frame', 'shears', 'bags', 'a scale'],
    minutesEach: 0.4,
    estimator: twoPhase,
  },
  'search-walk': {
    name: 'Search walk for a harmful plant',
    says: 'plants a hectare',
    unit: 'leg',
    entry: 'search',
    kit: ['flags', 'gloves', 'a bag for a sample'],
    minutesEach: 2,
    estimator:
      'Exact limits of a Poisson count (Garwood 1936) over the strip walked, divided by the share one would see, as you judged it. Nothing found leaves an upper limit, never none.',
  },
}

/** Methods whose figures add up to a whole sward. */
export const isComposition = (m: Method): boolean =>
  ['step-points', 'layer-points', 'turf-grid', 'cover-classes', 'dry-weight-rank', 'clips'].includes(m)

export const READING: Partial<Record<Method, { name: string; unit: string; max: number; step: number }>> = {
  'comparative-yield': { name: 'Score', unit: '', max: 5, step: 0.25 },
  'plate-meter': { name: 'Compressed height', unit: 'cm', max: 60, step: 0.5 },
  'ruler-height': { name: 'Sward height', unit: 'cm', max: 200, step: 0.5 },
}
