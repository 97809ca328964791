import { cropped } from './crop.ts'
import { type Corners, Growing } from './growing.ts'
import { type Grid, Room, roomForGrid, takeFaces } from './grid.ts'
import type { Frame } from './spine.ts'
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
  'head',
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

/** How a sheet looks. */
export interface Look {
  organ: Organ
  gloss?: number
  colour: (row: number, column: number) => Rgb
  /** Whether the last column joins the first, as round a stem. */
  close?: boolean
}

/** Puts a mesh together from sheets of corners in rows and columns. */
export class MeshBuilder implements Corners {
  readonly positions = new Growing(Float64Array)
  readonly normals = new Growing(Float32Array)
  readonly colours = new Growing(Float64Array)
  readonly gloss = new Growing(Float32Array)
  readonly organ = new Growing(Uint8Array)
  readonly indices = new Growing(Uint32Array)

  private counted = 0
  private readonly sums = new Room()

  /**
   * @param detail how finely leaves and stems are cut, 1 or less
   * @param most triangles after which no more is taken: it would only be thrown away
   * @param keep count: nothing is kept, its triangles are only counted, which takes a third of the time
   */
  constructor(
    readonly detail = 1,
    private readonly most = Infinity,
    private readonly keep: 'all' | 'count' = 'all',
  ) {}

  /** An empty one that keeps as much. */
  another(): MeshBuilder {
    return new MeshBuilder(this.detail, Infinity, this.keep)
  }
  get corners(): number {
    return this.organ.length
  }
  get triangles(): number {
    return this.indices.length / 3 + this.counted
  }
  /** Whether more than is wanted was taken already. */
  get full(): boolean {
    return this.triangles > this.most
  }
  /** Lowest and highest corner so far, millimetres. */
  bounds(): { low: Vec; high: Vec } {
    return boundsOf({ positions: this.positions.used() })
  }
  /** Furthest corner to a side, millimetres, of those of an organ between two heights. */
  reach(of: Organ, from: number, upTo: number): number {
    const index = organs.indexOf(of)
    const at = this.positions.data
    let far = 0
    for (let i = 0; i < this.corners; i++) {
      const y = at[3 * i + 1]!
      if (this.organ.data[i] === index && y > from && y < upTo) far = Math.max(far, Math.abs(at[3 * i]!))
    }
    return far
  }

  /** A sheet of corners in rows of equally many. */
  sheet(rows: readonly Vec[][], look: Look): void {
    const wide = rows[0]!.length
    const at = roomForGrid(rows.length, wide)
    rows.forEach((row, r) => row.forEach((p, c) => at.set(p, 3 * (r * wide + c))))
    this.grid({ at, rows: rows.length, wide }, look)
  }

  /** A sheet, its normals smoothed over it, seen from the side on which rows go up and columns to the right. */
  grid({ at, rows, wide }: Grid, { organ, gloss = 0.2, colour, close = false }: Look): void {
    if (this.full) return
    if (this.keep === 'count') return void (this.counted += takeFaces({ at, rows, wide }, close))
    const first = this.corners
    const count = rows * wide
    const sums = this.faces({ at, rows, wide }, close, first)
    const [p, n, c] = [this.positions, this.normals, this.colours].map((list) => list.extend(3 * count)) as [number, number, number] // prettier-ignore
    this.positions.data.set(at.subarray(0, 3 * count), p)
    const normals = this.normals.data
    for (let k = 0; k < 3 * count; k += 3) {
      const [x, y, z] = [sums[k]!, sums[k + 1]!, sums[k + 2]!]
      const l = Math.sqrt(x * x + y * y + z * z)
      const none = l < 1e-12
      normals[n + k] = none ? 0 : x / l
      normals[n + k + 1] = none ? 1 : y / l
      normals[n + k + 2] = none ? 0 : z / l
    }
    const colours = this.colours.data
    for (let r = 0, k = c; r < rows; r++)
      for (let column = 0; column < wide; column++, k += 3) {
        const rgb = colour(r, column)
        colours[k] = rgb[0]
        colours[k + 1] = rgb[1]
        colours[k + 2] = rgb[2]
      }
    const g = this.gloss.extend(count)
    this.gloss.data.fill(gloss, g, g + count)
    const o = this.organ.extend(count)
    this.organ.data.fill(organs.indexOf(organ), o, o + count)
  }

  /** Takes in the triangles of a grid, and gives the sum of those round each corner, as long as twice their areas. */
  private faces(grid: Grid, close: boolean, first: number): Float64Array {
    const sums = this.sums.of(3 * grid.rows * grid.wide).fill(0, 0, 3 * grid.rows * grid.wide)
    const next = this.indices.extend(6 * (grid.rows - 1) * grid.wide)
    const count = takeFaces(grid, close, { indices: this.indices.data, next, first, sums })
    this.indices.length = next + 3 * count
    return sums
  }

  /**
   * Another builder's sheets, turned from its z and y to a frame's direction and face, and scaled.
   *
   * @param light factor of its colours
   */
  copy(from: MeshBuilder, frame: Frame, scale: number, light: number): void {
    if (this.full) return
    this.counted += from.counted
    const first = this.corners
    turn(this.positions, from.positions, frame, frame.at, scale)
    turn(this.normals, from.normals, frame, [0, 0, 0], 1)
    const c = this.colours.extend(from.colours.length)
    for (let i = 0; i < from.colours.length; i++) this.colours.data[c + i] = Math.min(1, from.colours.data[i]! * light)
    const [g, o] = [this.gloss.extend(from.corners), this.organ.extend(from.corners)]
    this.gloss.data.set(from.gloss.used(), g)
    this.organ.data.set(from.organ.used(), o)
    const k = this.indices.extend(from.indices.length)
    for (let i = 0; i < from.indices.length; i++) this.indices.data[k + i] = first + from.indices.data[i]!
  }

  /**
   * Takes away what is higher than a surface, as a blade or a mouth does; triangles through it end at it.
   *
   * @param height of the surface over a place on the ground, millimetres
   */
  crop(height: (x: number, z: number) => number): void {
    cropped(this, height)
  }

  mesh(): Mesh {
    return {
      positions: new Float32Array(this.positions.used()),
      normals: new Float32Array(this.normals.used()),
      colours: new Float32Array(this.colours.used()),
      gloss: new Float32Array(this.gloss.used()),
      organ: new Uint8Array(this.organ.used()),
      indices: new Uint32Array(this.indices.used()),
    }
  }
}

/** Takes in another list's places or directions, turned from its z and y to a frame's direction and face, and scaled. */
function turn(
  to: Corners['positions' | 'normals'],
  from: Corners['positions' | 'normals'],
  { along, face, side }: Frame,
  [ox, oy, oz]: Vec,
  scale: number,
): void {
  const at = to.extend(from.length)
  const [into, source] = [to.data, from.data]
  for (let i = 0; i < from.length; i += 3) {
    const x = -source[i]! * scale
    const y = source[i + 1]! * scale
    const z = source[i + 2]! * scale
    into[at + i] = ox + x * side[0] + y * face[0] + z * along[0]
    into[at + i + 1] = oy + x * side[1] + y * face[1] + z * along[1]
    into[at + i + 2] = oz + x * side[2] + y * face[2] + z * along[2]
  }
}

/** Lowest and highest corner, millimetres. */
export function boundsOf({ positions }: { positions: ArrayLike<number> }): { low: Vec; high: Vec } {
  const low: [number, number, number] = [Infinity, Infinity, Infinity]
  const high: [number, number, number] = [-Infinity, -Infinity, -Infinity]
  for (let i = 0; i < positions.length; i += 3)
    for (let k = 0; k < 3; k++) {
      const x = positions[i + k]!
      if (x < low[k]!) low[k] = x
      if (x > high[k]!) high[k] = x
    }
  return { low, high }
}
