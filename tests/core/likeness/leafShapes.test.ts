import { describe, expect, it } from 'vitest'
import type { Proportion } from '@/core/flora/flora.ts'
import type { Traits } from '@/core/flora/traits.ts'
import { addLeafBlade } from '@/core/likeness/leaves.ts'
import { MeshBuilder, organs, type Organ } from '@/core/likeness/mesh.ts'
import type { Vec } from '@/core/likeness/vec.ts'
import { flora } from '@/tests/support/book.ts'

// Shapes as terms of botany have them (cordate, sagittate, hastate, pinnatifid; Harris and Harris 2001, from memory): a
// leaf laid flat, its stalk at 0, its tip towards +x, its edge towards z.

const LENGTH = 100

function laidFlat(states: Record<string, string>, proportions: Partial<Record<Proportion, number>> = {}) {
  const to = new MeshBuilder(1)
  const traits = { states, sizes: {}, proportions } as unknown as Traits
  addLeafBlade(to, {
    foot: { at: [0, 0, 0], along: [1, 0, 0], face: [0, 1, 0] },
    length: LENGTH,
    traits,
    random: () => 0.5,
    droop: 0,
  })
  const { positions, organ } = to.mesh()
  const corners = Array.from({ length: positions.length / 3 }, (_, i): Vec => [
    positions[3 * i]!,
    positions[3 * i + 1]!,
    positions[3 * i + 2]!,
  ])
  return (which: Organ) => corners.filter((_, i) => organ[i] === organs.indexOf(which))
}

const leaf = (states: Record<string, string>, proportions?: Partial<Record<Proportion, number>>) =>
  laidFlat({ 'leaf.margin': 'entire', ...states }, proportions)('leaf')
const edge = (points: readonly Vec[]) => Math.max(...points.map((p) => Math.abs(p[2])))
const back = (points: readonly Vec[]) => -Math.min(...points.map((p) => p[0]))
/** How far from the midrib the point lies that reaches furthest behind the stalk, as a share of the leaf's half width. */
function outOfLobe(points: readonly Vec[]): number {
  const furthest = points.reduce((a, b) => (b[0] < a[0] ? b : a))
  return Math.abs(furthest[2]) / edge(points)
}
/** Half width of a leaf at a share of its length. */
const halfAt = (points: readonly Vec[], t: number) =>
  edge(points.filter((p) => Math.abs(p[0] - t * LENGTH) < 0.03 * LENGTH))

describe('the foot of a leaf', () => {
  const heart = { 'leaf.outline': 'heart-or-arrow' }

  it('of a heart has round lobes behind the stalk, a bay between them, and comes to a point', () => {
    const points = leaf(heart, { leafWide: 0.8, foot: 0.5 })
    expect(back(points)).toBeGreaterThan(0.12 * LENGTH)
    // Round: what lies furthest back is not the corner but the middle of the lobe.
    expect(outOfLobe(points)).toBeGreaterThan(0.3)
    expect(outOfLobe(points)).toBeLessThan(0.8)
    // In the bay nothing of the blade lies behind the stalk.
    expect(back(points.filter((p) => Math.abs(p[2]) < 0.02 * LENGTH))).toBeLessThan(0.05 * LENGTH)
    expect(halfAt(points, 0.97)).toBeLessThan(0.4 * edge(points))
  })

  it('of an arrow has lobes that end behind in points at the edge', () => {
    const points = leaf(heart, { leafWide: 0.4, foot: 0.8, barb: 1 })
    expect(back(points)).toBeGreaterThan(0.1 * LENGTH)
    expect(outOfLobe(points)).toBeGreaterThan(0.8)
  })

  it('of a halberd has lobes that stand out to the sides, and a blade half as wide above them', () => {
    const points = leaf(heart, { leafWide: 0.4, foot: -0.2, barb: 2 })
    expect(back(points)).toBeLessThan(0.02 * LENGTH)
    expect(halfAt(points, 0.4)).toBeLessThan(0.55 * edge(points))
    expect(halfAt(points, 0.04)).toBeGreaterThan(0.75 * edge(points))
  })

  it.each(['egg-widest-base', 'egg-widest-middle', 'narrow-lance', 'broad-oval', 'diamond', 'linear', 'spoon-shaped'])(
    'of %s has no lobes',
    (outline) => expect(back(leaf({ 'leaf.outline': outline }))).toBeLessThan(0.01 * LENGTH),
  )
})

describe('how wide a leaf is', () => {
  it.each([
    ['heart-or-arrow', 0.6],
    ['egg-widest-base', 0.5],
    ['egg-widest-middle', 0.4],
    ['narrow-lance', 0.2],
    ['linear', 0.1],
    ['diamond', 0.5],
  ] as const)('%s is as wide for its length as is on file: %f', (outline, leafWide) => {
    const wide = (2 * edge(leaf({ 'leaf.outline': outline }, { leafWide }))) / LENGTH
    // Folded a little along its middle, so it looks a hundredth narrower.
    expect(wide / leafWide).toBeGreaterThan(0.9)
    expect(wide / leafWide).toBeLessThan(1.03)
  })

  it.each([
    ['egg-widest-base', 0.3],
    ['egg-widest-middle', 0.5],
    ['diamond', 0.42],
  ] as const)('%s is widest where its name says', (outline, at) => {
    const points = leaf({ 'leaf.outline': outline })
    const widest = points.reduce((a, b) => (Math.abs(b[2]) > Math.abs(a[2]) ? b : a))
    expect(widest[0] / LENGTH).toBeCloseTo(at, 1)
  })
})

describe('a thistle', () => {
  const states = { 'leaf.outline': 'pinnate-cut', 'leaf.margin': 'spiny' }
  const spread = (points: readonly Vec[]) => Math.max(...points.map((p) => Math.hypot(...p)))

  it('has a spine at the end of each lobe, and two lobes where another leaf has one', () => {
    const of = laidFlat({ ...states, spines: 'leaf-edge-long-dagger' }, { lobes: 6, leafWide: 0.35, cut: 0.7 })
    const spineCorners = of('hair').length
    expect(spineCorners).toBeGreaterThan(0)
    const fewer = laidFlat({ ...states, spines: 'leaf-edge-long-dagger' }, { lobes: 3, leafWide: 0.35, cut: 0.7 })
    expect(spineCorners).toBeGreaterThan(1.4 * fewer('hair').length)
    // The furthest thing of all is a spine, not a leaf.
    const outwards = (points: readonly Vec[]) => Math.max(...points.map((p) => Math.abs(p[2])))
    expect(outwards(of('hair'))).toBeGreaterThan(outwards(of('leaf')))
  })

  it('with daggers reaches further than one with short spines', () => {
    const long = laidFlat({ ...states, spines: 'leaf-edge-long-dagger' }, { lobes: 5 })('hair')
    const short = laidFlat({ ...states, spines: 'leaf-edge-short' }, { lobes: 5 })('hair')
    expect(spread(long)).toBeGreaterThan(spread(short))
  })

  it('that is lobed and not cut to the middle keeps a broad body', () => {
    const lobed = laidFlat({ ...states, 'leaf.outline': 'lobed' }, { lobes: 5, leafWide: 0.4, cut: 0.4 })('leaf')
    const cut = laidFlat(states, { lobes: 5, leafWide: 0.4, cut: 1 })('leaf')
    // Between two lobes, so near the middle that only the body is there.
    const body = (points: readonly Vec[]) =>
      points.filter((p) => Math.abs(p[2]) < 0.1 * LENGTH && p[0] > 40 && p[0] < 70)
    expect(edge(body(lobed))).toBeGreaterThan(edge(body(cut)) - 1e-6)
    expect(laidFlat({ ...states, 'leaf.outline': 'lobed' }, { lobes: 5 })('hair').length).toBeGreaterThan(0)
  })

  it('has what no other cut leaf has: a ragwort has no spines', () =>
    expect(laidFlat({ 'leaf.outline': 'pinnate-cut', 'leaf.margin': 'coarse-teeth' })('hair')).toEqual([]))
})

describe('lobes of a cut leaf', () => {
  it('widen to ragged ends, or run out to a point where it is on file', () => {
    const states = { 'leaf.outline': 'pinnate-cut', 'leaf.margin': 'coarse-teeth' }
    const ragged = leaf(states, { lobes: 6, leafWide: 0.3 })
    const pointed = leaf(states, { lobes: 6, leafWide: 0.3, barb: 1 })
    expect(pointed).not.toEqual(ragged)
    // The last of them stands at the tip: near its end it is broad where it is ragged, narrow where it is pointed.
    const end = (points: readonly Vec[]) => {
      const tip = Math.max(...points.map((p) => p[0]))
      return edge(points.filter((p) => p[0] > tip - 0.04 * LENGTH))
    }
    expect(end(ragged)).toBeGreaterThan(1.5 * end(pointed))
  })
})

describe('what is on file of the foot of a leaf', () => {
  it('is on file only of plants that may have such a leaf, and is taken as a range', () => {
    for (const plant of flora.plants)
      for (const name of ['foot', 'barb'] as const) {
        const range = plant.likeness?.ranges[name]
        if (!range) continue
        expect(range[0], plant.id).toBeLessThanOrEqual(range[1])
        const cell = plant.characters['leaf.outline']
        const states = cell?.kind === 'states' ? Object.keys(cell.words) : []
        expect(
          states.some((s) => s === 'heart-or-arrow' || s === 'pinnate-cut'),
          plant.id,
        ).toBe(true)
      }
  })

  it('tells the two sorrels apart as their look-alike lines do: lobes back, lobes out', () => {
    const of = (id: string) => flora.plants.find((p) => p.id === id)!.likeness!.ranges.barb
    expect(of('common-sorrel')).toEqual([1, 1])
    expect(of('sheep-sorrel')).toEqual([2, 2])
  })
})
