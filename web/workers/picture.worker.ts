import * as Comlink from 'comlink'
import { blockFeatures, type BlockFeatures } from '@/core/picture/blocks.ts'
import { crossFitted, type FrameMap, type NamedPoint } from '@/core/picture/crossFitted.ts'
import { straightened, type Picture, type Pixel } from '@/core/picture/homography.ts'

/** Pixels of a straight frame on each side, and blocks that a map tells apart. */
export const STRAIGHT = 800
export const PER_SIDE = 100

let blocks: BlockFeatures[] = []

/** A picture made straight and mapped, off the page's own thread. */
const api = {
  straighten: (picture: Picture, corners: readonly [Pixel, Pixel, Pixel, Pixel]): Picture => {
    const straight = straightened(picture, corners, STRAIGHT)
    blocks = blockFeatures(straight, PER_SIDE)
    return Comlink.transfer(straight, [straight.data.buffer])
  },
  map: (points: readonly NamedPoint[], seed: number): FrameMap => crossFitted(blocks, PER_SIDE, points, seed),
}

export type PictureApi = typeof api
Comlink.expose(api)
