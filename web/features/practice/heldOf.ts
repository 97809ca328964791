import { usualTraits } from '@/core/flora/traits.ts'
import type { Plant, Stage } from '@/core/flora/flora.ts'
import { gestures, shownBy, type Gesture } from '@/core/likeness/closeUp.ts'
import type { PractiseSpecimen } from '@/core/practice/specimen.ts'
import type { Held } from '../../entities/plant/hand/useSpecimen.ts'
import { seedOf } from '../../parts/PlantDrawing.tsx'

/** A practice specimen as it lies in the hand: its own states and sizes, the usual ones where it shows none. */
export function heldOf(plant: Plant, specimen: PractiseSpecimen): Held {
  const usual = usualTraits(plant, specimen.stage)
  return {
    form: plant.form,
    traits: {
      ...usual,
      states: { ...usual.states, ...specimen.traits.states },
      sizes: { ...usual.sizes, ...specimen.traits.sizes },
      ...(specimen.condition === 'mown' || specimen.condition === 'chewed' ? { mown: true } : {}),
      ...(specimen.condition === 'chewed' ? { bitten: true } : {}),
    },
    seed: seedOf(JSON.stringify(specimen.seen)),
  }
}

/** The plant it was taken for, as it mostly looks at the stage. */
export const usualHeld = (plant: Plant, stage: Stage): Held => ({
  form: plant.form,
  traits: usualTraits(plant, stage),
  seed: seedOf(`${plant.id}beside`),
})

/** The gesture that shows a character; no heads, one of the two may have none on file. */
export const gestureFor = (character: string | undefined): Gesture | undefined =>
  gestures.find((g) => character !== undefined && g !== 'crush' && g !== 'head' && shownBy[g].includes(character))
