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
  readonly positions: number[] = []
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
  /** Lowest and highest corner so far, millimetres. */
  bounds(): { low: Vec; high: Vec } {
    return boundsOf(this)
  }
  /** Furthest corner to a side, millimetres, of those of an organ between two heights. */
  reach(of: Organ, from: number, upTo: number): number {
    const index = organs.indexOf(of)
    let far = 0
    for (let i = 0; i < this.corners; i++) {
      const y = this.positions[3 * i + 1]!
      if (this.organ[i] === index && y > from && y < upTo) far = Math.max(far, Math.abs(this.positions[3 * i]!))
    }
    return far
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
    const count = rows.length * wide
    const at = new Float64Array(3 * count)
    rows.forEach((row, r) => row.forEach((p, c) => at.set(p, 3 * (r * wide + c))))
    const sums = new Float64Array(3 * count)
    const triangle = (a: number, b: number, d: number) => {
      const [p, q, r] = [3 * a, 3 * b, 3 * d]
      const ux = at[q]! - at[p]!
      const uy = at[q + 1]! - at[p + 1]!
      const uz = at[q + 2]! - at[p + 2]!
      const vx = at[r]! - at[p]!
      const vy = at[r + 1]! - at[p + 1]!
      const vz = at[r + 2]! - at[p + 2]!
      const x = uy * vz - uz * vy
      const y = uz * vx - ux * vz
      const z = ux * vy - uy * vx
      // A sheet that runs into a point has triangles without a face.
      if (x === 0 && y === 0 && z === 0) return
      this.indices.push(first + a, first + b, first + d)
      for (let k = p, i = 0; i < 3; k = i === 0 ? q : r, i++) {
        sums[k]! += x
        sums[k + 1]! += y
        sums[k + 2]! += z
      }
    }
    for (let r = 0; r + 1 < rows.length; r++)
      for (let c = 0; c < (close ? wide : wide - 1); c++) {
        const right = close && c + 1 === wide ? 0 : c + 1
        triangle(r * wide + c, r * wide + right, (r + 1) * wide + c)
        triangle(r * wide + right, (r + 1) * wide + right, (r + 1) * wide + c)
      }
    for (let k = 0; k < count; k++) {
      const x = sums[3 * k]!
      const y = sums[3 * k + 1]!
      const z = sums[3 * k + 2]!
      const l = Math.sqrt(x * x + y * y + z * z)
      this.positions.push(at[3 * k]!, at[3 * k + 1]!, at[3 * k + 2]!)
      if (l < 1e-12) this.normals.push(0, 1, 0)
      else this.normals.push(x / l, y / l, z / l)
      const [red, green, blue] = look.colour(Math.floor(k / wide), k % wide)
      this.colours.push(red, green, blue)
      this.gloss.push(gloss)
      this.organ.push(index)
    }
  }

  /**
   * Another builder's sheets, turned from its z and y to a frame's direction and face, and scaled.
   *
   * @param light factor of its colours
   */
  copy(from: MeshBuilder, { at, along, face, side }: Frame, scale: number, light: number): void {
    if (this.triangles > this.most) return
    const first = this.corners
    const turn = (list: number[], source: readonly number[], i: number, size: number, [ox, oy, oz]: Vec) => {
      const [x, y, z] = [-source[i]! * size, source[i + 1]! * size, source[i + 2]! * size]
      list.push(
        ox + x * side[0] + y * face[0] + z * along[0],
        oy + x * side[1] + y * face[1] + z * along[1],
        oz + x * side[2] + y * face[2] + z * along[2],
      )
    }
    for (let i = 0; i < from.positions.length; i += 3) {
      turn(this.positions, from.positions, i, scale, at)
      turn(this.normals, from.normals, i, 1, [0, 0, 0])
    }
    for (const c of from.colours) this.colours.push(Math.min(1, c * light))
    for (const g of from.gloss) this.gloss.push(g)
    for (const o of from.organ) this.organ.push(o)
    for (const i of from.indices) this.indices.push(first + i)
  }

  /**
   * Takes away what is higher than a surface, as a blade or a mouth does; triangles through it end at it.
   *
   * @param height of the surface over a place on the ground, millimetres
   */
  crop(height: (x: number, z: number) => number): void {
    const over = (i: number) => this.positions[3 * i + 1]! - height(this.positions[3 * i]!, this.positions[3 * i + 2]!)
    const off = Array.from({ length: this.corners }, (_, i) => over(i))
    const made = new Map<string, number>()
    /** The corner at which the edge from one that stays to one that goes meets the surface. */
    const between = (stays: number, goes: number): number => {
      const key = `${stays} ${goes}`
      const known = made.get(key)
      if (known !== undefined) return known
      const t = off[stays]! / (off[stays]! - off[goes]!)
      for (const list of [this.positions, this.normals, this.colours])
        for (let k = 0; k < 3; k++) list.push(list[3 * stays + k]! * (1 - t) + list[3 * goes + k]! * t)
      this.gloss.push(this.gloss[stays]!)
      const at = this.organ.push(this.organ[stays]!) - 1
      made.set(key, at)
      return at
    }
    const all = this.indices.splice(0)
    for (let i = 0; i < all.length; i += 3) {
      const corners = [all[i]!, all[i + 1]!, all[i + 2]!]
      const left = corners.flatMap((c, k) => {
        const next = corners[(k + 1) % 3]!
        const stays = off[c]! <= 0
        if (stays === off[next]! <= 0) return stays ? [c] : []
        return stays ? [c, between(c, next)] : [between(next, c)]
      })
      for (let k = 2; k < left.length; k++) this.indices.push(left[0]!, left[k - 1]!, left[k]!)
    }
    this.forget()
  }

  /** Takes out the corners that no triangle has any more. */
  private forget(): void {
    const place = new Map<number, number>()
    this.indices.forEach((c, i) => {
      if (!place.has(c)) place.set(c, place.size)
      this.indices[i] = place.get(c)!
    })
    const only = (list: number[], each: number) => {
      const whole = list.slice()
      list.length = place.size * each
      for (const [from, to] of place) for (let k = 0; k < each; k++) list[to * each + k] = whole[from * each + k]!
    }
    for (const list of [this.positions, this.normals, this.colours]) only(list, 3)
    for (const list of [this.gloss, this.organ]) only(list, 1)
  }

  mesh(): Mesh {
    return {
      positions: new Float32Array(this.positions),
      normals: new Float32Array(this.normals),
      colours: new Float32Array(this.colours),
      gloss: new Float32Array(this.gloss),
      organ: new Uint8Array(this.organ),
      indices: new Uint32Array(this.indices),
    }
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
