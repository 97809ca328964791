import * as Comlink from 'comlink'
import { randomLcg } from 'd3-random'
import type { Plant, Stage } from '@/core/flora/flora.ts'
import { plantSpecimen, type Specimen } from '@/core/likeness/specimenOf.ts'

/** Plants built in space off the page's own thread. */
const api = {
  build: (plant: Plant, stage: Stage, seed: number): Specimen => {
    const specimen = plantSpecimen(plant, stage, randomLcg(seed))
    const { mesh } = specimen
    return Comlink.transfer(specimen, [mesh.positions.buffer, mesh.normals.buffer, mesh.colours.buffer, mesh.gloss.buffer, mesh.organ.buffer, mesh.indices.buffer]) // prettier-ignore
  },
}

export type LikenessApi = typeof api
Comlink.expose(api)
