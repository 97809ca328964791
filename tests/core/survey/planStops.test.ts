import { methods } from '@/core/records/method.ts'
import { describe, expect, it } from 'vitest'
import { countingMethods } from '@/core/methods/index.ts'
import { figuresOf } from '@/core/survey/figures.ts'
import { kitFor, lookAlongEdge, lookFor, pilotFrom, planStops, searchMetres } from '@/core/survey/planStops.ts'
import { flora, plantsById } from '@/tests/support/book.ts'
import { countedStop, hitsOf, roundOf } from '@/tests/support/rounds.ts'
import { cases, expectNear } from '@/tests/support/vectors.ts'

describe('stops from a pilot (R 4.2.2, base)', () => {
  interface Input {
    pilot_mean: number
    pilot_sd: number
    conf: number
    half_width: number
    population?: number
  }
  interface Expected {
    n: number
    half_width_at_n: number
    half_width_at_n_minus_1: number
  }
  const plain = cases<Input, Expected>('samplesize', 'sampleSizeMean').filter(
    ({ input }) => input.conf === 0.95 && input.half_width > 0 && Object.keys(input).length <= 5,
  )
  it.each(plain)('$id', ({ input, expected, tol }) => {
    const made = planStops(
      { sd: input.pilot_sd, halfWidth: input.half_width, about: input.pilot_mean, from: 'guess' },
      input.population,
    )
    expect(made.stops).toBe(expected.n)
    expectNear(made.reached, expected.half_width_at_n, tol)
    if (made.reachedByOneLess !== undefined) expectNear(made.reachedByOneLess, expected.half_width_at_n_minus_1, tol)
  })

  it('holds some cases, of a paddock with so many stops and no more among them', () => {
    expect(plain.length).toBeGreaterThan(0)
    expect(plain.some(({ input }) => input.population !== undefined)).toBe(true)
  })
})

describe('what the number of stops is worked out from', () => {
  const stops = [8, 2, 9, 1, 7, 3].map((n, i) => countedStop(i + 1, { hits: hitsOf({ timothy: n, bare: 10 - n }) }))

  it('the spread between the stops of an earlier round', () => {
    const pilot = pilotFrom(figuresOf(roundOf('step-points', stops), plantsById), 0.05)!
    expect(pilot.from).toBe('earlier-round')
    // Equal stops: the standard deviation of the shares themselves, by hand sqrt(0.58 / 5).
    expect(pilot.sd).toBeCloseTo(Math.sqrt(0.58 / 5), 10)
    expect(pilotFrom(figuresOf(roundOf('step-points', []), plantsById), 0.05)).toBeUndefined()
  })

  it('a guess asks for more stops the closer it is wanted', () => {
    for (const m of methods) {
      const wide = planStops(countingMethods[m].pilot(20, 0.15)).stops
      const close = planStops(countingMethods[m].pilot(20, 0.05)).stops
      expect(close, m).toBeGreaterThanOrEqual(wide)
      expect(wide, m).toBeGreaterThanOrEqual(2)
    }
  })

  it('a search walk: 3 over the density wanted (Hanley & Lippman-Hand 1983)', () => {
    // 2.9957 / 10 of a hectare: 2,996 m2, by a strip of 4 m 749 m.
    expect(searchMetres(10, 4, 1)).toBe(749)
  })
})

describe('what to carry and to look for', () => {
  it('harmful plants at home here, the common ones first', () => {
    const list = lookFor(flora.plants, 'cool-humid')
    expect(list.length).toBeGreaterThan(5)
    for (const p of list) expect(p.role).toBe('toxic')
    const words = list.map((p) => p.regions['cool-humid'])
    expect(words.indexOf('frequent')).toBeGreaterThan(words.lastIndexOf('common'))
  })

  it('gloves where sap burns (common practice, no source), and not otherwise', () => {
    const of = (...ids: string[]) =>
      kitFor(
        'step-points',
        ids.map((id) => plantsById.get(id)!),
      ).join()
    expect(of('wild-parsnip')).toContain('gloves')
    expect(of('timothy', 'white-clover')).not.toContain('gloves')
  })
})

describe('a walk along the fence', () => {
  const along = (region: Parameters<typeof lookAlongEdge>[1]) => lookAlongEdge(flora.plants, region).map((p) => p.id)

  // Kingsbury 1964; Burrows & Tyrl: what kills stock at hedges and under trees, from memory.
  it.each([
    ['cool-humid', ['black-cherry', 'oaks', 'yews', 'sycamore-maple', 'bittersweet']],
    ['warm-humid', ['black-cherry', 'oaks', 'oleander', 'privets', 'lantana']],
    ['semi-arid', ['chokecherry', 'oaks', 'box-elder']],
  ] as const)('%s: looks for what stands there', (region, wanted) => {
    expect(along(region)).toEqual(expect.arrayContaining([...wanted]))
  })

  it('the commonest first, nothing of the sward, nothing that does not stand in the region', () => {
    const rank = ['common', 'frequent', 'occasional', 'rare']
    const list = lookAlongEdge(flora.plants, 'cool-humid')
    const ranks = list.map((p) => rank.indexOf(p.regions['cool-humid']!))
    expect(ranks).toEqual(ranks.toSorted((a, b) => a - b))
    expect(list.filter((p) => p.edge === undefined || p.role !== 'toxic')).toEqual([])
    expect(along('cool-humid')).not.toContain('oleander')
    expect(lookFor(flora.plants, 'cool-humid').filter((p) => along('cool-humid').includes(p.id))).toEqual([])
  })

  it('all that stands there says whom it harms, what shows, what is done first, and on whose word', () => {
    for (const p of flora.plants.filter((x) => x.edge)) {
      expect(p.harm.length, p.id).toBeGreaterThan(0)
      expect([p.exposure?.signs, p.exposure?.onset, p.exposure?.first].every(Boolean), p.id).toBe(true)
      expect(p.exposure!.sources.length, p.id).toBeGreaterThan(0)
      expect(
        p.control.some((c) => c.school === 'hands'),
        p.id,
      ).toBe(true)
    }
  })

  // Wilted leaves and clippings are eaten first: what every extension sheet on hedge poisons says, from memory.
  it('what is cut of a woody one is carried out, and none is called harmless once dry', () => {
    for (const p of flora.plants.filter((x) => x.edge && x.form === 'shrub')) {
      expect(
        p.control.some((c) => /carry every branch/.test(c.waste ?? '')),
        p.id,
      ).toBe(true)
      expect(p.exposure!.forms.wilted, p.id).not.toBe('lessened')
    }
  })
})
