import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { usualTraits } from '@/core/flora/traits.ts'
import { boundsOf, MeshBuilder, organs, type Mesh } from '@/core/likeness/mesh.ts'
import { specimenOf } from '@/core/likeness/specimenOf.ts'
import type { Vec } from '@/core/likeness/vec.ts'
import { plantsById } from '@/tests/support/book.ts'

/** Sum of the triangles, from the corners alone (half the cross product). */
function area({ positions, indices }: Mesh): number {
  const at = (i: number): Vec => [positions[3 * i]!, positions[3 * i + 1]!, positions[3 * i + 2]!]
  let sum = 0
  for (let i = 0; i < indices.length; i += 3) {
    const [a, b, c] = [at(indices[i]!), at(indices[i + 1]!), at(indices[i + 2]!)]
    const [u, v] = [b.map((x, k) => x - a[k]!), c.map((x, k) => x - a[k]!)]
    sum += Math.hypot(u[1]! * v[2]! - u[2]! * v[1]!, u[2]! * v[0]! - u[0]! * v[2]!, u[0]! * v[1]! - u[1]! * v[0]!) / 2
  }
  return sum
}

/** An upright wall, 10 wide and 10 high, red at its foot and green at its top. */
const wall = () => {
  const to = new MeshBuilder()
  const row = (y: number): Vec[] => [0, 5, 10].map((x) => [x, y, 0])
  to.sheet([row(0), row(10)], { organ: 'leaf', colour: (r) => (r === 0 ? [1, 0, 0] : [0, 1, 0]) })
  return to
}

describe('cropping', () => {
  it('leaves what is under the surface, to the square millimetre, and its colours as they were', () => {
    const level = wall()
    level.crop(() => 4)
    expect(area(level.mesh())).toBeCloseTo(40, 4)
    expect(level.bounds().high[1]).toBeCloseTo(4, 6)
    const { positions, colours } = level.mesh()
    for (let i = 0; i < positions.length / 3; i++) expect(colours[3 * i + 1]).toBeCloseTo(positions[3 * i + 1]! / 10, 5)
    // A slope from 2 to 8 leaves half.
    const slope = wall()
    slope.crop((x) => 2 + 0.6 * x)
    expect(area(slope.mesh())).toBeCloseTo(50, 4)
  })

  it('takes nothing of what is lower, and all of what is higher, with its corners', () => {
    const [under, over] = [wall(), wall()]
    under.crop(() => 20)
    expect(area(under.mesh())).toBeCloseTo(100, 4)
    over.crop(() => -1)
    expect(over.corners).toBe(0)
  })
})

describe.each(['red-clover', 'common-vetch', 'jimsonweed', 'chicory'])('%s that was cropped', (id) => {
  const plant = plantsById.get(id)!
  const built = (more: object) =>
    specimenOf(plant.form, { ...usualTraits(plant, 'vegetative'), ...more }, randomLcg(0.4))
  const whole = built({})
  const mown = built({ mown: true })
  const bitten = built({ mown: true, bitten: true })

  /** Highest corner of the plant in each tenth of its width. */
  const tops = ({ mesh }: typeof whole) => {
    const { low, high } = boundsOf(mesh)
    const found = Array.from({ length: 10 }, () => 0)
    for (let i = 0; i < mesh.positions.length / 3; i++) {
      if (organs[mesh.organ[i]!] === 'soil') continue
      const k = Math.min(9, Math.floor((10 * (mesh.positions[3 * i]! - low[0])) / (high[0] - low[0])))
      found[k] = Math.max(found[k]!, mesh.positions[3 * i + 1]!)
    }
    return found
  }

  it('is lower, keeps its roots and half its height, and is level where a blade went', () => {
    const cut = Math.max(45, whole.high[1] / 2)
    // It is built more finely than the whole one, which moves it by a little.
    expect(mown.high[1]).toBeLessThan(1.05 * cut)
    expect(mown.low[1] / whole.low[1]).toBeGreaterThan(0.8)
    if (whole.high[1] < 90) return
    expect(mown.high[1]).toBeGreaterThan(0.95 * cut)
    // A mouth leaves ends at unlike heights.
    expect(new Set(tops(bitten).map((y) => Math.round(y))).size).toBeGreaterThan(3)
    expect(bitten.high[1]).toBeLessThan(whole.high[1])
  })
})
