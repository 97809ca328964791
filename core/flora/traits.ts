import { cellAt, type Plant, type Proportion, type Stage, type Tints } from './flora.ts'
import { shareOfWord } from './frequency.ts'

/** States and sizes that a plant is drawn or built from; what is not known is left out. */
export interface Traits {
  states: Record<string, string>
  /** Millimetres. */
  sizes: Record<string, number>
  /** Proportions that no character codes, where they are on file: millimetres or numbers. */
  proportions?: Partial<Record<Proportion, number>>
  /** Colours, where they are on file. */
  tints?: Tints
  /** A seedling: few leaves, no runners yet. */
  young?: boolean
  /** Mown or grazed: grass blades end where they were cut. */
  mown?: boolean
  /** Ends as a mouth leaves them, not as a blade does; beside `mown`. */
  bitten?: boolean
}

/** How far up the range of its stems a plant mostly is while nothing is in flower; a guess. */
const BEFORE_FLOWERING = 0.35

export const ageOf = (stage: Stage | undefined): Pick<Traits, 'young' | 'mown'> =>
  stage === 'seedling' ? { young: true } : stage === 'mown' ? { mown: true } : {}

/** What a plant mostly looks like at a stage: its commonest states, the middle of its sizes. */
export function usualTraits(plant: Plant, stage: Stage): Traits {
  const traits: Traits = { states: { 'life.form': plant.form }, sizes: {}, ...ageOf(stage) }
  if (plant.likeness) {
    const { ranges, tints } = plant.likeness
    traits.proportions = Object.fromEntries(
      Object.entries(ranges).map(([k, [low, high]]) => [
        k,
        low + (high - low) * (k === 'stemMm' ? BEFORE_FLOWERING : 0.5),
      ]),
    )
    traits.tints = tints
  }
  for (const id of Object.keys(plant.characters)) {
    const cell = cellAt(plant, id, stage)
    if (cell?.kind === 'range') traits.sizes[id] = (cell.typical[0] + cell.typical[1]) / 2
    else if (cell)
      traits.states[id] = Object.entries(cell.words).sort((a, b) => shareOfWord[b[1]] - shareOfWord[a[1]])[0]![0]
  }
  return traits
}
