import { describe, expect, it } from 'vitest'
import type { Paddock } from '@/core/records/round.ts'
import { localPlane, polygonOf } from '@/core/geo/localPlane.ts'
import { composition } from '@/core/survey/composition.ts'
import { designOf, rankedAlike, unwalkedEdge, weakParts } from '@/core/survey/counted.ts'
import { FENCE } from '@/core/records/round.ts'
import { furtherFigures } from '@/core/survey/furtherFigures.ts'
import { sideBySide } from '@/core/survey/sideBySide.ts'
import { shareSurface } from '@/core/survey/surface.ts'
import { whereItStands } from '@/core/survey/whereItStands.ts'
import { weighUp } from '@/core/assess/weighUp.ts'
import { randomLcg } from 'd3-random'
import { plantsById } from '@/tests/support/book.ts'
import { countedStop, hitsOf, roundOf } from '@/tests/support/rounds.ts'

const plane = localPlane([-29.4, 45.6])
const box = (e: number, n: number, wide: number, high: number) =>
  polygonOf(
    [
      [e, n],
      [e + wide, n],
      [e + wide, n + high],
      [e, n + high],
    ],
    plane,
  )
/** 200 by 100 metres, with a hollow of a fifth of it. */
const field = { boundary: box(0, 0, 200, 100), strata: [{ name: 'hollow', kind: 'wet hollow', polygon: box(0, 0, 40, 100), keptOut: false }] } // prettier-ignore
const at = (e: number, n: number) => plane.toPosition([e, n])
const timothy = { hits: hitsOf({ timothy: 10 }) }

const roundIn = (stops: ReturnType<typeof countedStop>[], paddock: Partial<Paddock>, more = {}) => {
  const made = roundOf('step-points', stops, more)
  return { ...made, paddock: { ...made.paddock, ...paddock } as typeof made.paddock }
}

describe('what a count does not speak for', () => {
  const inside = [at(60, 40), at(100, 60), at(150, 30)].map((position, i) =>
    countedStop(i + 1, { ...timothy, position }),
  )

  it('a part without a stop, and one with a single stop, are said with their share', () => {
    expect(weakParts(roundIn(inside, field as never))).toMatchObject([{ name: 'hollow', stops: 0, share: expect.closeTo(0.2, 2) }]) // prettier-ignore
    const one = [...inside, countedStop(4, { ...timothy, position: at(20, 20), stratum: 'hollow' })]
    expect(weakParts(roundIn(one, field as never))).toMatchObject([{ name: 'hollow', stops: 1 }])
    const two = [...one, countedStop(5, { ...timothy, position: at(20, 80), stratum: 'hollow' })]
    expect(weakParts(roundIn(two, field as never))).toEqual([])
  })

  it('stops made on the way fall into a part that was drawn after them, planned ones keep theirs', () => {
    const stops = [at(20, 20), at(20, 80), at(100, 50), at(150, 50)].map((position, i) =>
      countedStop(i + 1, { ...timothy, position }),
    )
    expect(weakParts(roundIn(stops, field as never, { settings: { asWalked: true } }))).toEqual([])
    expect(weakParts(roundIn(stops, field as never))).toMatchObject([{ name: 'hollow', stops: 0 }])
  })

  it('the edge that no stop came near is a strip, until the fence is walked', () => {
    const round = roundIn(inside, { ...field, strata: [] } as never)
    // The stop at 150, 30 lies 30 m from the long side, the nearest of all.
    expect(unwalkedEdge(round)!.metres).toBeCloseTo(30, 3)
    const fenced = [...inside, countedStop(4, { ...timothy, position: at(3, 50), stratum: FENCE })]
    expect(unwalkedEdge(roundIn(fenced, { ...field, strata: [] } as never))).toBeUndefined()
  })

  it('stops along the fence stand for a strip of its length and their width, the others for the rest', () => {
    const fenced = [
      ...inside,
      ...[1, 2].map((i) => countedStop(3 + i, { ...timothy, position: at(3, 30 * i), stratum: FENCE })),
    ]
    const sizes = designOf(
      roundIn(fenced, { ...field, strata: [] } as never, { settings: { fenceWidthM: 5 } }),
    ).partSizes!
    // 600 m by 5 m is 0.3 of 2 hectares.
    expect(sizes.get(FENCE)).toBeCloseTo(0.3, 6)
    expect(sizes.get('')).toBeCloseTo(1.7, 2)
  })

  it('a weed of the fence weighs by the strip it stands in: by hand', () => {
    const weedy = { hits: hitsOf({ timothy: 4, 'stinging-nettle': 6 }) }
    const stops = [
      ...inside,
      countedStop(4, { ...weedy, position: at(3, 30), stratum: FENCE }),
      countedStop(5, { ...weedy, position: at(3, 60), stratum: FENCE }),
    ]
    const made = weighUp(roundIn(stops, { ...field, strata: [] } as never, { settings: { fenceWidthM: 5 } }), plantsById, () => randomLcg(0.1))! // prettier-ignore
    // Six in ten of 0.3 of 2 hectares: 9 in 100 of the whole (areas of a sphere: to a thousandth).
    expect(made.composition.taxa.find((t) => t.taxon === 'stinging-nettle')!.estimate).toBeCloseTo(0.09, 3)
    expect(made.harm.edgeStops).toBe(2)
  })

  it('ranks that hardly change are said, and are not where yields were taken', () => {
    const frame = (i: number, first: string, frameYield?: number) =>
      countedStop(i, {
        hits: [
          { taxon: first, amount: 1 },
          { taxon: 'red-clover', amount: 2 },
        ],
        measures: frameYield ? { frameYield } : {},
      })
    const alike = roundOf(
      'dry-weight-rank',
      [1, 2, 3, 4].map((i) => frame(i, 'timothy')),
    )
    expect(rankedAlike(alike)).toEqual({ taxon: 'timothy', share: 1 })
    expect(
      rankedAlike(
        roundOf(
          'dry-weight-rank',
          [1, 2, 3, 4].map((i) => frame(i, 'timothy', 20)),
        ),
      ),
    ).toBeUndefined()
    expect(rankedAlike(roundOf('dry-weight-rank', [1, 2, 3, 4].map((i) => frame(i, i % 2 ? 'timothy' : 'redtop'))))).toBeUndefined() // prettier-ignore
    expect(rankedAlike(roundOf('step-points', [countedStop(1, timothy)]))).toBeUndefined()
  })
})

describe('where a plant stands', () => {
  const stops = [
    [0, 0, 8],
    [40, 0, 0],
    [80, 0, 0],
    [0, 40, 6],
    [40, 40, 0],
    [80, 40, 0],
  ].map(([e, n, hits], i) =>
    countedStop(i + 1, { hits: hitsOf({ 'tansy-ragwort': hits!, timothy: 10 - hits! }), position: at(e!, n!) }),
  )

  it('at its stops with its share, and whether in clumps', () => {
    const where = whereItStands(roundOf('step-points', stops), 'tansy-ragwort')!
    expect(where.stopsWith).toBe(2)
    expect(where.byStop.get(1)).toBeCloseTo(0.8, 12)
    // 8 and 6 of six stops: mean 2.33, variance 13.47 by hand.
    expect(where.patchiness!.varianceToMean).toBeCloseTo(13.4667 / 2.33333, 3)
    expect(whereItStands(roundOf('step-points', stops), 'bracken')).toBeUndefined()
  })

  it('the surface goes through no stop alone, lies between its neighbours, and says how far it guesses', () => {
    const surface = shareSurface(whereItStands(roundOf('step-points', stops), 'tansy-ragwort')!.placed)
    expect(surface(at(0, 20)).share).toBeGreaterThan(0.4)
    expect(surface(at(80, 20)).share).toBeLessThan(0.1)
    expect(surface(at(0, 0)).reach).toBeCloseTo(0, 6)
    expect(surface(at(400, 400)).reach).toBeGreaterThan(5)
    for (const [e, n] of [
      [10, 10],
      [60, 20],
      [200, 0],
    ] as const) {
      // prettier-ignore
      expect(surface(at(e, n)).share).toBeGreaterThanOrEqual(0)
      expect(surface(at(e, n)).share).toBeLessThanOrEqual(0.8)
    }
    expect(() => shareSurface([{ position: at(0, 0), share: 1 }])).toThrow(RangeError)
  })
})

describe('two rounds side by side', () => {
  const counted = (list: Record<string, number>[], more = {}) =>
    roundOf(
      'step-points',
      list.map((hits, i) => countedStop(i + 1, { hits: hitsOf(hits) })),
      more,
    )
  const before = counted(
    [1, 2, 3, 4].map(() => ({ timothy: 12, 'red-clover': 8 })),
    { id: 'a' },
  )
  const after = counted([1, 2, 3, 4].map((i) => ({ timothy: 5, 'red-clover': 8, dandelion: i % 2 ? 7 : 6, bare: i % 2 ? 0 : 1 })), { id: 'b' }) // prettier-ignore

  it('differ plant by plant at the same stops, the plainest first', () => {
    const beside = sideBySide(before, after, plantsById)!
    expect(beside.sameStops).toBe(4)
    expect(
      beside.lines
        .slice(0, 2)
        .map((l) => l.taxon)
        .sort(),
    ).toEqual(['dandelion', 'timothy'])
    const line = beside.lines.find((l) => l.taxon === 'timothy')!
    expect(line.difference!.change).toBeCloseTo(-0.35, 12)
    expect(line.stands).toBe(true)
    expect(beside.lines.find((l) => l.taxon === 'red-clover')!.difference!.change).toBeCloseTo(0, 12)
    // Shares 60, 40 against 25, 40, 32.5, 2.5: a third and a half of them changed plants (half the sum of differences).
    expect(beside.changed).toBeCloseTo(0.35, 12)
    expect(beside.onlyInOne).toBeCloseTo(0.5, 12)
  })

  it('of two methods no difference is taken', () => {
    const classes = { ...after, method: 'cover-classes' as const }
    const beside = sideBySide(before, classes, plantsById)!
    expect(beside.lines.every((l) => l.difference === undefined && !l.stands)).toBe(true)
    expect(sideBySide(before, roundOf('search-walk', []), plantsById)).toBeUndefined()
  })
})

describe('further figures', () => {
  it('legume to grass, and what the last stops brought', () => {
    const stops = Array.from({ length: 12 }, (_, i) =>
      countedStop(i + 1, {
        hits: hitsOf({ timothy: 10 + (i % 3), 'red-clover': 5 + (i % 2), ...(i === 11 ? { dandelion: 1 } : {}) }),
      }),
    )
    const { legumeToGrass, lastFive } = furtherFigures(roundOf('step-points', stops), plantsById)
    expect(legumeToGrass!.ratio).toBeCloseTo(5.5 / 11, 12)
    // Two plants are at every stop; the third at one of twelve is among the last five in 5 of 12 orders.
    expect(lastFive).toBeCloseTo(5 / 12, 9)
    expect(furtherFigures(roundOf('step-points', stops.slice(0, 4)), plantsById).lastFive).toBeUndefined()
    expect(composition([], {}, plantsById)).toBeUndefined()
  })
})
