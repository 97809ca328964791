import { randomLcg } from 'd3-random'
import { expect, it } from 'vitest'
import { localPlane, polygonOf, type Metres } from '@/core/geo/localPlane.ts'
import { areaHa } from '@/core/geo/route.ts'
import { tracedCorners } from '@/core/geo/traced.ts'

const plane = localPlane([-29.4, 45.6])
const corners: Metres[] = [
  [0, 0],
  [180, 0],
  [180, 120],
  [60, 150],
]

/** Fixes every four metres round the corners, each off by up to so many metres. */
function walked(blur: number, random: () => number) {
  return corners.flatMap((a, i) => {
    const b = corners[(i + 1) % corners.length]!
    const steps = Math.round(Math.hypot(b[0] - a[0], b[1] - a[1]) / 4)
    return Array.from({ length: steps }, (_, s) => ({
      position: plane.toPosition([
        a[0] + ((b[0] - a[0]) * s) / steps + (random() - 0.5) * 2 * blur,
        a[1] + ((b[1] - a[1]) * s) / steps + (random() - 0.5) * 2 * blur,
      ]),
      accuracyM: 4,
    }))
  })
}

it('a field that was walked round comes out with its corners and its area', () => {
  const got = tracedCorners(walked(0, randomLcg(0.2)))
  expect(got).toHaveLength(4)
  expect(areaHa(polygonOf(got.map(plane.toMetres), plane))).toBeCloseTo(areaHa(polygonOf(corners, plane)), 3)
})

it('a receiver that is off by up to 3 m adds few corners and changes the area by under 3 in 100', () => {
  const got = tracedCorners(walked(3, randomLcg(0.7)))
  expect(got.length).toBeLessThanOrEqual(10)
  expect(areaHa(polygonOf(got.map(plane.toMetres), plane)) / areaHa(polygonOf(corners, plane))).toBeCloseTo(1, 1)
})

it('fixes that may be far off are left out, and too few are no field', () => {
  const fixes = walked(0, randomLcg(0.2))
  const wild = [...fixes.slice(0, 20), { position: plane.toPosition([900, 900]), accuracyM: 80 }, ...fixes.slice(20)]
  expect(tracedCorners(wild)).toHaveLength(4)
  expect(tracedCorners(fixes.slice(0, 2)).length).toBeLessThan(3)
})
