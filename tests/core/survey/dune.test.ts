import { describe, expect, it } from 'vitest'
import { composition } from '@/core/survey/composition.ts'
import { effectiveSpecies, evenness, richness, shannon, simpson } from '@/core/survey/diversity.ts'
import { cases, expectNear, vectorFile } from '@/tests/support/vectors.ts'

// Data: the Dutch dune meadow (Jongman, ter Braak & van Tongeren 1987). Reference: R vegan 2.6-4, diversity().
const table = vectorFile('composition-dune').datasets!.dune!
const MILLIONTH = { rel: 1e-6, abs: 1e-9 }

interface PlotDiversity {
  richness: number[]
  shannon_ln: number[]
  simpson_1_minus_D: number[]
  hill_q1: number[]
}

describe('diversity of each dune plot, against vegan', () => {
  const { expected } = cases<unknown, PlotDiversity>('composition-dune', 'diversity')[0]!
  it.each(table.plots.map((plot, i) => [plot, i] as const))('plot %s', (_plot, i) => {
    const row = table.cover[i]!
    expect(richness(row)).toBe(expected.richness[i])
    expectNear(shannon(row), expected.shannon_ln[i]!, MILLIONTH, 'Shannon')
    expectNear(simpson(row), expected.simpson_1_minus_D[i]!, MILLIONTH, 'Simpson')
    expectNear(effectiveSpecies(row), expected.hill_q1[i]!, MILLIONTH, 'Hill 1')
  })
})

describe('the dune table as a round of cover plots', () => {
  const round = composition(
    table.plots.map((_, i) => ({
      seq: i + 1,
      hits: table.species
        .map((s, j) => ({ taxon: `latin:${s.name}`, amount: table.cover[i]![j]! }))
        .filter((h) => h.amount > 0),
    })),
    {},
    new Map(),
  )!
  interface Pooled {
    of_mean_cover: { richness: number; shannon_ln: number; simpson_1_minus_D: number; pielou: number }
  }
  const pooled = cases<unknown, Pooled>('composition-dune', 'diversityPooled')[0]!.expected.of_mean_cover

  it('has the pooled Shannon, Simpson and evenness that vegan gives', () => {
    expect(round.diversity!.richness).toBe(pooled.richness)
    expectNear(round.diversity!.shannon, pooled.shannon_ln, MILLIONTH, 'Shannon')
    expectNear(round.diversity!.simpson, pooled.simpson_1_minus_D, MILLIONTH, 'Simpson')
    expectNear(round.diversity!.evenness!, pooled.pielou, MILLIONTH, 'Pielou')
  })

  it('finds each species in as many plots as R does', () => {
    const { frequency_count } = cases<unknown, { frequency_count: number[] }>('composition-dune', 'speciesSummary')[0]!
      .expected
    table.species.forEach((s, j) => {
      expect(round.taxa.find((t) => t.taxon === `latin:${s.name}`)!.stopsWith, s.name).toBe(frequency_count[j])
    })
  })

  it('shares are the mean covers over their sum', () => {
    const means = cases<unknown, { mean_cover: number[] }>('composition-dune', 'speciesSummary')[0]!.expected.mean_cover
    const total = means.reduce((a, b) => a + b, 0)
    table.species.forEach((s, j) => {
      const here = round.taxa.find((t) => t.taxon === `latin:${s.name}`)!
      expectNear(here.estimate, means[j]! / total, MILLIONTH, s.name)
    })
  })
})

describe('diversity at its edges', () => {
  it('a single species has no diversity and no evenness', () => {
    expect(shannon([7])).toBe(-0)
    expect(simpson([7])).toBe(0)
    expect(evenness([7, 0])).toBeUndefined()
  })

  it('equally common species are as varied as their number', () => {
    expect(effectiveSpecies([3, 3, 3, 3])).toBeCloseTo(4, 12)
    expect(evenness([3, 3, 3, 3])).toBeCloseTo(1, 12)
  })

  it('is not defined where nothing grows', () => expect(() => shannon([0, 0])).toThrow(/no plant/))
})
