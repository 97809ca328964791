import { describe, expect, it } from 'vitest'
import { drawState } from '@/core/drawing/drawState.ts'
import { rounded, type Point } from '@/core/drawing/mark.ts'
import { flora } from '@/tests/support/book.ts'

/** Corners of a closed shape that is written with straight lines. */
function corners(d: string): Point[] {
  return d
    .slice(1, -1)
    .split(/[ML]/)
    .map((p) => p.trim().split(/\s+/).map(Number) as Point)
}

const turn = ([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point) => (bx - ax) * (cy - ay) - (by - ay) * (cx - ax)

/** Two stretches that truly cross, each with its ends on either side of the other (O'Rourke, Computational Geometry in C, from memory). */
const cross = (a: Point, b: Point, c: Point, d: Point) =>
  turn(a, b, c) * turn(a, b, d) < -1e-6 && turn(c, d, a) * turn(c, d, b) < -1e-6

function crossings(shape: Point[]): number {
  const side = (i: number): [Point, Point] => [shape[i]!, shape[(i + 1) % shape.length]!]
  let found = 0
  for (let i = 0; i < shape.length; i++)
    for (let k = i + 2; k < shape.length; k++)
      if (!(i === 0 && k === shape.length - 1) && cross(...side(i), ...side(k))) found++
  return found
}

const states = flora.characters.find((c) => c.id === 'leaf.outline')!.states!

describe('the outline of a leaf', () => {
  it('a bow tie crosses itself once and a star of five points five times (by hand)', () => {
    expect(crossings([[0, 0], [10, 10], [10, 0], [0, 10]])).toBe(1) // prettier-ignore
    const star = [0, 2, 4, 1, 3].map((k): Point => [Math.cos((k * 2 * Math.PI) / 5), Math.sin((k * 2 * Math.PI) / 5)])
    expect(crossings(star)).toBe(5)
  })

  it.each(states)('%s: no edge of it runs through another', (state) => {
    const filled = drawState('leaf.outline', state)!.filter((m) => m.ink === 'leaf' && !/[CA]/.test(m.d))
    for (const m of filled) expect(crossings(corners(m.d)), m.d).toBe(0)
  })

  it.each([
    ['three-to-five-lobed', 3],
    ['palmate-cut', 7],
  ])('%s has its lobes in one piece', (state, lobes) => {
    const marks = drawState('leaf.outline', state)!
    const [blade, ...others] = marks.filter((m) => m.ink === 'leaf')
    expect(others).toEqual([])
    // A lobe's tip is as far from the foot as anything near it.
    const far = corners(blade!.d).map(([x, y]) => Math.hypot(x - 50, y - 66))
    const tips = far.filter((r, i) => {
      const near = [-4, -3, -2, -1, 1, 2, 3, 4].map((k) => far[(i + k + far.length) % far.length]!)
      return r > 30 && near.every((n) => n <= r + 1e-9)
    })
    expect(new Set(tips.map((t) => t.toFixed(3))).size).toBeGreaterThanOrEqual(Math.ceil(lobes / 2))
  })
})

describe('a closed curve without a corner', () => {
  const numbers = (d: string) => [...d.matchAll(/-?\d*\.?\d+/g)].map(Number)
  const circle = Array.from({ length: 12 }, (_, i): Point => [
    50 + 40 * Math.cos((i * Math.PI) / 6),
    50 + 40 * Math.sin((i * Math.PI) / 6),
  ])

  it('through twelve points of a circle is that circle to a hundredth (closed form)', () => {
    const [x0, y0, ...rest] = numbers(rounded(circle))
    let from: Point = [x0!, y0!]
    for (let i = 0; i < rest.length; i += 6) {
      const [ax, ay, bx, by, x, y] = rest.slice(i, i + 6) as [number, number, number, number, number, number]
      // The middle of a cubic piece (Bernstein).
      const middle: Point = [(from[0] + 3 * ax + 3 * bx + x) / 8, (from[1] + 3 * ay + 3 * by + y) / 8]
      expect(Math.hypot(middle[0] - 50, middle[1] - 50)).toBeCloseTo(40, 0)
      expect(Math.abs(Math.hypot(middle[0] - 50, middle[1] - 50) - 40)).toBeLessThan(0.4)
      from = [x, y]
    }
    expect(Math.hypot(from[0] - x0!, from[1] - y0!)).toBeLessThan(0.02)
  })

  it('leaves each point in the direction in which it came, the first one too', () => {
    const [x0, y0, ...rest] = numbers(rounded([[10, 10], [60, 5], [90, 50], [40, 95], [5, 60]])) // prettier-ignore
    const pieces = Array.from({ length: rest.length / 6 }, (_, i) => rest.slice(i * 6, i * 6 + 6))
    pieces.forEach((piece, i) => {
      const at: Point = i === 0 ? [x0!, y0!] : (pieces[i - 1]!.slice(4) as unknown as Point)
      const into = (i === 0 ? pieces.at(-1)! : pieces[i - 1]!).slice(2, 4) as unknown as Point
      const out = piece.slice(0, 2) as unknown as Point
      const [ix, iy, ox, oy] = [at[0] - into[0], at[1] - into[1], out[0] - at[0], out[1] - at[1]]
      expect(Math.abs(ix * oy - iy * ox) / (Math.hypot(ix, iy) * Math.hypot(ox, oy))).toBeLessThan(0.02)
    })
  })
})
