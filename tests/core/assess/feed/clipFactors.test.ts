import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { clipFactors } from '@/core/assess/feed/clipFactors.ts'
import { weighUp } from '@/core/assess/weighUp.ts'
import type { Round } from '@/core/records/round.ts'
import { massByWords } from '@/text/feedWords.ts'
import { plantsById } from '@/tests/support/book.ts'
import { countedStop, hitsOf, roundOf } from '@/tests/support/rounds.ts'

/** Share of clover, of 20 points and of 100 grams, at the same places. */
const clover: [points: number, grams: number][] = [[4, 12], [6, 20], [5, 18], [8, 30], [7, 20]] // prettier-ignore
const places = clover.map((_, i): [number, number] => [-3.1, 52.3 + i / 1000])
const points = roundOf(
  'step-points',
  clover.map(([n], i) => countedStop(i + 1, { position: places[i]!, hits: hitsOf({ timothy: 20 - n, 'white-clover': n }) })),
) // prettier-ignore
const clips = (change: Partial<Round> = {}, by = 0) =>
  roundOf(
    'clips',
    clover.map(([, g], i) =>
      countedStop(5 - i, {
        position: [places[i]![0], places[i]![1] + by],
        hits: [
          { taxon: 'timothy', amount: 100 - g },
          { taxon: 'white-clover', amount: g },
        ],
      }),
    ),
    { id: 'c', ...change },
  )

describe('points and clips at the same places', () => {
  it('mean share of weight over mean share of points, and its jackknife, by hand', () => {
    const { stops, of } = clipFactors(points, clips(), plantsById)!
    expect(stops).toBe(5)
    // Clover: 0.20 of the weight over 0.30 of the points; grass 0.80 over 0.70.
    expect(of.legume!.log).toBeCloseTo(Math.log(0.2 / 0.3), 9)
    expect(of['cool-grass']!.log).toBeCloseTo(Math.log(0.8 / 0.7), 9)
    // Standard errors 0.059760 and 0.021761 worked with NumPy, times 2.776 (t, 4 degrees of freedom) over 1.96.
    expect(of.legume!.sd).toBeCloseTo(0.08465, 4)
    expect(of['cool-grass']!.sd).toBeCloseTo((0.0217614 * 2.776445) / 1.96, 4)
    expect(of.forb).toBeUndefined()
  })

  it('speaks only for the same paddock, near days and the same places', () => {
    expect(clipFactors(points, clips({ plannedOn: '2027-04-17' }), plantsById)).toBeUndefined()
    expect(clipFactors(points, clips({ paddockId: 'q' }), plantsById)).toBeUndefined()
    // A thousandth of a degree of latitude is some 111 m; a tenth of that is past what a receiver errs by.
    expect(clipFactors(points, clips({}, 0.0001), plantsById)).toBeUndefined()
    expect(clipFactors(points, clips({}, 0.00005), plantsById)).toBeDefined()
    expect(clipFactors({ ...points, stops: points.stops.slice(1) }, clips(), plantsById)).toBeUndefined()
  })

  it('a clip speaks for one count, though two lie within reach of it', () => {
    const twice = { ...points, stops: [...points.stops, ...points.stops.map((s) => ({ ...s, id: `${s.id}b`, seq: s.seq + 5 }))] } // prettier-ignore
    expect(clipFactors(twice, clips(), plantsById)!.stops).toBe(5)
  })

  it('a round laid over another is paired by number, wherever its receiver thought it stood', () => {
    const over = clips({ settings: { secondOf: 'r' } }, 1)
    const { of } = clipFactors(points, over, plantsById)!
    expect(of.legume!.log).toBeCloseTo(Math.log(0.2 / 0.3), 9)
  })

  it('the weigh-up takes them: clover that is light for its points brings less protein than the guess, and the range narrows', () => {
    const worth = (clipped: Round[]) => weighUp(points, plantsById, () => randomLcg(0.5), clipped)!.feed!.leafy
    const [guess, told] = [worth([]), worth([clips()])]
    expect(guess.massBy.by).toBe('guess')
    expect(told.cpPct.middle).toBeLessThan(guess.cpPct.middle)
    expect(massByWords(told.massBy, (n) => n.toFixed(2))).toMatch(/by 5 stops .* legumes 0\.67 \(0\.56 to 0\.79\)/)
    expect(worth([clips({ plannedOn: '2026-04-02' })]).massBy.by).toBe('guess')
  })
})
