import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import type { LifeForm } from '@/core/flora/flora.ts'
import type { Traits } from '@/core/flora/traits.ts'
import { addCollar, addHairs } from '@/core/likeness/collar.ts'
import { addCompound, addLeaflet } from '@/core/likeness/compound.ts'
import { addRoot, addRunner, addSoil } from '@/core/likeness/ground.ts'
import { addLamina, oval } from '@/core/likeness/lamina.ts'
import { addLeafBlade } from '@/core/likeness/leaves.ts'
import { boundsOf, MeshBuilder, organs, type Mesh, type Organ } from '@/core/likeness/mesh.ts'
import { sections, tapers } from '@/core/likeness/ribbon.ts'
import { specimenOf } from '@/core/likeness/specimenOf.ts'
import { addLeaf } from '@/core/likeness/stalkedLeaf.ts'
import { frameOf, grow } from '@/core/likeness/spine.ts'
import type { Vec } from '@/core/likeness/vec.ts'

const traits = (states: Record<string, string>, sizes: Record<string, number> = {}): Traits => ({ states, sizes })
const random = () => randomLcg(0.42)
const level = { at: [0, 20, 0] as Vec, along: [1, 0, 0] as Vec, face: [0, 1, 0] as Vec }
const made = (put: (to: MeshBuilder) => void): Mesh => {
  const to = new MeshBuilder()
  put(to)
  return to.mesh()
}
const size = (mesh: Mesh): Vec => {
  const { low, high } = boundsOf(mesh)
  return [high[0] - low[0], high[1] - low[1], high[2] - low[2]]
}
const has = (mesh: Mesh, organ: Organ): boolean => mesh.organ.includes(organs.indexOf(organ))
const grown = (form: LifeForm, states: Record<string, string>, sizes: Record<string, number> = {}) =>
  specimenOf(form, traits({ 'life.form': form, ...states }, sizes), random())

describe('leaves', () => {
  const blade = (states: Record<string, string>, length = 60) =>
    made((to) => addLeafBlade(to, { foot: level, length, traits: traits(states), random: random(), droop: 0 }))

  it.each([
    'narrow-lance',
    'broad-oval',
    'egg-widest-middle',
    'egg-widest-base',
    'diamond',
    'heart-or-arrow',
    'lobed',
    'three-to-five-lobed',
    'pinnate-cut',
    'palmate-cut',
    'fern-like',
    'feathery',
    'fingered',
    'paired-leaflets',
    'three-leaflets',
    'spoon-shaped',
    'round-kidney',
    'scale-like',
    'linear',
    'wedge',
  ])('%s is as long as it was told, with what its last lobe adds, and its parts hang together', (outline) => {
    const mesh = blade({ 'leaf.outline': outline })
    const [long] = size(mesh)
    expect(long).toBeGreaterThan(60 * 0.93)
    expect(long).toBeLessThan(60 * 1.5)
  })

  it('a round leaf is broader than an oval, an oval than a lance, a lance than a line', () => {
    const wide = ['round-kidney', 'broad-oval', 'egg-widest-middle', 'narrow-lance', 'linear'].map(
      (o) => size(blade({ 'leaf.outline': o }))[2],
    )
    expect(wide).toEqual(wide.toSorted((a, b) => b - a))
    expect(wide[0]! / wide[4]!).toBeGreaterThan(8)
  })

  it('a stalk adds its share: none, a third, as long, half as long again', () => {
    const long = (petiole: string) =>
      size(
        made((to) =>
          addLeaf(to, {
            foot: level,
            length: 40,
            traits: traits({ 'leaf.outline': 'broad-oval', 'petiole.length': petiole }),
            random: random(),
            droop: 0,
          }),
        ),
      )[0]
    const [none, shorter, equal, longer] = ['none', 'shorter', 'about-equal', 'longer'].map(long)
    expect(none).toBeCloseTo(40, 0)
    expect(shorter! - none!).toBeCloseTo(14, 0)
    expect(equal! - none!).toBeCloseTo(34, 0)
    expect(longer! - none!).toBeCloseTo(60, 0)
  })

  it('wool makes a leaf grey, a purple underside shows below and not above', () => {
    const mean = ({ colours, normals }: Mesh, side: 1 | -1) => {
      const rows = Array.from({ length: colours.length / 3 }, (_, i) => i).filter(
        (i) => normals[3 * i + 1]! * side > 0.5,
      )
      return [0, 1, 2].map((k) => rows.reduce((sum, i) => sum + colours[3 * i + k]!, 0) / rows.length)
    }
    const [r, g] = mean(blade({ 'leaf.outline': 'broad-oval', 'leaf.coat': 'woolly-both' }), 1)
    expect(Math.abs(r! - g!)).toBeLessThan(0.1)
    const beneath = blade({ 'leaf.outline': 'broad-oval', 'leaf.coat': 'purple-beneath' })
    expect(mean(beneath, 1)[1]!).toBeGreaterThan(mean(beneath, 1)[0]!)
    expect(mean(beneath, -1)[0]!).toBeGreaterThan(mean(beneath, -1)[1]!)
  })

  it('teeth cut into the edge, and a notch takes the tip back', () => {
    const spine = grow({ from: [0, 0, 0], along: [1, 0, 0], face: [0, 1, 0], length: 50 })
    const leaf = (more: object) =>
      made((to) =>
        addLamina(to, spine, { width: 30, outline: oval(0.5), upper: [50, -20, 30], lower: [50, -20, 30], ...more }),
      )
    const area = ({ positions, indices }: Mesh) => {
      let sum = 0
      for (let i = 0; i < indices.length; i += 3) {
        const [a, b, c] = [0, 1, 2].map(
          (k) => [positions[3 * indices[i + k]!]!, positions[3 * indices[i + k]! + 2]!] as const,
        )
        sum += Math.abs((b![0] - a![0]) * (c![1] - a![1]) - (c![0] - a![0]) * (b![1] - a![1])) / 2
      }
      return sum / 2
    }
    // Plain: the area under the outline, by the rule of the middle over a thousand steps.
    const whole = Array.from({ length: 1000 }, (_, i) => oval(0.5)((i + 0.5) / 1000) * 30 * 50 * 0.001).reduce(
      (a, b) => a + b,
      0,
    )
    expect(area(leaf({})) / whole).toBeCloseTo(1, 1)
    expect(area(leaf({ teeth: { count: 8, depth: 0.4 } }))).toBeLessThan(0.9 * area(leaf({})))
    const tip = ({ positions }: Mesh) =>
      Math.max(
        ...Array.from({ length: positions.length / 3 }, (_, i) =>
          Math.abs(positions[3 * i + 2]!) < 0.01 ? positions[3 * i]! : 0,
        ),
      )
    expect(tip(leaf({ notch: 0.14 }))).toBeCloseTo(50 * 0.86, 0)
  })
})

describe('clovers', () => {
  const leaf = (plan: string) =>
    made((to) =>
      addCompound(to, {
        foot: { ...level, along: [0, 1, 0] },
        length: 10,
        traits: traits({ 'leaf.plan': plan, 'leaflet.shape': 'egg' }),
        random: random(),
        stalk: 40,
        leaflet: (b, place) =>
          addLeaflet(b, { ...place, traits: traits({ 'leaf.plan': plan, 'leaflet.shape': 'egg' }), random: random() }),
      }),
    )

  it('three leaflets are fewer than five, five than those of a finger leaf; a row of pairs is there and has no tendril', () => {
    const count = ['three-palmate', 'five', 'fingers'].map((p) => leaf(p).indices.length)
    expect(count).toEqual(count.toSorted((a, b) => a - b))
    expect(new Set(count).size).toBe(3)
    expect(size(leaf('many-with-tendril'))[1]).toBeGreaterThan(size(leaf('many-no-tendril'))[1])
  })

  it('a pale V lies across the leaflet, flecks are dark: each where it is coded and not where it is not', () => {
    const leaflet = (mark: string) =>
      made((to) =>
        addLeaflet(to, {
          foot: level,
          length: 20,
          traits: traits({ 'leaflet.shape': 'round', 'leaflet.mark': mark }),
          random: random(),
        }),
      )
    const brightest = ({ colours }: Mesh) => colours.reduce((a, b) => Math.max(a, b), 0)
    const reddest = ({ colours }: Mesh) =>
      Math.max(...Array.from({ length: colours.length / 3 }, (_, i) => colours[3 * i]! - colours[3 * i + 1]!))
    expect(brightest(leaflet('pale-v'))).toBeGreaterThan(brightest(leaflet('none')) + 0.1)
    expect(reddest(leaflet('dark-flecks'))).toBeGreaterThan(0)
    expect(reddest(leaflet('none'))).toBeLessThan(0)
  })

  it('a runner lies on the ground and roots there, a stem stands', () => {
    const creeping = grown('legume', { 'leaf.plan': 'three-palmate', habit: 'stolon' }, { 'leaflet.length': 16 })
    const standing = grown(
      'legume',
      { 'leaf.plan': 'three-palmate', habit: 'single-crown', posture: 'upright' },
      { 'leaflet.length': 16 },
    )
    expect(creeping.high[1]).toBeLessThan(0.75 * standing.high[1])
    expect(creeping.high[0] - creeping.low[0]).toBeGreaterThan(1.5 * creeping.high[1])
  })
})

describe('collars and stems', () => {
  const collar = (states: Record<string, string>, sizes: Record<string, number> = {}) =>
    made((to) =>
      addCollar(
        to,
        frameOf([0, 50, 0], [0.6, 1, 0], [-1, 0.6, 0]),
        frameOf([0, 50, 0], [0, 1, 0], [1, 0, 0]),
        traits(states, sizes),
        6,
        random(),
      ),
    )

  it('clasping claws reach farther than blunt ones; none are none', () => {
    const reach = (auricles: string) => size(collar({ auricles }))[2]
    expect(reach('clasping')).toBeGreaterThan(reach('short-blunt') * 1.15)
    expect(has(collar({ auricles: 'clasping' }), 'auricle')).toBe(true)
    expect(collar({ auricles: 'absent', 'ligule.type': 'absent' }).indices).toHaveLength(0)
  })

  it('a fringe is hairs in place of a membrane, or on top of it', () => {
    for (const [type, membrane, hairs] of [
      ['membrane', true, false],
      ['hairs', false, true],
      ['fringed-membrane', true, true],
    ] as const) {
      const mesh = collar({ 'ligule.type': type }, { 'ligule.height': 2 })
      expect([has(mesh, 'ligule'), has(mesh, 'hair')], type).toEqual([membrane, hairs])
    }
  })

  it('a flat stem is wider than it is thick, a round one is not, a square one has corners', () => {
    const span = (name: string, a: number) => sections[name]!(a)
    expect(span('flat', 0) / span('flat', Math.PI / 2)).toBeGreaterThan(2)
    expect(span('round', 0)).toBe(span('round', 1))
    expect(span('square', Math.PI / 4) / span('square', 0)).toBeGreaterThan(1.15)
  })

  it('denser coats have more hairs, a bare one none', () => {
    const spine = grow({ from: [0, 0, 0], along: [0, 1, 0], length: 15 })
    const hairs = ['none', 'sparse', 'dense'].map(
      (s) => made((to) => addHairs(to, spine, s, 1, random())).indices.length,
    )
    expect(hairs[0]).toBe(0)
    expect(hairs[2]).toBeGreaterThan(3 * hairs[1]!)
  })

  it('a boat keeps its width nearly to its end, a drawn-out blade tapers from its foot', () => {
    expect(tapers['boat']!(0.9)).toBe(1)
    expect(tapers['long-drawn']!(0.5)).toBeLessThan(0.65)
    for (const taper of ['boat', 'pointed', 'long-drawn']) expect(tapers[taper]!(1), taper).toBeCloseTo(0, 6)
  })
})

describe('below the ground', () => {
  const root = (kind: string) => boundsOf(made((to) => addRoot(to, traits({ 'root.kind': kind }), 60, random())))

  it('a taproot goes deepest, a creeping root widest, and each stays in the soil', () => {
    const [tap, creeping, fibrous] = ['taproot', 'creeping-root', 'fibrous'].map(root)
    expect(tap!.low[1]).toBeLessThan(fibrous!.low[1])
    expect(creeping!.high[0] - creeping!.low[0]).toBeGreaterThan(tap!.high[0] - tap!.low[0])
    for (const kind of ['taproot', 'creeping-root', 'fibrous', 'tubers', 'bulb'])
      expect(root(kind).high[1], kind).toBeLessThan(6)
  })

  it('a runner below the ground stays below it, one above lies on it', () => {
    const runner = (below: boolean) => {
      const to = new MeshBuilder()
      const places = addRunner(to, {
        from: [0, below ? -14 : 2, 0],
        toward: [1, 0, 0],
        long: 100,
        below,
        traits: traits({}),
        random: random(),
      })
      return { mesh: to.mesh(), places }
    }
    expect(boundsOf(runner(true).mesh).high[1]).toBeLessThan(-8)
    expect(runner(false).places.every((f) => f.at[1] >= 1)).toBe(true)
  })

  it('the soil is cut straight down in front of the plant', () => {
    const { low, high } = boundsOf(made((to) => addSoil(to, 50, 30)))
    expect(low[1]).toBeCloseTo(-30, 6)
    expect(high[2]).toBeLessThan(1)
    expect(high[0]).toBe(50)
  })
})
