import { describe, expect, it } from 'vitest'
import { MeshBuilder } from '@/core/likeness/mesh.ts'
import { seenFromAbove, shareOf, type Standing } from '@/core/likeness/nadir.ts'

/** A level square of a size at a height, its face up. */
function square(half: number, high: number): Standing {
  const to = new MeshBuilder()
  to.sheet(
    [
      [[-half, high, half], [half, high, half]],
      [[-half, high, -half], [half, high, -half]],
    ],
    { organ: 'leaf', colour: () => [0.2, 0.6, 0.1] },
  ) // prettier-ignore
  return { mesh: to.mesh(), x: 0, z: 0, yaw: 0, scale: 1, id: 1, light: 1 }
}
const seen = (standing: Standing[], coloured = false) =>
  seenFromAbove(standing, { millimetres: 100, side: 200, ground: () => [0.2, 0.15, 0.1], coloured })

describe('looking straight down', () => {
  it('a square covers its share of the frame, however it is turned, moved or high (its area by hand)', () => {
    // 40 by 40 mm of 100 by 100.
    for (const high of [1, 50, 300]) expect(shareOf(seen([square(20, high)]), 1)).toBeCloseTo(0.16, 2)
    expect(shareOf(seen([{ ...square(20, 5), yaw: 0.6 }]), 1)).toBeCloseTo(0.16, 2)
    expect(shareOf(seen([{ ...square(20, 5), scale: 0.5 }]), 1)).toBeCloseTo(0.04, 2)
    // Half of it beyond the edge.
    expect(shareOf(seen([{ ...square(20, 5), x: 50 }]), 1)).toBeCloseTo(0.08, 2)
  })

  it('what stands higher is seen, whichever was put there first', () => {
    const [low, high] = [square(20, 5), { ...square(10, 30), id: 2 }]
    for (const order of [
      [low, high],
      [high, low],
    ]) {
      const view = seen(order)
      expect(shareOf(view, 2)).toBeCloseTo(0.04, 2)
      expect(shareOf(view, 1)).toBeCloseTo(0.12, 2)
    }
  })

  it('what is under the ground or on edge covers nothing', () => {
    expect(shareOf(seen([square(20, -3)]), 1)).toBe(0)
  })

  it('a leaf throws a shadow on the ground, away from the sun and as far as it is high', () => {
    const { rgba, side } = seen([square(10, 20)], true)
    const redAt = (x: number, z: number) => rgba[4 * (Math.round((z + 50) * 2) * side + Math.round((x + 50) * 2))]!
    // The sun shines to the left and to the back: 20 mm high is 11 mm to the left and 7 to the back.
    expect(redAt(-16, -12)).toBeLessThan(redAt(30, 30) * 0.85)
    expect(redAt(16, 12)).toBe(redAt(30, 30))
  })
})
