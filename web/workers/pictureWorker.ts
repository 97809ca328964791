import * as Comlink from 'comlink'
import type { PictureApi } from './picture.worker.ts'

/** A worker for one frame: its picture is kept in it, and goes with it. */
export function pictureWorker(): { api: Comlink.Remote<PictureApi>; end: () => void } {
  const worker = new Worker(new URL('./picture.worker.ts', import.meta.url), { type: 'module' })
  return { api: Comlink.wrap<PictureApi>(worker), end: () => worker.terminate() }
}
