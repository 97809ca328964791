import type { Traits } from '../flora/traits.ts'
import { addHair } from './collar.ts'
import { light, lighter, mixed, type Lab } from './colours.ts'
import { addBody, putRound, addStalk, leaving, type Body } from './florets.ts'
import type { Random } from './ground.ts'
import type { MeshBuilder } from './mesh.ts'
import { grow, type Frame } from './spine.ts'
import { GOLDEN } from './stems.ts'
import { add, times, unit, type Vec } from './vec.ts'

/** Flower colours by how they are coded; from memory of living flowers in daylight. */
const COLOURS: Record<string, Lab> = {
  white: [94, 0, 4],
  'pale-pink': [84, 14, 1],
  'pink-red': [58, 44, 2],
  'bright-crimson': [40, 58, 28],
  'purple-blue': [44, 30, -42],
  yellow: [86, 4, 76],
  'green-dull': [64, -14, 36],
  'white-tinged-pink': [91, 6, 2],
}
const CUP: Lab = [50, -22, 32]
const DISC: Lab = [80, 10, 74]
const OLD: Lab = [60, 8, 28]

const stalked = (to: MeshBuilder, length = 46, thick = 0.9): Frame[] =>
  addStalk(to, [0, 0, 0], [0.03, 1, 0.05], length, thick, { droop: 0.06, steps: 14 })

/** Directions over a ball from its top down to a share of it, evenly spread (the golden angle). */
function overBall(count: number, share: number, put: (along: Vec, i: number) => void): void {
  for (let i = 0; i < count; i++) {
    const y = 1 - (2 * share * (i + 0.5)) / count
    const r = Math.sqrt(Math.max(0, 1 - y * y))
    put([r * Math.cos(GOLDEN * i), y, r * Math.sin(GOLDEN * i)], i)
  }
}

/** A ball of florets at the end of a stalk; the lowest, which open first, turn brown. */
function addBall(
  to: MeshBuilder,
  top: Vec,
  count: number,
  core: number,
  body: Body,
  share: number,
  random: Random,
): void {
  overBall(count, share, (along, i) => {
    const colour = mixed(body.colour, OLD, i > 0.86 * count && share > 0.7 ? 0.5 : 0)
    addBody(to, add(top, times(along, core)), along, { ...body, colour }, random)
  })
}

/** A ring of flat rays round the end of a stalk. */
function addRays(to: MeshBuilder, top: Frame, count: number, off: number, ray: Body, random: Random): void {
  for (let i = 0; i < count; i++) {
    const along = leaving(top, off, (2 * Math.PI * (i + 0.3 * random())) / count)
    addBody(to, top.at, along, { ...ray, flat: 0.08, widest: 0.66, face: top.along }, random)
  }
}

/** A green cup under a head. */
const addCup = (to: MeshBuilder, top: Frame, long: number, wide: number, random: Random) =>
  addBody(to, add(top.at, times(top.along, -0.97 * long)), top.along, { length: long, width: wide, colour: CUP, flat: 1, widest: 0.62 }, random) // prettier-ignore

/** A trumpet, seen from outside and from within. */
function addTrumpet(to: MeshBuilder, from: Vec, along: Vec, length: number, colour: Lab): void {
  const spine = grow({ from, along, length, steps: 12 })
  const sides = 30
  const rows = spine.map((f, r) => {
    const t = r / (spine.length - 1)
    // Its rim is drawn out into five points.
    const wide = (a: number) => 1.3 + length * 0.46 * t ** 3 * (1 + 0.07 * Math.cos(5 * a))
    return Array.from({ length: sides }, (_, c): Vec => {
      const a = (-2 * Math.PI * c) / sides
      return add(f.at, times(leaving(f, Math.PI / 2, a), wide(a)))
    })
  })
  const look = {
    organ: 'head' as const,
    close: true,
    gloss: 0.15,
    colour: (r: number) => light(lighter(colour, r - 9)),
  }
  to.sheet(rows, look)
  to.sheet(
    rows.map((row) => row.toReversed()),
    look,
  )
}

type Maker = (to: MeshBuilder, colour: Lab, random: Random) => void

/** Flower clusters by how they are coded. Sizes in millimetres, of common kinds of each; from memory. */
const makers: Record<string, Maker> = {
  'round-head': (to, colour, random) =>
    addBall(to, stalked(to).at(-1)!.at, 70, 2, { length: 8.5, width: 2.6, colour, widest: 0.62 }, 0.82, random),
  'cone-head': (to, colour, random) => {
    const out = (t: number) => 5 * (1 - 0.75 * t)
    putRound(stalked(to, 76), { count: 110, from: 0.55, upTo: 0.99, out }, (at, along) => addBody(to, at, along, { length: 7.5, width: 2.5, colour, widest: 0.6 }, random), (t) => 1.1 - 0.6 * t) // prettier-ignore
  },
  'hairy-sparse-head': (to, colour, random) => {
    const top = stalked(to).at(-1)!
    overBall(5, 0.45, (along) => addBody(to, top.at, along, { length: 11, width: 2.6, colour, widest: 0.6 }, random))
    overBall(70, 0.95, (along) => addHair(to, top.at, along, 6.5, 0.2, 0.12))
  },
  'long-spray': (to, colour, random) =>
    putRound(stalked(to, 110), { count: 42, from: 0.32, upTo: 0.99, out: () => 0.5 }, (at, along, t) => addBody(to, at, along, { length: 6.5 - 3 * t, width: 2.8 - 1.2 * t, colour, widest: 0.6 }, random), (t) => 1.9 - 1.4 * t), // prettier-ignore
  'flat-umbel': (to, colour, random) => {
    const top = stalked(to, 52, 1.3).at(-1)!
    overBall(16, 0.3, (along) => {
      // All rays end at one height.
      const ray = addStalk(to, top.at, along, 24 / Math.max(0.62, along[1]), 0.35, { droop: -0.25 })
      const end = ray.at(-1)!
      overBall(14, 0.32, (dir) => {
        const small = addStalk(to, end.at, dir, 4.6, 0.14, { steps: 3 })
        for (let k = 0; k < 5; k++) addBody(to, small.at(-1)!.at, leaving({ ...end, along: [0, 1, 0], side: [1, 0, 0], face: [0, 0, 1] }, 1.3, k * 1.257), { length: 1.5, width: 1.1, colour, flat: 0.3 }, random) // prettier-ignore
      })
    })
  },
  'thistle-head': (to, colour, random) => {
    const top = stalked(to, 50, 1.5).at(-1)!
    addCup(to, top, 24, 20, random)
    const middle = add(top.at, times(top.along, -6))
    overBall(60, 0.72, (along) => addBody(to, add(middle, times(along, 8)), unit(add(along, [0, 0.3, 0])), { length: 7, width: 1.5, colour: lighter(CUP, 8), flat: 0.4 }, random)) // prettier-ignore
    overBall(130, 0.24, (along) => addBody(to, add(top.at, times(along, 3)), unit(add(along, [0, 0.5, 0])), { length: 17, width: 1, colour, flat: 1 }, random)) // prettier-ignore
  },
  'dandelion-head': (to, colour, random) => {
    const top = stalked(to).at(-1)!
    addCup(to, top, 13, 11, random)
    for (const [count, off, length] of [[34, 1.4, 17], [30, 1.05, 14], [24, 0.65, 10], [12, 0.3, 7]] as const) addRays(to, top, count, off, { length, width: 2, colour: lighter(colour, length - 14) }, random) // prettier-ignore
  },
  'daisy-head': (to, colour, random) => {
    const top = stalked(to).at(-1)!
    addCup(to, top, 8, 9, random)
    addRays(to, top, 21, 1.5, { length: 12, width: 3.2, colour }, random)
    overBall(90, 0.42, (along) => addBody(to, add(top.at, [along[0] * 3.6, along[1] * 2 - 0.6, along[2] * 3.6]), [0, 1, 0], { length: 1.7, width: 0.9, colour: DISC, flat: 1 }, random)) // prettier-ignore
  },
  funnel: (to, colour) => {
    const top = stalked(to, 30).at(-1)!
    addTrumpet(to, top.at, unit([0.2, 1, 0.55]), 40, colour)
  },
  spike: (to, colour, random) =>
    putRound(stalked(to, 104, 1), { count: 110, from: 0.38, upTo: 0.99, out: (t) => 1.6 - t }, (at, along) => addBody(to, at, along, { length: 3.8, width: 1.9, colour }, random), () => 0.8), // prettier-ignore
  'few-in-claw': (to, colour, random) => {
    const top = stalked(to).at(-1)!
    for (let i = 0; i < 5; i++) {
      const along = leaving(top, 1.05, (i * 2 * Math.PI) / 5)
      const foot = addStalk(to, top.at, along, 3, 0.5, { steps: 3 }).at(-1)!.at
      // The upper petal stands up, the others point forward.
      addBody(to, foot, unit(add(along, [0, 0.5, 0])), { length: 11, width: 4.4, colour, flat: 0.7 }, random)
      addBody(to, add(foot, times(along, 3)), unit(add(along, [0, 2, 0])), { length: 8, width: 7, colour, flat: 0.14, widest: 0.6, face: along }, random) // prettier-ignore
    }
  },
  'tight-small-head': (to, colour, random) =>
    addBall(
      to,
      stalked(to, 34, 0.6).at(-1)!.at,
      46,
      1.6,
      { length: 3.2, width: 1.4, colour, widest: 0.6 },
      0.86,
      random,
    ),
}

/** A flower cluster in its colour on its stalk. */
export function addFlowerHead(to: MeshBuilder, { states }: Traits, random: Random): void {
  makers[states['flower.form'] ?? '']?.(to, COLOURS[states['flower.colour'] ?? ''] ?? COLOURS['white']!, random)
}
