import { besideWords, saidWords } from '@/text/swardWords.ts'
import { describe, expect, it } from 'vitest'
import { swardFigures, siteIndicators } from '@/core/assess/indicators/siteIndicators.ts'
import type { Outlook } from '@/core/records/round.ts'
import { flora } from '@/tests/support/book.ts'
import { countedStop, emptyPaddock, hitsOf, roundOf } from '@/tests/support/rounds.ts'

const counted = (counts: Record<string, number>[], sown: string[] = [], outlook: Outlook = 'grazing') =>
  roundOf(
    'step-points',
    counts.map((c, i) => countedStop(i + 1, { hits: hitsOf(c) })),
    { paddock: { ...emptyPaddock, sown, outlook } },
  )
/** The same at every stop but for a point or two. */
const even = (counts: Record<string, number>, stops = 8) =>
  Array.from({ length: stops }, (_, i) => ({ ...counts, dandelion: 1 + (i % 2) }))
const said = (counts: Record<string, number>[], sown?: string[], outlook?: Outlook) =>
  siteIndicators(counted(counts, sown, outlook), flora.plants)
const idsOf = (list: ReturnType<typeof said>) => list.map((s) => s.id)

// What the trade reads from a sward: common practice, no source.
describe('what a sward says', () => {
  it.each([
    ['nearly all Kentucky bluegrass', { 'kentucky-bluegrass': 18, timothy: 2 }, 'grazed-hard'],
    [
      'broadleaf plantain and goosegrass',
      { 'broadleaf-plantain': 3, goosegrass: 2, 'perennial-ryegrass': 15 },
      'compacted',
    ],
    [
      'reed canarygrass, rushes and sedges',
      { 'reed-canarygrass': 2, 'soft-rush': 2, 'caric-sedges': 2, timothy: 14 },
      'wet',
    ],
    ['stiltgrass and ground ivy', { 'japanese-stiltgrass': 3, 'ground-ivy': 2, timothy: 15 }, 'shaded'],
    [
      'broomsedge, sheep sorrel and sweet vernal',
      { broomsedge: 3, 'sheep-sorrel': 2, 'sweet-vernalgrass': 2, timothy: 13 },
      'acid',
    ],
    [
      'thistles, ground cherry and ragweed',
      { 'bull-thistle': 2, 'ground-cherry': 1, 'common-ragweed': 2, timothy: 15 },
      'disturbed',
    ],
    ['crabgrass and bare ground', { 'large-crabgrass': 4, bare: 4, 'perennial-ryegrass': 12 }, 'thin'],
  ])('%s', (_, counts, id) => {
    const list = said(even(counts))
    expect(idsOf(list)).toContain(id)
    const found = list.find((s) => s.id === id)!
    expect(found.strength).toBe('clear')
    expect(found.share.interval![0]).toBeGreaterThan(found.mark)
    expect(saidWords(found.id).against.length).toBeGreaterThan(10)
  })

  it('a mixed sward of sown plants says nothing', () => {
    expect(
      said(even({ 'perennial-ryegrass': 9, timothy: 6, 'white-clover': 4 }), ['perennial-ryegrass', 'timothy']),
    ).toEqual([])
  })

  it('sown plants that are hardly left are going', () => {
    const [going] = said(even({ velvetgrass: 15, timothy: 3 }), ['timothy', 'red-clover'])
    expect(going).toMatchObject({ id: 'sown-going', strength: 'clear', below: true, of: ['timothy'] })
    expect(idsOf(said(even({ velvetgrass: 18 }), ['timothy']))).toContain('sown-going')
  })

  it('clover is a sign in turf and the goal in pasture', () => {
    const clover = even({ 'white-clover': 12, 'perennial-ryegrass': 8 })
    expect(idsOf(said(clover, [], 'turf'))).toContain('nitrogen-short')
    expect(idsOf(said(clover))).not.toContain('nitrogen-short')
  })

  it('one kind alone is never more than likely, however much there is of it', () => {
    const [one] = said(even({ 'broadleaf-plantain': 4, timothy: 16 })).filter((s) => s.id === 'compacted')
    expect(one).toMatchObject({ strength: 'likely', of: ['broadleaf-plantain'] })
  })

  it('is only likely where the interval reaches over the mark', () => {
    const patchy = [2, 18, 1, 17, 2, 16].map((n) => ({ 'white-clover': n, 'perennial-ryegrass': 20 - n }))
    const [clover] = said(patchy, [], 'turf').filter((s) => s.id === 'nitrogen-short')
    expect(clover).toMatchObject({ id: 'nitrogen-short', strength: 'likely' })
    expect(clover!.share.interval![0]).toBeLessThan(clover!.mark)
  })

  it('says nothing from two stops, and brings heights and grazing that were noted', () => {
    expect(said(even({ 'kentucky-bluegrass': 18 }, 2))).toEqual([])
    const round = counted(even({ 'kentucky-bluegrass': 18 }))
    const stops = round.stops.map((s) => ({ ...s, measures: { heightCm: 3, grazed: 'hard' as const } }))
    const [hard] = siteIndicators({ ...round, stops }, flora.plants)
    expect(hard!.also.map(besideWords)).toEqual(['mean height 3 cm at 8 stops', 'grazed hard at 8 of 8 stops'])
  })
})

describe('the figures behind what is said', () => {
  const figures = (counts: Record<string, number>[], sown?: string[], outlook?: Outlook) =>
    swardFigures(counted(counts, sown, outlook), flora.plants)

  it('stand in sight whether they pass their mark or not, and only those that pass are said', () => {
    const round = even({ 'broadleaf-plantain': 3, goosegrass: 2, 'perennial-ryegrass': 15 })
    const list = figures(round)
    const speaking = list.filter((f) => f.strength !== undefined).map((f) => f.id)
    expect([...speaking].sort()).toEqual([...idsOf(said(round))].sort())
    expect(list.map((f) => f.id)).toContain('shaded')
    expect(list.find((f) => f.id === 'shaded')).toMatchObject({ of: [], strength: undefined, share: { estimate: 0 } })
  })

  it('lie on the right side of their marks: above where they speak, not above where they are silent', () => {
    for (const f of figures(even({ 'kentucky-bluegrass': 8, 'soft-rush': 1, bare: 2, timothy: 9 }), ['timothy'])) {
      const beyond = f.below ? f.share.estimate < f.mark : f.share.estimate > f.mark
      expect(beyond, f.id).toBe(f.strength !== undefined)
    }
  })

  it('what was sown is held against its mark only where somebody said what that was', () => {
    const round = even({ timothy: 2, 'kentucky-bluegrass': 18 })
    expect(figures(round).some((f) => f.id === 'sown-going')).toBe(false)
    const going = figures(round, ['timothy']).find((f) => f.id === 'sown-going')!
    expect(going).toMatchObject({ below: true, of: ['timothy'] })
    // By hand: 2 of 20 points and one or two of dandelion, a little under one in ten.
    expect(going.share.estimate).toBeCloseTo(2 / 21.5, 2)
  })

  it('none of turf is asked of a pasture, and none at all of fewer than three stops', () => {
    const round = even({ 'white-clover': 12, 'perennial-ryegrass': 8 })
    expect(figures(round).some((f) => f.id === 'nitrogen-short')).toBe(false)
    expect(figures(round, [], 'turf').some((f) => f.id === 'nitrogen-short')).toBe(true)
    expect(figures(round.slice(0, 2))).toEqual([])
  })
})
