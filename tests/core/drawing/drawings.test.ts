import { describe, expect, it } from 'vitest'
import { bladeToScale } from '@/core/drawing/blade.ts'
import { collarPortrait } from '@/core/drawing/collarPortrait.ts'
import { liguleToScale } from '@/core/drawing/collar.ts'
import { drawnCharacters, drawState } from '@/core/drawing/drawState.ts'
import { leafOutline, oval } from '@/core/drawing/leafShape.ts'
import { along, brush, type Drawing } from '@/core/drawing/mark.ts'
import { flora } from '@/tests/support/book.ts'

/** The numbers of a path, and whether it is made of known commands only. */
function readPath(d: string): { numbers: number[]; known: boolean } {
  const numbers = (d.match(/-?\d+(?:\.\d+)?/g) ?? []).map(Number)
  return { numbers, known: /^[MLACZ0-9 .-]+$/.test(d) && d.startsWith('M') }
}

const bench = [
  'vernation',
  'stem.section',
  'ligule.type',
  'auricles',
  'blade.tip',
  'blade.midrib',
  'blade.ribs',
  'base.colour',
  'habit',
  'leaf.plan',
  'leaflet.margin',
  'leaflet.mark',
  'stem.hairs',
  'stem.marks',
  'leaf.outline',
]

describe('drawings of states', () => {
  it('the bench has drawn answers for every character it must', () => {
    for (const id of bench) expect(drawnCharacters).toContain(id)
  })

  it.each(drawnCharacters)('%s: each state is drawn, inside its box, and unlike its neighbours', (id) => {
    const states = flora.characters.find((c) => c.id === id)!.states!
    const seen = new Map<string, string>()
    for (const state of states) {
      const drawing = drawState(id, state)
      expect(drawing, state).toBeDefined()
      expect(drawing!.length).toBeGreaterThan(0)
      for (const mark of drawing!) {
        const { numbers, known } = readPath(mark.d)
        expect(known, `${state}: ${mark.d.slice(0, 40)}`).toBe(true)
        expect(numbers.every(Number.isFinite)).toBe(true)
        expect(Math.min(...numbers), state).toBeGreaterThan(-12)
        expect(Math.max(...numbers), state).toBeLessThan(112)
      }
      const key = JSON.stringify(drawing)
      expect(seen.get(key), `${state} is drawn like ${seen.get(key)}`).toBeUndefined()
      seen.set(key, state)
    }
  })

  it('draws the same each time', () =>
    expect(drawState('stem.hairs', 'stinging')).toEqual(drawState('stem.hairs', 'stinging')))

  it('has no drawing for a state or character it does not know', () => {
    expect(drawState('vernation', 'crumpled')).toBeUndefined()
    expect(drawState('aroma', 'minty')).toBeUndefined()
  })

  it('an absent ligule leaves out what the membrane shows', () => {
    const count = (state: string) => drawState('ligule.type', state)!.filter((m) => m.ink === 'paper').length
    expect(count('absent')).toBe(0)
    expect(count('membrane')).toBe(1)
  })
})

const topOf = (drawing: Drawing, ink: string): number => {
  const ys = drawing.filter((m) => m.ink === ink).flatMap((m) => readPath(m.d).numbers.filter((_, i) => i % 2 === 1))
  return Math.min(...ys)
}

describe('sizes are to scale', () => {
  it('a ligule twice as high is drawn twice as high', () => {
    const high = (mm: number) => 60 - topOf(liguleToScale(mm, 5), 'paper')
    expect(high(4) / high(2)).toBeCloseTo(2, 6)
  })

  it('a blade twice as wide is drawn twice as wide', () => {
    const wide = (mm: number) => {
      const xs = readPath(bladeToScale(mm, 3)[0]!.d).numbers.filter((_, i) => i % 2 === 0)
      return Math.max(...xs) - Math.min(...xs)
    }
    expect(wide(12) / wide(6)).toBeCloseTo(2, 1)
  })
})

describe('portrait of the leaf joint', () => {
  const grasses = flora.plants.filter((p) => p.form === 'grass')

  it.each(grasses.map((p) => [p.id, p] as const))('%s has one, inside the box', (_id, plant) => {
    const portrait = collarPortrait(plant, 'vegetative')!
    for (const mark of portrait) expect(readPath(mark.d).numbers.every((n) => n > -3 && n < 103)).toBe(true)
  })

  it('other plants have none', () => {
    for (const p of flora.plants.filter((x) => x.form !== 'grass'))
      expect(collarPortrait(p, 'vegetative')).toBeUndefined()
  })

  it('no two grasses share a portrait', () => {
    const all = grasses.map((p) => JSON.stringify(collarPortrait(p, 'vegetative')))
    expect(new Set(all).size).toBe(all.length)
  })
})

describe('pen', () => {
  it('a curve passes through its ends and its points', () => {
    const curve = along(
      [
        [0, 0],
        [10, 5],
        [20, 0],
      ],
      8,
    )
    expect(curve[0]).toEqual([0, 0])
    expect(curve.at(-1)).toEqual([20, 0])
    expect(curve.some(([x, y]) => Math.hypot(x - 10, y - 5) < 1e-9)).toBe(true)
  })

  it('a brush stroke is a closed shape', () =>
    expect(
      brush([
        [0, 0],
        [10, 10],
      ]).d.endsWith('Z'),
    ).toBe(true))

  it('a leaf is as long and as wide as asked', () => {
    const outline = leafOutline({ length: 80, width: 40, profile: oval(0.5) })
    const ys = outline.map((p) => p[1])
    expect(Math.max(...outline.map((p) => p[0]))).toBeCloseTo(80, 6)
    expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(40, 0)
  })

  it('an oval is widest where asked', () => {
    const at = (widest: number) => {
      const f = oval(widest)
      const ts = Array.from({ length: 101 }, (_, i) => i / 100)
      return ts.reduce((best, t) => (f(t) > f(best) ? t : best), 0)
    }
    expect(at(0.3)).toBeCloseTo(0.3, 1)
    expect(at(0.7)).toBeCloseTo(0.7, 1)
  })
})
