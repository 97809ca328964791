import { randomLcg } from 'd3-random'
import type { Plant, Stage } from '@/core/flora/flora.ts'
import { plantSpecimen } from '@/core/likeness/specimenOf.ts'
import { firstLook, specimenScene } from '../web/likeness/specimenScene.ts'

/** Draws one specimen for a sheet: called in a browser by `plates.mjs`. */
Object.assign(window, {
  plate: (plant: Plant, stage: Stage, seed: number, side: number): string => {
    const canvas = document.createElement('canvas')
    const specimen = plantSpecimen(plant, stage, randomLcg(seed))
    const scene = specimenScene(canvas, specimen)
    scene.resize(side, side)
    scene.draw(firstLook(specimen))
    const url = canvas.toDataURL('image/webp', 0.9)
    scene.end()
    return url
  },
})
