import { light, lighter, SOIL, STRAW, type Lab } from '../likeness/colours.ts'
import { round, type Random } from '../likeness/ground.ts'
import { addLamina, oval } from '../likeness/lamina.ts'
import { MeshBuilder, type Mesh } from '../likeness/mesh.ts'
import { seenFromAbove, shareOf, type Standing } from '../likeness/nadir.ts'
import { spots } from '../likeness/noise.ts'
import { addTube, tapers } from '../likeness/ribbon.ts'
import { grow } from '../likeness/spine.ts'
import { unit, type Vec } from '../likeness/vec.ts'

/** A frame of sward seen from above: its picture, and what is topmost at each of its finer pixels. */
export interface SwardFrame {
  side: number
  /** Four bytes a pixel. */
  rgba: Uint8ClampedArray
  /** What is topmost at each pixel of twice the side: the number of the plant, from 1; 0 is ground. */
  plant: Uint8Array
  /** Share of the frame that each plant covers, counted in the picture; the first is bare ground, with its litter and stones. */
  covers: number[]
  /** Shoots, leaves and rosettes that stand in it. */
  leaves: number
}

export const leafKinds = ['blade', 'trefoil', 'rosette'] as const
export type LeafKind = (typeof leafKinds)[number]

export interface FramePlant {
  kind: LeafKind
  /** Share of the frame that it is to cover as seen from above, 0 to 1. */
  cover: number
  /** 0 spread evenly to 1 all in clumps. */
  clumped: number
  /** How high it stands, mm; left out: as such plants mostly do in a grazed sward. */
  highMm?: number
}

/** Edge of a frame, mm: a half metre. */
export const FRAME_MM = 500
/** Beyond the edge plants stand too, and lean in. */
const MARGIN = 40
const TEMPLATES = 6
const MOST = 4200
/** Tries at the covers that were asked for; what comes out is counted. */
const TRIES = 5
const COARSE = 220

const GREENS: Record<LeafKind, Lab[]> = {
  blade: [[42, -29, 30], [47, -26, 28], [55, -24, 34], [50, -21, 20]], // prettier-ignore
  trefoil: [[45, -33, 35], [49, -31, 38]], // prettier-ignore
  rosette: [[47, -28, 32], [52, -31, 38]], // prettier-ignore
}
const USUAL_HIGH: Record<LeafKind, number> = { blade: 90, trefoil: 60, rosette: 40 }
/** Square millimetres that one of a kind hides from above, about: only where the tries begin. */
const HIDES: Record<LeafKind, number> = { blade: 260, trefoil: 420, rosette: 5200 }

/** One shoot of grass of a height, its blades one way and the other. */
function addShoot(to: MeshBuilder, high: number, green: Lab, random: Random): void {
  const around = random() * Math.PI * 2
  for (let k = 0; k < 3; k++) {
    const side = around + (k % 2 ? Math.PI : 0) + (random() - 0.5) * 0.6
    const off = 0.25 + 0.55 * random()
    const along = unit([Math.cos(side) * Math.sin(off), Math.cos(off), Math.sin(side) * Math.sin(off)])
    const spine = grow({ from: [0, 1, 0], along, length: high * (0.75 + 0.6 * random()), steps: 8, droop: round(random, 0.9, 0.6), late: 0.6, floor: 1 }) // prettier-ignore
    const tint = lighter(green, (random() - 0.5) * 10)
    addLamina(to, spine, { width: 3 + 2 * random(), outline: tapers['pointed']!, upper: tint, lower: tint, fold: 0.2, thin: true, fine: [9, 3] }) // prettier-ignore
  }
}

/** One leaf of clover on its stalk. */
function addTrefoil(to: MeshBuilder, high: number, green: Lab, random: Random): void {
  const lean = random() * 0.5
  const around = random() * Math.PI * 2
  const stalk = grow({ from: [0, 0, 0], along: [Math.cos(around) * lean, 1, Math.sin(around) * lean], length: high * (0.5 + 0.6 * random()), steps: 5, droop: 0.2 }) // prettier-ignore
  addTube(to, stalk, { organ: 'leaf', radius: () => 0.6, sides: 4, colour: () => lighter(green, 6) })
  const top = stalk.at(-1)!.at
  const turn = random() * Math.PI * 2
  const size = 9 + 7 * random()
  const marked = random() > 0.3
  for (let k = 0; k < 3; k++) {
    const a = turn + (k * 2 * Math.PI) / 3
    const spine = grow({ from: top, along: [Math.cos(a), 0.16, Math.sin(a)], face: [0, 1, 0], length: size, steps: 5, droop: 0.3 }) // prettier-ignore
    addLamina(to, spine, {
      width: size * 0.92,
      outline: oval(0.58, 0.62),
      upper: lighter(green, (random() - 0.5) * 5),
      lower: green,
      fold: 0.15,
      thin: true,
      fine: [8, 5],
      mark: (t, u, c) => (marked && Math.abs(t - 0.6 + 0.24 * Math.abs(u)) < 0.08 ? [66, -16, 22] : c),
    })
  }
}

/** One rosette of lance-shaped, ribbed leaves. */
function addRosette(to: MeshBuilder, high: number, green: Lab, random: Random): void {
  const count = 6 + Math.floor(4 * random())
  for (let k = 0; k < count; k++) {
    const a = k * 2.4 + random() * 0.4
    const off = 1.15 - 0.5 * (k / count)
    const along = unit([Math.cos(a) * Math.sin(off), Math.cos(off), Math.sin(a) * Math.sin(off)])
    const long = high * (1.6 + 0.9 * random()) * (1 - 0.3 * (k / count))
    const face: Vec = [-along[0], 1, -along[2]]
    const tint = lighter(green, (random() - 0.5) * 7)
    addLamina(to, grow({ from: [0, 1, 0], along, face, length: long, steps: 8, droop: 0.5, floor: 1.5 }), { width: long * 0.24, outline: oval(0.52, 0.85), upper: tint, lower: tint, fold: 0.16, thin: true, fine: [12, 9], veins: { count: 2, paler: 9, deep: 0.3, along: true } }) // prettier-ignore
  }
}

const ADD = { blade: addShoot, trefoil: addTrefoil, rosette: addRosette }

function templates(kind: LeafKind, high: number, random: Random): Mesh[] {
  const green = GREENS[kind][Math.floor(random() * GREENS[kind].length)]!
  return Array.from({ length: TEMPLATES }, () => {
    const to = new MeshBuilder(1)
    ADD[kind](to, high, green, random)
    return to.mesh()
  })
}

/** A dead leaf that lies on the ground, and a stone; both count as ground. */
function litter(random: Random): Mesh {
  const to = new MeshBuilder(1)
  const a = random() * 6.3
  addLamina(to, grow({ from: [0, 1, 0], along: [Math.cos(a), 0.02, Math.sin(a)], face: [0, 1, 0], length: 22 + 45 * random(), steps: 7, droop: 0.02, twist: random(), floor: 0.8 }), { width: 2 + 2 * random(), outline: tapers['pointed']!, upper: lighter(STRAW, -14 * random()), lower: STRAW, thin: true, fine: [7, 3] }) // prettier-ignore
  return to.mesh()
}
function stone(random: Random): Mesh {
  const to = new MeshBuilder(1)
  const [wide, tint] = [3 + 7 * random(), 46 + 22 * random()]
  addTube(to, grow({ from: [0, -1, 0], along: [0.05, 1, 0.1], length: wide * 0.7, steps: 6 }), { organ: 'soil', radius: (t) => wide * Math.sqrt(Math.max(0, 1 - t * t)) + 0.05, section: (x) => 1 + 0.16 * Math.cos(2 * x + tint), sides: 12, colour: () => [tint, 2, 8] }) // prettier-ignore
  return to.mesh()
}

/** Normal with mean 0 and standard deviation 1 (Box and Muller 1958). */
const normal = (random: Random) => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())

/** Places in the order in which they are taken: some by chance, some round the middles of clumps (Thomas 1949). */
function placesOf({ clumped, kind }: FramePlant, random: Random): Standing[] {
  const reach = FRAME_MM / 2 + MARGIN
  const anywhere = () => (random() * 2 - 1) * reach
  const clumps = Array.from({ length: 4 + Math.round(9 * (1 - clumped)) }, () => [anywhere(), anywhere()] as const)
  const spread = kind === 'rosette' ? 70 : 48
  return Array.from({ length: MOST }, () => {
    const [cx, cz] = clumps[Math.floor(random() * clumps.length)]!
    const [x, z] = random() > clumped ? [anywhere(), anywhere()] : [cx + normal(random) * spread, cz + normal(random) * spread] // prettier-ignore
    return { mesh: undefined as unknown as Mesh, x, z, yaw: random() * Math.PI * 2, scale: 0.75 + 0.5 * random(), id: 0, light: 0.85 + 0.3 * random() } // prettier-ignore
  })
}

/**
 * A half-metre frame of sward, looked straight down on. Shoots, clover leaves and rosettes are put where a clumped process
 * has them until about the covers that were asked for can be counted from above; **what is told is the count**, pixel by
 * pixel, of what is topmost. Litter and stones count as bare ground.
 *
 * @param plants their covers together at most 1; the rest is bare ground
 * @param side pixels of an edge of the picture, 100 to 1,000; it is counted at twice as fine
 * @param random uniform 0 to 1, seeded
 * @throws RangeError covers that do not fit the frame, or a side out of bounds
 */
export function swardFrame(plants: readonly FramePlant[], side: number, random: Random): SwardFrame {
  const sum = plants.reduce((s, p) => s + p.cover, 0)
  if (plants.some((p) => !(p.cover >= 0)) || sum > 1 + 1e-9)
    throw new RangeError('covers are 0 or more and 1 together at most')
  if (!(Number.isInteger(side) && side >= 100 && side <= 1000))
    throw new RangeError('a frame has a side of 100 to 1,000')
  const offset = random() * 100
  const [red, green, blue] = light(lighter(SOIL, 8))
  const ground = (x: number, z: number) => {
    const k = 0.72 + 0.5 * spots(x / 60 + offset, z / 60) + 0.35 * (spots(x / 3.1, z / 3.1 + offset) - 0.5)
    return [red * k, green * k, blue * k] as const
  }
  const lying = [
    ...Array.from({ length: 70 }, () => litter(random)),
    ...Array.from({ length: 9 }, () => stone(random)),
  ].map((mesh): Standing => ({ mesh, x: (random() - 0.5) * FRAME_MM, z: (random() - 0.5) * FRAME_MM, yaw: 0, scale: 1, id: 0, light: 1 })) // prettier-ignore
  const stands = plants.map((plant, i) => {
    const shapes = templates(plant.kind, plant.highMm ?? USUAL_HIGH[plant.kind], random)
    return placesOf(plant, random).map((s): Standing => ({ ...s, id: i + 1, mesh: shapes[Math.floor(random() * TEMPLATES)]! })) // prettier-ignore
  })
  const area = FRAME_MM ** 2
  const counts = plants.map(({ cover, kind }) => (-Math.log(Math.max(1e-3, 1 - Math.min(0.98, cover))) * area * 1.3) / HIDES[kind]) // prettier-ignore
  const taken = () => [...lying, ...stands.flatMap((all, i) => all.slice(0, Math.round(counts[i]!)))]
  for (let t = 0; t < TRIES; t++) {
    const seen = seenFromAbove(taken(), { millimetres: FRAME_MM, side: COARSE, ground, coloured: false })
    plants.forEach(({ cover }, i) => {
      // Leaves hide each other: the nearer a cover is to all of it, the more of them another hundredth takes.
      const bareness = (share: number) => -Math.log(Math.max(0.004, 1 - share))
      const factor = (bareness(cover) + 1e-4) / (bareness(shareOf(seen, i + 1)) + 1e-4)
      counts[i] = Math.min(MOST, Math.max(cover > 0 ? 1 : 0, counts[i]! * Math.min(3, Math.max(0.3, factor))))
    })
  }
  const standing = taken()
  const fine = seenFromAbove(standing, { millimetres: FRAME_MM, side: 2 * side, ground, coloured: true })
  const covers = [0, ...plants.map((_, i) => i + 1)].map((of) => shareOf(fine, of))
  return { side, rgba: halved(fine.rgba, side), plant: fine.id, covers, leaves: standing.length - lying.length }
}

/** Each pixel the mean of four. */
function halved(from: Uint8ClampedArray, side: number): Uint8ClampedArray {
  const out = new Uint8ClampedArray(4 * side * side)
  const wide = 2 * side
  for (let y = 0; y < side; y++)
    for (let x = 0; x < side; x++)
      for (let k = 0; k < 4; k++) {
        const at = 4 * (2 * y * wide + 2 * x) + k
        out[4 * (y * side + x) + k] = (from[at]! + from[at + 4]! + from[at + 4 * wide]! + from[at + 4 * wide + 4]!) / 4
      }
  return out
}
