import type { Method } from '@/core/records/method.ts'
import { randomLcg } from 'd3-random'
import { useEffect, useMemo, useState } from 'react'
import type { RoundSettings, RouteKind } from '@/core/records/measures.ts'
import type { Paddock, RoundSummary } from '@/core/records/round.ts'
import { figuresOf } from '@/core/survey/figures.ts'
import { layRoute, type LaidRoute } from '@/core/survey/layRoute.ts'
import { isComposition, methodInfo, READING } from '@/core/survey/methods.ts'
import { guessedPilot, pilotFrom, planStops, type Pilot, type PlannedStops } from '@/core/survey/planStops.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import { readRound } from '../../../data/readRound.ts'
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
  settings: {},
})

/** The spread met in the last counted round of the same method in this paddock. */
function useEarlier(paddockId: string, method: Method, halfWidth: number, rounds: RoundSummary[]): Pilot | undefined {
  const byId = useFlora((s) => s.byId)
  const [found, setFound] = useState<{ key: string; pilot: Pilot | undefined }>()
  const earlier = rounds.find((r) => r.paddockId === paddockId && r.method === method && r.stopsDone > 2)
  const key = `${earlier?.id} ${halfWidth}`
  useEffect(() => {
    if (!earlier) return
    let current = true
    void readRound(earlier.id).then(
      (round) => current && setFound({ key, pilot: pilotFrom(figuresOf(round, byId), halfWidth) }),
      () => undefined,
    )
    return () => void (current = false)
  }, [earlier, key, halfWidth, byId])
  return found?.key === key ? found.pilot : undefined
}

export interface Plan {
  pilot: Pilot
  planned: PlannedStops
  count: number
  laid: LaidRoute | { problem: string }
}

/** All that follows from the form: how many stops, and where they lie. */
export function usePlan(form: PlanForm, paddock: Paddock | undefined, rounds: RoundSummary[]): Plan {
  const earlier = useEarlier(form.paddockId, form.method, form.halfWidth, rounds)
  const pilot = earlier ?? guessedPilot(form.method, form.pointsPerStop, form.halfWidth)
  const planned = planStops(pilot)
  // A share is seldom wanted so closely that a day would not do: what is more is chosen by hand.
  const count = form.stops ?? Math.min(MOST_STOPS, Math.max(form.method === 'search-walk' ? 20 : 3, planned.stops))
  const laid = useMemo<Plan['laid']>(() => {
    if (!paddock?.boundary) return { problem: say('This paddock has no boundary yet: draw it first.') }
    try {
      return layRoute(form.routeKind, {
        boundary: paddock.boundary,
        parts: paddock.strata,
        count,
        random: randomLcg(form.seed / 1000),
      })
    } catch (error) {
      return { problem: `${(error as Error).message}.` }
    }
  }, [paddock, form.routeKind, form.seed, count])
  return { pilot, planned, count, laid }
}

/** Settings that belong to a method, with what is usual where nothing was chosen. */
export function settingsFor(form: PlanForm): RoundSettings {
  const { method, settings } = form
  const framed = methodInfo[method].unit === 'frame' || READING[method] !== undefined
  return {
    routeKind: form.routeKind,
    halfWidth: form.halfWidth,
    ...(framed ? { frameM2: settings.frameM2 ?? 0.25 } : {}),
    ...(method === 'cover-classes' ? { scale: settings.scale ?? 'six-class' } : {}),
    ...(method === 'dry-weight-rank' ? { few: settings.few ?? 'first-takes-third' } : {}),
    ...(method === 'nested-frequency' ? { nestsM: settings.nestsM ?? [0.1, 0.25, 0.5, 1] } : {}),
    ...(method === 'search-walk'
      ? {
          stripWidthM: settings.stripWidthM ?? 4,
          seenShare: settings.seenShare ?? 0.8,
          targets: settings.targets ?? [],
        }
      : {}),
    ...(settings.dryShare !== undefined && (framed || !isComposition(method)) ? { dryShare: settings.dryShare } : {}),
    ...(settings.observer ? { observer: settings.observer } : {}),
  }
}
