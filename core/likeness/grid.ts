/** Rows of equally many corners; three numbers a corner, row by row. What follows them is not read. */
export interface Grid {
  at: Float64Array
  rows: number
  wide: number
}

/** Room for numbers that nobody needs after the next use: a tuft has thousands of hairs, and new room for each takes longer than to fill it. */
export class Room {
  private data = new Float64Array(1024)

  /** So many numbers at least, with whatever was written there before. */
  of(count: number): Float64Array {
    if (count > this.data.length) this.data = new Float64Array(2 * count)
    return this.data
  }
}

const corners = new Room()

/** Room for the corners of a grid, until the next one is asked for. */
export const roomForGrid = (rows: number, wide: number): Float64Array => corners.of(3 * rows * wide)

/** Where the triangles of a grid go. */
interface Taken {
  /** Three numbers a triangle: its corners, counted from the grid's first. */
  indices: Uint32Array
  /** Place of the next number among them. */
  next: number
  /** Number of the grid's first corner. */
  first: number
  /** Sum of the normals of the triangles round each corner, each as long as twice its triangle. */
  sums: Float64Array
}

/**
 * Takes the triangles of a grid; a sheet that runs into a point has some without a face, which are left out.
 *
 * @param close whether the last column joins the first
 * @param into left out: they are only counted
 * @returns how many there are
 */
export function takeFaces({ at, rows, wide }: Grid, close: boolean, into?: Taken): number {
  let count = 0
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
    if (x === 0 && y === 0 && z === 0) return
    count++
    if (!into) return
    const { indices, first, sums } = into
    indices[into.next++] = first + a
    indices[into.next++] = first + b
    indices[into.next++] = first + d
    addTo(sums, p, x, y, z)
    addTo(sums, q, x, y, z)
    addTo(sums, r, x, y, z)
  }
  for (let r = 0; r + 1 < rows; r++)
    for (let c = 0; c < (close ? wide : wide - 1); c++) {
      const right = close && c + 1 === wide ? 0 : c + 1
      triangle(r * wide + c, r * wide + right, (r + 1) * wide + c)
      triangle(r * wide + right, (r + 1) * wide + right, (r + 1) * wide + c)
    }
  return count
}

function addTo(sums: Float64Array, at: number, x: number, y: number, z: number): void {
  sums[at]! += x
  sums[at + 1]! += y
  sums[at + 2]! += z
}
