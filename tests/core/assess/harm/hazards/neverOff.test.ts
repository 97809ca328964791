import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { labExtras, type LabResult } from '@/core/assess/feed/labResult.ts'
import { animalClass, animalClasses } from '@/core/assess/feed/needs.ts'
import { hazardGrades, type HazardReading } from '@/core/assess/harm/hazards/hazard.ts'
import { hazardFacts } from '@/core/assess/harm/hazards/factsOf.ts'
import { hazardModules, readHazards } from '@/core/assess/harm/hazards/index.ts'
import { regions } from '@/core/flora/flora.ts'
import { frosts, type Conditions } from '@/core/records/conditions.ts'
import { flora, plantsById } from '@/tests/support/book.ts'
import { countedStop, hitsOf, roundOf } from '@/tests/support/rounds.ts'

// What must hold of every danger whatever is known, by the rule of this trade that what is not known is no better case
// (common practice, no source). The figures drawn are any at all, not those of a forage.

const carriers = [...new Set(flora.hazards.flatMap((h) => h.plants))]
const some = <T>(what: fc.Arbitrary<T>) => fc.option(what, { nil: undefined })
const day = fc.integer({ min: 0, max: 364 }).map((n) => new Date(Date.UTC(2027, 0, 1 + n)).toISOString().slice(0, 10))
const given = <T extends object>(o: T) => Object.fromEntries(Object.entries(o).filter(([, v]) => v !== undefined)) as T

const anyConditions = fc
  .record({
    ...{ pregnant: some(fc.boolean()), potash: some(fc.boolean()), wet: some(fc.boolean()) },
    ...{ drought: some(fc.constant(true)), conditioned: some(fc.boolean()), wrapped: some(fc.boolean()) },
    ...{ frost: some(fc.constantFrom(...frosts)), frostOn: some(day), rainOn: some(day), cutOn: some(day) },
    ...{ joiningOn: some(day), heightCm: some(fc.integer({ min: 1, max: 200 })) },
    nitrogenKgPerHa: some(fc.integer({ min: 0, max: 300 })),
    waterNitrateMgPerL: some(fc.integer({ min: 0, max: 400 })),
    tillers: some(fc.tuple(fc.nat({ max: 40 }), fc.nat({ max: 40 }))),
    heads: some(fc.tuple(fc.nat({ max: 80 }), fc.nat({ max: 80 }))),
  })
  .map(({ tillers, heads, ...c }): Conditions => {
    const [tested, infected] = tillers ? [Math.max(...tillers, 1), Math.min(...tillers)] : []
    const [looked, withErgot] = heads ? [Math.max(...heads, 1), Math.min(...heads)] : []
    const counts = { tillersTested: tested, tillersInfected: infected, headsLooked: looked, headsWithErgot: withErgot }
    return given({ ...c, ...counts } as Conditions)
  })

const extras = Object.entries(labExtras).map(([key, most]) => [
  key,
  some(fc.double({ min: 0, max: most, noNaN: true })),
])
const anyLab = fc
  .record({ nitrateNPpm: some(fc.integer({ min: 0, max: 8000 })), ...Object.fromEntries(extras) })
  .map((l): LabResult => ({ sample: 'L-1', simulated: false, ...given(l) }))

const situation = fc.record({
  plants: fc.subarray(carriers, { minLength: 1, maxLength: 6 }),
  conditions: anyConditions,
  lab: some(anyLab),
  animal: some(fc.constantFrom(...animalClasses).map((a) => animalClass(a.id))),
  outlook: fc.constantFrom('grazing' as const, 'hay' as const),
  region: fc.constantFrom(...regions),
  on: day,
})
type Situation = typeof situation extends fc.Arbitrary<infer S> ? S : never

function read({ plants, conditions, lab, animal, outlook, region, on }: Situation): HazardReading[] {
  const hits = hitsOf(Object.fromEntries(plants.map((p, i) => [p, 1 + (i % 3)])))
  const round = roundOf(
    'step-points',
    [1, 2, 3, 4].map((n) => countedStop(n, { hits })),
  )
  const known = { ...round, plannedOn: on, paddock: { ...round.paddock, outlook, region } }
  const facts = { conditions, ...(animal ? { animal } : {}), ...(lab ? { lab } : {}) }
  return readHazards(hazardFacts(known, plantsById, facts), flora.hazards)
}

const pressing = (readings: HazardReading[]) =>
  new Map(readings.map((r) => [r.hazard.id, hazardGrades.length - hazardGrades.indexOf(r.grade)]))

/** Dangers that the worse case calls less pressing than the better one. */
function lessPressing(better: Situation, worse: Situation): string[] {
  const after = pressing(read(worse))
  return [...pressing(read(better))].filter(([id, grade]) => (after.get(id) ?? 0) < grade).map(([id]) => id)
}

const holds = (property: (s: Situation, share: number) => string[]) =>
  fc.assert(
    fc.property(situation, fc.double({ min: 0, max: 1, noNaN: true }), (s, share) => {
      expect(property(s, share)).toEqual([])
    }),
    { numRuns: 150 },
  )

describe('a danger that the sward can carry', () => {
  it('is told whatever is known, with something said, and a day only where something is known of it', () =>
    holds((s) => {
      const readings = new Map(read(s).map((r) => [r.hazard.id, r]))
      return flora.hazards
        .filter((h) => h.plants.some((p) => s.plants.includes(p)) && !hazardModules[h.id]!.when)
        .filter(({ id }) => {
          const r = readings.get(id)
          return !r || r.says.length === 0 || r.plants.length === 0 || (r.from !== undefined && r.grade === 'open')
        })
        .map((h) => h.id)
    }))

  it('is no less pressing in a drought, in the week after its rain, after a frost that killed, with young, or with shorter sorghum', () => {
    holds((s) => lessPressing(s, { ...s, conditions: { ...s.conditions, drought: true } }))
    holds((s) => lessPressing(s, { ...s, conditions: { ...s.conditions, frost: 'killing', frostOn: s.on } }))
    holds((s) => lessPressing(s, { ...s, conditions: { ...s.conditions, pregnant: true } }))
    holds((s) => {
      const rained = { ...s, conditions: { ...s.conditions, rainOn: s.on } }
      const nitrate = read(rained).find((r) => r.hazard.id === 'nitrate')
      // A sample may be from before the rain: another is asked for, whatever it said.
      const good = !nitrate || (nitrate.grade !== 'open' && nitrate.tests.includes('nitrate-stems'))
      return [...lessPressing(s, rained), ...(good ? [] : ['nitrate is open, or no sample is asked for'])]
    })
    holds((s, share) => {
      const { heightCm = 100 } = s.conditions
      const at = (cm: number) => ({ ...s, conditions: { ...s.conditions, heightCm: cm } })
      return lessPressing(at(heightCm), at(heightCm * share))
    })
  })

  it.each([
    'nitrateNPpm',
    'hcnPpm',
    'ergovalinePpb',
    'ergotAlkaloidPpb',
    'formononetinPct',
    'coumestanPpm',
    'wscPct',
  ] as const)(
    // prettier-ignore
    'is no less pressing where a laboratory found more: %s',
    (figure) =>
      holds((s, share) => {
        const most = figure === 'nitrateNPpm' ? 8000 : labExtras[figure]
        const base: LabResult = s.lab ?? { sample: 'L-1', simulated: false }
        const found = base[figure] ?? most / 2
        const of = (value: number) => ({ ...s, lab: { ...base, [figure]: value } })
        return lessPressing(of(found * share), of(found))
      }),
  )

  it('is no less pressing with more tillers infected, more heads with bodies, more nitrogen or more nitrate in the water', () => {
    const more = (change: (c: Conditions, share: number) => [Conditions, Conditions]) =>
      holds((s, share) => {
        const [better, worse] = change(s.conditions, share)
        return lessPressing({ ...s, conditions: { ...s.conditions, ...better } }, { ...s, conditions: { ...s.conditions, ...worse } }) // prettier-ignore
      })
    const few = (n: number, share: number) => Math.floor(n * share)
    more((_, x) => [
      { tillersTested: 30, tillersInfected: few(20, x) },
      { tillersTested: 30, tillersInfected: 20 },
    ])
    more((_, x) => [
      { headsLooked: 50, headsWithErgot: few(12, x) },
      { headsLooked: 50, headsWithErgot: 12 },
    ])
    more((_, x) => [{ nitrogenKgPerHa: 200 * x }, { nitrogenKgPerHa: 200 }])
    more((_, x) => [{ waterNitrateMgPerL: 300 * x }, { waterNitrateMgPerL: 300 }])
  })

  it('is no less pressing where the height of sorghum was not measured than where it is tall', () =>
    holds((s) => {
      const unknown = { ...s.conditions }
      delete unknown.heightCm
      return lessPressing({ ...s, conditions: { ...unknown, heightCm: 150 } }, { ...s, conditions: unknown })
    }))
})
