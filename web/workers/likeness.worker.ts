import * as Comlink from 'comlink'
import { randomLcg } from 'd3-random'
import type { LifeForm } from '@/core/flora/flora.ts'
import type { Traits } from '@/core/flora/traits.ts'
import { closeUpOf, type Gesture } from '@/core/likeness/closeUp.ts'
import { specimenOf, type Specimen } from '@/core/likeness/specimenOf.ts'

/** A plant of such traits; with a gesture, the part that it shows. */
export interface Wanted {
  form: LifeForm
  traits: Traits
  seed: number
  gesture?: Gesture | undefined
}

/** Plants built in space off the page's own thread. */
const api = {
  /** Undefined where a gesture shows nothing that can be seen. */
  build: ({ form, traits, seed, gesture }: Wanted): Specimen | undefined => {
    const random = randomLcg(seed)
    const specimen = gesture ? closeUpOf(traits, gesture, random) : specimenOf(form, traits, random)
    if (!specimen) return undefined
    const { mesh } = specimen
    return Comlink.transfer(specimen, [mesh.positions.buffer, mesh.normals.buffer, mesh.colours.buffer, mesh.gloss.buffer, mesh.organ.buffer, mesh.indices.buffer]) // prettier-ignore
  },
}

export type LikenessApi = typeof api
Comlink.expose(api)
