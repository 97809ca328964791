import { describe, expect, it } from 'vitest'
import type { Drawing, Point } from '@/core/drawing/mark.ts'
import { compoundLeaf, herbLeaf, leafletOf } from '@/core/drawing/portrait/leafOf.ts'
import { bladeAlong, hairsAlong, tubeAlong } from '@/core/drawing/portrait/ribbon.ts'
import { difference } from '@/tests/support/raster.ts'

const traits = (states: Record<string, string>) => ({ states, sizes: {} })
const xs = (drawing: Drawing): number[] =>
  drawing.flatMap((m) => [...m.d.matchAll(/(-?[\d.]+) -?[\d.]+/g)].map((x) => Number(x[1])))
const wide = (drawing: Drawing) => Math.max(...xs(drawing)) - Math.min(...xs(drawing))
const count = (drawing: Drawing, ink: string) => drawing.filter((m) => m.ink === ink).length

describe('a broad leaf from its states', () => {
  it('outline and margin are drawn together', () => {
    const plain = herbLeaf(traits({ 'leaf.outline': 'egg-widest-base', 'leaf.margin': 'entire' }))
    const toothed = herbLeaf(traits({ 'leaf.outline': 'egg-widest-base', 'leaf.margin': 'coarse-teeth' }))
    const lance = herbLeaf(traits({ 'leaf.outline': 'narrow-lance', 'leaf.margin': 'entire' }))
    expect(difference(plain, toothed)).toBeGreaterThan(0.05)
    expect(wide(lance)).toBeLessThan(0.6 * wide(plain))
  })

  it('a silver coat changes the ink, spines stand on the lobes', () => {
    const green = herbLeaf(traits({ 'leaf.outline': 'pinnate-cut' }))
    const scotch = herbLeaf(
      traits({ 'leaf.outline': 'pinnate-cut', 'leaf.coat': 'woolly-both', spines: 'leaf-edge-short' }),
    )
    expect(count(green, 'silver')).toBe(0)
    expect(count(scotch, 'silver')).toBeGreaterThan(0)
    expect(count(scotch, 'brush')).toBeGreaterThan(count(green, 'brush'))
  })

  it('a leaf without a stalk sits where its stalk would begin', () => {
    const ys = (d: Drawing) => d.flatMap((m) => [...m.d.matchAll(/-?[\d.]+ (-?[\d.]+)/g)].map((x) => Number(x[1])))
    const stalked = herbLeaf(traits({ 'leaf.outline': 'diamond', 'petiole.length': 'shorter' }))
    const sitting = herbLeaf(traits({ 'leaf.outline': 'diamond', 'petiole.length': 'none' }))
    expect(Math.max(...ys(sitting.filter((m) => m.ink === 'leaf')))).toBeGreaterThan(
      Math.max(...ys(stalked.filter((m) => m.ink === 'leaf'))),
    )
  })
})

describe('a leaf of clover or vetch', () => {
  const at: Point = [50, 90]

  // Leaflets of each plan: three, three, five, and so on (Stace, New Flora, from memory).
  it.each([
    ['three-palmate', 3],
    ['three-pinnate', 3],
    ['five', 5],
    ['fingers', 9],
    ['many-no-tendril', 13],
    ['many-with-tendril', 12],
  ])('%s has %i leaflets', (plan, leaflets) => {
    const leaf = compoundLeaf(traits({ 'leaf.plan': plan }), at, -90, 40, 20)
    expect(count(leaf, 'leaf') + count(leaf, 'leafDark')).toBe(leaflets)
  })

  it('a pale V is drawn in paper on a darker leaflet; none is not', () => {
    const marked = leafletOf(traits({ 'leaflet.mark': 'pale-v' }), at, -90, 60)
    expect(count(marked, 'paper')).toBe(1)
    expect(marked[0]!.ink).toBe('leafDark')
    expect(count(leafletOf(traits({ 'leaflet.mark': 'none' }), at, -90, 60), 'paper')).toBe(0)
  })

  it('a tiny point stands beyond the end of the leaflet', () => {
    const end = (tip: string) =>
      Math.min(
        ...leafletOf(traits({ 'leaflet.tip': tip }), at, -90, 60).flatMap((m) =>
          [...m.d.matchAll(/-?[\d.]+ (-?[\d.]+)/g)].map((x) => Number(x[1])),
        ),
      )
    expect(end('tiny-point')).toBeLessThan(end('plain') - 3)
  })
})

describe('blades and stems', () => {
  const spine: Point[] = [
    [50, 90],
    [50, 60],
    [50, 30],
    [50, 10],
  ]
  const halfWidthNear = (tip: 'boat' | 'pointed' | 'long-drawn', share: number) => {
    const outline = bladeAlong(spine, { width: 10, tip })[0]!.d
    const y = 90 - 80 * share
    const near = [...outline.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)]
      .map((m) => [Number(m[1]), Number(m[2])] as const)
      .filter(([, py]) => Math.abs(py - y) < 3)
    return Math.max(...near.map(([x]) => Math.abs(x - 50)))
  }

  it('a boat tip stays wide to the end, a pointed one narrows, a long-drawn one most', () => {
    expect(halfWidthNear('boat', 0.88)).toBeGreaterThan(4)
    expect(halfWidthNear('pointed', 0.88)).toBeLessThan(halfWidthNear('boat', 0.88))
    expect(halfWidthNear('long-drawn', 0.6)).toBeLessThan(halfWidthNear('pointed', 0.6))
  })

  it('a bristle is one stroke; a white stripe is drawn in paper', () => {
    expect(bladeAlong(spine, { width: 0.8, tip: 'pointed' })).toHaveLength(1)
    expect(count(bladeAlong(spine, { width: 8, tip: 'pointed', midrib: 'white-stripe' }), 'paper')).toBe(1)
  })

  it('hairs stand off both sides of a stem', () => {
    const stem = tubeAlong(spine, 6, 6)
    const haired = [...stem, ...hairsAlong(spine, 6, 5, 2)]
    expect(wide(haired)).toBeGreaterThan(wide(stem) + 8)
  })
})
