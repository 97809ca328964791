import { describe, expect, it } from 'vitest'
import { animalClasses } from '@/core/assess/feed/needs.ts'
import { hazardFacts } from '@/core/assess/harm/hazards/factsOf.ts'
import { readHazards } from '@/core/assess/harm/hazards/index.ts'
import { outlookReading } from '@/core/assess/indicators/outlookReading.ts'
import { siteIndicators } from '@/core/assess/indicators/siteIndicators.ts'
import { sharesAhead, weighUp } from '@/core/assess/weighUp.ts'
import { outlooks, type Outlook } from '@/core/records/round.ts'
import { sharesOf } from '@/core/survey/sharesOf.ts'
import { flora, plantsById } from '@/tests/support/book.ts'
import { countedStop, hitsOf, roundOf } from '@/tests/support/rounds.ts'

const SWARD = [
  { 'tall-fescue': 9, 'white-clover': 6, 'tansy-ragwort': 1, bare: 4 },
  { 'tall-fescue': 12, 'red-clover': 5, 'sweet-vernalgrass': 3 },
  { 'tall-fescue': 7, alfalfa: 8, 'st-johns-wort': 2, litter: 3 },
  { timothy: 11, 'white-clover': 7, 'unknown:A': 2 },
]

const walked = (outlook: Outlook) => {
  const stops = Array.from({ length: 12 }, (_, i) => countedStop(i + 1, { hits: hitsOf(SWARD[i % 4]!) }))
  const round = roundOf('step-points', stops)
  return { ...round, paddock: { ...round.paddock, outlook, sown: ['timothy'] } }
}

describe('the shares of a round', () => {
  it('are those of the composition, limits and all, which is reckoned without them', () => {
    const round = walked('grazing')
    const { composition } = weighUp(round, plantsById, () => Math.random)!
    const { share, middle } = sharesOf(round)
    for (const { taxon, estimate, interval } of composition.taxa) {
      // Before the limits are known, and after.
      expect(middle([taxon])).toBeCloseTo(estimate, 12)
      expect(share([taxon]).interval).toEqual(interval)
      expect(middle([taxon])).toBeCloseTo(estimate, 12)
    }
    const clovers = share(['white-clover', 'red-clover'])
    // By hand: (6 + 5 + 0 + 7) of 80 points, three times over.
    expect(clovers.estimate).toBeCloseTo(18 / 80, 12)
    expect(clovers.interval![0]).toBeLessThan(18 / 80)
    expect(clovers.interval![1]).toBeGreaterThan(18 / 80)
  })

  it('are found once, and by the plants that are asked for', () => {
    const { share } = sharesOf(walked('grazing'))
    expect(share(['timothy'])).toBe(share(['timothy']))
    expect(share(['timothy', 'alfalfa']).estimate).toBeGreaterThan(share(['timothy']).estimate)
  })

  it('say nothing where nothing is counted', () => {
    const { share, middle } = sharesOf(roundOf('step-points', []))
    expect([share(['timothy']).estimate, share(['timothy']).interval, middle(['timothy'])]).toEqual([0, undefined, 0])
  })

  it.each(outlooks)('found in another thread are all that a page asks for, read for %s', (outlook) => {
    const [here, there] = [walked(outlook), walked(outlook)]
    const { known } = sharesOf(here)
    for (const [of, share] of structuredClone(sharesAhead(there, plantsById, flora.hazards))) known.set(of, share)
    const ahead = known.size
    const readings = animalClasses.map((animal) =>
      readHazards(hazardFacts(here, plantsById, { animal }), flora.hazards),
    )
    siteIndicators(here, flora.plants)
    outlookReading(here, plantsById, outlook)
    expect(known.size).toBe(ahead)
    expect(readings).toEqual(
      animalClasses.map((animal) => readHazards(hazardFacts(there, plantsById, { animal }), flora.hazards)),
    )
  })
})
