import { randomLcg } from 'd3-random'
import type { LifeForm, Plant, Stage } from '../flora/flora.ts'
import { usualTraits, type Traits } from '../flora/traits.ts'
import { addHerb, addLegume, addShrub } from './broad.ts'
import { addGrass, addRush } from './grass.ts'
import { addSoil, type Random } from './ground.ts'
import { boundsOf, MeshBuilder, type Mesh } from './mesh.ts'
import type { Vec } from './vec.ts'

const makers: Record<LifeForm, (to: MeshBuilder, traits: Traits, random: Random) => void> = {
  grass: addGrass,
  sedge: addGrass,
  rush: addRush,
  legume: addLegume,
  forb: addHerb,
  shrub: addShrub,
}

/** A plant of many leaves is built the coarser, so that a phone can turn it. */
const MOST_TRIANGLES = 112_000

export interface Specimen {
  mesh: Mesh
  /** Corners of the box round the plant without its soil, millimetres. */
  low: Vec
  high: Vec
  /** Triangles of the plant itself; those after them are its soil. */
  plantTriangles: number
}

/**
 * A whole plant in space, from its traits, with the block of soil it stands on: millimetres, the ground at 0, the eye in
 * front. The same random numbers give the same plant; others give another specimen of it.
 *
 * @param random uniform 0 to 1, seeded
 */
export function specimenOf(form: LifeForm, traits: Traits, random: Random): Specimen {
  const seed = random()
  const build = (detail: number): MeshBuilder => {
    const to = new MeshBuilder(detail, 2 * MOST_TRIANGLES)
    makers[form](to, traits, randomLcg(seed))
    return to
  }
  let plant = build(1)
  for (let detail = 1; plant.triangles > MOST_TRIANGLES && detail > 0.2;) {
    detail *= Math.min(0.85, Math.sqrt(MOST_TRIANGLES / plant.triangles))
    plant = build(detail)
  }
  const { low, high } = boundsOf(plant.mesh())
  const wide = Math.max(20, -low[0], high[0])
  // As much soil as shows how it is rooted, and no more than the plant above can carry.
  const deep = Math.max(8, Math.min(-low[1] + 4, 0.55 * Math.max(high[1], wide)))
  const plantTriangles = plant.triangles
  addSoil(plant, Math.max(16, Math.min(wide * 0.5, 110)), deep)
  return { mesh: plant.mesh(), low, high, plantTriangles }
}

/** A plant of the book as it mostly looks at a stage. */
export const plantSpecimen = (plant: Plant, stage: Stage, random: Random): Specimen =>
  specimenOf(plant.form, usualTraits(plant, stage), random)
