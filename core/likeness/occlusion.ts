import type { Mesh } from './mesh.ts'
import { boundsOf } from './mesh.ts'
import type { Vec } from './vec.ts'

const SIDE = 22
const GROUND = 0

/**
 * Darkens what stands in the shade of the plant's own leaves: the foot of a tuft, the inside of a bush. Light from a grey
 * sky is thinned by the leaves above, as in a canopy (Monsi and Saeki 1953, from memory), counted in a coarse grid.
 *
 * @param plantCorners corners of the plant; those after them (its soil) are shaded too, but shade nothing
 * @param strength 0: no shade; the share by which the deepest shade darkens at most
 */
export function shadeWithin(mesh: Mesh, plantCorners: number, strength = 0.62): void {
  const { positions, colours, organ } = mesh
  if (plantCorners === 0) return
  const { low, high } = boundsOf({ positions: positions.subarray(0, 3 * plantCorners) })
  const cellOf = cells(low, high)
  const dense = new Float32Array(SIDE ** 3)
  for (let i = 0; i < plantCorners; i++) if (positions[3 * i + 1]! >= GROUND) dense[cellOf(positions, i)]! += 1
  const light = leavesAbove(dense, plantCorners / SIDE ** 3).map((sum) => 1 - strength * (1 - Math.exp(-0.045 * sum)))
  for (let i = 0; i < organ.length; i++) {
    if (positions[3 * i + 1]! < GROUND - 1) continue
    const share = light[cellOf(positions, i)]!
    for (let k = 3 * i; k < 3 * i + 3; k++) colours[k]! *= share
  }
}

/** The cell of the grid in which a corner lies, the nearest one if it lies outside. */
function cells(low: Vec, high: Vec): (positions: Float32Array, corner: number) => number {
  const [wide, tall, deep] = [high[0] - low[0], high[1] - GROUND, high[2] - low[2]].map((x) => Math.max(1, x)) as [number, number, number] // prettier-ignore
  const within = (share: number) => Math.max(0, Math.min(SIDE - 1, Math.floor(share * SIDE)))
  return (positions, corner) => {
    const x = within((positions[3 * corner]! - low[0]) / wide)
    const y = within((positions[3 * corner + 1]! - GROUND) / tall)
    const z = within((positions[3 * corner + 2]! - low[2]) / deep)
    return (y * SIDE + z) * SIDE + x
  }
}

/** How many leaves the light of each cell came through. */
function leavesAbove(dense: Float32Array, usual: number): Float32Array {
  const above = new Float32Array(SIDE ** 3)
  const leaves = dense.map((d) => Math.min(6, d / usual))
  for (let y = SIDE - 2; y >= 0; y--)
    for (let z = 0; z < SIDE; z++)
      for (let x = 0; x < SIDE; x++) {
        const row = (y + 1) * SIDE
        const here = (row + z) * SIDE + x
        // Light comes from all of the sky: what hangs beside counts as well as what hangs straight above.
        const left = x > 0 ? here - 1 : here
        const right = x < SIDE - 1 ? here + 1 : here
        const behind = z > 0 ? here - SIDE : here
        const before = z < SIDE - 1 ? here + SIDE : here
        let sum = 0
        for (const cell of [here, right, left, before, behind]) sum += above[cell]! * 0.97 + leaves[cell]!
        above[here - SIDE * SIDE] = sum / 5
      }
  return above
}
