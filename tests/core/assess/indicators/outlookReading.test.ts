import { describe, expect, it } from 'vitest'
import { outlookReading, type OutlookLineId } from '@/core/assess/indicators/outlookReading.ts'
import { outlooks } from '@/core/records/round.ts'
import { plantsById } from '@/tests/support/book.ts'
import { countedStop, emptyPaddock, hitsOf, roundOf } from '@/tests/support/rounds.ts'

const sward = { 'perennial-ryegrass': 10, velvetgrass: 4, 'red-clover': 3, 'tansy-ragwort': 1, dandelion: 1, bare: 1 }
const round = roundOf(
  'step-points',
  [1, 2, 3, 4].map((n) =>
    countedStop(n, {
      hits: hitsOf({ ...sward, 'perennial-ryegrass': 9 + (n % 2) * 2 }),
      measures: { stage: 'headed' },
    }),
  ),
  { paddock: { ...emptyPaddock, sown: ['perennial-ryegrass', 'timothy'] } },
)
const read = (outlook: (typeof outlooks)[number], of = round) => outlookReading(of, plantsById, outlook)!
const line = (outlook: (typeof outlooks)[number], id: OutlookLineId) => read(outlook).lines.find((l) => l.id === id)!

describe('the same counts under another outlook', () => {
  it('grazing: eaten and refused with what is not alive make the whole', () => {
    // Of 80 hits: 40 ryegrass, 12 clover, 4 dandelion are eaten; 16 velvetgrass and 4 ragwort refused; 4 bare.
    expect(line('grazing', 'mostly-eaten').share.estimate).toBeCloseTo(56 / 80, 10)
    expect(line('grazing', 'mostly-refused').share.estimate).toBeCloseTo(20 / 80, 10)
    expect(line('grazing', 'mostly-refused').of.sort()).toEqual(['tansy-ragwort', 'velvetgrass'])
  })

  it('what is refused goes by the animal and the growth, not by what a plant is called (common practice, no source)', () => {
    const refused = (counts: Record<string, number>, stage: 'leafy' | 'headed', animal: 'goats' | 'cattle' | 'horses') =>
      outlookReading(
        roundOf('step-points', [1, 2, 3].map((n) => countedStop(n, { hits: hitsOf(counts), measures: { stage } }))),
        plantsById,
        'grazing',
        { animal },
      )!.lines.find((l) => l.id === 'mostly-refused')?.of ?? [] // prettier-ignore
    const weeds = { 'large-crabgrass': 5, quackgrass: 5, johnsongrass: 5, 'canada-thistle': 3, 'curly-dock': 2 }
    expect(refused(weeds, 'headed', 'goats')).toEqual([])
    expect(refused(weeds, 'headed', 'cattle').sort()).toEqual(['canada-thistle', 'curly-dock'])
    expect(refused({ velvetgrass: 5 }, 'leafy', 'cattle')).toEqual([])
    expect(refused({ velvetgrass: 5 }, 'headed', 'cattle')).toEqual(['velvetgrass'])
  })

  it('hay: ragwort stays harmful in it', () => {
    expect(line('hay', 'harms-in-hay').of).toEqual(['tansy-ragwort'])
    expect(line('hay', 'harms-in-hay').share.estimate).toBeCloseTo(4 / 80, 10)
  })

  it('sown against what came by itself, under every outlook', () => {
    for (const o of outlooks) {
      expect(line(o, 'sown').share.estimate, o).toBeCloseTo(40 / 80, 10)
      expect(line(o, 'came-by-itself').share.estimate, o).toBeCloseTo(36 / 80, 10)
    }
  })

  it('a sown plant that was not met could still be at 53 % of places after 4 stops: 1 - 0.05^(1/4)', () => {
    const timothy = read('native').sown.find((s) => s.plant === 'timothy')!
    expect(timothy.share).toBeUndefined()
    expect(timothy.couldBe).toBeCloseTo(1 - 0.05 ** 0.25, 10)
  })

  it('every share has an interval where there is more than one stop', () => {
    for (const o of outlooks) {
      expect(read(o).lines.length, o).toBeGreaterThan(2)
      for (const l of read(o).lines) expect(l.share.interval, `${o} ${l.id}`).toBeDefined()
    }
  })

  it('turf: one height for grasses that share it, none where they do not (common practice, no source)', () => {
    const of = (counts: Record<string, number>) =>
      read(
        'turf',
        roundOf(
          'turf-grid',
          [1, 2].map((n) => countedStop(n, { hits: hitsOf(counts) })),
        ),
      ).mowing
    expect(of({ 'kentucky-bluegrass': 5, 'perennial-ryegrass': 5 })).toMatchObject({
      keepMm: [40, 65],
      of: expect.arrayContaining(['kentucky-bluegrass', 'perennial-ryegrass']) as string[],
    })
    // A weed has no say: annual bluegrass stands lower than any lawn is cut.
    expect(of({ 'annual-bluegrass': 6, 'kentucky-bluegrass': 4 })).toMatchObject({ of: ['kentucky-bluegrass'] })
    expect(of({ bermudagrass: 5, 'tall-fescue-turf': 5 })).toHaveProperty('clash')
    expect(of({ dandelion: 5 })).toBeUndefined()
    expect(read('hay').mowing).toBeUndefined()
  })

  it('nothing counted is nothing read', () => {
    expect(outlookReading(roundOf('step-points', []), plantsById, 'hay')).toBeUndefined()
  })
})
