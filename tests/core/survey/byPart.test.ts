import { describe, expect, it } from 'vitest'
import { byPart } from '@/core/survey/byPart.ts'
import { compositionOf } from '@/core/survey/composition.ts'
import { countedStops } from '@/core/survey/counted.ts'
import { abundanceMatrix } from '@/core/methods/tally.ts'
import { plantsById } from '@/tests/support/book.ts'
import { countedStop, hitsOf, roundOf } from '@/tests/support/rounds.ts'

const stop = (seq: number, stratum: string, counts: Record<string, number>) =>
  countedStop(seq, { stratum, hits: hitsOf(counts) })
const round = roundOf(
  'step-points',
  [
    stop(1, 'crest', { timothy: 8, 'white-clover': 2 }),
    stop(2, 'crest', { timothy: 6, 'white-clover': 4 }),
    stop(3, '', { 'soft-rush': 9, 'unknown:A': 1 }),
    stop(4, '', { 'soft-rush': 7, timothy: 3 }),
    stop(5, '', { 'soft-rush': 10 }),
    stop(6, 'gateway', { bare: 10 }),
  ],
  { unknowns: [{ letter: 'A', namedAs: 'timothy' }] },
)

describe('the parts of a paddock', () => {
  const parts = byPart(round, plantsById)

  it('are each what was counted in them, the most stops first, letters under their later name', () => {
    expect(parts.map((p) => [p.name, p.made.stops])).toEqual([
      ['', 3],
      ['crest', 2],
      ['gateway', 1],
    ])
    const share = (name: string, taxon: string) =>
      parts.find((p) => p.name === name)!.made.taxa.find((t) => t.taxon === taxon)?.estimate
    expect(share('', 'soft-rush')).toBeCloseTo(26 / 30, 10)
    expect(share('', 'timothy')).toBeCloseTo(4 / 30, 10)
    expect(share('crest', 'timothy')).toBeCloseTo(14 / 20, 10)
    expect(share('crest', 'soft-rush')).toBeUndefined()
  })

  it('a part of one stop has no interval; one of several has its own', () => {
    expect(parts.at(-1)!.made.taxa[0]!.interval).toBeUndefined()
    const whole = compositionOf(abundanceMatrix(countedStops(round), { A: 'timothy' }), plantsById)!
    const rush = (c: typeof whole) => c.taxa.find((t) => t.taxon === 'soft-rush')!.interval!
    // Within the part the rush hardly differs; over the whole it is all or nothing.
    expect(rush(parts[0]!.made)[1] - rush(parts[0]!.made)[0]).toBeLessThan(rush(whole)[1] - rush(whole)[0])
  })

  it('nothing is parted where all stops lie together', () => {
    expect(byPart({ ...round, stops: round.stops.map((s) => ({ ...s, stratum: '' })) }, plantsById)).toEqual([])
  })
})
