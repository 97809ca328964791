import * as Comlink from 'comlink'
import { randomLcg } from 'd3-random'
import type { Hazard, Plant } from '@/core/flora/flora.ts'
import type { Round } from '@/core/records/round.ts'
import type { Share } from '@/core/survey/composition.ts'
import { bookTaker } from './bookTaker.ts'
import { sharesAhead, weighUp, type WeighUp } from '@/core/assess/weighUp.ts'

let plants = new Map<string, Plant>()
let hazards: Hazard[] = []

export interface Weighed {
  figures: WeighUp
  /** What the page will ask of the counts beside. */
  shares: Map<string, Share>
}

/** The figures of a round off the page's own thread. */
const api = {
  ...bookTaker((flora) => {
    plants = new Map(flora.plants.map((p) => [p.id, p]))
    hazards = flora.hazards
  }),
  // A fixed seed: the same counts always show the same figures.
  weigh: (round: Round, clipped: Round[]): Weighed | undefined => {
    const figures = weighUp(round, plants, () => randomLcg(1), clipped)
    return figures && { figures, shares: sharesAhead(round, plants, hazards) }
  },
}

export type WeighingApi = typeof api
Comlink.expose(api)
