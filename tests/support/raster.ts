import type { Drawing } from '@/core/drawing/mark.ts'

const CELLS = 30

/** Points of a path that is made of moves, lines, cubic pieces and whole circles (two half arcs). */
function pointsOf(d: string): [number, number][][] {
  const parts = d.match(/[MLACZ][^MLACZ]*/g) ?? []
  const out: [number, number][][] = []
  let line: [number, number][] = []
  for (const part of parts) {
    const numbers = (part.match(/-?\d+(?:\.\d+)?/g) ?? []).map(Number)
    if (part[0] === 'M') {
      line = [[numbers[0]!, numbers[1]!]]
      out.push(line)
    } else if (part[0] === 'L') line.push([numbers[0]!, numbers[1]!])
    else if (part[0] === 'C') {
      const [x0, y0] = line.at(-1)!
      const [x1, y1, x2, y2, x3, y3] = numbers as [number, number, number, number, number, number]
      for (let i = 1; i <= 8; i++) {
        const [t, u] = [i / 8, 1 - i / 8]
        const mix = (a: number, b: number, c: number, d: number) =>
          u ** 3 * a + 3 * u * u * t * b + 3 * u * t * t * c + t ** 3 * d
        line.push([mix(x0, x1, x2, x3), mix(y0, y1, y2, y3)])
      }
    } else if (part[0] === 'A') {
      const [x0, y0] = line.at(-1)!
      const [rx, ry, , , , x, y] = numbers as [number, number, number, number, number, number, number]
      const [cx, cy] = [(x0 + x) / 2, (y0 + y) / 2]
      const from = Math.atan2((y0 - cy) / ry, (x0 - cx) / rx)
      for (let i = 1; i <= 16; i++) {
        const a = from + (i / 16) * Math.PI
        line.push([cx + rx * Math.cos(a), cy + ry * Math.sin(a)])
      }
    } else if (line.length > 0) line.push(line[0]!)
  }
  return out
}

/** Where a level line crosses a closed one, from left to right: between the first and second, third and fourth ... lies its inside (even-odd). */
function crossings(line: [number, number][], y: number): number[] {
  const at: number[] = []
  for (let i = 0, j = line.length - 1; i < line.length; j = i++) {
    const [xi, yi] = line[i]!
    const [xj, yj] = line[j]!
    if (yi > y !== yj > y) at.push(((xj - xi) * (y - yi)) / (yj - yi) + xi)
  }
  return at.sort((a, b) => a - b)
}

const strokes = new Set(['line', 'fine', 'dotted', 'purpleLine', 'pinkLine', 'soil'])

/** What ink lies on top in each cell of a coarse grid over the box: what an eye makes out at a small size. */
export function raster(drawing: Drawing): string[] {
  const grid = new Array<string>(CELLS * CELLS).fill('')
  const cell = (x: number, y: number) => Math.floor((y / 100) * CELLS) * CELLS + Math.floor((x / 100) * CELLS)
  for (const { d, ink } of drawing)
    for (const line of pointsOf(d)) {
      if (strokes.has(ink)) {
        for (let i = 1; i < line.length; i++) {
          const [[ax, ay], [bx, by]] = [line[i - 1]!, line[i]!]
          const steps = Math.ceil(Math.hypot(bx - ax, by - ay))
          for (let s = 0; s <= steps; s++) {
            const [x, y] = [ax + ((bx - ax) * s) / (steps || 1), ay + ((by - ay) * s) / (steps || 1)]
            if (x >= 0 && y >= 0 && x < 100 && y < 100) grid[cell(x, y)] = ink
          }
        }
        continue
      }
      for (let r = 0; r < CELLS; r++) {
        const at = crossings(line, ((r + 0.5) * 100) / CELLS)
        for (let c = 0; c < CELLS && at.length > 0; c++) {
          const left = at.filter((x) => x <= ((c + 0.5) * 100) / CELLS).length
          if (left % 2 === 1) grid[r * CELLS + c] = ink
        }
      }
    }
  return grid
}

/** Share of the inked cells in which two drawings differ. */
export const difference = (a: Drawing, b: Drawing): number => rasterDifference(raster(a), raster(b))

/** The same of drawings that were put on the grid before. */
export function rasterDifference(one: string[], two: string[]): number {
  const inked = one.filter((x, i) => x !== '' || two[i] !== '').length
  return one.filter((x, i) => x !== two[i]).length / inked
}
