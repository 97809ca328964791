import type { Method } from '@/core/records/method.ts'
import { randomLcg } from 'd3-random'
import { useMemo } from 'react'
import type { RoundSettings, RouteKind } from '@/core/records/measures.ts'
import type { Paddock } from '@/core/records/round.ts'
import { figuresOf } from '@/core/survey/figures.ts'
import { layRoute, type LaidRoute } from '@/core/survey/layRoute.ts'
import { countingMethods } from '@/core/methods/index.ts'
import { nestsFixedBy } from '@/core/methods/estimators/frequency.ts'
import type { Pilot } from '@/core/methods/method.ts'
import { pilotFrom, planStops, type PlannedStops } from '@/core/survey/planStops.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import { roundsOf } from '../../../data/readRound.ts'
import { useRead } from '../../../data/reads.ts'
import { say } from '../../../language/say.ts'
import { today } from '../../../language/dates.ts'

export interface PlanForm {
  paddockId: string
  title: string
  purpose: string
  on: string
  method: Method
  halfWidth: number
  /** Stops as chosen by hand; undefined follows the arithmetic. */
  stops: number | undefined
  pointsPerStop: number
  routeKind: RouteKind
  seed: number
  /** Stops along the fence and the width of their strip; left out: the fence is not walked. */
  fence: { count: number; widthM: number } | undefined
  settings: RoundSettings
}

const MOST_STOPS = 60

export const firstForm = (paddockId: string): PlanForm => ({
  paddockId,
  title: say('Spring count'),
  purpose: say('Feed, weeds and harm'),
  on: today(),
  method: 'step-points',
  halfWidth: 0.05,
  stops: undefined,
  pointsPerStop: 20,
  routeKind: 'w',
  seed: 1,
  fence: undefined,
  settings: {},
})

interface Earlier {
  pilot: Pilot | undefined
  /** Nests that it has fixed, so that the new count is read in the same. */
  nestOf: Record<string, number>
}

/** The spread met in the last counted round of the same method in this paddock, and what it has fixed for later ones. */
function useEarlier(paddockId: string, method: Method, halfWidth: number): Earlier {
  const byId = useFlora((s) => s.byId)
  const { data: rounds } = useRead(
    useMemo(() => roundsOf(paddockId, method, (r) => r.method === method && r.stopsDone > 2), [paddockId, method]),
  )
  return useMemo(() => {
    const [last] = rounds ?? []
    if (!last) return { pilot: undefined, nestOf: {} }
    const figures = figuresOf(last, byId)
    return { pilot: pilotFrom(figures, halfWidth), nestOf: nestsFixedBy(figures.frequency, last.settings.nestOf) }
  }, [rounds, halfWidth, byId])
}

export interface Plan {
  pilot: Pilot
  nestOf: Earlier['nestOf']
  planned: PlannedStops
  count: number
  laid: LaidRoute | { problem: string }
}

/** All that follows from the form: how many stops, and where they lie. */
export function usePlan(form: PlanForm, paddock: Paddock | undefined): Plan {
  const earlier = useEarlier(form.paddockId, form.method, form.halfWidth)
  const pilot = earlier.pilot ?? countingMethods[form.method].pilot(form.pointsPerStop, form.halfWidth)
  const planned = planStops(pilot)
  // A share is seldom wanted so closely that a day would not do: what is more is chosen by hand.
  const count = form.stops ?? Math.min(MOST_STOPS, Math.max(countingMethods[form.method].fewestPlanned, planned.stops))
  const laid = useMemo<Plan['laid']>(() => {
    if (!paddock?.boundary) return { problem: say('This paddock has no boundary yet: draw it first.') }
    try {
      return layRoute(form.routeKind, {
        boundary: paddock.boundary,
        parts: paddock.strata,
        count,
        random: randomLcg(form.seed / 1000),
        ...(form.fence ? { fence: form.fence } : {}),
      })
    } catch (error) {
      return { problem: `${(error as Error).message}.` }
    }
  }, [paddock, form.routeKind, form.seed, form.fence, count])
  return { pilot, nestOf: earlier.nestOf, planned, count, laid }
}

/** Settings that belong to a method, with what is usual where nothing was chosen. */
export function settingsFor(form: PlanForm, nestOf: Earlier['nestOf'] = {}): RoundSettings {
  const { asks, defaults } = countingMethods[form.method]
  const { dryShare, observer, flagsPlanted, flagsSeen, ...chosen } = form.settings
  const asked = Object.entries(chosen).filter(([key]) => key in defaults)
  return {
    routeKind: form.routeKind,
    halfWidth: form.halfWidth,
    ...defaults,
    ...Object.fromEntries(asked),
    ...(dryShare !== undefined && asks.includes('dry-share') ? { dryShare } : {}),
    ...(flagsPlanted && flagsSeen && flagsSeen <= flagsPlanted && asks.includes('flags')
      ? { flagsPlanted, flagsSeen }
      : {}),
    ...(form.fence ? { fenceWidthM: form.fence.widthM } : {}),
    ...(Object.keys(nestOf).length > 0 ? { nestOf } : {}),
    ...(observer ? { observer } : {}),
  }
}
