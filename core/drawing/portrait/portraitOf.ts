import type { LifeForm, Plant, Stage } from '../../flora/flora.ts'
import { cloverPortrait } from './clover.ts'
import { grassPortrait, rushPortrait, sedgePortrait } from './grass.ts'
import { herbPortrait, shrubPortrait } from './herb.ts'
import type { Portrait, Traits } from './portrait.ts'
import { usualTraits } from '../../flora/traits.ts'

const makers: Record<LifeForm, (traits: Traits, random: () => number) => Portrait> = {
  grass: grassPortrait,
  sedge: sedgePortrait,
  rush: rushPortrait,
  legume: cloverPortrait,
  forb: herbPortrait,
  shrub: shrubPortrait,
}

/**
 * A whole plant put together from its traits: pieces in a box of 100 by 120 with the ground at 88, and close looks.
 *
 * @param random uniform 0 to 1, seeded: it varies lean and length a little, so that no two plants are alike
 */
export const portraitOf = (form: LifeForm, traits: Traits, random: () => number): Portrait => makers[form](traits, random)

/** A plant of the book as it mostly looks at a stage. */
export const plantPortrait = (plant: Plant, stage: Stage, random: () => number): Portrait => portraitOf(plant.form, usualTraits(plant, stage), random)
