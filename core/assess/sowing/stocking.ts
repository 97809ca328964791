import { tQuantile } from '../../stats/tQuantile.ts'
import { ANY_SOWN, type SowingCheck } from '../../records/sowingCheck.ts'
import { liveSeedsPerM2 } from './seeding.ts'
import type { SownPart } from '../../records/paddockEvent.ts'
import { clusterRatio, kornGraubard, type Interval } from '../../stats/clusterRatio.ts'
import { VOGEL_MASTERS } from '../../methods/estimators/frequency.ts'
import { wilson } from '../../stats/proportionIntervals.ts'
import { poissonLimits } from '../../methods/estimators/searchWalk.ts'

export interface Stocking {
  plant: string
  seedlings: number
  perM2: number
  /** 95 %. Frames as the unit; exact limits of the count where no frame differs from another or none was found. */
  interval: Interval
  /** Live seeds sown on a square metre; undefined for a plant that was not sown or has no seed weight on file. */
  sownPerM2: number | undefined
  /** Share of the live seed that stands, with its interval. */
  emerged: { share: number; interval: Interval } | undefined
}

/**
 * Seedlings a square metre of each plant, against the live seed that was sown. Mean over frames with Student's t, cut at
 * 0; where frames do not differ, the exact limits of a Poisson count (Garwood 1936).
 *
 * @param seedsPerKg seeds in a kilogram of a plant, where known
 * @throws RangeError no frames, or frames without an area
 */
export function stocking(
  { frames, frameM2 }: Pick<SowingCheck, 'frames' | 'frameM2'>,
  sown: readonly SownPart[],
  seedsPerKg: (plant: string) => number | undefined,
): Stocking[] {
  if (frames.length === 0 || !(frameM2 > 0)) throw new RangeError('a sowing is judged by frames that have an area')
  const plants = [...new Set([...sown.map((s) => s.plant), ...frames.flatMap((f) => Object.keys(f))])]
  return plants.map((plant): Stocking => {
    const counts = frames.map((f) => f[plant] ?? 0)
    const n = counts.length
    const seedlings = counts.reduce((a, b) => a + b, 0)
    const mean = seedlings / n
    const sd = n > 1 ? Math.sqrt(counts.reduce((s, c) => s + (c - mean) ** 2, 0) / (n - 1)) : 0
    const half = n > 1 ? (tQuantile(0.975, n - 1) * sd) / Math.sqrt(n) : 0
    const byFrame: Interval = [Math.max(0, mean - half) / frameM2, (mean + half) / frameM2]
    const exact = poissonLimits(seedlings).map((x) => x / (n * frameM2)) as Interval
    const interval = sd > 0 ? byFrame : exact
    const part = sown.find((s) => s.plant === plant)
    const seeds = seedsPerKg(plant)
    const sownPerM2 = part && seeds ? liveSeedsPerM2(part.kgPerHa, part.pls, seeds) : undefined
    const share = (x: number) => x / sownPerM2!
    return {
      plant,
      seedlings,
      perM2: mean / frameM2,
      interval,
      sownPerM2,
      emerged: sownPerM2
        ? { share: share(mean / frameM2), interval: [share(interval[0]), share(interval[1])] }
        : undefined,
    }
  })
}

export interface GridStand {
  /** A plant, or `any-sown`. */
  plant: string
  cells: number
  /** Share of cells that hold it, 0 to 1, and its 95 % interval with the grid as the unit. */
  frequency: number
  interval: Interval
  /** Plants a square metre at the least; only for cells of 15 by 15 cm. */
  perM2: number | undefined
}

/** Area of a cell of 15 by 15 cm, which the relation of frequency and density was made with. */
export const GRID_CELL_M2 = 0.0225

/**
 * How often each plant stands in the cells of a grid laid down again and again. Plants a square metre are at the least
 * 0.4 for each percent of cells (Vogel & Masters 2001, from memory).
 *
 * @throws RangeError no grid, or a grid without cells
 */
export function gridStand({ frames, frameM2, cells }: SowingCheck, sown: readonly SownPart[]): GridStand[] {
  if (frames.length === 0 || !cells) throw new RangeError('a stand is judged by grids that have cells')
  const plants = [...new Set([ANY_SOWN, ...sown.map((s) => s.plant), ...frames.flatMap((f) => Object.keys(f))])]
  return plants.map((plant): GridStand => {
    const stops = frames.map((f) => ({ hits: Math.min(cells, f[plant] ?? 0), points: cells }))
    const ratio = clusterRatio(stops)
    const found = stops.reduce((n, s) => n + s.hits, 0)
    return {
      plant,
      cells: found,
      frequency: ratio.estimate,
      // Where no grid differs from another, the grids themselves are the only independent looks.
      interval: kornGraubard(ratio) ?? wilson({ x: ratio.estimate * frames.length, n: frames.length }),
      perM2: Math.abs(frameM2 - GRID_CELL_M2) < 1e-6 ? VOGEL_MASTERS * 100 * ratio.estimate : undefined,
    }
  })
}

export type StandWord = 'full' | 'adequate' | 'partial failure' | 'undecided'

/** Shares of cells from which a stand is full, and adequate (Vogel & Masters 2001, from memory). */
const FULL = 0.5
const ADEQUATE = 0.25

/** What a frequency of sown plants comes to: only where the whole interval lies on one side is it said. */
export function standWord([low, high]: Interval): StandWord {
  if (low >= FULL) return 'full'
  if (low >= ADEQUATE && high < FULL) return 'adequate'
  return high < ADEQUATE ? 'partial failure' : 'undecided'
}

/** Weeks before which a stand is not judged, and the day and month on which one sown late is judged; common practice, no source. */
const WEEKS = 8
const LATE_FROM = '08-15'
const JUDGED_ON = '05-01'

/**
 * The first day on which a stand is judged: eight weeks after sowing, and for one sown from mid August on not before the
 * first of May that follows (northern seasons; common practice, no source).
 *
 * @param sownOn ISO day
 */
export function judgedFrom(sownOn: string): string {
  const early = new Date(`${sownOn}T00:00:00Z`)
  early.setUTCDate(early.getUTCDate() + 7 * WEEKS)
  const eightWeeks = early.toISOString().slice(0, 10)
  if (sownOn.slice(5) < LATE_FROM) return eightWeeks
  const spring = `${Number(sownOn.slice(0, 4)) + 1}-${JUDGED_ON}`
  return spring > eightWeeks ? spring : eightWeeks
}

/** Whole weeks from sowing to a day. */
export const ageInWeeks = (sownOn: string, day: string): number =>
  Math.floor((Date.parse(day) - Date.parse(sownOn)) / (7 * 86_400_000))
