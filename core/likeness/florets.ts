import type { Lab } from './colours.ts'
import { lighter } from './colours.ts'
import { round, type Random } from './ground.ts'
import type { MeshBuilder } from './mesh.ts'
import { addTube } from './ribbon.ts'
import { frameAt, grow, type Frame } from './spine.ts'
import { GOLDEN } from './stems.ts'
import { add, times, unit, type Vec } from './vec.ts'

/** What stands on a stalk in a head: a spikelet, a floret, a sac, a ray. */
export interface Body {
  /** Millimetres. */
  length: number
  width: number
  colour: Lab
  /** Its thickness as a share of its width. */
  flat?: number
  /** Where it is widest, as a share of its length; near 1 it ends blunt. */
  widest?: number
  /** Where its broad face looks. */
  face?: Vec
}

/** A body with drawn-together ends. */
export function addBody(to: MeshBuilder, from: Vec, along: Vec, body: Body, random: Random): void {
  const { length, width, colour, flat = 0.7, widest = 0.45, face } = body
  const spine = grow({ from, along, length: round(random, length, 0.1), steps: 6, ...(face ? { face } : {}) })
  const power = Math.log(0.5) / Math.log(widest)
  const tint = lighter(colour, (random() - 0.5) * 8)
  addTube(to, spine, {
    organ: 'head',
    sides: 7,
    section: (a) => 1 / Math.hypot(Math.cos(a), Math.sin(a) / flat),
    radius: (t) => (width / 2) * Math.sin(Math.PI * (0.03 + 0.94 * t) ** power) ** 0.7,
    colour: (t) => lighter(tint, 8 * (t - 0.5)),
    gloss: 0.2,
  })
}

/** A stalk of a head; its frames, to hang something on. */
export function addStalk(
  to: MeshBuilder,
  from: Vec,
  along: Vec,
  length: number,
  thick: number,
  { droop = 0, colour = STALK, steps = 10 }: { droop?: number; colour?: Lab; steps?: number } = {},
): Frame[] {
  const spine = grow({ from, along, length, steps, droop, face: EYE })
  addTube(to, spine, { organ: 'stem', sides: 6, radius: (t) => thick * (1 - 0.4 * t), colour: () => colour })
  return spine
}

/** Where a head shows its broad side. */
const EYE: Vec = [0, 0.05, 1]

export const STALK: Lab = [60, -18, 36]

/** A direction that leaves a stalk at so many radians, at an angle round it. */
export const leaving = (f: Frame, off: number, around: number): Vec =>
  unit(
    add(
      times(f.along, Math.cos(off)),
      add(times(f.side, Math.sin(off) * Math.cos(around)), times(f.face, Math.sin(off) * Math.sin(around))),
    ),
  )

/** Bodies all round a stalk between two shares of its length, by the golden angle, as florets stand. */
export function putRound(
  spine: readonly Frame[],
  { count, from, upTo, out }: { count: number; from: number; upTo: number; out: (t: number) => number },
  put: (at: Vec, along: Vec, t: number) => void,
  off: (t: number) => number,
): void {
  for (let i = 0; i < count; i++) {
    const t = (i + 0.5) / count
    const f = frameAt(spine, from + (upTo - from) * t)
    const around = GOLDEN * i
    put(add(f.at, times(leaving(f, Math.PI / 2, around), out(t))), leaving(f, off(t), around), t)
  }
}
