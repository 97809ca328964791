import type { Corners } from './growing.ts'

/**
 * Takes away what is higher than a surface, as a blade or a mouth does; triangles through it end at it.
 *
 * @param height of the surface over a place on the ground, millimetres
 */
export function cropped(mesh: Corners, height: (x: number, z: number) => number): void {
  const count = mesh.organ.length
  const at = mesh.positions.data
  const over = new Float64Array(count)
  for (let i = 0; i < count; i++) over[i] = at[3 * i + 1]! - height(at[3 * i]!, at[3 * i + 2]!)
  const made = new Map<number, number>()
  /** The corner at which the edge from one that stays to one that goes meets the surface. */
  const between = (stays: number, goes: number): number => {
    const key = stays * count + goes
    const known = made.get(key)
    if (known !== undefined) return known
    const corner = addBetween(mesh, stays, goes, over[stays]! / (over[stays]! - over[goes]!))
    made.set(key, corner)
    return corner
  }
  const all = mesh.indices.used()
  const left: number[] = []
  for (let i = 0; i < all.length; i += 3) {
    const staying = [0, 1, 2].filter((k) => over[all[i + k]!]! <= 0).length
    if (staying === 0) continue
    if (staying === 3) {
      left.push(all[i]!, all[i + 1]!, all[i + 2]!)
      continue
    }
    const corners: number[] = []
    for (let k = 0; k < 3; k++) {
      const [c, next] = [all[i + k]!, all[i + ((k + 1) % 3)]!]
      const stays = over[c]! <= 0
      if (stays) corners.push(c)
      if (stays !== over[next]! <= 0) corners.push(stays ? between(c, next) : between(next, c))
    }
    for (let k = 2; k < corners.length; k++) left.push(corners[0]!, corners[k - 1]!, corners[k]!)
  }
  mesh.indices.replace(left)
  forgetUnused(mesh)
}

/** A new corner on the way from one to another; its gloss and organ are those of the first. */
function addBetween(mesh: Corners, from: number, to: number, t: number): number {
  for (const list of [mesh.positions, mesh.normals, mesh.colours]) {
    const at = list.extend(3)
    for (let k = 0; k < 3; k++) list.data[at + k] = list.data[3 * from + k]! * (1 - t) + list.data[3 * to + k]! * t
  }
  const at = mesh.organ.extend(1)
  mesh.organ.data[at] = mesh.organ.data[from]!
  mesh.gloss.data[mesh.gloss.extend(1)] = mesh.gloss.data[from]!
  return at
}

/** Takes out the corners that no triangle has any more. */
function forgetUnused(mesh: Corners): void {
  const kept: number[] = []
  const place = new Int32Array(mesh.organ.length).fill(-1)
  const indices = mesh.indices.used()
  for (let i = 0; i < indices.length; i++) {
    const c = indices[i]!
    if (place[c] === -1) place[c] = kept.push(c) - 1
    indices[i] = place[c]!
  }
  const only = (list: Corners[keyof Corners], each: number) => {
    const whole = list.data.slice()
    kept.forEach((from, to) => {
      for (let k = 0; k < each; k++) list.data[each * to + k] = whole[each * from + k]!
    })
    list.length = each * kept.length
  }
  for (const list of [mesh.positions, mesh.normals, mesh.colours]) only(list, 3)
  for (const list of [mesh.gloss, mesh.organ]) only(list, 1)
}
