import { randomLcg } from 'd3-random'
import { useMemo } from 'react'
import { animalUnitMonths, aums, grazingDays } from '@/core/assess/feed/grazingDays.ts'
import { intakeRange } from '@/core/assess/feed/intake.ts'
import type { Estimate, MixtureFeed } from '@/core/assess/feed/mixtureFeed.ts'
import { animalClass, animalClasses } from '@/core/assess/feed/needs.ts'
import { walkedStates } from '@/core/assess/feed/walkedStates.ts'
import { refusedShare } from '@/core/assess/grazing/eaten.ts'
import { massHolds, residualKgPerHa, swardKindOf, useShare } from '@/core/assess/grazing/sward.ts'
import type { HerdPlan } from '@/core/records/herdPlan.ts'
import type { Round } from '@/core/records/round.ts'
import type { Composition } from '@/core/survey/composition.ts'
import { countingMethods } from '@/core/methods/index.ts'
import { areaHa } from '@/core/geo/route.ts'
import { roundsOf } from '../../data/readRound.ts'
import { useRead } from '../../data/reads.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { firstHerd, useHerd, useManagement } from './herd.ts'
import { useYear } from './useYear.ts'

/** A stated guess is taken to lie within a third of the truth 95 times in 100 (common practice, no source). */
const GUESS_SPREAD = 0.33
/** What is guessed to stand above what is left, where nobody guessed, kg a hectare. */
const ABOVE = 1100

const middle = ([low, high]: readonly [number, number]) => (low + high) / 2
const tens = (n: number) => Math.round(n / 10) * 10

interface Measured {
  title: string
  on: string
  mass: Estimate
}

/** The latest measured dry mass of the paddock. */
function measuredMass(rounds: Round[] | undefined): Measured | undefined {
  for (const round of rounds ?? []) {
    const mass = countingMethods[round.method].mass?.(round)
    if (!mass || 'problem' in mass || mass.of !== 'dry matter') continue
    const [low, high] = mass.interval
    return { title: round.title, on: round.plannedOn, mass: { middle: mass.kgPerHa, low: Math.max(0, low), high } }
  }
  return undefined
}

const weighing = (paddockId: string) =>
  roundsOf(paddockId, 'mass', (r) => countingMethods[r.method].mass !== undefined && r.stopsDone > 0)

/** The herd of a paddock, what stands there, how much of it is eaten, and how long it lasts. */
export function useGrazing(round: Round, made: Composition, feed?: MixtureFeed) {
  const byId = useFlora((s) => s.byId)
  const { data: management = {} } = useManagement(round.paddockId)
  const living = useMemo(() => made.taxa.filter((t) => t.group !== 'ground'), [made])
  const kind = swardKindOf(living, byId)
  const system = management.system ?? (kind.endsWith('native') ? 'range-season-long' : 'moved-in-a-week')
  const residual = tens(middle(residualKgPerHa[kind]))
  const animalOf = (id: string) => animalClass(id) ?? animalClasses[0]!
  const at = walkedStates(round)
  const leaves = (id: string) => Math.round(100 * refusedShare(living, byId, animalOf(id).kind, at))
  const usual: Partial<HerdPlan> = {
    residualKgPerHa: residual,
    usePct: Math.round(100 * middle(useShare[system])),
    refusedPct: leaves(firstHerd.animal),
    guessKgPerHa: residual + ABOVE,
  }
  const { data: kept, problem, again, change } = useHerd(round.paddockId, usual)
  const plan: HerdPlan = kept ?? { ...firstHerd, ...usual }
  const { data: rounds } = useRead(useMemo(() => weighing(round.paddockId), [round.paddockId]))
  const latest = useMemo(() => measuredMass(rounds), [rounds])
  const holds = latest !== undefined && massHolds(latest.on, round.plannedOn)
  const measured = holds ? latest : undefined
  const animal = animalOf(plan.animal)
  const hectares = round.paddock.boundary ? areaHa(round.paddock.boundary) : undefined
  const guess = plan.guessKgPerHa
  const mass = useMemo(
    () => measured?.mass ?? { middle: guess, low: guess * (1 - GUESS_SPREAD), high: guess * (1 + GUESS_SPREAD) },
    [measured, guess],
  )
  const year = useYear(round, made)
  const growth = year?.growthKgPerHaDay ?? 0
  const eats = useMemo(
    () => (feed ? intakeRange(animal, { ndf: feed.ndfPct.middle, cp: feed.cpPct.middle }) : animal.intakePct),
    [animal, feed],
  )
  // By what it is made of: where nothing was kept, the plan itself is another object each time.
  const { count: animals, residualKgPerHa: left, usePct, refusedPct } = plan
  const grazing = useMemo(() => {
    if (hectares === undefined) return undefined
    const how = {
      massKgPerHa: mass,
      areaHa: hectares,
      residualKgPerHa: left,
      useShare: usePct / 100,
      refusedShare: refusedPct / 100,
      growthKgPerHaDay: growth,
    }
    const days = (count: number) => grazingDays({ ...how, herd: [{ animal, count, intakePct: eats }] }, randomLcg(1))
    return {
      days: days(animals),
      // Without growth: that of the ground does not grow with the number of animals.
      one: grazingDays({ ...how, growthKgPerHaDay: 0, herd: [{ animal, count: 1, intakePct: eats }] }, randomLcg(1)),
      aum: (Object.keys(animalUnitMonths) as (keyof typeof animalUnitMonths)[]).map((convention) => ({
        convention,
        months: {
          low: aums(how, mass.low, convention),
          middle: aums(how, mass.middle, convention),
          high: aums(how, mass.high, convention),
        } satisfies Estimate,
      })),
      mass,
    }
  }, [hectares, mass, animals, left, usePct, refusedPct, animal, eats, growth])
  return {
    plan,
    /** False while nobody has said what is kept here. */
    said: kept !== undefined,
    problem,
    again,
    change,
    animal,
    measured,
    /** A mass that was measured too long before or after to speak for this round. */
    tooOld: holds ? undefined : latest,
    mass,
    hectares,
    grazing,
    /** What the animal leaves of this sward, %, by its plants and the growth that was walked. */
    leavesPct: leaves(plan.animal),
    usual,
    kind,
    system,
    management,
    eats,
    year,
    legume: made.byGroup.find((g) => g.group === 'legume')?.estimate ?? 0,
  }
}
