import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import type { LabResult } from '@/core/assess/feed/labResult.ts'
import { meetsNeeds } from '@/core/assess/feed/meetsNeeds.ts'
import { mixtureFeedOf } from '@/core/assess/feed/mixtureFeed.ts'
import { animalClass } from '@/core/assess/feed/needs.ts'
import { walkedFeed } from '@/core/assess/feed/walkedFeed.ts'
import { walkedStates } from '@/core/assess/feed/walkedStates.ts'
import { abundanceMatrix } from '@/core/methods/tally.ts'
import { countedStops } from '@/core/survey/counted.ts'
import type { SwardStage } from '@/core/records/measures.ts'
import { plantsById } from '@/tests/support/book.ts'
import { countedStop, hitsOf, roundOf } from '@/tests/support/rounds.ts'

const hits = hitsOf({ timothy: 14, 'red-clover': 6 })
const roundAt = (...stages: (SwardStage | undefined)[]) =>
  roundOf('step-points', stages.map((stage, i) => countedStop(i + 1, { hits, measures: stage ? { stage } : {} }))) // prettier-ignore
const feedAt = (...stages: (SwardStage | undefined)[]) => {
  const round = roundAt(...stages)
  return mixtureFeedOf(abundanceMatrix(countedStops(round), {}), plantsById, walkedStates(round), randomLcg(0.5))!
}
const lab: LabResult = { sample: 'L-1', cpPct: 12, adfPct: 38, ndfPct: 60, simulated: false }

describe('the feed that needs are held against', () => {
  it('is at the growth that was noted, mixed by the stops that noted it', () => {
    expect(walkedStates(roundAt('leafy', 'headed', 'headed', undefined))).toEqual({
      by: 'noted',
      shares: { leafy: 1 / 3, headed: 2 / 3 },
      stops: 3,
    })
    expect(walkedStates(roundAt(undefined))).toMatchObject({ by: 'month' })
    const cp = (...stages: SwardStage[]) => feedAt(...stages).cpPct.middle
    expect(cp('leafy', 'leafy')).toBeGreaterThan(cp('leafy', 'headed'))
    expect(cp('leafy', 'headed')).toBeGreaterThan(cp('headed', 'headed'))
    expect(cp('headed', 'headed')).toBeGreaterThan(cp('cured', 'cured'))
  })

  it('needs change with it: a milking cow is fed by clover leaf and not by heads (NRC 2001, from memory)', () => {
    const met = (stage: SwardStage) => meetsNeeds(walkedFeed(feedAt(stage, stage), undefined)!.feed, animalClass('cow-dairy')!).met // prettier-ignore
    const protein = (stage: SwardStage) => met(stage)[0].chance
    expect(protein('leafy')).toBeGreaterThan(0.5)
    expect(protein('headed')).toBeLessThan(0.05)
  })

  it('is a laboratory result where there is one, whatever was walked; one that was made up is not', () => {
    const leafy = feedAt('leafy', 'leafy')
    expect(walkedFeed(leafy, lab)?.basis).toBe('laboratory')
    expect(walkedFeed(leafy, { ...lab, simulated: true })?.basis).toBe('noted')
    expect(walkedFeed(feedAt(undefined), undefined)?.basis).toBe('month')
    expect(walkedFeed(undefined, undefined)).toBeUndefined()
    expect(walkedFeed(undefined, lab)?.feed.cpPct.middle).toBe(12)
  })

  it('holds the error of laboratories: 12 % protein, a point either way 95 times in 100', () => {
    const { draws } = walkedFeed(undefined, lab)!.feed
    const above = (x: number) => draws.cpPct.filter((cp) => cp >= x).length / draws.cpPct.length
    expect(above(12)).toBeCloseTo(0.5, 2)
    expect(above(11)).toBeCloseTo(0.975, 2)
    // Each figure errs by itself: high protein does not go with high energy.
    const mean = (list: number[]) => list.reduce((a, b) => a + b, 0) / list.length
    const [cp, tdn] = [mean(draws.cpPct), mean(draws.tdnPct)]
    const together = mean(draws.cpPct.map((x, i) => (x - cp) * (draws.tdnPct[i]! - tdn)))
    expect(Math.abs(together)).toBeLessThan(0.15)
  })
})
