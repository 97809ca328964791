import { randomLcg } from 'd3-random'
import type { LifeForm, Plant, Stage } from '../flora/flora.ts'
import { usualTraits, type Traits } from '../flora/traits.ts'
import { addGrass, addRush } from './grass.ts'
import { addSoil, type Random } from './ground.ts'
import { spots } from './noise.ts'
import { addHerb } from './herb.ts'
import { addLegume } from './legume.ts'
import { MeshBuilder, type Mesh } from './mesh.ts'
import { shadeWithin } from './occlusion.ts'
import { addShrub } from './shrub.ts'
import type { Vec } from './vec.ts'

const makers: Record<LifeForm, (to: MeshBuilder, traits: Traits, random: Random) => void> = {
  grass: addGrass,
  // Some sedges have no blades, only stems.
  sedge: (to, traits, random) => (traits.sizes['blade.width'] === undefined ? addRush : addGrass)(to, traits, random),
  rush: addRush,
  legume: addLegume,
  forb: addHerb,
  shrub: addShrub,
}

/** A plant of many leaves is built the coarser, so that a phone can turn it. */
const COARSE = 0.25

/** How finely a specimen is built: at most so finely, towards so many triangles and never over so many. */
export interface Fineness {
  detail: number
  toward: number
  most: number
}
const FOR_THE_HAND: Fineness = { detail: 1, toward: 64_000, most: 112_000 }
/** For a still picture. */
export const FOR_A_PICTURE: Fineness = { detail: 2, toward: 420_000, most: 700_000 }

/** Millimetres above the ground at which a shoot is still at its foot. */
const AT_FOOT = 1.5

/** Forms whose shoots are not built with ends of their own: they are cropped as a whole. */
const CROPPED = new Set<LifeForm>(['forb', 'legume'])

/** Lower than this nothing is cropped, millimetres, and this share of a plant is left, so that it can still be told. Common practice, no source. */
const LEAST_LEFT_MM = 45
const SHARE_LEFT = 0.5

/** A level cut, or bites at unlike heights. */
function crop(plant: MeshBuilder, bitten: boolean): void {
  const left = Math.max(LEAST_LEFT_MM, SHARE_LEFT * plant.bounds().high[1])
  plant.crop(bitten ? (x, z) => left * (0.7 + 0.6 * spots(x / 22 + 3, z / 22)) : () => left)
}

/** Triangles grow less than with the square of the detail: stems and hairs are not cut more finely. */
const GROWTH = 0.62

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
export function specimenOf(
  form: LifeForm,
  traits: Traits,
  random: Random,
  fineness: Fineness = FOR_THE_HAND,
): Specimen {
  const seed = random()
  const cropped = traits.mown === true && CROPPED.has(form)
  const build = (detail: number, keep: 'all' | 'count' = 'all'): MeshBuilder => {
    const to = new MeshBuilder(detail, 2 * fineness.most, keep)
    makers[form](to, traits, randomLcg(seed))
    if (cropped) crop(to, traits.bitten === true)
    return to
  }
  // A coarse first try tells how finely it can be built; what a mower leaves of it has to be seen for that.
  const coarse = build(COARSE, cropped ? 'all' : 'count').triangles
  let detail = Math.max(COARSE, Math.min(fineness.detail, COARSE * (fineness.toward / Math.max(1, coarse)) ** GROWTH))
  let plant = build(detail)
  for (; plant.triangles > fineness.most && detail > 0.1; plant = build(detail)) detail *= 0.7
  const { low, high } = plant.bounds()
  const wide = Math.max(20, -low[0], high[0])
  // As much soil as shows how it is rooted, and no more than the plant above can carry.
  const deep = Math.max(8, Math.min(-low[1] + 4, 0.4 * Math.max(high[1], wide)))
  const { triangles: plantTriangles, corners } = plant
  // What lies on the ground needs ground to lie on.
  const lies = high[1] < 0.75 * wide
  const usual = Math.max(16, Math.min(wide * (lies ? 0.6 : 0.42), lies ? 400 : 110))
  // Every shoot stands in it, also those that rise from a runner.
  const half = lies ? usual : Math.max(usual, Math.min(plant.reach('sheath', -2, AT_FOOT) + 6, 180))
  addSoil(plant, half, lies ? Math.min(deep, half * 0.5) : deep, lies ? half * 0.62 : 0)
  const mesh = plant.mesh()
  shadeWithin(mesh, corners)
  return { mesh, low, high, plantTriangles }
}

/** A plant of the book as it mostly looks at a stage. */
export const plantSpecimen = (plant: Plant, stage: Stage, random: Random, fineness?: Fineness): Specimen =>
  specimenOf(plant.form, usualTraits(plant, stage), random, fineness)
