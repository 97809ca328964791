import { add, cross, dot, long, squareTo, sub, times, turned, unit, type Vec } from './vec.ts'

/** Where a blade, stalk or root is at a share of its length: which way it goes, where its upper face looks, and its right. */
export interface Frame {
  at: Vec
  along: Vec
  face: Vec
  side: Vec
}

export interface Growth {
  from: Vec
  /** Direction in which it leaves. */
  along: Vec
  /** Where its upper face looks; made square to the direction. Left out: as it comes. */
  face?: Vec
  /** Millimetres. */
  length: number
  steps?: number
  /** Radians by which it bends to the ground over its whole length; below 0 it rises. More of it towards the tip with a greater `late`. */
  droop?: number
  /** 0: bends evenly; 1 and more: near the tip. */
  late?: number
  /** Radians by which it turns round itself over its length. */
  twist?: number
  /** Least height, millimetres: what lies on the ground does not go into it. */
  floor?: number
}

/** Writes a corner beside a frame: so many millimetres to its right and above its face. */
export function put(into: Float64Array, corner: number, { at, side, face }: Frame, right: number, up: number): void {
  const k = 3 * corner
  into[k] = at[0] + (side[0] * right + face[0] * up)
  into[k + 1] = at[1] + (side[1] * right + face[1] * up)
  into[k + 2] = at[2] + (side[2] * right + face[2] * up)
}

const DOWN: Vec = [0, -1, 0]

export function frameOf(at: Vec, along: Vec, face: Vec = squareTo(along)): Frame {
  const a = unit(along)
  const across = sub(face, times(a, dot(a, face)))
  // A face that looks along the way has to be turned aside.
  const f = long(across) < 1e-6 ? squareTo(a) : unit(across)
  return { at, along: a, face: f, side: cross(a, f) }
}

/** Frames along something that grows, the first at its foot. */
export function grow({
  from,
  along,
  face,
  length,
  steps = 12,
  droop = 0,
  late = 0,
  twist = 0,
  floor = -Infinity,
}: Growth): Frame[] {
  let frame = frameOf(from, along, face)
  const out = [frame]
  for (let i = 0; i < steps; i++) {
    const t = (i + 0.5) / steps
    const axis = cross(frame.along, DOWN)
    const steep = long(axis)
    const bend = (droop * (1 + late) * t ** late) / steps
    // Nothing bends beyond hanging straight down.
    const most = droop > 0 ? Math.acos(Math.max(-1, Math.min(1, dot(frame.along, DOWN)))) : Infinity
    const by = Math.min(bend, most)
    const [a, f] =
      steep < 1e-6
        ? [frame.along, frame.face]
        : [turned(frame.along, unit(axis), by), turned(frame.face, unit(axis), by)]
    let next = add(frame.at, times(a, length / steps))
    if (next[1] < floor) next = [next[0], floor, next[2]]
    frame = frameOf(next, a, twist === 0 ? f : turned(f, a, twist / steps))
    out.push(frame)
  }
  return out
}

/** The frame at a share of the way, between the two next to it. */
export function frameAt(spine: readonly Frame[], t: number): Frame {
  const x = Math.min(spine.length - 1.000001, Math.max(0, t * (spine.length - 1)))
  const i = Math.floor(x)
  const [a, b, k] = [spine[i]!, spine[i + 1]!, x - i]
  const between = (p: Vec, q: Vec): Vec => add(times(p, 1 - k), times(q, k))
  return frameOf(between(a.at, b.at), between(a.along, b.along), between(a.face, b.face))
}
