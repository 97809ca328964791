import type { Plant, Stage } from '@/core/flora/flora.ts'
import { usualTraits } from '@/core/flora/traits.ts'
import { plateSeed } from '@/core/likeness/fingerprint.ts'
import { likenessWorker } from '../workers/likenessWorker.ts'
import { firstLook, specimenScene } from './specimenScene.ts'

const SIDE = 720

/**
 * A still picture of a plant, made here.
 *
 * @returns a data URL
 * @throws Error where the browser draws nothing in three dimensions
 */
export async function pictureFile(plant: Plant, stage: Stage): Promise<string> {
  const traits = usualTraits(plant, stage)
  const specimen = (await likenessWorker().build({ form: plant.form, traits, seed: plateSeed(plant.id) }))!
  const canvas = document.createElement('canvas')
  const scene = specimenScene(canvas, specimen)
  try {
    scene.resize(SIDE, SIDE)
    scene.draw(firstLook(specimen))
    return canvas.toDataURL('image/webp', 0.85)
  } finally {
    scene.end()
  }
}
