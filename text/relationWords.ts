import type { Relation } from '@/core/survey/relations.ts'
import { say } from './say.ts'

const words: Record<Relation, () => string> = {
  'same-method': () => say('The same method twice: the difference is one of days, of places, or of eyes.'),
  'rank-and-clips': () =>
    say(
      "Both give shares of dry weight. The multipliers of dry-weight rank were themselves fitted to sorted clips ('t Mannetje and Haydock 1963), so the two may be held against each other line by line.",
    ),
  'first-hit-and-layers': () =>
    say(
      'The first hit sees only what lies on top: what grows beneath is lower in it. All layers count each plant that the pin touches. There is no published factor from one to the other.',
    ),
  'both-first-hits': () => say('Both are first hits at points, and may be held against each other.'),
  'cell-frequency': () =>
    say(
      'Percent of cells of 15 by 15 cm, times 0.4, is about the number of plants a square metre (Vogel and Masters 2001, from memory). A frequency cannot be turned into a share of the sward.',
    ),
  'nested-frequency': () =>
    say(
      'A frequency depends on the size of the frame and on how clumped a plant is; it cannot be turned into a share of the sward.',
    ),
  'both-mass': () =>
    say(
      'Both give mass a hectare, each by its own line from its own clips; the intervals may be held against each other.',
    ),
  'different-things': () =>
    say(
      'These measure different things: mass or number on one side, shares on the other. Neither can be turned into the other.',
    ),
  'cover-by-eye': () =>
    say(
      'Cover judged by eye in classes and counts of points or weights differ by the eye and by the width of the classes. There is no published factor from one to the other.',
    ),
  'ground-and-weight': () =>
    say(
      'Shares of ground and shares of weight differ where plants are tall or thin. There is no published factor from one to the other.',
    ),
}

/** What may be said of two methods on one paddock. */
export const relationWords = (relation: Relation): string => words[relation]()
