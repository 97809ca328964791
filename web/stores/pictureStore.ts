import { openDB, type IDBPDatabase } from 'idb'
import type { Pixel } from '@/core/picture/homography.ts'

/** A picture of a frame as it was taken, scaled, without the data a camera writes beside it, and its corners where they are set. */
export interface KeptPicture {
  picture: Blob
  corners?: [Pixel, Pixel, Pixel, Pixel]
}

let opened: Promise<IDBPDatabase> | undefined
const db = () => (opened ??= openDB('fold-sprig-pictures', 1, { upgrade: (d) => void d.createObjectStore('pictures') }))

/** Pictures of frames stay on this device, by the stop they belong to; a browser that keeps nothing has them until it is closed. */
export const readPicture = async (stopId: string): Promise<KeptPicture | undefined> =>
  (await (await db()).get('pictures', stopId)) as KeptPicture | undefined
export const keepPicture = async (stopId: string, kept: KeptPicture): Promise<void> =>
  void (await (await db()).put('pictures', kept, stopId))
export const deletePicture = async (stopId: string): Promise<void> =>
  void (await (await db()).delete('pictures', stopId))
