import { randomLcg } from 'd3-random'
import { useEffect, useMemo, useState } from 'react'
import { aums, grazingDays } from '@/core/assess/feed/grazingDays.ts'
import type { Estimate } from '@/core/assess/feed/mixtureFeed.ts'
import { animalClass, animalClasses } from '@/core/assess/feed/needs.ts'
import type { Round } from '@/core/records/round.ts'
import type { Composition } from '@/core/survey/composition.ts'
import { READING } from '@/core/survey/methods.ts'
import { areaHa } from '@/core/geo/route.ts'
import { massFromClips, massFromReadings } from '@/core/survey/standingMass.ts'
import { readRound, readRounds } from '../../data/readRound.ts'
import type { HerdPlan } from '@/core/records/herdPlan.ts'
import { firstHerd, useHerds } from './herdStore.ts'

/** A stated guess is taken to lie within a third of the truth 95 times in 100 (common practice, no source). */
const GUESS_SPREAD = 0.33

interface Measured {
  title: string
  mass: Estimate
}

/** The latest measured dry mass of the paddock. */
function useMeasuredMass(paddockId: string): Measured | undefined {
  const [found, setFound] = useState<Measured>()
  useEffect(() => {
    let current = true
    const look = async () => {
      const rounds = (await readRounds()).filter(
        (r) => r.paddockId === paddockId && (READING[r.method] || r.method === 'clips') && r.stopsDone > 0,
      )
      for (const { id, title, method } of rounds) {
        const round = await readRound(id)
        const mass = method === 'clips' ? massFromClips(round) : massFromReadings(round)
        if ('problem' in mass || mass.of !== 'dry matter') continue
        if (current)
          setFound({
            title,
            mass: { middle: mass.kgPerHa, low: Math.max(0, mass.interval[0]), high: mass.interval[1] },
          })
        return
      }
    }
    look().catch(() => undefined)
    return () => void (current = false)
  }, [paddockId])
  return found
}

/** The herd of a paddock, what stands there, and how long it lasts. */
export function useGrazing(round: Round, made: Composition) {
  const kept = useHerds((s) => s.plans[round.paddockId])
  const set = useHerds((s) => s.set)
  const plan = kept ?? firstHerd
  const measured = useMeasuredMass(round.paddockId)
  const animal = animalClass(plan.animal) ?? animalClasses[0]!
  const hectares = round.paddock.boundary ? areaHa(round.paddock.boundary) : undefined
  const guess = plan.guessKgPerHa
  const mass = useMemo(
    () => measured?.mass ?? { middle: guess, low: guess * (1 - GUESS_SPREAD), high: guess * (1 + GUESS_SPREAD) },
    [measured, guess],
  )
  const grazing = useMemo(() => {
    if (hectares === undefined) return undefined
    const how = {
      massKgPerHa: mass,
      areaHa: hectares,
      residualKgPerHa: plan.residualKgPerHa,
      useShare: plan.usePct / 100,
      refusedShare: plan.refusedPct / 100,
    }
    return {
      days: grazingDays({ ...how, herd: [{ animal, count: plan.count }] }, randomLcg(1)),
      one: grazingDays({ ...how, herd: [{ animal, count: 1 }] }, randomLcg(1)),
      aum: (['srm', 'older'] as const).map((c): Estimate => ({
        low: aums(how, mass.low, c),
        middle: aums(how, mass.middle, c),
        high: aums(how, mass.high, c),
      })),
      mass,
    }
  }, [hectares, mass, plan, animal])
  return {
    plan,
    /** False while nobody has said what is kept here. */
    said: kept !== undefined,
    change: (patch: Partial<HerdPlan>) => set(round.paddockId, patch),
    animal,
    measured,
    mass,
    hectares,
    grazing,
    legume: made.byGroup.find((g) => g.group === 'legume')?.estimate ?? 0,
  }
}
