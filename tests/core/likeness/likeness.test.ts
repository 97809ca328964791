import { lab, rgb } from 'd3-color'
import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import type { Stage } from '@/core/flora/flora.ts'
import { usualTraits } from '@/core/flora/traits.ts'
import { light, type Lab } from '@/core/likeness/colours.ts'
import { addLamina, oval } from '@/core/likeness/lamina.ts'
import { MeshBuilder, organs, type Mesh, type Organ } from '@/core/likeness/mesh.ts'
import { addBlade, addTube, tapers } from '@/core/likeness/ribbon.ts'
import { plantSpecimen, specimenOf } from '@/core/likeness/specimenOf.ts'
import { frameAt, grow } from '@/core/likeness/spine.ts'
import { add, cross, dot, sub, turned, unit, type Vec } from '@/core/likeness/vec.ts'
import { flora, plantsById } from '@/tests/support/book.ts'

const corners = ({ positions }: Mesh): Vec[] =>
  Array.from({ length: positions.length / 3 }, (_, i) => [
    positions[3 * i]!,
    positions[3 * i + 1]!,
    positions[3 * i + 2]!,
  ])
const of = (mesh: Mesh, organ: Organ): Vec[] => corners(mesh).filter((_, i) => mesh.organ[i] === organs.indexOf(organ))
const built = (id: string, seed = 0.4, stage: Stage = 'vegetative') =>
  plantSpecimen(plantsById.get(id)!, stage, randomLcg(seed))

describe('colours', () => {
  it('are those of another library, in linear light (IEC 61966-2-1)', () => {
    // d3-color goes by D50 too, and on to the curve of a screen.
    const linear = (c: number) => (c / 255 <= 0.04045 ? c / 255 / 12.92 : ((c / 255 + 0.055) / 1.055) ** 2.4)
    for (const colour of [
      [47, -31, 35],
      [84, -9, 22],
      [33, 31, 4],
      [50, 0, 0],
    ] as Lab[]) {
      const { r, g, b } = rgb(lab(...colour))
      light(colour).forEach((x, i) => expect(x).toBeCloseTo(linear([r, g, b][i]!), 3))
    }
  })
})

describe('growing', () => {
  it('a spine is as long as it was told, and its frames stay square to each other', () => {
    const spine = grow({ from: [1, 2, 3], along: [1, 1, 0.3], length: 80, steps: 20, droop: 1.4, late: 0.7, twist: 2 })
    const way = spine.slice(1).reduce((sum, f, i) => sum + Math.hypot(...sub(f.at, spine[i]!.at)), 0)
    expect(way).toBeCloseTo(80, 9)
    for (const { along, face, side } of spine) {
      for (const [a, b] of [
        [along, face],
        [face, side],
        [side, along],
      ] as const)
        expect(dot(a, b)).toBeCloseTo(0, 9)
      expect(dot(cross(along, face), side)).toBeCloseTo(1, 9)
    }
    expect(frameAt(spine, 0).at).toEqual([1, 2, 3])
  })

  it('what droops comes to hang, and no further; what lies on the ground does not go into it', () => {
    const hanging = grow({ from: [0, 50, 0], along: [1, 0, 0], length: 100, steps: 60, droop: 9 })
    expect(hanging.at(-1)!.along[1]).toBeCloseTo(-1, 2)
    const lying = grow({ from: [0, 5, 0], along: [1, -0.5, 0], length: 60, floor: 1 })
    expect(Math.min(...lying.map((f) => f.at[1]))).toBeGreaterThanOrEqual(1)
  })

  it('turning round an axis is a rotation: a quarter of it takes x to y (Rodrigues, by hand)', () => {
    turned([1, 0, 0], [0, 0, 1], Math.PI / 2).forEach((x, i) => expect(x).toBeCloseTo([0, 1, 0][i]!, 12))
  })
})

describe('sizes are true', () => {
  const widest = (points: Vec[], k: 0 | 1 | 2) =>
    Math.max(...points.map((p) => p[k])) - Math.min(...points.map((p) => p[k]))
  const up = grow({ from: [0, 0, 0], along: [0, 1, 0], face: [0, 0, 1], length: 100, steps: 40 })
  const green: Lab = [47, -31, 35]

  it('a blade that lies flat is as wide as it was told, and a folded one as narrow as its angle makes it', () => {
    for (const [fold, wide] of [
      [0, 6],
      [Math.PI / 3, 3],
    ] as const) {
      const to = new MeshBuilder()
      addBlade(to, up, { width: 6, taper: tapers['pointed']!, upper: green, lower: green, fold: () => fold })
      expect(widest(corners(to.mesh()), 0)).toBeCloseTo(wide, 1)
    }
  })

  it('a leaf is as long as its stalk of frames and as wide as it was told; a stem as thick', () => {
    const leaf = new MeshBuilder()
    addLamina(leaf, up, { width: 40, outline: oval(0.5), upper: green, lower: green })
    expect(widest(corners(leaf.mesh()), 1)).toBeCloseTo(100, 6)
    expect(Math.abs(widest(corners(leaf.mesh()), 0) - 40)).toBeLessThan(0.8)
    const stem = new MeshBuilder()
    addTube(stem, up, { organ: 'stem', radius: () => 3, colour: () => green, sides: 24 })
    expect(widest(corners(stem.mesh()), 0)).toBeCloseTo(6, 1)
  })

  it('a membrane stands as high as the ligule is coded, in four grasses of different collars', () => {
    for (const id of ['perennial-ryegrass', 'orchardgrass', 'timothy', 'tall-fescue']) {
      const traits = usualTraits(plantsById.get(id)!, 'vegetative')
      const { mesh } = specimenOf('grass', { ...traits, young: true }, randomLcg(0.2))
      const ligule = of(mesh, 'ligule')
      // Of one collar: its foot and its top edge, twenty corners apart in each sheet of five rows of eleven.
      const heights = Array.from({ length: 11 }, (_, c) => Math.hypot(...sub(ligule[44 + c]!, ligule[c]!)))
      expect(Math.max(...heights) / traits.sizes['ligule.height']!, id).toBeCloseTo(1, 5)
    }
  })
})

describe('a sheet', () => {
  it('is seen from the side where rows go up and columns to the right, its normals smooth and of length 1', () => {
    const to = new MeshBuilder()
    to.sheet(
      [
        [
          [0, 0, 0],
          [1, 0, 0],
        ],
        [
          [0, 1, 0],
          [1, 1, 0],
        ],
      ],
      { organ: 'leaf', colour: () => [1, 1, 1] },
    )
    const { normals, indices } = to.mesh()
    expect([...indices]).toHaveLength(6)
    expect([...normals].slice(0, 3)).toEqual([0, 0, 1])
  })

  it('a stem shows its outside: its normals point away from its middle', () => {
    const to = new MeshBuilder()
    addTube(to, grow({ from: [0, 0, 0], along: [0, 1, 0], length: 10 }), {
      organ: 'stem',
      radius: () => 2,
      colour: () => [50, 0, 0],
    })
    const { normals } = to.mesh()
    corners(to.mesh()).forEach(([x, , z], i) =>
      expect(x * normals[3 * i]! + z * normals[3 * i + 2]!).toBeGreaterThan(0),
    )
  })
})

describe('specimens', () => {
  const stages = (id: string): Stage[] => ['vegetative', ...(Object.keys(plantsById.get(id)!.stages) as Stage[])]
  const LARGEST = 120_000

  // Every tenth here, since each takes its time: `npx tsx bench/likeness.ts` builds all of them.
  it.each(flora.plants.filter((_, i) => i % 10 === 0).map((p) => p.id))(
    '%s can be built at each of its stages: whole, lit, coloured, rooted, not too large',
    (id) => {
      for (const stage of stages(id)) {
        const { mesh, low, high, plantTriangles } = built(id, 0.4, stage)
        const count = mesh.organ.length
        expect(Number.isFinite(mesh.positions.reduce((a, b) => a + b, 0)), stage).toBe(true)
        expect(
          mesh.indices.every((i) => i < count),
          stage,
        ).toBe(true)
        expect(
          mesh.colours.every((c) => c >= 0 && c <= 1),
          stage,
        ).toBe(true)
        expect(plantTriangles, stage).toBeLessThanOrEqual(LARGEST)
        expect(high[1], stage).toBeGreaterThan(4)
        expect(low[1], stage).toBeLessThan(-4)
      }
    },
  )

  it('the same numbers give the same plant, others another specimen: two are never clones', () => {
    const [a, again, b] = [built('white-clover'), built('white-clover'), built('white-clover', 0.9)]
    expect(again.mesh.positions).toEqual(a.mesh.positions)
    expect(b.mesh.positions).not.toEqual(a.mesh.positions)
  })

  it('a mown grass ends where it was cut, a seedling is smaller than the grown plant', () => {
    expect(built('perennial-ryegrass', 0.4, 'mown').high[1]).toBeLessThan(0.7 * built('perennial-ryegrass').high[1])
    for (const id of ['poison-hemlock', 'perennial-ryegrass', 'red-clover'])
      expect(built(id, 0.4, 'seedling').high[1], id).toBeLessThan(built(id).high[1])
  })

  it('proportions on file are those of the plant that is built', () => {
    const traits = usualTraits(plantsById.get('tall-fescue')!, 'vegetative')
    // Ranges of the file, from memory: blades 150 to 450 mm, sheaths 60 to 140, shoots 10 to 24, leaning 14 to 30
    // degrees, blades bent by 45 to 85.
    expect(traits.proportions).toEqual({ bladeMm: 300, sheathMm: 100, shoots: 17, leanDegrees: 22, fallDegrees: 65 })
    const upright = (bladeMm: number) => {
      const states = { ...traits.states, 'blade.posture': 'stiff-upright' }
      const { high } = specimenOf(
        'grass',
        { ...traits, states, young: true, proportions: { bladeMm, sheathMm: 100 } },
        randomLcg(0.3),
      )
      return high[1]
    }
    // A young plant is built at 55 in 100 of them, its newest blade at 72 in 100, give or take a seventh.
    const taller = (upright(600) - upright(300)) / (300 * 0.55)
    expect(taller).toBeGreaterThan(0.72 * 0.8)
    expect(taller).toBeLessThan(1.15)
  })

  it('claws, membranes, hairs and blotches are there where they are coded and not where they are not', () => {
    const has = (id: string, organ: Organ) => of(built(id).mesh, organ).length > 0
    expect(has('tall-fescue', 'auricle')).toBe(true)
    expect(has('kentucky-bluegrass', 'auricle')).toBe(false)
    expect(has('barnyardgrass', 'ligule')).toBe(false)
    expect(has('orchardgrass', 'ligule')).toBe(true)
    const plain = usualTraits(plantsById.get('poison-hemlock')!, 'vegetative')
    const stem = { ...plain, states: { ...plain.states, 'leaf.set': 'alternate', 'stem.marks': 'purple-blotched' } }
    const { mesh } = specimenOf('forb', stem, randomLcg(0.4))
    const dark = Array.from(
      mesh.organ,
      (o, i) => o === organs.indexOf('stem') && mesh.colours[3 * i + 1]! < mesh.colours[3 * i]!,
    )
    expect(dark.some(Boolean)).toBe(true)
  })

  it('a direction of no length points up', () => expect(unit(add([1, 0, 0], [-1, 0, 0]))).toEqual([0, 1, 0]))
})
