import { sayRunnerShare } from '@/text/runnerWords.ts'
import { describe, expect, it } from 'vitest'
import {
  narrowCultivars,
  oestrogenicGroups,
  runnerGroup,
  runnerShare,
  type Cultivar,
  type Runner,
} from '@/core/naming/groupKey.ts'

const runner = (runnerHairy: boolean | null, calyxRed: boolean | null, stipuleRed: boolean | null): Runner => ({
  runnerHairy,
  calyxRed,
  stipuleRed,
})

// The key of three steps and six groups: common practice, no source.
describe('group of a subterranean clover runner', () => {
  it.each([
    [true, true, true, 'red-hairy'],
    [false, true, true, 'red-smooth'],
    [true, false, false, 'green-hairy'],
    [false, false, false, 'green-smooth'],
    [true, true, false, 'combination-hairy'],
    [false, false, true, 'combination-smooth'],
  ] as const)('hairy %s, red tube %s, red stipule %s: %s', (h, c, s, group) =>
    expect(runnerGroup(runner(h, c, s))).toBe(group),
  )

  it('is not placed while one part could not be judged', () => {
    expect(runnerGroup(runner(null, true, true))).toBeUndefined()
    expect(runnerGroup(runner(true, null, true))).toBeUndefined()
    expect(runnerGroup(runner(true, true, null))).toBeUndefined()
  })
})

describe('share of runners in groups that hold an oestrogenic cultivar', () => {
  const seven = Array.from({ length: 7 }, () => runner(false, true, true))
  const rest = Array.from({ length: 23 }, () => runner(true, false, false))

  it('7 of 30 is said as 23 %, 95 % interval 12 to 41 % (common practice, no source; interval of Wilson 1927)', () => {
    const share = runnerShare([...seven, ...rest], ['red-smooth'])!
    expect(sayRunnerShare(share)).toBe(
      'of 30 runners, 7 fall in groups that hold an oestrogenic cultivar: 23 %, 95 % interval 12 to 41 %',
    )
    expect(share.byGroup['green-hairy']).toBe(23)
  })

  it('leaves out runners that could not be placed, and counts them', () => {
    const share = runnerShare([...seven, runner(null, true, true)], ['red-smooth'])!
    expect(share).toMatchObject({ placed: 7, unplaced: 1, couldHarm: 7, share: 1 })
  })

  it('says nothing while no runner is placed', () =>
    expect(runnerShare([runner(null, null, null)], ['red-smooth'])).toBeUndefined())
})

describe('cultivars a runner does not contradict', () => {
  // Made-up cultivars: the arithmetic is tested here, not a register.
  const table: Cultivar[] = [
    {
      name: 'Made One',
      oestrogenic: true,
      runnerHairy: false,
      calyxRed: true,
      stipuleRed: true,
      leaf: { crescent: 'broad' },
      source: 'made up',
    },
    { name: 'Made Two', oestrogenic: false, runnerHairy: true, calyxRed: false, stipuleRed: false, source: 'made up' },
    { name: 'Made Three', oestrogenic: true, source: 'made up' },
    {
      name: 'Made Four',
      runnerHairy: false,
      calyxRed: true,
      stipuleRed: true,
      leaf: { crescent: 'narrow' },
      source: 'made up',
    },
  ]

  it('the three steps take cultivars off the list; one whose marks are unknown stays', () => {
    const names = narrowCultivars(runner(false, true, true), table).map((n) => n.cultivar.name)
    expect(names.sort()).toEqual(['Made Four', 'Made One', 'Made Three'])
  })

  it('a leaf pattern orders the list and takes nothing off it: marks fade', () => {
    const list = narrowCultivars({ ...runner(false, true, true), leaf: { crescent: 'narrow' } }, table)
    expect(list.map((n) => n.cultivar.name)).toEqual(['Made Four', 'Made Three', 'Made One'])
  })

  it('a part that could not be judged excludes nothing', () => {
    expect(narrowCultivars(runner(null, null, null), table)).toHaveLength(4)
  })

  it('only groups of oestrogenic cultivars with known marks are called so', () => {
    expect(oestrogenicGroups(table)).toEqual(['red-smooth'])
  })
})
