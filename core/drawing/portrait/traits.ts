import type { Stage } from '../../flora/flora.ts'
import { ageOf, type Traits } from '../../flora/traits.ts'
import { CANT_TELL, type Observation } from '../../records/observation.ts'

/** What was answered so far; of several plants pulled, what most of them showed. */
export function answeredTraits(answers: Observation[], stage?: Stage): Traits {
  const traits: Traits = { states: {}, sizes: {}, ...ageOf(stage) }
  for (const a of answers) {
    if ('value' in a) traits.sizes[a.character] = a.value
    else if ('values' in a) traits.sizes[a.character] = [...a.values].sort((x, y) => x - y)[a.values.length >> 1]!
    else {
      const state = 'states' in a ? a.states[0] : Object.entries(a.counts).sort((x, y) => y[1] - x[1])[0]?.[0]
      if (state && state !== CANT_TELL) traits.states[a.character] = state
    }
  }
  return traits
}
