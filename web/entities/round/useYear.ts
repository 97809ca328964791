import { useMemo } from 'react'
import { MONTH_DAYS } from '@/core/assess/season/climate.ts'
import { madeNormals, usualYield } from '@/core/assess/season/madeNormals.ts'
import { growthYear } from '@/core/assess/season/year.ts'
import type { Round } from '@/core/records/round.ts'
import type { Composition } from '@/core/survey/composition.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { useManagement } from './herd.ts'
import { seasonShares } from './seasonShares.ts'

/** How a sward grows through the year in its place; undefined where no plant with a season was counted. */
export function useYear(round: Round, made: Composition) {
  const byId = useFlora((s) => s.byId)
  const { data: management } = useManagement(round.paddockId)
  const { region } = round.paddock
  const own = management?.normals
  const yieldKgPerHa = management?.yieldKgPerHaYear
  return useMemo(() => {
    const shares = seasonShares(made, (t) => byId.get(t)?.season)
    if (!shares) return undefined
    const normals = own ?? madeNormals[region]
    const [low, high] = usualYield[region]
    const yearly = yieldKgPerHa ?? (low + high) / 2
    const year = growthYear(normals, shares)
    const month = Number(round.plannedOn.slice(5, 7)) - 1
    return {
      year,
      normals,
      shares,
      simulated: own === undefined,
      yieldKgPerHa: yearly,
      measuredYield: yieldKgPerHa !== undefined,
      /** In the month of the round. */
      growthKgPerHaDay: (year.shareOfYear[month]! * yearly) / MONTH_DAYS[month]!,
    }
  }, [made, byId, own, region, yieldKgPerHa, round.plannedOn])
}
