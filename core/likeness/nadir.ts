import type { Mesh } from './mesh.ts'

/** Something that stands on the ground and is looked down on. */
export interface Standing {
  mesh: Mesh
  /** Where, millimetres from the middle of the view. */
  x: number
  z: number
  /** Radians round its upright. */
  yaw: number
  scale: number
  /** What it counts as; 0 is ground. */
  id: number
  /** Factor of its colours. */
  light: number
}

export interface Nadir {
  side: number
  /** What is topmost at each pixel; 0 is ground. */
  id: Uint8Array
  /** Four bytes a pixel: red, green, blue and 255. */
  rgba: Uint8ClampedArray
}

export interface NadirAsked {
  /** Millimetres of an edge of the square that is seen. */
  millimetres: number
  /** Pixels of an edge. */
  side: number
  /** Linear light of the ground at a place, 0 to 1. */
  ground: (x: number, z: number) => readonly [number, number, number]
  /** Off: only what is topmost is wanted. */
  coloured: boolean
}

/** Where the sun stands: it shines along this, and comes from above. */
const SUN = { x: -0.55, y: -1, z: -0.35 }
const SUN_LENGTH = Math.hypot(SUN.x, SUN.y, SUN.z)
const SHADE = 0.52
const BIAS_MM = 1.2

/** Pixels of a triangle, each with the height of the triangle there. */
function fill(
  side: number,
  ax: number,
  ay: number,
  ah: number,
  bx: number,
  by: number,
  bh: number,
  cx: number,
  cy: number,
  ch: number,
  depth: Float32Array,
  write: (at: number) => void,
): void {
  const area = (bx - ax) * (cy - ay) - (cx - ax) * (by - ay)
  if (area > -1e-9 && area < 1e-9) return
  const x0 = Math.max(0, Math.ceil(Math.min(ax, bx, cx) - 0.5))
  const x1 = Math.min(side - 1, Math.floor(Math.max(ax, bx, cx) - 0.5))
  const y0 = Math.max(0, Math.ceil(Math.min(ay, by, cy) - 0.5))
  const y1 = Math.min(side - 1, Math.floor(Math.max(ay, by, cy) - 0.5))
  const inverse = 1 / area
  for (let y = y0; y <= y1; y++)
    for (let x = x0; x <= x1; x++) {
      const [px, py] = [x + 0.5, y + 0.5]
      const v = ((px - ax) * (cy - ay) - (cx - ax) * (py - ay)) * inverse
      const w = ((bx - ax) * (py - ay) - (px - ax) * (by - ay)) * inverse
      if (v < 0 || w < 0 || v + w > 1) continue
      const at = y * side + x
      const h = ah + v * (bh - ah) + w * (ch - ah)
      if (h <= depth[at]!) continue
      depth[at] = h
      write(at)
    }
}

/** From linear light, 0 to 1, to the byte of a screen (IEC 61966-2-1), by a table. */
const CURVE = Uint8ClampedArray.from({ length: 1025 }, (_, i) => {
  const l = i / 1024
  return 255 * (l <= 0.0031308 ? 12.92 * l : 1.055 * l ** (1 / 2.4) - 0.055)
})
const byte = (linear: number): number => CURVE[Math.max(0, Math.min(1024, Math.round(linear * 1024)))]!

/**
 * A square of ground seen straight from above, with all that stands on it: what is topmost in each pixel, and how it looks
 * in the sun. No perspective: what is counted in it is cover, not height.
 */
export function seenFromAbove(standing: readonly Standing[], asked: NadirAsked): Nadir {
  const { millimetres, side, ground, coloured } = asked
  const perMm = side / millimetres
  const pixels = side * side
  const id = new Uint8Array(pixels)
  const depth = new Float32Array(pixels)
  const lit = coloured ? new Float32Array(3 * pixels) : new Float32Array(0)
  const sunDepth = coloured ? new Float32Array(pixels) : new Float32Array(0)
  const ignored = () => undefined
  let at = new Float32Array(0)
  let up = new Float32Array(0)
  for (const { mesh, x, z, yaw, scale, id: mine, light } of standing) {
    const corners = mesh.positions.length / 3
    if (at.length < 3 * corners) [at, up] = [new Float32Array(3 * corners), new Float32Array(3 * corners)]
    const [cos, sin] = [Math.cos(yaw), Math.sin(yaw)]
    for (let i = 0; i < corners; i++) {
      const [px, py, pz] = [mesh.positions[3 * i]! * scale, mesh.positions[3 * i + 1]! * scale, mesh.positions[3 * i + 2]! * scale] // prettier-ignore
      at[3 * i] = (x + px * cos + pz * sin + millimetres / 2) * perMm
      at[3 * i + 1] = py
      at[3 * i + 2] = (z - px * sin + pz * cos + millimetres / 2) * perMm
      if (!coloured) continue
      const [nx, ny, nz] = [mesh.normals[3 * i]!, mesh.normals[3 * i + 1]!, mesh.normals[3 * i + 2]!]
      // A leaf is lit on either face.
      const facing = -((nx * cos + nz * sin) * SUN.x + ny * SUN.y + (-nx * sin + nz * cos) * SUN.z) / SUN_LENGTH
      up[i] = 0.36 + 0.95 * Math.abs(facing) * (facing < 0 ? 0.75 : 1)
    }
    for (let t = 0; t < mesh.indices.length; t += 3) {
      const [a, b, c] = [mesh.indices[t]!, mesh.indices[t + 1]!, mesh.indices[t + 2]!]
      const [ah, bh, ch] = [at[3 * a + 1]!, at[3 * b + 1]!, at[3 * c + 1]!]
      if (ah <= 0 && bh <= 0 && ch <= 0) continue
      const [r, g, bl] = coloured
        ? ([0, 1, 2].map((k) => ((mesh.colours[3 * a + k]! * up[a]! + mesh.colours[3 * b + k]! * up[b]! + mesh.colours[3 * c + k]! * up[c]!) / 3) * light) as [number, number, number]) // prettier-ignore
        : [0, 0, 0]
      fill(
        side,
        at[3 * a]!,
        at[3 * a + 2]!,
        ah,
        at[3 * b]!,
        at[3 * b + 2]!,
        bh,
        at[3 * c]!,
        at[3 * c + 2]!,
        ch,
        depth,
        (p) => {
          // prettier-ignore
          id[p] = mine
          if (!coloured) return
          lit[3 * p] = r
          lit[3 * p + 1] = g
          lit[3 * p + 2] = bl
        },
      )
      if (!coloured) continue
      // Where the sun sees it: as far along its rays as it is high.
      const [sa, sb, sc] = [ah * perMm, bh * perMm, ch * perMm]
      fill(side, at[3 * a]! + sa * SUN.x, at[3 * a + 2]! + sa * SUN.z, ah, at[3 * b]! + sb * SUN.x, at[3 * b + 2]! + sb * SUN.z, bh, at[3 * c]! + sc * SUN.x, at[3 * c + 2]! + sc * SUN.z, ch, sunDepth, ignored) // prettier-ignore
    }
  }
  const rgba = new Uint8ClampedArray(coloured ? 4 * pixels : 0)
  for (let p = 0; coloured && p < pixels; p++) {
    const [x, y] = [p % side, Math.floor(p / side)]
    const h = depth[p]!
    const [sx, sy] = [Math.round(x + h * perMm * SUN.x), Math.round(y + h * perMm * SUN.z)]
    const shaded = sx >= 0 && sy >= 0 && sx < side && sy < side && sunDepth[sy * side + sx]! > h + BIAS_MM
    const plain = h > 0 ? undefined : ground(x / perMm, y / perMm)
    for (let k = 0; k < 3; k++) rgba[4 * p + k] = byte((plain ? plain[k]! : lit[3 * p + k]!) * (shaded ? SHADE : 1))
    rgba[4 * p + 3] = 255
  }
  return { side, id, rgba }
}

/** Share of a view that shows something, counted pixel by pixel. */
export const shareOf = ({ id }: Pick<Nadir, 'id'>, of: number): number =>
  id.reduce((n, i) => n + Number(i === of), 0) / id.length
