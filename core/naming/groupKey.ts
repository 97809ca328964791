import { wilson } from '../stats/proportionIntervals.ts'
import type { Interval } from '../stats/clusterRatio.ts'

/**
 * Group key for subterranean clover: one runner, pulled out whole, in early spring and full sun. Null where a part could
 * not be judged: it is never read as "no".
 */
export interface Runner {
  /** Tells it from others that look the same, where two people add to one list; earlier ones have none. */
  id?: string
  runnerHairy: boolean | null
  /** Any red on the flower tube (calyx). */
  calyxRed: boolean | null
  /** Any red on the stipule. */
  stipuleRed: boolean | null
  /** Leaf pattern in words, such as crescent: 'narrow'; only narrows, never settles. */
  leaf?: Record<string, string>
}

export const runnerGroups = [
  'red-hairy',
  'red-smooth',
  'green-hairy',
  'green-smooth',
  'combination-hairy',
  'combination-smooth',
] as const
export type RunnerGroup = (typeof runnerGroups)[number]

/** A registered cultivar, as far as it is known; what is not known is left out and excludes nothing. */
export interface Cultivar {
  name: string
  oestrogenic?: boolean
  runnerHairy?: boolean
  calyxRed?: boolean
  stipuleRed?: boolean
  leaf?: Record<string, string>
  source: string
}

/**
 * The group of a runner: red on both flower tube and stipule, on neither, or on one of the two; hairy or smooth.
 *
 * @returns undefined while one of the three could not be judged
 */
export function runnerGroup({ runnerHairy, calyxRed, stipuleRed }: Runner): RunnerGroup | undefined {
  if (runnerHairy === null || calyxRed === null || stipuleRed === null) return undefined
  const colour = calyxRed && stipuleRed ? 'red' : calyxRed || stipuleRed ? 'combination' : 'green'
  return `${colour}-${runnerHairy ? 'hairy' : 'smooth'}`
}

/** Groups that hold a cultivar known to be oestrogenic; a cultivar whose marks are not all known belongs to none. */
export function oestrogenicGroups(cultivars: Cultivar[]): RunnerGroup[] {
  const groups = cultivars.flatMap((c) => {
    if (!c.oestrogenic) return []
    const { runnerHairy = null, calyxRed = null, stipuleRed = null } = c
    const group = runnerGroup({ runnerHairy, calyxRed, stipuleRed })
    return group ? [group] : []
  })
  return runnerGroups.filter((g) => groups.includes(g))
}

export interface RunnerShare {
  /** Runners that could be placed in a group. */
  placed: number
  unplaced: number
  byGroup: Record<RunnerGroup, number>
  /** Runners in groups that hold an oestrogenic cultivar: a group is not a cultivar, so this is "could be", not "is". */
  couldHarm: number
  share: number
  interval: Interval
}

/**
 * Share of runners that fall in the given groups, with a 95 % interval (Wilson 1927). Unplaced runners are left out and
 * counted apart.
 *
 * @returns undefined while no runner is placed
 */
export function runnerShare(runners: Runner[], groups: readonly RunnerGroup[]): RunnerShare | undefined {
  const byGroup = Object.fromEntries(runnerGroups.map((g) => [g, 0])) as Record<RunnerGroup, number>
  let placed = 0
  for (const runner of runners) {
    const group = runnerGroup(runner)
    if (!group) continue
    placed++
    byGroup[group]++
  }
  if (placed === 0) return undefined
  const couldHarm = groups.reduce((n, g) => n + byGroup[g], 0)
  return {
    placed,
    unplaced: runners.length - placed,
    byGroup,
    couldHarm,
    share: couldHarm / placed,
    interval: wilson({ x: couldHarm, n: placed }),
  }
}

/**
 * Cultivars a runner does not contradict. Red and brown marks (flecks, flush) strengthen in cold and sun and fade in shade
 * and warmth, and they blur the pale crescent; so leaf patterns only order the list and never take a cultivar off it. The
 * three steps of the key do.
 *
 * @returns the likelier first; several are the rule, and one left is still not a certain name
 */
export function narrowCultivars(
  runner: Runner,
  cultivars: Cultivar[],
): { cultivar: Cultivar; leafAgrees: number; leafDiffers: number }[] {
  const parts = ['runnerHairy', 'calyxRed', 'stipuleRed'] as const
  const possible = cultivars.filter((c) =>
    parts.every((p) => runner[p] === null || c[p] === undefined || c[p] === runner[p]),
  )
  return possible
    .map((cultivar) => {
      const marks = Object.entries(runner.leaf ?? {}).filter(([k]) => cultivar.leaf?.[k] !== undefined)
      const leafAgrees = marks.filter(([k, v]) => cultivar.leaf![k] === v).length
      return { cultivar, leafAgrees, leafDiffers: marks.length - leafAgrees }
    })
    .sort(
      (a, b) =>
        b.leafAgrees - b.leafDiffers - (a.leafAgrees - a.leafDiffers) || (a.cultivar.name < b.cultivar.name ? -1 : 1),
    )
}
