import { describe, expect, it } from 'vitest'
import { eatenBy, isWanted, isWeed, leftShare, refusedShare } from '@/core/assess/grazing/eaten.ts'
import { pastureCondition, type ConditionFacts } from '@/core/assess/grazing/condition.ts'
import { animalUnits, massHolds, paddocksFor, residualKgPerHa, restOf, swardKindOf, wantedOnEntry } from '@/core/assess/grazing/sward.ts' // prettier-ignore
import type { Share } from '@/core/survey/composition.ts'
import { flora, plantsById } from '@/tests/support/book.ts'

const shares = (of: Record<string, number>) => Object.entries(of).map(([taxon, estimate]) => ({ taxon, estimate }))
const plant = (id: string) => plantsById.get(id)!

describe('what stock leave', () => {
  it('goes by animal and growth: goats take thistle and dock, horses do not (common practice, no source)', () => {
    for (const id of ['canada-thistle', 'curly-dock', 'sericea-lespedeza'])
      expect(eatenBy(plant(id), 'goats')).toBe('readily')
    expect(eatenBy(plant('canada-thistle'), 'horses')).toBe('little')
    expect(eatenBy(plant('tansy-ragwort'), 'goats')).toBe('little')
    expect(eatenBy(plant('big-sagebrush'), 'goats')).toBe('readily')
    const fescue = (state: 'leafy' | 'headed') => leftShare(plant('tall-fescue'), 'cattle', { by: 'state', state })
    expect(fescue('headed')).toBeGreaterThan(fescue('leafy'))
  })

  it('weighs a sward: a third of thistle under horses is left nearly whole; what the book does not know by half', () => {
    const at = { by: 'state', state: 'leafy' } as const
    expect(refusedShare(shares({ timothy: 0.6, 'canada-thistle': 0.3 }), plantsById, 'horses', at)).toBeCloseTo(0.3, 9)
    expect(refusedShare(shares({ 'latin:Aira praecox': 0.5 }), plantsById, 'horses', at)).toBe(0.5)
    expect(refusedShare([], plantsById, 'horses', at)).toBe(0)
  })

  it('no plant is both wanted and a weed, whatever eats it', () => {
    for (const p of flora.plants)
      for (const a of ['cattle', 'sheep', 'goats', 'horses'] as const)
        expect(isWanted(p, a) && isWeed(p, a), p.id).toBe(false)
  })
})

describe('kinds of sward', () => {
  // Residuals of range and pasture handbooks, from memory: 1,500 kg left on shortgrass leaves no day of grazing.
  it.each([
    [{ 'blue-grama': 6, buffalograss: 4 }, 'short-native'],
    [{ 'big-bluestem': 5, switchgrass: 3, indiangrass: 2 }, 'tall-native'],
    [{ 'sideoats-grama': 3, 'little-bluestem': 5, 'blue-grama': 2 }, 'mixed-native'],
    [{ 'perennial-ryegrass': 7, 'white-clover': 3 }, 'cool-pasture'],
    [{ bermudagrass: 8, 'white-clover': 2 }, 'warm-pasture'],
  ] as const)('%o is %s', (of, kind) => {
    expect(swardKindOf(shares(of), plantsById)).toBe(kind)
    expect(residualKgPerHa[kind][0]).toBeLessThan(residualKgPerHa[kind][1])
  })

  it('800 kg of shortgrass has something to be eaten', () => {
    expect(800 - residualKgPerHa['short-native'][1]).toBeGreaterThan(200)
  })
})

describe('rest and moves', () => {
  it('ryegrass rests 20 to 30 days, to 2.5 or 3 leaves (Fulkerson & Donaghy 2001); alfalfa among it makes it longer', () => {
    const rye = restOf(shares({ 'perennial-ryegrass': 1 }), plantsById)!
    expect(rye.days).toEqual([20, 30])
    expect(rye.leaves?.count).toEqual([2.5, 3])
    const mixed = restOf(shares({ 'perennial-ryegrass': 0.5, alfalfa: 0.5 }), plantsById)!
    expect(mixed.days).toEqual([24, 32.5])
    expect(mixed.slowest).toBe('alfalfa')
    expect(restOf(shares({ 'tansy-ragwort': 1 }), plantsById)).toBeUndefined()
  })

  it('paddocks: a rest of 30 days and stays of 3 ask for 11 (Voisin)', () => {
    expect(paddocksFor(30, 3)).toBe(11)
    expect(paddocksFor(28, 5)).toBe(7)
    expect(() => paddocksFor(30, 0)).toThrow(RangeError)
  })

  it('on entry: 50 animals of 12 kg for a round of 30 days on 12 ha, over 1,500 left, is 3,000 kg a hectare', () => {
    expect(wantedOnEntry(600, 30, 12, 1500)).toBe(3000)
    expect(() => wantedOnEntry(600, 30, 0, 1500)).toThrow(RangeError)
  })

  it('animal units by metabolic weight: a 454 kg cow is one, a 70 kg ewe about a quarter, not a sixth (from memory)', () => {
    expect(animalUnits(454)).toBe(1)
    expect(animalUnits(70)).toBeCloseTo(0.246, 2)
    expect(animalUnits(454, 8)).toBe(8)
  })

  it('a measured mass speaks for ten days of growth', () => {
    expect(massHolds('2026-05-01', '2026-05-11')).toBe(true)
    expect(massHolds('2026-05-01', '2026-05-12')).toBe(false)
    expect(massHolds('2026-05-20', '2026-05-01')).toBe(false)
  })
})

describe('condition of a pasture', () => {
  const share = (estimate: number, interval?: [number, number]): Share => ({ estimate, interval, se: undefined, designEffect: undefined, method: 'none' }) // prettier-ignore
  const facts: ConditionFacts = { desirable: share(0.85, [0.75, 0.92]), legume: share(0.35), cover: share(0.95), litter: share(0.1), groups: [0.5, 0.3, 0.1], hard: 0 } // prettier-ignore

  it('by its marks: 85 % wanted is 5, down to 4 by its interval; ten parts of five make fifty', () => {
    const all = pastureCondition(facts, { compaction: 4, erosion: 5, vigour: 3, gathering: 2 })
    expect(all.parts.find((p) => p.part === 'desirable')).toEqual({ part: 'desirable', score: 5, low: 4, high: 5 })
    expect(all).toMatchObject({ of: 50, open: [], weakest: 'gathering' })
    expect(all.sum).toBe(5 + 4 + 5 + 4 + 5 + 5 + 4 + 5 + 3 + 2)
    expect(all.sum - all.low).toBe(1)
  })

  it('what nobody looked at is no score, and what is no score is refused', () => {
    const some = pastureCondition({ ...facts, hard: undefined }, {})
    expect(some.of).toBe(25)
    expect(some.open).toHaveLength(4)
    expect(() => pastureCondition(facts, { vigour: 6 })).toThrow(RangeError)
  })

  it('smothered and bare both score low', () => {
    const litter = (x: number) => pastureCondition({ ...facts, litter: share(x) }, {}).parts.find((p) => p.part === 'litter')!.score // prettier-ignore
    expect([0, 0.1, 0.4, 0.7].map(litter)).toEqual([3, 5, 3, 1])
  })
})
