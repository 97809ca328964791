/** So many times in so many: a probability as a natural frequency. */
export interface Frequency {
  times: number
  of: number
}

const steps: [from: number, times: number, of: number][] = [
  [0.98, 99, 100],
  [0.935, 19, 20],
  [0.85, 9, 10],
  [0.775, 4, 5],
  [0.71, 3, 4],
  [0.58, 2, 3],
  [0.42, 1, 2],
  [0.29, 1, 3],
  [0.225, 1, 4],
  [0.15, 1, 5],
  [0.075, 1, 10],
  [0.035, 1, 20],
  [0.015, 1, 50],
  [0.0075, 1, 100],
  [0.0035, 1, 200],
  [0.001, 1, 500],
]

/**
 * A probability as the natural frequency it is nearest to, the way it is said aloud: 0.95 is 19 in 20. It stops at 99 in 100: a
 * model cannot know more of itself than names checked in flower have shown.
 *
 * @returns undefined below 1 in 1,000
 */
export function frequencyOf(p: number): Frequency | undefined {
  const step = steps.find(([from]) => p >= from)
  return step && { times: step[1], of: step[2] }
}

/** How sure a probability is. */
export type Certainty = 'almost-certain' | 'very-likely' | 'likely' | 'perhaps' | 'less-likely' | 'unlikely'

export function certaintyOf(p: number): Certainty {
  if (p >= 0.98) return 'almost-certain'
  if (p >= 0.9) return 'very-likely'
  if (p >= 0.7) return 'likely'
  if (p >= 0.42) return 'perhaps'
  return p >= 0.15 ? 'less-likely' : 'unlikely'
}
