import type { Random } from './ground.ts'
import type { Foot } from './leafLook.ts'
import type { MeshBuilder } from './mesh.ts'
import { frameOf } from './spine.ts'

/** Leaves of one plant that were built in full; the others are copies of them, turned and scaled. */
const BUILT = 5

/** A leaf's length and where it stands. */
export interface Place {
  foot: Foot
  length: number
}
export type Stamp = (to: MeshBuilder, place: Place) => void

/**
 * Leaves of one plant by copies: a few are built, each leaf asked for is one of them at its size. Thousands of corners are
 * copied in the time that hundreds are grown.
 *
 * @param plant what they are for: they are built as finely
 * @param length of those that are built, millimetres
 * @param build one leaf, its foot at 0, going along z with its face up
 */
export function stamps(
  plant: MeshBuilder,
  length: number,
  build: (to: MeshBuilder, place: Place) => void,
  random: Random,
  built = BUILT,
): Stamp {
  const made = Array.from({ length: built }, () => {
    const one = plant.another()
    build(one, { foot: { at: [0, 0, 0], along: [0, 0, 1], face: [0, 1, 0] }, length })
    return one
  })
  return (to, { foot, length: long }) => {
    const frame = frameOf(foot.at, foot.along, foot.face)
    to.copy(made[Math.floor(random() * built)]!, frame, long / length, built === BUILT ? 0.92 + 0.16 * random() : 1)
  }
}
