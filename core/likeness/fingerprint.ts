import type { Specimen } from './specimenOf.ts'

/** Raise when the light, the camera or the ground of pictures changes, so that all of them are made anew. */
const PICTURE = 1

/**
 * Eight hexadecimal digits that stay the same as long as a specimen does: corners to a tenth of a millimetre, colours to a
 * hundredth (FNV-1a, 32 bits).
 */
export function fingerprint({ mesh }: Pick<Specimen, 'mesh'>): string {
  let hash = 0x811c9dc5 ^ PICTURE
  const take = (x: number) => void (hash = Math.imul(hash ^ (x & 0xffff), 0x01000193))
  for (const x of mesh.positions) take(Math.round(x * 10))
  for (const c of mesh.colours) take(Math.round(c * 100))
  return (hash >>> 0).toString(16).padStart(8, '0')
}

/** Seed of the specimen that a plant's picture shows. */
export const plateSeed = (id: string): number =>
  ([...id].reduce((n, c) => (n * 31 + c.charCodeAt(0)) % 9973, 7) + 0.5) / 9973
