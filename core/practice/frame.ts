/** A frame of sward seen from above, in pixels, with exactly the cover that was asked for. */
export interface SwardFrame {
  side: number
  /** What each pixel shows: 0 bare ground, else the number of the plant, from 1. */
  plant: Uint8Array
  /** Light and shade of each pixel, 0 dark to 255 light. */
  shade: Uint8Array
  /** Leaves drawn. */
  leaves: number
}

export type LeafKind = 'blade' | 'trefoil' | 'rosette'

export interface FramePlant {
  kind: LeafKind
  /** Share of the frame that it covers as seen from above, 0 to 1. */
  cover: number
  /** 0 spread evenly to 1 all in clumps. */
  clumped: number
}

/** Size of leaves, as shares of the side. */
const BLADE = { long: 0.11, wide: 0.011 }
const TREFOIL = 0.021
const ROSETTE = { long: 0.07, wide: 0.028 }

interface Blob {
  x: number
  y: number
  /** Half length and half width, turned by an angle. */
  long: number
  wide: number
  turn: number
  light: number
}

/** Blobs of one leaf of a kind at a place. */
function leafAt(kind: LeafKind, x: number, y: number, random: () => number): Blob[] {
  const turn = random() * Math.PI * 2
  const light = 120 + random() * 90
  if (kind === 'blade')
    return [
      {
        x,
        y,
        long: BLADE.long * (0.6 + 0.8 * random()) * 0.5,
        wide: BLADE.wide * 0.5 * (0.7 + 0.6 * random()),
        turn,
        light,
      },
    ]
  if (kind === 'rosette')
    return Array.from({ length: 5 }, (_, i): Blob => {
      const a = turn + (i / 5) * Math.PI * 2 + (random() - 0.5) * 0.4
      const half = ROSETTE.long * 0.5 * (0.7 + 0.5 * random())
      return {
        x: x + Math.cos(a) * half,
        y: y + Math.sin(a) * half,
        long: half,
        wide: ROSETTE.wide * 0.5,
        turn: a,
        light: light + (random() - 0.5) * 30,
      }
    })
  const r = TREFOIL * (0.8 + 0.5 * random())
  return [0, 1, 2].map((i): Blob => {
    const a = turn + (i / 3) * Math.PI * 2
    return {
      x: x + Math.cos(a) * r * 0.75,
      y: y + Math.sin(a) * r * 0.75,
      long: r * 0.8,
      wide: r * 0.66,
      turn: a,
      light: light + (random() - 0.5) * 16,
    }
  })
}

/** About normal, by the sum of four uniform draws. */
const spread = (random: () => number) => (random() + random() + random() + random() - 2) * 0.9

/**
 * Draw a frame with a known cover of each plant. Leaves fall where the plant grows, over what is there already, until each
 * plant covers its share to the pixel; the last leaf is cut off where the share is reached.
 *
 * @param plants their covers together at most 1; the rest is bare ground
 * @param side pixels of an edge, 100 to 2,000
 * @param random uniform 0 to 1, seeded
 * @throws RangeError covers that do not fit the frame, or a side out of bounds
 */
export function swardFrame(plants: readonly FramePlant[], side: number, random: () => number): SwardFrame {
  const sum = plants.reduce((s, p) => s + p.cover, 0)
  if (plants.some((p) => !(p.cover >= 0)) || sum > 1 + 1e-9)
    throw new RangeError('covers are 0 or more and 1 together at most')
  if (!(Number.isInteger(side) && side >= 100 && side <= 2000))
    throw new RangeError('a frame has a side of 100 to 2,000')
  const pixels = side * side
  const plant = new Uint8Array(pixels)
  const shade = new Uint8Array(pixels)
  // Soil is grained; a short run of chance is enough for an eye.
  const grain = Float64Array.from({ length: 4099 }, () => 96 + 48 * random())
  for (let i = 0; i < pixels; i++) shade[i] = grain[i % 4099]!
  const left = plants.map((p) => Math.round(p.cover * pixels))
  const clumps = plants.map((p) =>
    Array.from({ length: Math.max(1, Math.round(9 * (1 - p.clumped))) }, () => [random(), random()] as const),
  )
  let leaves = 0

  /** Pixels of a blob that are bare become the plant's, no more than it still wants. */
  const paint = (id: number, b: Blob): void => {
    const cx = b.x * side
    const cy = b.y * side
    const long = Math.max(1, b.long * side)
    const wide = Math.max(0.7, b.wide * side)
    const cos = Math.cos(b.turn)
    const sin = Math.sin(b.turn)
    // The box of a turned ellipse.
    const half = Math.sqrt((long * cos) ** 2 + (wide * sin) ** 2)
    const high = Math.sqrt((long * sin) ** 2 + (wide * cos) ** 2)
    const x0 = Math.max(0, Math.floor(cx - half))
    const x1 = Math.min(side - 1, Math.ceil(cx + half))
    const y0 = Math.max(0, Math.floor(cy - high))
    const y1 = Math.min(side - 1, Math.ceil(cy + high))
    for (let y = y0; y <= y1; y++)
      for (let x = x0; x <= x1; x++) {
        const at = y * side + x
        if (plant[at] !== 0) continue
        const along = ((x - cx) * cos + (y - cy) * sin) / long
        const across = ((y - cy) * cos - (x - cx) * sin) / wide
        const far = along * along + across * across
        if (far > 1) continue
        if (left[id - 1]! <= 0) return
        plant[at] = id
        left[id - 1]!--
        // The midrib is lighter, the edge darker.
        const light = b.light * (1 - 0.35 * far) + (across < 0.18 && across > -0.18 ? 22 : 0)
        shade[at] = light < 20 ? 20 : light > 250 ? 250 : light
      }
  }

  const bareTurns = plants.map(() => 0)
  while (left.some((n) => n > 0)) {
    for (let i = 0; i < plants.length; i++) {
      if (left[i]! <= 0) continue
      const { kind, clumped } = plants[i]!
      const clump = clumps[i]![Math.floor(random() * clumps[i]!.length)]!
      const loose = random() > clumped
      const [x, y] = loose ? [random(), random()] : [clump[0] + spread(random) * 0.16, clump[1] + spread(random) * 0.16]
      const before = left[i]!
      for (const b of leafAt(kind, x, y, random)) paint(i + 1, b)
      leaves++
      if (left[i]! < before) continue
      // Where it grows nothing is bare any more: after many vain leaves it takes the nearest bare ground.
      if (++bareTurns[i]! % 60 === 0) fill(i + 1, Math.min(left[i]!, Math.ceil(pixels / 400)))
    }
  }
  return { side, plant, shade, leaves }

  function fill(id: number, wanted: number): void {
    const from = Math.floor(random() * pixels)
    for (let k = 0; k < pixels && wanted > 0; k++) {
      const at = (from + k) % pixels
      if (plant[at] !== 0) continue
      plant[at] = id
      shade[at] = 110 + 60 * random()
      left[id - 1]!--
      wanted--
    }
  }
}

/** Share of the frame that shows a plant (0: bare ground), counted pixel by pixel. */
export const coverOf = ({ plant, side }: SwardFrame, id: number): number =>
  plant.reduce((n, p) => n + Number(p === id), 0) / (side * side)
