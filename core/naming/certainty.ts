import { say } from '../say.ts'

const steps: [number, string][] = [
  [0.98, '99 in 100'],
  [0.935, '19 in 20'],
  [0.85, '9 in 10'],
  [0.775, '4 in 5'],
  [0.71, '3 in 4'],
  [0.58, '2 in 3'],
  [0.42, '1 in 2'],
  [0.29, '1 in 3'],
  [0.225, '1 in 4'],
  [0.15, '1 in 5'],
  [0.075, '1 in 10'],
  [0.035, '1 in 20'],
  [0.015, '1 in 50'],
  [0.0075, '1 in 100'],
  [0.0035, '1 in 200'],
  [0.001, '1 in 500'],
]

/**
 * A probability as a natural frequency, the way it is said aloud: 0.95 is "19 in 20". It stops at "99 in 100": a model
 * cannot know more of itself than names checked in flower have shown.
 */
export function naturalFrequency(p: number): string {
  return say(steps.find(([from]) => p >= from)?.[1] ?? 'less than 1 in 1,000')
}

/** A probability as a word. */
export function certaintyWord(p: number): string {
  if (p >= 0.98) return say('almost certainly')
  if (p >= 0.9) return say('very likely')
  if (p >= 0.7) return say('likely')
  if (p >= 0.42) return say('perhaps')
  if (p >= 0.15) return say('less likely')
  return say('unlikely')
}
