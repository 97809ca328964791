import type { Mesh } from './mesh.ts'
import { boundsOf } from './mesh.ts'

const SIDE = 22

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
  const floor = 0
  const span = [high[0] - low[0], high[1] - floor, high[2] - low[2]].map((x) => Math.max(1, x)) as [
    number,
    number,
    number,
  ]
  const cell = (v: number, from: number, wide: number) =>
    Math.max(0, Math.min(SIDE - 1, Math.floor(((v - from) / wide) * SIDE)))
  const at = (x: number, y: number, z: number) => (y * SIDE + z) * SIDE + x
  const dense = new Float32Array(SIDE ** 3)
  for (let i = 0; i < plantCorners; i++)
    if (positions[3 * i + 1]! >= floor)
      dense[
        at(
          cell(positions[3 * i]!, low[0], span[0]),
          cell(positions[3 * i + 1]!, floor, span[1]),
          cell(positions[3 * i + 2]!, low[2], span[2]),
        )
      ]! += 1
  const usual = plantCorners / SIDE ** 3
  const above = new Float32Array(SIDE ** 3)
  for (let y = SIDE - 2; y >= 0; y--)
    for (let z = 0; z < SIDE; z++)
      for (let x = 0; x < SIDE; x++) {
        // Light comes from all of the sky: what hangs beside counts as well as what hangs straight above.
        let sum = 0
        for (const [dx, dz] of [
          [0, 0],
          [1, 0],
          [-1, 0],
          [0, 1],
          [0, -1],
        ] as const) {
          const [px, pz] = [Math.max(0, Math.min(SIDE - 1, x + dx)), Math.max(0, Math.min(SIDE - 1, z + dz))]
          sum += above[at(px, y + 1, pz)]! * 0.97 + Math.min(6, dense[at(px, y + 1, pz)]! / usual)
        }
        above[at(x, y, z)] = sum / 5
      }
  const light = Float32Array.from(above, (sum) => 1 - strength * (1 - Math.exp(-0.045 * sum)))
  for (let i = 0; i < organ.length; i++) {
    if (positions[3 * i + 1]! < floor - 1) continue
    const share =
      light[
        at(
          cell(positions[3 * i]!, low[0], span[0]),
          cell(positions[3 * i + 1]!, floor, span[1]),
          cell(positions[3 * i + 2]!, low[2], span[2]),
        )
      ]!
    for (let k = 0; k < 3; k++) colours[3 * i + k]! *= share
  }
}
