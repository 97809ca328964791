import type { Random } from '../likeness/ground.ts'

/** Hills and hollows that patches are cut from: few enough that patches stay larger than a cell. */
const HILLS = 14

/**
 * Cells of a square grid that make up exactly a share of it, in patches such as plants make: the highest cells of a made
 * hilly ground. To hold a sward against, as charts of known cover are (Terry & Chilingar 1955, from memory).
 *
 * @param side cells on an edge, 2 to 200
 * @param share 0 to 1
 * @returns for each cell, row by row, whether it is covered; as many as `share` asks for, to the nearest cell
 * @throws RangeError a side or a share out of these
 */
export function coverPattern(side: number, share: number, random: Random): boolean[] {
  if (!(Number.isInteger(side) && side >= 2 && side <= 200)) throw new RangeError(`a grid has 2 to 200 cells: ${side}`)
  if (!(share >= 0 && share <= 1)) throw new RangeError(`a share is 0 to 1: ${share}`)
  const hills = Array.from({ length: HILLS }, (_, i) => ({
    ...{ x: random() * side, y: random() * side, wide: side * (0.05 + 0.1 * random()) },
    high: i % 2 === 0 ? 1 : -1,
  }))
  const heightAt = (x: number, y: number) =>
    hills.reduce((sum, h) => sum + h.high * Math.exp(-((x - h.x) ** 2 + (y - h.y) ** 2) / (2 * h.wide ** 2)), 0)
  const cells = Array.from({ length: side * side }, (_, cell) => ({
    cell,
    // A little roughness, so that edges are as ragged as those of plants.
    height: heightAt((cell % side) + 0.5, Math.floor(cell / side) + 0.5) + 0.12 * random(),
  }))
  const covered = new Set([...cells].sort((a, b) => b.height - a.height).slice(0, Math.round(share * cells.length)).map((c) => c.cell)) // prettier-ignore
  return cells.map(({ cell }) => covered.has(cell))
}
