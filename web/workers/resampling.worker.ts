import * as Comlink from 'comlink'
import { randomLcg } from 'd3-random'
import { bootstrapRatio, type Bootstrapped } from '@/core/stats/bootstrap.ts'

/** Resampling by stop, off the page's thread; the page ends the worker to stop it. */
const api = {
  resample: (hits: number[], points: number[], progress: (share: number) => void): Bootstrapped | undefined =>
    bootstrapRatio(hits, points, randomLcg(1), {
      resamples: 10_000,
      progress: (share) => {
        progress(share)
        return true
      },
    }),
}

export type ResamplingApi = typeof api
Comlink.expose(api)
