import { taxonName } from '@/text/taxonNames.ts'
import { describe, expect, it } from 'vitest'
import { composition } from '@/core/survey/composition.ts'
import { amountsAt, resolved, type StopTally } from '@/core/methods/tally.ts'
import { groupOf, letterOf, unknownTaxon } from '@/core/records/taxon.ts'
import { resolvedUnknowns } from '@/core/survey/figures.ts'
import { plantsById } from '@/tests/support/book.ts'

const stop = (seq: number, ...taxa: string[]): StopTally => ({ seq, hits: taxa.map((taxon) => ({ taxon, amount: 1 })) })

describe('what a hit counts as', () => {
  it('an unknown counts under its letter until it is named, then under its name', () => {
    const taxon = unknownTaxon('A')
    expect(letterOf(taxon)).toBe('A')
    expect(resolved(taxon, {})).toBe('unknown:A')
    expect(resolved(taxon, { A: 'velvetgrass' })).toBe('velvetgrass')
    expect(resolved('timothy', { A: 'velvetgrass' })).toBe('timothy')
  })

  it('adds to the plant it turned out to be', () => {
    const here = amountsAt(stop(1, 'velvetgrass', 'unknown:A', 'unknown:B'), { A: 'velvetgrass' })
    expect(here.get('velvetgrass')).toBe(2)
    expect(here.get('unknown:B')).toBe(1)
  })

  it('takes the letters of a round that have a name', () => {
    const unknowns = [
      { letter: 'A', namedAs: 'timothy' },
      { letter: 'B', namedAs: null },
    ]
    expect(resolvedUnknowns({ unknowns })).toEqual({ A: 'timothy' })
  })

  it('knows its group and what a reader is shown', () => {
    expect(groupOf('timothy', plantsById)).toBe('cool-grass')
    expect(groupOf('switchgrass', plantsById)).toBe('warm-grass')
    expect(groupOf('white-clover', plantsById)).toBe('legume')
    expect(groupOf('dandelion', plantsById)).toBe('forb')
    expect(groupOf('litter', plantsById)).toBe('ground')
    expect(groupOf('latin:Aira praecox', plantsById)).toBe('unknown')
    expect(taxonName('unknown:C', plantsById)).toBe('Unknown C')
    expect(taxonName('latin:Aira praecox', plantsById)).toBe('Aira praecox')
    expect(taxonName('bare', plantsById)).toBe('Bare ground')
  })
})

describe('composition of a round', () => {
  const round = [
    stop(1, 'timothy', 'timothy', 'white-clover', 'bare'),
    stop(2, 'timothy', 'white-clover', 'white-clover', 'unknown:A'),
    stop(3, 'timothy', 'timothy', 'timothy', 'dandelion'),
    stop(4),
  ]

  it('is nothing while nothing is counted', () => {
    expect(composition([], {}, plantsById)).toBeUndefined()
    expect(composition([stop(1)], {}, plantsById)).toBeUndefined()
  })

  it('leaves out stops not yet counted and adds up to all points', () => {
    const made = composition(round, {}, plantsById)!
    expect(made.stops).toBe(3)
    expect(made.total).toBe(12)
    expect(made.taxa.reduce((s, t) => s + t.hits, 0)).toBe(12)
    expect(made.taxa.reduce((s, t) => s + t.estimate, 0)).toBeCloseTo(1, 12)
    expect(made.byGroup.reduce((s, g) => s + g.estimate, 0)).toBeCloseTo(1, 12)
  })

  it('puts the commonest first and counts the stops with each', () => {
    const made = composition(round, {}, plantsById)!
    expect(made.taxa[0]).toMatchObject({ taxon: 'timothy', hits: 6, stopsWith: 3, estimate: 0.5 })
    expect(made.taxa.find((t) => t.taxon === 'white-clover')).toMatchObject({ hits: 3, stopsWith: 2 })
  })

  it('diversity is of plants only, without bare ground', () => {
    const made = composition(round, { A: 'dandelion' }, plantsById)!
    expect(made.diversity!.richness).toBe(3)
  })

  it('every share of several stops has an interval around it', () => {
    const made = composition(round, {}, plantsById)!
    for (const t of made.taxa) {
      expect(t.interval, t.taxon).toBeDefined()
      expect(t.interval![0]).toBeLessThanOrEqual(t.estimate)
      expect(t.interval![1]).toBeGreaterThanOrEqual(t.estimate)
    }
  })

  it('a single stop gives shares without an interval, and says so', () => {
    const made = composition([round[0]!], {}, plantsById)!
    expect(made.taxa[0]!.interval).toBeUndefined()
    expect(made.taxa[0]!.method).toBe('none')
  })

  it('takes exact limits where stops do not differ at all', () => {
    const made = composition([stop(1, 'timothy', 'timothy'), stop(2, 'timothy', 'timothy')], {}, plantsById)!
    expect(made.taxa[0]!.method).toBe('exact')
    // Clopper-Pearson of 4 in 4: lower limit 0.025^(1/4) = 0.3976.
    expect(made.taxa[0]!.interval![0]).toBeCloseTo(0.025 ** 0.25, 9)
    expect(made.taxa[0]!.interval![1]).toBe(1)
  })

  it('patchy swards get wider intervals than even ones of the same share', () => {
    const of = (counts: number[]) =>
      composition(
        counts.map((n, i) => stop(i, ...Array.from({ length: 20 }, (_, j) => (j < n ? 'timothy' : 'bare')))),
        {},
        plantsById,
      )!.taxa.find((t) => t.taxon === 'timothy')!
    const even = of([10, 9, 11, 10, 10, 10])
    const patchy = of([20, 0, 20, 0, 20, 0])
    expect(patchy.estimate).toBeCloseTo(even.estimate, 9)
    const width = (t: typeof even) => t.interval![1] - t.interval![0]
    expect(width(patchy)).toBeGreaterThan(3 * width(even))
    expect(patchy.designEffect!).toBeGreaterThan(5)
    expect(even.designEffect!).toBeLessThan(1)
  })
})
