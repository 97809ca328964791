import type { Method } from '../records/method.ts'

/** Things to carry, as codes. */
export const kitItems = [
  'pin-or-boot',
  'pin-or-frame',
  'strung-grid',
  'frame',
  'shears',
  'bags-and-marker',
  'bags',
  'scale',
  'nested-frame',
  'grid-of-25',
  'reference-frames',
  'plate-meter',
  'sward-ruler',
  'flags',
  'gloves',
  'sample-bag',
  'lens',
  'knife-and-spade',
  'bags-for-unknowns',
  'gloves-and-sleeves',
] as const
export type KitItem = (typeof kitItems)[number]

/** How a stop is written down: what the hand does there. */
export type Entry = 'points' | 'values' | 'cells' | 'reading' | 'search'

export interface MethodInfo {
  /** What files and other programs call it: kept in files, never translated. */
  protocol: string
  /** One place of the round: stop, frame, leg. */
  unit: 'stop' | 'frame' | 'grid' | 'reading' | 'leg'
  entry: Entry
  /** What to carry, besides notebook and lens. */
  kit: KitItem[]
  /** Minutes a practised person needs at one unit, without the way. Common practice, no source. */
  minutesEach: number
}

export const methodInfo: Record<Method, MethodInfo> = {
  'step-points': {
    protocol: 'Step points, first hit',
    unit: 'stop',
    entry: 'points',
    kit: ['pin-or-boot'],
    minutesEach: 2,
  },
  'layer-points': {
    protocol: 'Pin points, all layers',
    unit: 'stop',
    entry: 'points',
    kit: ['pin-or-frame'],
    minutesEach: 4,
  },
  'turf-grid': {
    protocol: 'Turf grid',
    unit: 'grid',
    entry: 'points',
    kit: ['strung-grid'],
    minutesEach: 3,
  },
  'cover-classes': {
    protocol: 'Cover classes in frames',
    unit: 'frame',
    entry: 'values',
    kit: ['frame'],
    minutesEach: 2,
  },
  'dry-weight-rank': {
    protocol: 'Dry-weight rank',
    unit: 'frame',
    entry: 'values',
    kit: ['frame'],
    minutesEach: 1,
  },
  clips: {
    protocol: 'Hand-sorted clips',
    unit: 'frame',
    entry: 'values',
    kit: ['frame', 'shears', 'bags-and-marker', 'scale'],
    minutesEach: 12,
  },
  'nested-frequency': {
    protocol: 'Frequency in nested frames',
    unit: 'frame',
    entry: 'values',
    kit: ['nested-frame'],
    minutesEach: 1,
  },
  'grid-frequency': {
    protocol: 'Frequency in a 5 by 5 grid',
    unit: 'grid',
    entry: 'cells',
    kit: ['grid-of-25'],
    minutesEach: 2,
  },
  'comparative-yield': {
    protocol: 'Comparative yield',
    unit: 'frame',
    entry: 'reading',
    kit: ['frame', 'reference-frames', 'shears', 'bags', 'scale'],
    minutesEach: 0.7,
  },
  'plate-meter': {
    protocol: 'Plate meter',
    unit: 'reading',
    entry: 'reading',
    kit: ['plate-meter', 'frame', 'shears', 'bags', 'scale'],
    minutesEach: 0.3,
  },
  'ruler-height': {
    protocol: 'Ruler height',
    unit: 'reading',
    entry: 'reading',
    kit: ['sward-ruler', 'frame', 'shears', 'bags', 'scale'],
    minutesEach: 0.4,
  },
  'search-walk': {
    protocol: 'Search walk for a harmful plant',
    unit: 'leg',
    entry: 'search',
    kit: ['flags', 'gloves', 'sample-bag'],
    minutesEach: 2,
  },
}

/** Methods whose figures add up to a whole sward. */
export const isComposition = (m: Method): boolean =>
  ['step-points', 'layer-points', 'turf-grid', 'cover-classes', 'dry-weight-rank', 'clips'].includes(m)

export const READING: Partial<Record<Method, { unit: string; max: number; step: number }>> = {
  'comparative-yield': { unit: '', max: 5, step: 0.25 },
  'plate-meter': { unit: 'cm', max: 60, step: 0.5 },
  'ruler-height': { unit: 'cm', max: 200, step: 0.5 },
}
