import { addBody, putRound, addStalk, leaving, type Body } from './florets.ts'
import type { Lab } from './colours.ts'
import { addHair } from './collar.ts'
import { round, type Random } from './ground.ts'
import type { MeshBuilder } from './mesh.ts'
import { frameAt, type Frame } from './spine.ts'
import { add, times, unit, type Vec } from './vec.ts'

const CHAFF: Lab = [66, -8, 36]
const UP: Vec = [0.02, 1, 0.04]
/** Millimetres of bare stalk under a head. */
const BARE = 46

/** A stalk that ends in a head of such a length. */
const culm = (to: MeshBuilder, head: number, droop = 0.06): { spine: Frame[]; foot: number } => ({
  spine: addStalk(to, [0, 0, 0], UP, BARE + head, 0.85, { droop, steps: 26 }),
  foot: BARE / (BARE + head),
})

const spikelet = (length: number, width: number, more: Partial<Body> = {}): Body => ({
  length,
  width,
  colour: CHAFF,
  flat: 0.5,
  ...more,
})

/** A finger: a thin stalk with two rows of spikelets on its lower side. */
function addFinger(to: MeshBuilder, from: Frame, along: Vec, length: number, random: Random): void {
  const spine = addStalk(to, from.at, along, length, 0.45, { droop: round(random, 0.5, 0.5), steps: 12 })
  const count = Math.round(length / 2.2)
  for (let i = 0; i < count; i++) {
    const f = frameAt(spine, (i + 0.5) / count)
    for (const s of [-1, 1]) {
      const at = add(f.at, add(times(f.side, 0.5 * s), times(f.face, -0.4)))
      addBody(to, at, unit(add(f.along, times(f.side, 0.3 * s))), spikelet(2.8, 1.3), random)
    }
  }
}

type Maker = (to: MeshBuilder, random: Random) => void

/** Grass heads by how they are coded. Sizes in millimetres, of common kinds of each; from memory. */
const makers: Record<string, Maker> = {
  'open-panicle': (to, random) => {
    const { spine, foot } = culm(to, 120)
    for (let node = 0; node < 8; node++) {
      const t = node / 7.4
      const f = frameAt(spine, foot + (1 - foot) * t)
      for (let k = 0; k < 4; k++) {
        const along = leaving(f, round(random, 0.95 - 0.35 * t, 0.2), k * 1.57 + node * 0.8 + random())
        const branch = addStalk(to, f.at, along, round(random, 46 * (1 - t) + 7, 0.3), 0.2, { droop: 0.35, steps: 8 })
        for (let i = 0; i < 6; i++) {
          const g = frameAt(branch, 0.4 + 0.12 * i)
          addBody(to, g.at, leaving(g, 0.35, i * 3), spikelet(4.6, 1.7), random)
        }
      }
    }
  },
  'tight-cylinder': (to, random) => {
    const { spine, foot } = culm(to, 66)
    const out = (t: number) => 2.6 * Math.min(1, 7 * t + 0.3, 9 * (1 - t) + 0.2)
    putRound(spine, { count: 260, from: foot, upTo: 0.995, out }, (at, along) => addBody(to, at, along, spikelet(3.4, 1.4), random), () => 0.5) // prettier-ignore
  },
  'spike-flat': (to, random) => {
    const { spine, foot } = culm(to, 130)
    for (let i = 0; i < 15; i++) {
      const f = frameAt(spine, foot + ((1 - foot) * i) / 15)
      // Spikelets stand edge on against the stalk, left and right in turn.
      addBody(to, add(f.at, times(f.side, i % 2 ? 0.7 : -0.7)), leaving(f, 0.32, i % 2 ? 0 : Math.PI), spikelet(13, 4.4, { flat: 0.35, face: f.face }), random) // prettier-ignore
    }
  },
  'spike-comb': (to, random) => {
    const { spine, foot } = culm(to, 52)
    for (let i = 0; i < 20; i++)
      for (const s of [-1, 1]) {
        const f = frameAt(spine, foot + ((1 - foot) * i) / 20)
        addBody(to, f.at, leaving(f, 0.85, s > 0 ? 0 : Math.PI), spikelet(11, 2.2, { face: f.face }), random)
      }
  },
  'fingers-from-one-point': (to, random) => {
    const { spine } = culm(to, 4)
    for (let i = 0; i < 5; i++) addFinger(to, spine.at(-1)!, leaving(spine.at(-1)!, 0.75, i * 1.257), round(random, 58, 0.15), random) // prettier-ignore
  },
  'fingers-along-stem': (to, random) => {
    const { spine, foot } = culm(to, 60)
    for (let i = 0; i < 5; i++) {
      const f = frameAt(spine, foot + ((1 - foot) * i) / 4.1)
      addFinger(to, f, leaving(f, 0.85 - 0.12 * i, i % 2 ? 0.3 : Math.PI + 0.3), 46 - 4 * i, random)
    }
  },
  'one-sided-oats': (to, random) => {
    const { spine, foot } = culm(to, 120, 0.25)
    for (let i = 0; i < 10; i++) {
      const f = frameAt(spine, foot + ((1 - foot) * i) / 10)
      const thread = addStalk(to, f.at, leaving(f, 0.9, (random() - 0.5) * 0.9), round(random, 20 - i, 0.2), 0.16, { droop: 2.2 }) // prettier-ignore
      const tip = thread.at(-1)!
      addBody(to, tip.at, [0.1, -1, 0.05], spikelet(20, 5.5, { widest: 0.4 }), random)
      addHair(to, add(tip.at, [0, -14, 0]), [0.25, -1, 0.1], 22, 0, 0.16)
    }
  },
  'stacked-one-sided': (to, random) => {
    const { spine, foot } = culm(to, 90)
    for (let clump = 0; clump < 4; clump++) {
      const f = frameAt(spine, foot + ((1 - foot) * clump) / 3.3)
      const arm = addStalk(to, f.at, leaving(f, 0.7, (random() - 0.5) * 0.6), Math.max(4, 28 - 10 * clump), 0.4)
      const end = arm.at(-1)!
      for (let i = 0; i < 26; i++)
        addBody(to, add(end.at, [random() * 9 - 2, random() * 13 - 3, random() * 6 - 3]), unit([0.45 + random() * 0.3, 1, (random() - 0.5) * 0.7]), spikelet(6.4, 2.4), random) // prettier-ignore
    }
  },
  'drooping-brome': (to, random) => {
    const { spine, foot } = culm(to, 110, 1)
    for (let i = 0; i < 9; i++) {
      const f = frameAt(spine, foot + ((1 - foot) * i) / 9)
      const arm = addStalk(to, f.at, leaving(f, 0.8, i * 2.4), round(random, 38 - 2.5 * i, 0.2), 0.2, { droop: 2 })
      const tip = arm.at(-1)!
      addBody(to, tip.at, tip.along, spikelet(24, 5, { flat: 0.4 }), random)
      for (let k = 0; k < 6; k++) addHair(to, add(tip.at, times(tip.along, 9 + 2.6 * k)), leaving(tip, 0.16, k * 2.4), 15, 0, 0.12) // prettier-ignore
    }
  },
  burs: (to, random) => {
    const { spine, foot } = culm(to, 46)
    for (let i = 0; i < 9; i++) {
      const f = frameAt(spine, foot + ((1 - foot) * i) / 9)
      const middle = add(f.at, times(leaving(f, 1.3, i * 2.4), 2.6))
      addBody(
        to,
        add(middle, times(f.along, -3)),
        f.along,
        { length: 6, width: 5.4, colour: [62, -4, 38], flat: 1 },
        random,
      )
      for (let k = 0; k < 18; k++) addHair(to, middle, unit([random() - 0.5, random() - 0.5, random() - 0.5]), 6.4, 0, 0.3) // prettier-ignore
    }
  },
}

/** A grass head on its stalk. */
export function addGrassHead(to: MeshBuilder, form: string | undefined, random: Random): void {
  makers[form ?? '']?.(to, random)
}
