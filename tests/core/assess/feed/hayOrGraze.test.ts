import { describe, expect, it } from 'vitest'
import { hayOrGraze } from '@/core/assess/feed/hayOrGraze.ts'
import { flora, plantsById } from '@/tests/support/book.ts'
import { countedStop, hitsOf, roundOf } from '@/tests/support/rounds.ts'

const of = (counts: Record<string, number>) =>
  hayOrGraze(
    roundOf(
      'step-points',
      [1, 2, 3].map((n) => countedStop(n, { hits: hitsOf(counts) })),
    ),
    plantsById,
  )
const said = (counts: Record<string, number>) => of(counts).map((r) => `${r.speaks} ${r.use}`)

describe('hay or graze (common practice, no source, where no other is named)', () => {
  it('bluegrass, white clover and ryegrass stand close grazing; timothy and alfalfa do not', () => {
    expect(said({ 'kentucky-bluegrass': 5, 'perennial-ryegrass': 4, 'white-clover': 1 })).toEqual(['for grazing'])
    expect(said({ timothy: 10 })).toEqual(['against grazing', 'for hay'])
  })

  it('has reasons for the South and the prairie too', () => {
    expect(said({ bermudagrass: 10 })).toEqual(['for grazing', 'for hay'])
    expect(said({ bahiagrass: 10 })).toContain('for grazing')
    expect(said({ 'big-bluestem': 6, switchgrass: 4 })).toContain('against grazing')
  })

  it('ragwort speaks against hay at any share, buttercup does not: it loses its harm when dried', () => {
    const ragwort = of({ orchardgrass: 99, 'tansy-ragwort': 1 }).find((r) => r.id === 'harms-in-hay')!
    expect(ragwort.of).toEqual(['tansy-ragwort'])
    expect(ragwort.share.estimate).toBeCloseTo(0.01, 10)
    expect(of({ orchardgrass: 9, 'tall-buttercup': 1 }).some((r) => r.id === 'harms-in-hay')).toBe(false)
  })

  it('bloat is spoken of from a third of the sward (Majak et al. 2003, from memory), and not for birdsfoot trefoil', () => {
    const bloat = (legume: string, hits: number) =>
      of({ orchardgrass: 10 - hits, [legume]: hits }).some((r) => r.id === 'bloats')
    expect(bloat('white-clover', 3)).toBe(false)
    expect(bloat('white-clover', 4)).toBe(true)
    expect(bloat('birdsfoot-trefoil', 9)).toBe(false)
  })

  it('chicory dries slowly, clover leaf shatters, sweetclover must be dry', () => {
    const ids = of({ orchardgrass: 4, chicory: 2, 'red-clover': 3, 'yellow-sweetclover': 1 }).map((r) => r.id)
    expect(ids).toEqual(expect.arrayContaining(['dries-slowly', 'leaf-shatters', 'moulds-to-bleeding']) as string[])
  })

  it('the share of clover whose leaf shatters is worked by hand: 3 of 10 hits', () => {
    expect(of({ orchardgrass: 7, 'red-clover': 3 }).find((r) => r.id === 'leaf-shatters')!.share.estimate).toBeCloseTo(
      0.3,
      10,
    )
  })

  it('every reason has an interval, whatever grows', () => {
    const everything = Object.fromEntries(flora.plants.map((p) => [p.id, 1]))
    const reasons = of({ ...everything, timothy: 400 })
    expect(reasons.length).toBeGreaterThanOrEqual(5)
    for (const r of reasons) expect(r.share.interval, r.id).toBeDefined()
  })

  it('nothing counted, nothing said', () => {
    expect(of({})).toEqual([])
    expect(hayOrGraze(roundOf('step-points', []), plantsById)).toEqual([])
  })
})
