import { isComposition, READING, type Method } from './methods.ts'
import { say } from '../say.ts'

/**
 * What may be said of two methods on one paddock: how their figures stand to each other, by a published relation or by
 * what they measure. Their data are never put together.
 */
export function relationOf(a: Method, b: Method): string {
  const pair = (x: Method, y: Method) => (a === x && b === y) || (a === y && b === x)
  if (a === b) return say('The same method twice: the difference is one of days, of places, or of eyes.')
  if (pair('dry-weight-rank', 'clips'))
    return say(
      "Both give shares of dry weight. The multipliers of dry-weight rank were themselves fitted to sorted clips ('t Mannetje and Haydock 1963), so the two may be held against each other line by line.",
    )
  if (pair('step-points', 'layer-points'))
    return say(
      'The first hit sees only what lies on top: what grows beneath is lower in it. All layers count each plant that the pin touches. There is no published factor from one to the other.',
    )
  if (pair('step-points', 'turf-grid')) return say('Both are first hits at points, and may be held against each other.')
  const [frequency, other] = [a, b].includes('grid-frequency') ? ['grid-frequency', a === 'grid-frequency' ? b : a] : []
  if (frequency && other)
    return say(
      'Percent of cells of 15 by 15 cm, times 0.4, is about the number of plants a square metre (Vogel and Masters 2001, from memory). A frequency cannot be turned into a share of the sward.',
    )
  if (a === 'nested-frequency' || b === 'nested-frequency')
    return say(
      'A frequency depends on the size of the frame and on how clumped a plant is; it cannot be turned into a share of the sward.',
    )
  if (READING[a] && READING[b])
    return say(
      'Both give mass a hectare, each by its own line from its own clips; the intervals may be held against each other.',
    )
  if (READING[a] || READING[b] || !isComposition(a) || !isComposition(b))
    return say(
      'These measure different things: mass or number on one side, shares on the other. Neither can be turned into the other.',
    )
  if (a === 'cover-classes' || b === 'cover-classes')
    return say(
      'Cover judged by eye in classes and counts of points or weights differ by the eye and by the width of the classes. There is no published factor from one to the other.',
    )
  return say(
    'Shares of ground and shares of weight differ where plants are tall or thin. There is no published factor from one to the other.',
  )
}
