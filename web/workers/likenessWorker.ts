import * as Comlink from 'comlink'
import type { LikenessApi } from './likeness.worker.ts'

let opened: Comlink.Remote<LikenessApi> | undefined

/** The worker that builds plants in space; it is begun when the first is asked for. */
export const likenessWorker = (): Comlink.Remote<LikenessApi> =>
  (opened ??= Comlink.wrap<LikenessApi>(
    new Worker(new URL('./likeness.worker.ts', import.meta.url), { type: 'module' }),
  ))
