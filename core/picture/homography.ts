/** A place in a picture, pixels from its upper left corner. */
export type Pixel = [x: number, y: number]

/** Eight numbers that take a place of the straight frame to its place in the picture; the ninth is 1. */
type Homography = readonly number[]

/** Solves a small system of equations by Gauss with the largest pivot. @throws RangeError where it has no one solution */
function solved(rows: number[][]): number[] {
  const n = rows.length
  for (let c = 0; c < n; c++) {
    const pivot = rows.slice(c).reduce((best, r, i) => (Math.abs(r[c]!) > Math.abs(rows[best]![c]!) ? c + i : best), c)
    if (Math.abs(rows[pivot]![c]!) < 1e-9) throw new RangeError('the four corners must span a frame')
    ;[rows[c], rows[pivot]] = [rows[pivot]!, rows[c]!]
    for (let r = 0; r < n; r++) {
      if (r === c) continue
      const times = rows[r]![c]! / rows[c]![c]!
      if (times !== 0) for (let k = c; k <= n; k++) rows[r]![k]! -= times * rows[c]![k]!
    }
  }
  return rows.map((r, i) => r[n]! / r[i]!)
}

/**
 * The way from a square frame, 0 to 1 on both sides, to its four corners in a picture (Hartley & Zisserman 2004, ch. 2).
 *
 * @param corners upper left, upper right, lower right, lower left
 * @throws RangeError three of them on a line, or two in one place
 */
export function homography(corners: readonly [Pixel, Pixel, Pixel, Pixel]): Homography {
  const square = [[0, 0], [1, 0], [1, 1], [0, 1]] as const // prettier-ignore
  const rows = corners.flatMap(([x, y], i) => {
    const [u, v] = square[i]!
    return [
      [u, v, 1, 0, 0, 0, -u * x, -v * x, x],
      [0, 0, 0, u, v, 1, -u * y, -v * y, y],
    ]
  })
  return solved(rows)
}

/** Where a place of the frame lies in the picture. */
export function inPicture(h: Homography, u: number, v: number): Pixel {
  const w = h[6]! * u + h[7]! * v + 1
  return [(h[0]! * u + h[1]! * v + h[2]!) / w, (h[3]! * u + h[4]! * v + h[5]!) / w]
}

/** A picture as a canvas gives it: red, green, blue and cover of each pixel, 0 to 255. */
export interface Picture {
  data: Uint8ClampedArray
  width: number
  height: number
}

/**
 * A frame seen from above, made straight: each of its pixels taken from the nearest of the picture.
 *
 * @param size pixels of each side
 */
export function straightened(picture: Picture, corners: readonly [Pixel, Pixel, Pixel, Pixel], size: number): Picture {
  const h = homography(corners)
  const data = new Uint8ClampedArray(size * size * 4)
  const from = new Uint32Array(picture.data.buffer, picture.data.byteOffset, picture.width * picture.height)
  const to = new Uint32Array(data.buffer)
  for (let row = 0; row < size; row++)
    for (let column = 0; column < size; column++) {
      const [x, y] = inPicture(h, (column + 0.5) / size, (row + 0.5) / size)
      const [px, py] = [Math.floor(x), Math.floor(y)]
      if (px >= 0 && py >= 0 && px < picture.width && py < picture.height)
        to[row * size + column] = from[py * picture.width + px]!
    }
  return { data, width: size, height: size }
}
