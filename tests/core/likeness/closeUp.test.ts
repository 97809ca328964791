import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { usualTraits } from '@/core/flora/traits.ts'
import { closeUpOf, gesturesFor, type Gesture } from '@/core/likeness/closeUp.ts'
import { organs, type Organ } from '@/core/likeness/mesh.ts'
import { flora, plantsById } from '@/tests/support/book.ts'

const traitsOf = (id: string) => usualTraits(plantsById.get(id)!, 'vegetative')
const shown = (id: string, gesture: Gesture, states: Record<string, string> = {}) => {
  const traits = traitsOf(id)
  return closeUpOf({ ...traits, states: { ...traits.states, ...states } }, gesture, randomLcg(0.4))!
}
const heights = (id: string, organ: Organ, states = {}) => {
  const { mesh } = shown(id, 'bend', states)
  const at = organs.indexOf(organ)
  return Array.from(mesh.organ).flatMap((o, i) => (o === at ? [mesh.positions[3 * i + 1]!] : []))
}

describe('what hands do to a plant', () => {
  it('bending the leaf back shows a ligule of its coded height', () => {
    for (const id of ['orchardgrass', 'kentucky-bluegrass', 'reed-canarygrass']) {
      const all = heights(id, 'ligule')
      const mm = traitsOf(id).sizes['ligule.height']!
      // It leans, so it reaches a little less high than it is long.
      expect(Math.max(...all) - Math.min(...all)).toBeGreaterThan(mm * 0.75)
      expect(Math.max(...all) - Math.min(...all)).toBeLessThan(mm * 1.25 + 0.6)
    }
  })

  it('claws are there where they clasp, and nowhere else (perennial ryegrass and Kentucky bluegrass: the book)', () => {
    expect(heights('annual-ryegrass', 'auricle').length).toBeGreaterThan(0)
    expect(heights('kentucky-bluegrass', 'auricle')).toEqual([])
  })

  it('a folded bud is narrow, a rolled one round', () => {
    const shape = (state: string) => {
      const { low, high } = shown('perennial-ryegrass', 'roll', { vernation: state })
      return (high[2] - low[2]) / (high[0] - low[0])
    }
    expect(shape('folded')).toBeGreaterThan(1.8)
    expect(shape('rolled')).toBeGreaterThan(0.8)
    expect(shape('rolled')).toBeLessThan(1.25)
  })

  it('a hollow stem is dark within, a solid one pale', () => {
    const middle = (state: string) => {
      const { mesh } = shown('orchardgrass', 'cut', { 'stem.inside': state, 'stem.section': 'round' })
      // What is seen from above within half of the radius: the topmost corners there.
      const within = Array.from(mesh.organ, (_, i) => i).filter(
        (i) => Math.hypot(mesh.positions[3 * i]!, mesh.positions[3 * i + 2]!) < 0.5,
      )
      const top = Math.max(...within.map((i) => mesh.positions[3 * i + 1]!))
      return {
        deep: Math.abs(top),
        light: mesh.colours[3 * within.find((i) => mesh.positions[3 * i + 1] === top)! + 1]!,
      }
    }
    expect(middle('hollow').deep).toBeGreaterThan(5)
    expect(middle('solid').deep).toBe(0)
    expect(middle('hollow').light).toBeLessThan(middle('solid').light / 4)
    expect(middle('chambered').deep).toBeLessThan(middle('hollow').deep)
  })

  it('what comes out of a snapped stalk is white of milk, yellow of celandine', () => {
    const drop = (id: string) => {
      const { mesh } = shown(id, 'snap')
      const at = Array.from(mesh.organ).indexOf(organs.indexOf('base'))
      return [...mesh.colours.slice(3 * at, 3 * at + 3)]
    }
    const milk = drop('dandelion')
    expect(Math.min(...milk)).toBeGreaterThan(0.7)
    const yellow = drop('greater-celandine')
    expect(yellow[0]! / Math.max(0.01, yellow[2]!)).toBeGreaterThan(5)
  })

  it('each plant of the book allows those gestures for which something is coded, and each can be drawn', () => {
    for (const plant of flora.plants) {
      const traits = usualTraits(plant, 'vegetative')
      const possible = gesturesFor(traits)
      expect(possible.includes('snap')).toBe(traits.states['sap'] !== undefined)
      for (const gesture of possible) {
        const made = closeUpOf(traits, gesture, randomLcg(0.2))
        if (gesture === 'crush') expect(made).toBeUndefined()
        else expect(made!.plantTriangles, `${plant.id} ${gesture}`).toBeGreaterThan(50)
      }
    }
  })
})

describe('heads, where one is found', () => {
  const flower = (states: Record<string, string>) => {
    const made = closeUpOf({ states: { 'life.form': 'forb', ...states }, sizes: {} }, 'head', randomLcg(0.3))!
    const at = organs.indexOf('head')
    const all = Array.from(made.mesh.organ, (_, i) => i).filter((i) => made.mesh.organ[i] === at)
    return {
      ...made,
      colours: all.map((i) => [...made.mesh.colours.slice(3 * i, 3 * i + 3)] as [number, number, number]),
    }
  }
  const statesOf = (id: string) => flora.characters.find((c) => c.id === id)!.states ?? []

  it('every coded form of a seed head and of a flower cluster is built, each another', () => {
    const shapes = new Set<string>()
    for (const character of ['head.form', 'flower.form'])
      for (const state of statesOf(character)) {
        const { plantTriangles, high } = flower({ [character]: state })
        expect(plantTriangles, state).toBeGreaterThan(400)
        expect(high[1], state).toBeGreaterThan(30)
        shapes.add(`${plantTriangles} ${high[1].toFixed(1)}`)
      }
    expect(shapes.size).toBe(statesOf('head.form').length + statesOf('flower.form').length)
  })

  it('where no form is on file there is nothing to see', () => {
    expect(closeUpOf({ states: { 'life.form': 'forb' }, sizes: {} }, 'head', randomLcg(0.3))).toBeUndefined()
  })

  it('a yellow cluster has the yellow and no blue, a purple one the other way (colour of the words)', () => {
    const mean = (colour: string, k: number) => {
      const all = flower({ 'flower.form': 'round-head', 'flower.colour': colour }).colours
      return all.reduce((sum, c) => sum + c[k]!, 0) / all.length
    }
    expect(mean('yellow', 0)).toBeGreaterThan(4 * mean('yellow', 2))
    expect(mean('purple-blue', 2)).toBeGreaterThan(2 * mean('purple-blue', 1))
    for (const k of [0, 1, 2]) expect(mean('white', k)).toBeGreaterThan(0.4)
  })

  it('a spike of fingers from one point has one joint, one of fingers along the stem has several (Hitchcock and Chase 1951)', () => {
    // Heights at which something reaches farther out than the stalk is thick.
    const levels = (form: string) => {
      const { mesh } = flower({ 'head.form': form })
      const far = Array.from(mesh.organ, (_, i) => i).filter((i) => {
        const out = Math.hypot(mesh.positions[3 * i]!, mesh.positions[3 * i + 2]!)
        return organs[mesh.organ[i]!] === 'stem' && out > 4 && out < 9
      })
      return new Set(far.map((i) => Math.round(mesh.positions[3 * i + 1]! / 12))).size
    }
    expect(levels('fingers-from-one-point')).toBeLessThan(levels('fingers-along-stem'))
  })

  it('a nodding spike of a sedge hangs, an upright one stands', () => {
    const lowest = (stand: string) => {
      const { mesh } = flower({ 'spikes.kind': 'top-male', 'spikes.stand': stand })
      const at = organs.indexOf('head')
      return Math.min(...Array.from(mesh.organ, (o, i) => (o === at ? mesh.positions[3 * i + 1]! : Infinity)))
    }
    expect(lowest('nodding')).toBeLessThan(lowest('upright') - 5)
  })
})
