import * as Comlink from 'comlink'
import { randomLcg } from 'd3-random'
import type { Plant } from '@/core/flora/flora.ts'
import type { Round } from '@/core/records/round.ts'
import { bookTaker } from './bookTaker.ts'
import { weighUp, type WeighUp } from '@/core/assess/weighUp.ts'

let plants = new Map<string, Plant>()

/** The figures of a round off the page's own thread. */
const api = {
  ...bookTaker((flora) => void (plants = new Map(flora.plants.map((p) => [p.id, p])))),
  // A fixed seed: the same counts always show the same figures.
  weigh: (round: Round, clipped: Round[]): WeighUp | undefined => weighUp(round, plants, () => randomLcg(1), clipped),
}

export type WeighingApi = typeof api
Comlink.expose(api)
