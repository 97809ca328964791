import { methods } from '@/core/records/method.ts'
import { describe, expect, it } from 'vitest'
import { countingMethods } from '@/core/methods/index.ts'
import { flora, plantsById } from '@/tests/support/book.ts'
import { countedStop, emptyPaddock, hitsOf, roundOf } from '@/tests/support/rounds.ts'
import { SettingsInput } from '@/contract/input/round.ts'
import { parseBody } from '@/server/http/parseBody.ts'
import { assignKeys, keyedPlants } from '@/web/features/rounds/countKeys.ts'
import { firstForm, settingsFor } from '@/web/features/rounds/plan/usePlan.ts'
import { countedWords } from '@/web/parts/countedWords.ts'

describe('settings of a planned round', () => {
  it.each(methods)('%s: what the plan screen sends is what the server takes', (method) => {
    const settings = settingsFor({ ...firstForm('p'), method, settings: { dryShare: 0.2, observer: 'Wren' } })
    expect({ ...parseBody(SettingsInput, settings) }).toMatchObject(settings)
  })

  it('each method brings what it needs, and nothing of another', () => {
    const of = (method: (typeof methods)[number]) => settingsFor({ ...firstForm('p'), method })
    expect(of('cover-classes')).toMatchObject({ scale: 'six-class', frameM2: 0.25 })
    expect(of('dry-weight-rank')).toMatchObject({ few: 'first-takes-third' })
    expect(of('nested-frequency').nestsM).toEqual([0.1, 0.25, 0.5, 1])
    expect(of('search-walk')).toMatchObject({ stripWidthM: 4, seenShare: 0.8, targets: [] })
    for (const m of methods) {
      expect('scale' in of(m), m).toBe(m === 'cover-classes')
      expect('stripWidthM' in of(m), m).toBe(m === 'search-walk')
      // Whoever carries a frame of an area has to say how large it is.
      const carries = countingMethods[m].kit.some((k) => k === 'frame' || k === 'nested-frame')
      expect('frameM2' in of(m), m).toBe(carries)
    }
  })
})

describe('keys', () => {
  it('on a search walk: the plant looked for first, then the harmful ones at home here', () => {
    const round = roundOf('search-walk', [], { settings: { targets: ['water-hemlock'] } })
    const list = keyedPlants(round, flora.plants)
    expect(list[0]).toBe('water-hemlock')
    for (const id of list) expect(plantsById.get(id)!.role).toBe('toxic')
    const keys = assignKeys(list, 'A', false)
    expect(keys.map((k) => k.taxon)).not.toContain('bare')
    expect(keys.at(-1)!.taxon).toBe('unknown:A')
  })

  it('else what was sown, then what is met most often: the strong fingers get the commonest', () => {
    const stops = [countedStop(1, { hits: hitsOf({ velvetgrass: 5, dandelion: 2, 'red-fescue': 9 }) })]
    const round = roundOf('step-points', stops, { paddock: { ...emptyPaddock, sown: ['timothy'] } })
    const keys = assignKeys(keyedPlants(round, flora.plants), 'A')
    expect(keys.slice(0, 4).map((k) => [k.key, k.taxon])).toEqual([
      ['a', 'timothy'],
      ['s', 'red-fescue'],
      ['d', 'velvetgrass'],
      ['f', 'dandelion'],
    ])
    expect(new Set(keys.map((k) => k.key)).size).toBe(keys.length)
  })
})

describe('what was counted, in words', () => {
  it('points over stops, or frames', () => {
    expect(countedWords('step-points', { total: 600, stops: 30 })).toBe('600 points over 30 stops')
    expect(countedWords('step-points', { total: 20, stops: 1 })).toBe('20 points over 1 stop')
    expect(countedWords('dry-weight-rank', { total: 17.3, stops: 24 })).toBe('24 frames')
  })
})
