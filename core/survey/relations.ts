import type { Method } from '../records/method.ts'
import { countingMethods, isComposition, isFirstHit } from '../methods/index.ts'

/** How the figures of two methods stand to each other. */
export type Relation =
  | 'same-method'
  | 'rank-and-clips'
  | 'first-hit-and-layers'
  | 'both-first-hits'
  | 'cell-frequency'
  | 'nested-frequency'
  | 'both-mass'
  | 'different-things'
  | 'cover-by-eye'
  | 'ground-and-weight'

/**
 * What may be said of two methods on one paddock: how their figures stand to each other, by a published relation or by
 * what they measure. Their data are never put together.
 */
export function relationOf(a: Method, b: Method): Relation {
  const pair = (x: Method, y: Method) => (a === x && b === y) || (a === y && b === x)
  if (a === b) return 'same-method'
  if (pair('dry-weight-rank', 'clips')) return 'rank-and-clips'
  if (isFirstHit(a) && isFirstHit(b)) return 'both-first-hits'
  if (isFirstHit(a) ? b === 'layer-points' : isFirstHit(b) && a === 'layer-points') return 'first-hit-and-layers'
  const [frequency, other] = [a, b].includes('grid-frequency') ? ['grid-frequency', a === 'grid-frequency' ? b : a] : []
  if (frequency && other) return 'cell-frequency'
  if (a === 'nested-frequency' || b === 'nested-frequency') return 'nested-frequency'
  if (countingMethods[a].reading && countingMethods[b].reading) return 'both-mass'
  if (countingMethods[a].reading || countingMethods[b].reading || !isComposition(a) || !isComposition(b))
    return 'different-things'
  if (a === 'cover-classes' || b === 'cover-classes') return 'cover-by-eye'
  return 'ground-and-weight'
}
