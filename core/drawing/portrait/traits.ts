import { cellAt, type Plant, type Stage } from '../../flora/flora.ts'
import { shareOfWord } from '../../flora/frequency.ts'
import { CANT_TELL, type Observation } from '../../records/observation.ts'
import type { Traits } from './portrait.ts'

const lookAt = (stage: Stage | undefined): Pick<Traits, 'young' | 'mown'> =>
  stage === 'seedling' ? { young: true } : stage === 'mown' ? { mown: true } : {}

/** What a plant mostly looks like at a stage: its commonest states, the middle of its sizes. */
export function usualTraits(plant: Plant, stage: Stage): Traits {
  const traits: Traits = { states: { 'life.form': plant.form }, sizes: {}, ...lookAt(stage) }
  for (const id of Object.keys(plant.characters)) {
    const cell = cellAt(plant, id, stage)
    if (cell?.kind === 'range') traits.sizes[id] = (cell.typical[0] + cell.typical[1]) / 2
    else if (cell) traits.states[id] = Object.entries(cell.words).sort((a, b) => shareOfWord[b[1]] - shareOfWord[a[1]])[0]![0]
  }
  return traits
}

/** What was answered so far; of several plants pulled, what most of them showed. */
export function answeredTraits(answers: Observation[], stage?: Stage): Traits {
  const traits: Traits = { states: {}, sizes: {}, ...lookAt(stage) }
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
