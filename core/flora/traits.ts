import { cellAt, type Likeness, type Plant, type Stage } from './flora.ts'
import { shareOfWord } from './frequency.ts'

/** States and sizes that a plant is drawn or built from; what is not known is left out. */
export interface Traits {
  states: Record<string, string>
  /** Millimetres. */
  sizes: Record<string, number>
  /** Proportions that no character codes, where they are on file: millimetres or numbers. */
  proportions?: Partial<Record<keyof Omit<Likeness, 'sources'>, number>>
  /** A seedling: few leaves, no runners yet. */
  young?: boolean
  /** Mown or grazed: grass blades end where they were cut. */
  mown?: boolean
}

export const ageOf = (stage: Stage | undefined): Pick<Traits, 'young' | 'mown'> =>
  stage === 'seedling' ? { young: true } : stage === 'mown' ? { mown: true } : {}

/** What a plant mostly looks like at a stage: its commonest states, the middle of its sizes. */
export function usualTraits(plant: Plant, stage: Stage): Traits {
  const traits: Traits = { states: { 'life.form': plant.form }, sizes: {}, ...ageOf(stage) }
  if (plant.likeness) {
    const ranges = Object.entries(plant.likeness).filter((e): e is [string, [number, number]] => e[0] !== 'sources')
    traits.proportions = Object.fromEntries(ranges.map(([k, [low, high]]) => [k, (low + high) / 2]))
  }
  for (const id of Object.keys(plant.characters)) {
    const cell = cellAt(plant, id, stage)
    if (cell?.kind === 'range') traits.sizes[id] = (cell.typical[0] + cell.typical[1]) / 2
    else if (cell)
      traits.states[id] = Object.entries(cell.words).sort((a, b) => shareOfWord[b[1]] - shareOfWord[a[1]])[0]![0]
  }
  return traits
}
