import fc from 'fast-check'
import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { feedStates } from '@/core/assess/feed/feedStates.ts'
import { grazingDays, stockedFor, type Grazing } from '@/core/assess/feed/grazingDays.ts'
import { asHay, hayDesignation, hayDesignations } from '@/core/assess/feed/hay.ts'
import { intakePct } from '@/core/assess/feed/intake.ts'
import { animalClasses, dailyNeeds } from '@/core/assess/feed/needs.ts'
import { yieldLoss } from '@/core/assess/fertility/fertility.ts'
import { leftShare, refusedShare } from '@/core/assess/grazing/eaten.ts'
import { grazers } from '@/core/flora/flora.ts'
import { drillCheckGrams, drilledKgPerHa } from '@/core/assess/sowing/seeding.ts'
import { flora, plantsById } from '@/tests/support/book.ts'

// Which way each figure must go, whatever the numbers: more standing feed never feeds a herd for fewer days, riper growth is
// never eaten more readily (common practice, no source). A slip of a sign shows here where a worked example does not look.

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const share = between(0, 1)
const anEstimate = (min: number, max: number) =>
  fc.tuple(between(min, max), between(min, max), between(min, max)).map((three) => {
    const [low, middle, high] = three.sort((a, b) => a - b) as [number, number, number]
    return { low, middle, high }
  })
const holds = <T>(arbitrary: fc.Arbitrary<T>, check: (t: T) => void, numRuns = 60) =>
  fc.assert(fc.property(arbitrary, check), { numRuns })

const aGrazing: fc.Arbitrary<Grazing> = fc.record({
  massKgPerHa: anEstimate(200, 6000),
  areaHa: between(0.2, 40),
  residualKgPerHa: between(0, 2500),
  useShare: share,
  refusedShare: share,
  growthKgPerHaDay: between(0, 120),
  herd: fc
    .tuple(fc.constantFrom(...animalClasses), fc.integer({ min: 1, max: 200 }))
    .map(([animal, count]) => [{ animal, count }]),
})
/** Days by the same chance, so that two of them differ by what was changed alone. */
const days = (g: Grazing) => grazingDays(g, randomLcg(0.42))
const noMore = (a: ReturnType<typeof days>, b: ReturnType<typeof days>) =>
  (['low', 'middle', 'high'] as const).every((end) => a[end] <= b[end] * (1 + 1e-9) + 1e-9)

describe('days that a herd can stay', () => {
  it('are in order, and none is below none', () =>
    holds(aGrazing, (g) => {
      const { low, middle, high } = days(g)
      expect(low).toBeGreaterThanOrEqual(0)
      expect(low <= middle && middle <= high).toBe(true)
    }))

  it.each<[string, (g: Grazing, x: number) => Grazing]>([
    ['less stands', (g, x) => ({ ...g, massKgPerHa: { low: g.massKgPerHa.low - x * 200, middle: g.massKgPerHa.middle - x * 200, high: g.massKgPerHa.high - x * 200 } })], // prettier-ignore
    ['more is left standing', (g, x) => ({ ...g, residualKgPerHa: g.residualKgPerHa + x * 1000 })],
    ['less of it is eaten', (g, x) => ({ ...g, useShare: g.useShare * x })],
    ['more is refused', (g, x) => ({ ...g, refusedShare: g.refusedShare + (1 - g.refusedShare) * x })],
    ['less grows', (g, x) => ({ ...g, growthKgPerHaDay: g.growthKgPerHaDay! * x })],
    ['more animals', (g, x) => ({ ...g, herd: g.herd.map((h) => ({ ...h, count: h.count + Math.ceil(x * 50) })) })],
    ['heavier animals', (g, x) => ({ ...g, herd: g.herd.map((h) => ({ ...h, bodyKg: h.animal.bodyKg * (1 + x) })) })],
    ['a smaller paddock', (g, x) => ({ ...g, areaHa: g.areaHa * (0.1 + 0.9 * x) })],
  ])('are no more where %s', (_, worse) =>
    holds(fc.tuple(aGrazing, share), ([g, x]) => {
      expect(noMore(days(worse(g, x)), days(g))).toBe(true)
    }),
  )

  it('turned round: the animals that can stay so long need just so many hectares', () =>
    holds(fc.tuple(anEstimate(1, 400), between(1, 120), between(0.5, 30)), ([one, n, areaHa]) => {
      const { animals, areaHa: needed } = stockedFor(n, { count: 20, areaHa }, one)
      expect(animals.middle * n).toBeCloseTo(one.middle, 6)
      expect((needed.middle / areaHa) * animals.middle).toBeCloseTo(20, 6)
      expect(needed.low <= needed.middle && needed.middle <= needed.high).toBe(true)
    }))
})

describe('what is eaten', () => {
  it('of a plant is never more of riper growth, by any animal', () => {
    for (const plant of flora.plants)
      for (const animal of grazers) {
        const left = feedStates.map((state) => leftShare(plant, animal, { by: 'state', state }))
        expect(left, `${plant.id} ${animal}`).toEqual([...left].sort((a, b) => a - b))
        expect(Math.min(...left) >= 0 && Math.max(...left) <= 1).toBe(true)
      }
  })

  it('of a sward lies between the plant that is eaten best and the one that is left most', () =>
    holds(
      fc.tuple(fc.uniqueArray(fc.constantFrom(...flora.plants), { minLength: 1, maxLength: 6 }), fc.constantFrom(...grazers)), // prettier-ignore
      ([plants, animal]) => {
        const at = { by: 'state', state: 'boot' } as const
        const left = plants.map((p) => leftShare(p, animal, at))
        const shares = plants.map((p, i) => ({ taxon: p.id, estimate: 1 + i }))
        const whole = refusedShare(shares, plantsById, animal, at)
        expect(whole).toBeGreaterThanOrEqual(Math.min(...left) - 1e-12)
        expect(whole).toBeLessThanOrEqual(Math.max(...left) + 1e-12)
      },
    ))

  it('in a day is never more of fibrous feed, never less of feed with more protein, never above what is wanted', () =>
    holds(
      fc.tuple(fc.constantFrom(...grazers), between(1, 4), between(25, 85), between(2, 28), share),
      ([kind, wanted, ndf, cp, x]) => {
        const eaten = intakePct(kind, wanted, { ndf, cp })
        expect(eaten).toBeLessThanOrEqual(wanted)
        expect(intakePct(kind, wanted, { ndf: ndf + x * (100 - ndf), cp })).toBeLessThanOrEqual(eaten)
        expect(intakePct(kind, wanted, { ndf, cp: cp * (1 + x) })).toBeGreaterThanOrEqual(eaten)
      },
    ))

  it('is needed by every class of stock, and more of it by the heavier of the same class', () => {
    for (const animal of animalClasses) {
      const need = dailyNeeds(animal)
      const heavier = dailyNeeds({ ...animal, bodyKg: animal.bodyKg * 1.2 })
      expect(need.energy, animal.id).toBeGreaterThan(0)
      expect(heavier.energy, animal.id).toBeGreaterThanOrEqual(need.energy)
    }
  })
})

describe('hay and seed', () => {
  it('hay is never better than what stood, and its best name is no lower than its worst', () =>
    holds(fc.tuple(anEstimate(50, 260), anEstimate(3, 28), share), ([rfv, cpPct, legume]) => {
      const hay = asHay({ rfv, cpPct }, legume)
      for (const end of ['low', 'middle', 'high'] as const) {
        expect(hay.rfv[end]).toBeLessThanOrEqual(rfv[end])
        expect(hay.cpPct[end]).toBeLessThanOrEqual(cpPct[end])
      }
      const place = (d: (typeof hayDesignations)[number]) => hayDesignations.indexOf(d)
      const { best, likely, worst } = hayDesignation({ ...hay, legume })
      expect(place(best) <= place(likely) && place(likely) <= place(worst)).toBe(true)
    }))

  it('yield lost to weeds grows with them, each by less, and never passes its end (Cousens 1985)', () =>
    holds(fc.tuple(between(0.01, 500), between(0.001, 0.2), between(0.05, 1)), ([d, i, a]) => {
      const [one, two, three] = [1, 2, 3].map((k) => yieldLoss(k * d, i, a)) as [number, number, number]
      expect(one < two && two < three && three <= a + 1e-12).toBe(true)
      expect(three - two).toBeLessThanOrEqual(two - one + 1e-12)
    }))

  it('a drill that drops what its check asks for gives the rate it was set for', () =>
    holds(fc.tuple(between(0.5, 300), between(1, 200), between(0.5, 12)), ([kg, lengthM, widthM]) => {
      const strip = { lengthM, widthM }
      expect(drilledKgPerHa(drillCheckGrams(kg, strip), strip)).toBeCloseTo(kg, 8)
    }))
})
