import { methods } from '@/core/records/method.ts'
import type { Hit } from '@/core/records/hit.ts'
import { relationWords } from '@/text/relationWords.ts'
import { methodWords } from '@/text/methodWords.ts'
import { FENCE } from '@/core/records/round.ts'
import { describe, expect, it } from 'vitest'
import { countedStops, designOf } from '@/core/survey/counted.ts'
import { dryWeightRank, type RankedFrame } from '@/core/methods/estimators/dryWeightRank.ts'
import { figuresOf } from '@/core/survey/figures.ts'
import { massFromClips, massFromReadings } from '@/core/methods/estimators/standingMass.ts'
import { relationOf } from '@/core/survey/relations.ts'
import { isComposition, countingMethods } from '@/core/methods/index.ts'
import { plantsById } from '@/tests/support/book.ts'
import { countedStop, emptyPaddock, hitsOf, roundOf } from '@/tests/support/rounds.ts'
import { cases, expectNear } from '@/tests/support/vectors.ts'

const hit = (taxon: string, amount = 1, part?: number): Hit => ({ taxon, amount, ...(part ? { part } : {}) })
const shareOf = (figures: ReturnType<typeof figuresOf>, taxon: string) =>
  figures.composition?.taxa.find((t) => t.taxon === taxon)

describe('dry-weight rank as a round (R 4.2.2, by hand)', () => {
  interface Case {
    input: { quadrats: RankedFrame[] }
    expected: Record<string, { unweighted: number[]; yield_weighted: number[] }> & { species: string[] }
  }
  it.each(cases<Case['input'], Case['expected']>('dryweightrank', 'dryWeightRank'))(
    '$id: the shares of the round are those of the method',
    ({ input, expected, tol }) => {
      const stops = input.quadrats.map((q, i) =>
        countedStop(i + 1, { hits: Object.entries(q.ranks).map(([s, r]) => hit(`latin:${s}`, r)) }),
      )
      const made = figuresOf(roundOf('dry-weight-rank', stops, { settings: { few: 'scaled' } }), plantsById)
      const want = dryWeightRank(
        input.quadrats.map(({ ranks }) => ({ ranks })),
        'scaled',
      )
      expected.species.forEach((s, i) => {
        const got = shareOf(made, `latin:${s}`)?.estimate ?? 0
        expect(got).toBeCloseTo(want.find((w) => w.species === s)?.share ?? 0, 10)
        expectNear(100 * got, expected['two_species_renormalised']!.unweighted[i]!, tol, s)
      })
    },
  )

  it('frames are weighted by their yield only where every one has it', () => {
    const frame = (seq: number, first: string, second: string, frameYield?: number) =>
      countedStop(seq, { hits: [hit(first, 1), hit(second, 2)], measures: frameYield ? { frameYield } : {} })
    const weighed = figuresOf(
      roundOf('dry-weight-rank', [frame(1, 'timothy', 'red-clover', 4), frame(2, 'red-clover', 'timothy', 1)]),
      plantsById,
    )
    // First takes rank 3 too: 0.7892 and 0.2108; (4 x 0.7892 + 0.2108) / 5, by hand.
    expect(shareOf(weighed, 'timothy')!.estimate).toBeCloseTo(0.67352, 5)
    const partly = figuresOf(
      roundOf('dry-weight-rank', [frame(1, 'timothy', 'red-clover', 4), frame(2, 'red-clover', 'timothy')]),
      plantsById,
    )
    expect(shareOf(partly, 'timothy')!.estimate).toBeCloseTo(0.5, 10)
  })
})

describe('layers', () => {
  it('a plant counts once on a pin; cover is by pins, share by hits', () => {
    const stops = [1, 2, 3].map((seq) =>
      countedStop(seq, {
        hits: [hit('timothy', 1, 1), hit('timothy', 1, 1), hit('white-clover', 1, 1), hit('timothy', 1, 2)],
      }),
    )
    const made = figuresOf(roundOf('layer-points', stops, { pointsPerStop: 2 }), plantsById)
    expect(made.composition!.total).toBe(9)
    expect(shareOf(made, 'timothy')!.estimate).toBeCloseTo(2 / 3, 10)
    expect(made.cover.map((c) => [c.taxon, c.estimate])).toEqual([
      ['timothy', 1],
      ['white-clover', 0.5],
    ])
  })
})

describe('frequency', () => {
  it('nested: a plant in a small nest is in all larger ones, and the nest nearest to half is read', () => {
    const nests = [1, 1, 2, 4, 4, 3, 2, 4]
    const stops = nests.map((n, i) => countedStop(i + 1, { hits: [hit('timothy', n)] }))
    const [timothy] = figuresOf(roundOf('nested-frequency', stops), plantsById).frequency
    // In nest 2 (0.25 m) 4 of 8 frames; Wilson 1927, by hand 0.2152 to 0.7848.
    expect(timothy).toMatchObject({ nestM: 0.25, found: 4, of: 8, estimate: 0.5 })
    expect(timothy!.interval![0]).toBeCloseTo(0.2152, 4)
    expect(timothy!.interval![1]).toBeCloseTo(0.7848, 4)
  })

  it('an empty frame that was looked at counts, one that was skipped does not', () => {
    const stops = [
      countedStop(1, { hits: [hit('timothy', 1)] }),
      countedStop(2, {}),
      countedStop(3, { skipped: 'under water', doneAt: null }),
    ]
    expect(figuresOf(roundOf('nested-frequency', stops), plantsById).frequency[0]).toMatchObject({ found: 1, of: 2 })
  })

  it('grid: cells over all cells, and plants a square metre by 0.4 x percent (Vogel & Masters 2001, from memory)', () => {
    const stops = [3, 6, 0].map((n, i) =>
      countedStop(i + 1, { hits: Array.from({ length: n }, (_, c) => hit('switchgrass', 1, c + 1)) }),
    )
    const [made] = figuresOf(roundOf('grid-frequency', stops), plantsById).frequency
    expect(made).toMatchObject({ found: 9, of: 75 })
    expect(made!.estimate).toBeCloseTo(0.12, 10)
    expect(made!.plantsPerM2).toBeCloseTo(4.8, 10)
  })
})

describe('standing mass', () => {
  const reading = (seq: number, x: number, clipDryG?: number) =>
    countedStop(seq, { measures: { reading: x, ...(clipDryG === undefined ? {} : { clipDryG }) } })

  it('readings on a line give the mean of the line at the mean reading', () => {
    const stops = [1, 2, 3, 4, 5].map((x, i) => reading(i + 1, x, 10 + 10 * x)).concat([reading(6, 6), reading(7, 7)])
    const made = massFromReadings(roundOf('plate-meter', stops, { settings: { frameM2: 0.25 } }))
    // Mean reading 4: 50 g in a quarter square metre are 2,000 kg a hectare.
    expect(made).toMatchObject({ of: 'dry matter', readings: 7 })
    expect('kgPerHa' in made && made.kgPerHa).toBeCloseTo(2000, 8)
  })

  it('says what is missing: too few clips, or all of one height', () => {
    expect(massFromReadings(roundOf('plate-meter', [reading(1, 5, 40)]))).toMatchObject({
      problem: 'too-few-clips',
    })
    const alike = [1, 2, 3].map((seq) => reading(seq, 5, 40))
    expect(massFromReadings(roundOf('plate-meter', alike))).toMatchObject({
      problem: 'one-reading-clipped',
    })
  })

  it('fresh weight is called fresh until it is dried or a dry share is given', () => {
    const fresh = [1, 2, 3].map((x) => countedStop(x, { measures: { reading: x, clipFreshG: 100 * x } }))
    expect(massFromReadings(roundOf('plate-meter', fresh))).toMatchObject({ of: 'fresh matter' })
    const dried = massFromReadings(roundOf('plate-meter', fresh, { settings: { dryShare: 0.2 } }))
    expect(dried).toMatchObject({ of: 'dry matter' })
    // 200 g fresh at a fifth in 0.25 m2: 40 g, 1,600 kg a hectare.
    expect('kgPerHa' in dried && dried.kgPerHa).toBeCloseTo(1600, 6)
  })

  it('clips: the mean over frames with its t interval', () => {
    const stops = [80, 100, 120].map((g, i) => countedStop(i + 1, { hits: [hit('timothy', g)] }))
    const made = massFromClips(roundOf('clips', stops, { settings: { frameM2: 1 } }))
    // By hand: mean 1000, standard error 115.47, t of 2 degrees 4.3027, so 503.17 to 1496.83.
    expect('interval' in made && made.interval[0]).toBeCloseTo(503.17, 2)
    expect('interval' in made && made.interval[1]).toBeCloseTo(1496.83, 2)
  })
})

describe('search walk', () => {
  it('nothing found leaves an upper limit; a skipped leg is not walked', () => {
    const stops = [
      countedStop(1, { measures: { legM: 500 } }),
      countedStop(2, { measures: { legM: 500 } }),
      countedStop(3, { measures: { legM: 800 }, skipped: 'stock on it', doneAt: null }),
    ]
    const settings = { stripWidthM: 4, seenShare: 1, targets: ['poison-hemlock'] }
    const [hemlock] = figuresOf(roundOf('search-walk', stops, { settings }), plantsById).search
    // 0.4 ha, the eye at 3 in 4 of what was judged; one-sided, as the metres advised: 2.9957 / 0.3 = 9.986.
    expect(hemlock).toMatchObject({ found: 0, walkedM: 1000 })
    expect(hemlock!.limitsPerHa[0]).toBe(0)
    expect(hemlock!.limitsPerHa[1]).toBeCloseTo(9.986, 3)
  })

  it('legs along the fence speak for its strip, and say nothing of the ground within', () => {
    const leg = (seq: number, legM: number, amount: number, stratum = '') =>
      countedStop(seq, { measures: { legM }, stratum, hits: amount > 0 ? [{ taxon: 'tansy-ragwort', amount }] : [] })
    const round = roundOf('search-walk', [leg(1, 500, 0), leg(2, 500, 0), leg(3, 250, 3, FENCE), leg(4, 250, 1, FENCE)])
    const { search } = figuresOf(round, plantsById)
    expect(search).toHaveLength(1)
    expect(search[0]).toMatchObject({ fence: true, found: 4, walkedM: 500 })
    // 4 found on 500 m of 4 m by an eye that sees 8 in 10: 4 / (0.2 x 0.8), by hand.
    expect(search[0]!.perHa).toBeCloseTo(25, 10)
    const sought = figuresOf({ ...round, settings: { targets: ['tansy-ragwort'] } }, plantsById).search
    expect(sought.map((f) => [f.fence, f.found, f.walkedM])).toEqual([[undefined, 0, 1000], [true, 4, 500]]) // prettier-ignore
    // Found on legs whose length nobody typed: they must not drop out with them.
    const unmeasured = countedStop(3, { stratum: FENCE, hits: [{ taxon: 'tansy-ragwort', amount: 2 }] })
    expect(figuresOf(roundOf('search-walk', [leg(1, 500, 0), unmeasured]), plantsById).search[0]!.found).toBe(2)
  })

  it('what was found on a leg whose length nobody typed is found all the same', () => {
    const stops = [
      countedStop(1, { measures: { legM: 500 } }),
      countedStop(2, { hits: [{ taxon: 'poison-hemlock', amount: 2 }] }),
    ]
    const [hemlock] = figuresOf(roundOf('search-walk', stops), plantsById).search
    expect(hemlock).toMatchObject({ taxon: 'poison-hemlock', found: 2, walkedM: 500 })
  })
})

describe('turf', () => {
  it('uniformity is the coefficient of variation of the sown share between grids', () => {
    const stops = [60, 80, 70].map((n, i) =>
      countedStop(i + 1, { hits: hitsOf({ 'perennial-ryegrass': n, bare: 100 - n }) }),
    )
    const turf = { paddock: { ...emptyPaddock, sown: ['perennial-ryegrass'] } }
    const { uniformity } = figuresOf(roundOf('turf-grid', stops, turf), plantsById)
    // Shares 0.6, 0.8, 0.7: mean 0.7, standard deviation 0.1, by hand.
    expect(uniformity).toMatchObject({ of: ['perennial-ryegrass'] })
    expect(uniformity!.cv).toBeCloseTo(0.1 / 0.7, 10)
    expect(figuresOf(roundOf('step-points', stops, turf), plantsById).uniformity).toBeUndefined()
    // Nothing sown is known: the leading plant stands for the turf.
    expect(figuresOf(roundOf('turf-grid', stops), plantsById).uniformity!.of).toEqual(['perennial-ryegrass'])
  })
})

describe('parts of the paddock', () => {
  const square = (e: number, n: number, side: number) => ({
    type: 'Polygon' as const,
    coordinates: [
      [
        [e, n],
        [e + side, n],
        [e + side, n + side],
        [e, n + side],
        [e, n],
      ],
    ],
  })
  const paddock = {
    ...emptyPaddock,
    boundary: square(0, 0, 0.002),
    strata: [{ name: 'hollow', kind: 'wet hollow' as const, polygon: square(0, 0, 0.001), keptOut: false }],
  }
  const stops = [9, 8, 9, 8, 2, 1, 2, 3].map((n, i) =>
    countedStop(i + 1, { hits: hitsOf({ timothy: n, bare: 10 - n }), stratum: i < 4 ? '' : 'hollow' }),
  )
  const round = roundOf('step-points', stops, { paddock })

  it('count by their area: the hollow is a quarter', () => {
    expect(designOf(round).partSizes!.get('hollow')! / designOf(round).partSizes!.get('')!).toBeCloseTo(1 / 3, 4)
    const share = shareOf(figuresOf(round, plantsById), 'timothy')!
    expect(share.method).toBe('stratified')
    // 0.75 x 0.85 + 0.25 x 0.2, by hand; the stops alone would say 0.525.
    expect(share.estimate).toBeCloseTo(0.6875, 3)
  })

  it('that disagree are told', () => {
    const [d] = figuresOf(round, plantsById).disagreements
    expect([d!.high.name, d!.low.name].sort()).toEqual(['', 'hollow'])
  })

  it('a stop that was skipped is in no figure', () => {
    const skipped = { ...round, stops: round.stops.map((s) => (s.seq === 1 ? { ...s, skipped: 'under water' } : s)) }
    expect(countedStops(skipped)).toHaveLength(7)
  })
})

describe('the schools', () => {
  it('each says what it measures, what to carry and how its figures are made', () => {
    for (const m of methods) {
      const info = countingMethods[m]
      expect(info.kit.length, m).toBeGreaterThan(0)
      expect(methodWords(m).estimator.length, m).toBeGreaterThan(40)
      expect(info.minutesEach, m).toBeGreaterThan(0)
    }
  })

  it('are never turned into one another without a published relation', () => {
    for (const a of methods) for (const b of methods) expect(relationOf(a, b), `${a} ${b}`).toBe(relationOf(b, a))
    expect(relationWords(relationOf('dry-weight-rank', 'clips'))).toContain('1963')
    expect(relationWords(relationOf('grid-frequency', 'step-points'))).toContain('Vogel')
    expect(relationWords(relationOf('plate-meter', 'step-points'))).toContain('different things')
  })

  it('only those that add up are a composition', () => {
    const stop = countedStop(1, { hits: [hit('timothy', 1, 1)], measures: { reading: 4, legM: 10 } })
    for (const m of methods)
      expect(figuresOf(roundOf(m, [stop, { ...stop, seq: 2 }]), plantsById).composition !== undefined, m).toBe(
        isComposition(m),
      )
  })
})
