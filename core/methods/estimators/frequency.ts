import type { Round } from '../../records/round.ts'
import { clusterRatio, kornGraubard, type Interval } from '../../stats/clusterRatio.ts'
import { clopperPearson, wilson } from '../../stats/proportionIntervals.ts'
import { resolved, type ResolvedUnknowns } from '../tally.ts'
import type { Taxon } from '../../records/taxon.ts'

export const GRID_CELLS = 25
/** Of a cell of 15 by 15 cm. */
const CELL_M2 = 0.0225
export const DEFAULT_NESTS_M = [0.1, 0.25, 0.5, 1]
/** Plants a square metre for each percent of cells of 15 by 15 cm that hold one (Vogel & Masters 2001, from memory). */
export const VOGEL_MASTERS = 0.4

export interface Frequency {
  taxon: Taxon
  /** Share of frames (nested) or of cells (grid) that hold the plant, 0 to 1. */
  estimate: number
  interval: Interval | undefined
  /** Of the nest that the share is of, metres; undefined for a grid. */
  nestM?: number
  found: number
  of: number
  /** Plants a square metre at the least, by 0.4 x percent of cells 15 x 15 cm (Vogel & Masters 2001); only for a grid. */
  plantsPerM2?: number
  /** The same were the plants scattered at random, -ln(1 - f) a cell; undefined where every cell holds one. */
  plantsAtRandom?: number
}

const byFrequency = (a: Frequency, b: Frequency) => b.estimate - a.estimate || (a.taxon < b.taxon ? -1 : 1)

/**
 * Frequency of each plant in nested frames. A plant is written down with the smallest nest that holds it; it is then in
 * all larger ones. For each plant the nest is shown in which it lies nearest to half of the frames, where a change is
 * seen best (common practice, no source). A nest is chosen so once: one that follows each year's count would hide a change
 * or make one, so what an earlier count has chosen stands.
 *
 * @param nestsM sides of the nests, metres, smallest first
 * @param nestOf side of the nest that an earlier count has fixed for a plant, metres; one that is not among the nests is passed over
 */
export function nestedFrequency(
  stops: Round['stops'],
  nestsM: number[],
  named: ResolvedUnknowns,
  nestOf: Readonly<Record<Taxon, number>> = {},
): Frequency[] {
  const done = stops.filter((s) => s.doneAt !== null && s.skipped === null)
  const smallest = new Map<Taxon, number[]>()
  for (const stop of done) {
    const here = new Map<Taxon, number>()
    for (const h of stop.hits) {
      const taxon = resolved(h.taxon, named)
      here.set(taxon, Math.min(h.amount, here.get(taxon) ?? Infinity))
    }
    for (const [taxon, nest] of here) smallest.set(taxon, [...(smallest.get(taxon) ?? []), nest])
  }
  return [...smallest]
    .map(([taxon, list]): Frequency => {
      const inNest = nestsM.map((_, i) => list.filter((n) => n <= i + 1).length)
      const fixed = nestsM.indexOf(nestOf[taxon] ?? NaN)
      const nearest = inNest.reduce(
        (b, x, i) => (Math.abs(x / done.length - 0.5) < Math.abs(inNest[b]! / done.length - 0.5) ? i : b),
        inNest.length - 1,
      )
      const best = fixed >= 0 ? fixed : nearest
      const found = inNest[best]!
      return {
        taxon,
        estimate: found / done.length,
        interval: wilson({ x: found, n: done.length }),
        nestM: nestsM[best]!,
        found,
        of: done.length,
      }
    })
    .sort(byFrequency)
}

/** The nests that a count fixes for later ones of the same ground, those it took over itself among them. */
export const nestsFixedBy = (frequency: readonly Frequency[], taken: Readonly<Record<Taxon, number>> = {}) => ({
  ...Object.fromEntries(frequency.flatMap(({ taxon, nestM }) => (nestM === undefined ? [] : [[taxon, nestM]]))),
  ...taken,
})

/**
 * Frequency of each plant in grids of 25 cells; the grid is the unit. Where every grid holds as many, their spread says
 * nothing: then the exact limits of as many independent looks as there are grids, which are wide.
 */
export function gridFrequency(stops: Round['stops'], named: ResolvedUnknowns): Frequency[] {
  const done = stops.filter((s) => s.doneAt !== null && s.skipped === null)
  const grids = done.length
  const taxa = new Set(done.flatMap((s) => s.hits.map((h) => resolved(h.taxon, named))))
  return [...taxa]
    .map((taxon): Frequency => {
      const cells = done.map(
        (s) => new Set(s.hits.filter((h) => resolved(h.taxon, named) === taxon).map((h) => h.part)).size,
      )
      const ratio = clusterRatio(cells.map((hits) => ({ hits, points: GRID_CELLS })))
      return {
        taxon,
        estimate: ratio.estimate,
        interval:
          kornGraubard(ratio) ?? (grids > 1 ? clopperPearson({ x: ratio.estimate * grids, n: grids }) : undefined),
        found: cells.reduce((a, b) => a + b, 0),
        of: done.length * GRID_CELLS,
        plantsPerM2: VOGEL_MASTERS * ratio.estimate * 100,
        ...(ratio.estimate < 1 ? { plantsAtRandom: -Math.log(1 - ratio.estimate) / CELL_M2 } : {}),
      }
    })
    .sort(byFrequency)
}
