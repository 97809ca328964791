import type { Vec } from './vec.ts'

/** What a triangle belongs to: what a lens is held over, what a gesture works on. */
export const organs = [
  'blade',
  'sheath',
  'ligule',
  'auricle',
  'stem',
  'leaf',
  'stipule',
  'base',
  'root',
  'hair',
  'soil',
] as const
export type Organ = (typeof organs)[number]

/** Triangles with their normals and colours; three numbers a corner. Colours are linear light, 0 to 1. */
export interface Mesh {
  positions: Float32Array
  normals: Float32Array
  colours: Float32Array
  /** Gloss of each corner, 0 dull to 1 shining. */
  gloss: Float32Array
  /** Place of its organ in `organs`, of each corner. */
  organ: Uint8Array
  indices: Uint32Array
}

export type Rgb = readonly [number, number, number]

/** Puts a mesh together from sheets of corners in rows and columns. */
export class MeshBuilder {
  private readonly positions: number[] = []
  private readonly normals: number[] = []
  private readonly colours: number[] = []
  private readonly gloss: number[] = []
  private readonly organ: number[] = []
  private readonly indices: number[] = []

  /**
   * @param detail how finely leaves and stems are cut, 1 or less
   * @param most triangles after which no more is taken: it would only be thrown away
   */
  constructor(
    readonly detail = 1,
    private readonly most = Infinity,
  ) {}

  get corners(): number {
    return this.organ.length
  }
  get triangles(): number {
    return this.indices.length / 3
  }

  /**
   * A sheet: rows of equally many corners, its normals smoothed over it, seen from the side on which rows go up and
   * columns to the right.
   *
   * @param close whether the last column joins the first, as round a stem
   */
  sheet(
    rows: readonly Vec[][],
    look: { organ: Organ; gloss?: number; colour: (row: number, column: number) => Rgb; close?: boolean },
  ): void {
    if (this.triangles > this.most) return
    const wide = rows[0]!.length
    const first = this.corners
    const index = organs.indexOf(look.organ)
    const { gloss = 0.2, close = false } = look
    const flat = rows.flat()
    const sums = new Float64Array(3 * flat.length)
    const triangle = (a: number, b: number, d: number) => {
      const [p, q, r] = [flat[a]!, flat[b]!, flat[d]!]
      const [ux, uy, uz] = [q[0] - p[0], q[1] - p[1], q[2] - p[2]]
      const [vx, vy, vz] = [r[0] - p[0], r[1] - p[1], r[2] - p[2]]
      const [x, y, z] = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx]
      // A sheet that runs into a point has triangles without a face.
      if (x === 0 && y === 0 && z === 0) return
      this.indices.push(first + a, first + b, first + d)
      for (const k of [a, b, d]) {
        sums[3 * k]! += x
        sums[3 * k + 1]! += y
        sums[3 * k + 2]! += z
      }
    }
    for (let r = 0; r + 1 < rows.length; r++)
      for (let c = 0; c < (close ? wide : wide - 1); c++) {
        const right = close ? (c + 1) % wide : c + 1
        triangle(r * wide + c, r * wide + right, (r + 1) * wide + c)
        triangle(r * wide + right, (r + 1) * wide + right, (r + 1) * wide + c)
      }
    for (let k = 0; k < flat.length; k++) {
      const p = flat[k]!
      const [x, y, z] = [sums[3 * k]!, sums[3 * k + 1]!, sums[3 * k + 2]!]
      const l = Math.hypot(x, y, z)
      this.positions.push(p[0], p[1], p[2])
      if (l < 1e-12) this.normals.push(0, 1, 0)
      else this.normals.push(x / l, y / l, z / l)
      const [red, green, blue] = look.colour(Math.floor(k / wide), k % wide)
      this.colours.push(red, green, blue)
      this.gloss.push(gloss)
      this.organ.push(index)
    }
  }

  mesh(): Mesh {
    return {
      positions: Float32Array.from(this.positions),
      normals: Float32Array.from(this.normals),
      colours: Float32Array.from(this.colours),
      gloss: Float32Array.from(this.gloss),
      organ: Uint8Array.from(this.organ),
      indices: Uint32Array.from(this.indices),
    }
  }
}

/** Lowest and highest corner, millimetres. */
export function boundsOf({ positions }: Pick<Mesh, 'positions'>): { low: Vec; high: Vec } {
  const low: [number, number, number] = [Infinity, Infinity, Infinity]
  const high: [number, number, number] = [-Infinity, -Infinity, -Infinity]
  for (let i = 0; i < positions.length; i++) {
    low[i % 3] = Math.min(low[i % 3]!, positions[i]!)
    high[i % 3] = Math.max(high[i % 3]!, positions[i]!)
  }
  return { low, high }
}
