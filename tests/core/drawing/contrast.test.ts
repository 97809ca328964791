import { describe, expect, it } from 'vitest'
import { lookSteps } from '@/core/drawing/gestures.ts'
import { drawState } from '@/core/drawing/drawState.ts'
import { partToScale, QUICK_MM, sizeDrawing, STRIP_MM, unitsPerMm } from '@/core/drawing/sizeDrawing.ts'
import { flora } from '@/tests/support/book.ts'
import { difference, raster, rasterDifference } from '@/tests/support/raster.ts'

// "Contrast of states is the test": at the size of a drawn answer, two states of one character must not look alike.
const LEAST_DIFFERENT = 0.03
const characters = flora.characters.filter((c) => c.states)

describe('states of one character side by side', () => {
  it('every state in the vocabulary is drawn', () => {
    for (const c of characters) for (const s of c.states!) expect(drawState(c.id, s), `${c.id} ${s}`).toBeDefined()
  })

  it.each(characters.map((c) => [c.id, c] as const))('%s: any two states can be told apart', (id, c) => {
    const rasters = new Map(c.states!.map((s) => [s, raster(drawState(id, s)!)]))
    const alike = c.states!.flatMap((a, i) =>
      c.states!.slice(i + 1).flatMap((b) => {
        const d = rasterDifference(rasters.get(a)!, rasters.get(b)!)
        return d < LEAST_DIFFERENT ? [`${a} / ${b}: ${d.toFixed(3)}`] : []
      }),
    )
    expect(alike).toEqual([])
  })
})

describe('sizes', () => {
  const heightOf = (character: string, mm: number) => {
    const ys = partToScale(character, mm).flatMap((m) =>
      (m.d.match(/-?\d+(?:\.\d+)? -?\d+(?:\.\d+)?/g) ?? []).map((p) => Number(p.split(' ')[1])),
    )
    return Math.max(...ys) - Math.min(...ys)
  }

  it.each(['leaflet.length', 'leaf.length', 'seed.size'])('%s: twice as long is drawn twice as high', (id) => {
    const half = STRIP_MM[id]! / 3
    expect(heightOf(id, 2 * half) / heightOf(id, half)).toBeCloseTo(2, 1)
  })

  it('the bar under a drawing is of a round length', () => {
    for (const id of Object.keys(STRIP_MM)) expect(sizeDrawing(id, 0.5).bar).toMatch(/^(1|2|5|10|20|50) (mm|cm)$/)
  })

  it('the longest size of the strip fills the box, and the sizes offered to touch are within it', () => {
    for (const [id, strip] of Object.entries(STRIP_MM)) {
      expect(strip * unitsPerMm(id)).toBeLessThanOrEqual(92)
      expect(Math.max(...QUICK_MM[id]!)).toBeLessThanOrEqual(strip)
    }
  })
})

describe('how to look', () => {
  it('every character has two drawn steps, unlike each other', () => {
    for (const c of flora.characters) {
      const [one, two] = lookSteps(c)
      expect(difference(one, two), c.id).toBeGreaterThan(0.2)
    }
  })
})
