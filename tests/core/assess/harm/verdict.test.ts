import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { harmFindings } from '@/core/assess/harm/harmFindings.ts'
import { keptAnimals } from '@/core/assess/harm/exposures.ts'
import { verdictFor, type VerdictCode } from '@/core/assess/harm/verdict.ts'
import { feedForms, type AtRisk, type FeedForm } from '@/core/flora/flora.ts'
import { composition } from '@/core/survey/composition.ts'
import { harmVerdictWords } from '@/text/verdictWords.ts'
import { flora, plantsById } from '@/tests/support/book.ts'

const of = (hits: Record<string, number>, animal: AtRisk, form: FeedForm) => {
  const list = Object.entries(hits).flatMap(([taxon, n]) => Array.from({ length: n }, () => ({ taxon, amount: 1 })))
  const made = composition([{ seq: 1, hits: list }, { seq: 2, hits: list }], {}, plantsById)! // prettier-ignore
  return verdictFor(harmFindings(made, plantsById, 'points', 'cool-humid'), plantsById, animal, form)
}

describe('the verdict for stock and use', () => {
  // What the outside reading of this part ran: the pages called these clean (finding A2; Burrows & Tyrl, extension tables, from memory).
  it.each([
    [
      'the classic nitrate killer as hay',
      { 'sorghum-sudangrass': 9, johnsongrass: 1 },
      'cattle',
      'hay',
      'test-first',
      'sorghum-sudangrass',
    ],
    ['alsike in horse hay', { orchardgrass: 8, 'alsike-clover': 2 }, 'horses', 'hay', 'not-for-them', 'alsike-clover'],
    [
      'alsike under grazing horses',
      { orchardgrass: 8, 'alsike-clover': 2 },
      'horses',
      'standing',
      'not-for-them',
      'alsike-clover',
    ],
    [
      'alsike for cattle is a matter of bloat',
      { orchardgrass: 8, 'alsike-clover': 2 },
      'cattle',
      'standing',
      'test-first',
      'alsike-clover',
    ],
    // A poison that drying lessens is never called nothing on file.
    ['buttercup in hay', { timothy: 8, 'tall-buttercup': 2 }, 'cattle', 'hay', 'lessened', 'tall-buttercup'],
    ['clover that bloats, in hay', { timothy: 8, 'white-clover': 2 }, 'cattle', 'hay', 'lessened', 'white-clover'],
    ['tall fescue for mares', { 'tall-fescue': 10 }, 'horses', 'hay', 'test-first', 'tall-fescue'],
    ['ragwort in hay', { timothy: 9, 'tansy-ragwort': 1 }, 'cattle', 'hay', 'not-for-them', 'tansy-ragwort'],
    [
      'a fast killer before one that adds up',
      { 'tansy-ragwort': 5, 'poison-hemlock': 1 },
      'cattle',
      'standing',
      'not-for-them',
      'poison-hemlock',
    ],
  ] as const)('%s', (_what, hits, animal, form, code, first) => {
    // prettier-ignore
    const verdict = of(hits, animal, form)
    expect([verdict.code, verdict.plants[0]]).toEqual([code, first])
  })

  it('what has no name or no file is not judged, and nothing is called clean', () => {
    expect(of({ timothy: 9, 'unknown:A': 1 }, 'horses', 'standing').code).toBe('not-judged')
    expect(of({ timothy: 9, 'latin:Taxus baccata': 1 }, 'horses', 'standing').code).toBe('not-judged')
    expect(of({ timothy: 10 }, 'goats', 'hay').code).toBe('not-excluded')
    expect(harmVerdictWords('not-excluded')).toMatch(/not excluded/)
  })

  it('for each harm on file, each animal it strikes and each form that is not lessened: the plant is named in a verdict against it', () => {
    for (const p of flora.plants.filter((x) => x.harm.length > 0))
      for (const animal of keptAnimals.filter((a) => p.harm.some((h) => h.who.includes(a)))) {
        const standing = of({ timothy: 19, [p.id]: 1 }, animal, 'standing')
        expect(['not-for-them', 'test-first'], `${p.id} ${animal}`).toContain(standing.code)
        expect(standing.plants, `${p.id} ${animal}`).toContain(p.id)
      }
  })

  it('no verdict says that anything is without harm', () => {
    for (const code of ['not-for-them', 'test-first', 'lessened', 'not-judged', 'not-excluded'] as const)
      expect(harmVerdictWords(code)).not.toMatch(/\bsafe|harmless|no harm|clean\b/i)
    // Whatever is on file against an animal, in any form: never "nothing on file".
    for (const p of flora.plants)
      for (const animal of keptAnimals.filter((a) => p.harm.some((h) => h.who.includes(a))))
        for (const form of feedForms)
          expect(of({ timothy: 19, [p.id]: 1 }, animal, form).code, `${p.id} ${animal} ${form}`).not.toBe(
            'not-excluded',
          )
  })

  it('whatever is met beside what was counted, no verdict grows milder, and no plant is forgotten by the one it stands in', () => {
    const order: VerdictCode[] = ['not-excluded', 'lessened', 'not-judged', 'test-first', 'act-first', 'not-for-them']
    const taxa = [...flora.plants.map((p) => p.id), 'unknown:A', 'latin:Taxus baccata', 'latin:Poa nowhere', 'bare']
    const met = fc.uniqueArray(fc.constantFrom(...taxa), { minLength: 1, maxLength: 7 })
    fc.assert(
      fc.property(
        met,
        fc.constantFrom(...taxa),
        fc.constantFrom(...keptAnimals),
        fc.constantFrom(...feedForms),
        (before, further, animal, form) => {
          const hits = Object.fromEntries(before.map((t, i) => [t, 1 + (i % 4)]))
          const [without, beside] = [of(hits, animal, form), of({ ...hits, [further]: 1 }, animal, form)]
          expect(order.indexOf(beside.code)).toBeGreaterThanOrEqual(order.indexOf(without.code))
          if (beside.code === without.code) expect(beside.plants).toEqual(expect.arrayContaining(without.plants))
        },
      ),
      { numRuns: 400 },
    )
  })
})
