import type { Method } from '../records/method.ts'
import { clips } from './clips.ts'
import { comparativeYield } from './comparative-yield.ts'
import { coverClasses } from './cover-classes.ts'
import { dryWeightRank } from './dry-weight-rank.ts'
import { gridFrequency } from './grid-frequency.ts'
import { layerPoints } from './layer-points.ts'
import type { CountingMethod } from './method.ts'
import { nestedFrequency } from './nested-frequency.ts'
import { pictureFrame } from './picture-frame.ts'
import { pinFrame } from './pin-frame.ts'
import { plateMeter } from './plate-meter.ts'
import { rulerHeight } from './ruler-height.ts'
import { searchWalk } from './search-walk.ts'
import { stepPoints } from './step-points.ts'
import { turfGrid } from './turf-grid.ts'

/** Every method by its id; whoever needs to know something of a method asks here. */
export const countingMethods: Record<Method, CountingMethod> = {
  'step-points': stepPoints,
  'layer-points': layerPoints,
  'pin-frame': pinFrame,
  'turf-grid': turfGrid,
  'cover-classes': coverClasses,
  'dry-weight-rank': dryWeightRank,
  clips,
  'nested-frequency': nestedFrequency,
  'grid-frequency': gridFrequency,
  'comparative-yield': comparativeYield,
  'plate-meter': plateMeter,
  'ruler-height': rulerHeight,
  'search-walk': searchWalk,
  'picture-frame': pictureFrame,
}

/** Whether each amount is an independent look at a point: the first plant touched. */
export const isFirstHit = (method: Method): boolean =>
  countingMethods[method].entry === 'points' && !countingMethods[method].layered

/** Whether a hit needs its pin or cell beside name and amount. */
export const tellsParts = (method: Method): boolean =>
  countingMethods[method].layered === true || countingMethods[method].entry === 'cells'

/** Whether the figures of a method add up to a whole sward. */
export const isComposition = (method: Method): boolean => countingMethods[method].sward !== undefined
