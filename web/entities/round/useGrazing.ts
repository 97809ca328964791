import { randomLcg } from 'd3-random'
import { useMemo } from 'react'
import { aums, grazingDays } from '@/core/assess/feed/grazingDays.ts'
import type { Estimate } from '@/core/assess/feed/mixtureFeed.ts'
import { animalClass, animalClasses } from '@/core/assess/feed/needs.ts'
import type { Round } from '@/core/records/round.ts'
import type { Composition } from '@/core/survey/composition.ts'
import { countingMethods } from '@/core/methods/index.ts'
import { areaHa } from '@/core/geo/route.ts'
import { roundsOf } from '../../data/readRound.ts'
import { useRead } from '../../data/reads.ts'
import { firstHerd, useHerd } from './herd.ts'

/** A stated guess is taken to lie within a third of the truth 95 times in 100 (common practice, no source). */
const GUESS_SPREAD = 0.33

interface Measured {
  title: string
  mass: Estimate
}

/** The latest measured dry mass of the paddock. */
function measuredMass(rounds: Round[] | undefined): Measured | undefined {
  for (const round of rounds ?? []) {
    const mass = countingMethods[round.method].mass?.(round)
    if (!mass || 'problem' in mass || mass.of !== 'dry matter') continue
    const [low, high] = mass.interval
    return { title: round.title, mass: { middle: mass.kgPerHa, low: Math.max(0, low), high } }
  }
  return undefined
}

const weighing = (paddockId: string) =>
  roundsOf(paddockId, 'mass', (r) => countingMethods[r.method].mass !== undefined && r.stopsDone > 0)

/** The herd of a paddock, what stands there, and how long it lasts. */
export function useGrazing(round: Round, made: Composition) {
  const { data: kept, problem, again, change } = useHerd(round.paddockId)
  const plan = kept ?? firstHerd
  const { data: rounds } = useRead(useMemo(() => weighing(round.paddockId), [round.paddockId]))
  const measured = useMemo(() => measuredMass(rounds), [rounds])
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
    problem,
    again,
    change,
    animal,
    measured,
    mass,
    hectares,
    grazing,
    legume: made.byGroup.find((g) => g.group === 'legume')?.estimate ?? 0,
  }
}
