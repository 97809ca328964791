import type { Method } from '@/core/records/method.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { openStop, type Stop } from '@/core/records/round.ts'
import { braunBlanquet, sixClasses } from '@/core/methods/estimators/coverClasses.ts'
import { countReducer, startCount } from '@/web/features/rounds/countReducer.ts'
import { lacking, stopAt, type CountAction, type CountState } from '@/web/features/rounds/countState.ts'
import { valueChoices, valueLabel } from '@/web/features/rounds/entry/valueChoices.ts'

const at = '2027-04-02T09:00:00.000Z'
const next: CountAction = { kind: 'next', at }
const undo: CountAction = { kind: 'undo' }
const begin = (method: Method, pointsPerStop = 1, stops: Stop[] = [1, 2, 3].map((n) => openStop(`s${n}`, n, null))) =>
  startCount({ method, pointsPerStop, stops })
const after = (state: CountState, ...actions: CountAction[]) => actions.reduce(countReducer, state)
const here = (state: CountState) => stopAt(state)!

describe('layers', () => {
  const hit = (taxon: string): CountAction => ({ kind: 'hit', taxon })

  it('a plant is on a pin once; the next pin comes only after something was touched', () => {
    const state = after(
      begin('layer-points', 2),
      { kind: 'same' },
      hit('a'),
      hit('a'),
      hit('b'),
      { kind: 'same' },
      hit('a'),
    )
    expect(here(state).hits.map((h) => [h.taxon, h.part])).toEqual([
      ['a', 1],
      ['b', 1],
      ['a', 2],
    ])
    expect(lacking(state, here(state))).toBeUndefined()
    expect(after(state, { kind: 'same' }).pin).toBe(2)
  })

  it('goes on with the pin in hand after a reload', () => {
    const left = after(begin('layer-points', 5), hit('a'), { kind: 'same' }, hit('b'))
    expect(begin('layer-points', 5, left.stops).pin).toBe(2)
  })
})

describe('pictures', () => {
  const picture = { map: { green: 1 }, mapped: ['green', 'green'] }
  const named = after(begin('picture-frame', 2), { kind: 'hit', taxon: 'a', times: 2 })
  const mapped: CountAction = { kind: 'mapped', of: here(named), picture }

  it('a map that took its time is kept with its stop, though that was left meanwhile', () => {
    const state = after(named, next, mapped)
    expect(state.current).toBe(2)
    expect(stopAt(state, 1)).toMatchObject({ doneAt: at, measures: { picture } })
    expect(stopAt(state, 2)!.measures.picture).toBeUndefined()
  })

  it('says nothing of points that were named otherwise since, and is no step to take back', () => {
    const otherwise = after(named, undo, { kind: 'hit', taxon: 'b', times: 2 }, mapped)
    expect(here(otherwise).measures.picture).toBeUndefined()
    expect(here(after(named, mapped, undo)).hits).toEqual([])
  })
})

describe('values', () => {
  it('a plant has one value in a frame; the last given stands, 0 takes it out', () => {
    const value = (amount: number | null): CountAction => ({ kind: 'value', taxon: 'a', amount })
    const state = after(begin('cover-classes'), { kind: 'choose', taxon: 'a' }, value(15), value(37.5))
    expect(here(state).hits).toEqual([{ taxon: 'a', amount: 37.5 }])
    expect(state.chosen).toBeNull()
    expect(here(after(state, value(null))).hits).toEqual([])
  })

  it('an empty frame is a finding: it is closed when asked twice', () => {
    const once = after(begin('nested-frequency'), next)
    expect(once).toMatchObject({ shortWarned: true, current: 1 })
    const closed = after(once, next)
    expect(stopAt(closed, 1)!.doneAt).toBe(at)
    expect(closed.current).toBe(2)
  })

  it('the classes offered are those of the scale, with its mid-points', () => {
    const six = valueChoices('cover-classes', {})
    expect(six.map((c) => [c.key, c.amount])).toEqual(sixClasses.map((c) => [c.code, c.midPercent]))
    const braun = valueChoices('cover-classes', { scale: 'braun-blanquet' })
    expect(braun.map((c) => c.key)).toEqual(braunBlanquet.map((c) => c.code))
    expect(valueLabel(braun, 62.5)).toBe('4')
    expect(valueLabel([], 35)).toBe('35')
    expect(valueChoices('nested-frequency', { nestsM: [0.1, 1] }).map((c) => c.says)).toEqual(['in 0.1 m', 'in 1 m'])
  })
})

describe('cells, readings, search', () => {
  it('a touch puts a plant into a cell and a second takes it out; there are 25', () => {
    const cell = (part: number): CountAction => ({ kind: 'cell', taxon: 'a', part })
    const state = after(begin('grid-frequency'), cell(3), cell(25), cell(26), cell(3))
    expect(here(state).hits).toEqual([{ taxon: 'a', amount: 1, part: 25 }])
  })

  it('a reading is needed before a stop is done; taken away it is gone', () => {
    const read: CountAction = { kind: 'measure', patch: { reading: 7.5 } }
    expect(stopAt(after(begin('plate-meter'), next, next), 1)!.doneAt).toBeNull()
    expect(stopAt(after(begin('plate-meter'), read, next), 1)!.doneAt).toBe(at)
    expect(
      here(after(begin('plate-meter'), read, { kind: 'measure', patch: { reading: undefined } })).measures,
    ).toEqual({})
  })

  it('on a search walk each press is one more plant found', () => {
    const found: CountAction = { kind: 'hit', taxon: 'poison-hemlock' }
    expect(here(after(begin('search-walk'), found, found, found)).hits).toEqual([
      { taxon: 'poison-hemlock', amount: 3 },
    ])
  })
})

describe('the walk', () => {
  it('a skipped stop is not waited for, and can be counted after all', () => {
    const skipped = after(begin('step-points', 1), { kind: 'skip', reason: 'under water' }, next)
    expect(skipped.current).toBe(2)
    expect(stopAt(skipped, 1)).toMatchObject({ skipped: 'under water', doneAt: null })
    expect(begin('step-points', 1, skipped.stops).current).toBe(2)
    const back = after(skipped, { kind: 'go', seq: 1 }, { kind: 'skip', reason: null })
    expect(here(back).skipped).toBeNull()
  })

  it('a stop is added at the end and gone to', () => {
    const state = after(begin('step-points', 1), { kind: 'add', id: 'new', position: [1, 2], stratum: 'hollow' })
    expect(here(state)).toMatchObject({ id: 'new', seq: 4, position: [1, 2], stratum: 'hollow' })
  })

  it('a stop that was only passed by is not changed, so it is not written', () => {
    const start = begin('step-points', 2)
    const passed = after(start, { kind: 'step', by: 1 }, { kind: 'step', by: -1 }, next, next)
    expect(passed.stops).toEqual(start.stops)
    expect(stopAt(passed, 1)).toBe(stopAt(start, 1))
  })
})

const action = (method: Method): fc.Arbitrary<CountAction> =>
  fc.oneof(
    fc.constantFrom('a', 'b').map((taxon): CountAction => ({ kind: 'hit', taxon })),
    fc.constant<CountAction>({ kind: 'same' }),
    fc.constant<CountAction>(next),
    fc
      .nat(30)
      .map((part): CountAction =>
        method === 'grid-frequency'
          ? { kind: 'cell', taxon: 'a', part }
          : { kind: 'measure', patch: { reading: part } },
      ),
    fc.constantFrom<CountAction>(
      { kind: 'value', taxon: 'a', amount: 2 },
      { kind: 'skip', reason: 'x' },
      { kind: 'step', by: 1 },
    ),
  )

describe('undo without limit', () => {
  it.each(['step-points', 'layer-points', 'cover-classes', 'grid-frequency', 'plate-meter'] as const)(
    '%s: whatever was done, taking it all back leaves every stop as it was',
    (method) => {
      fc.assert(
        fc.property(fc.array(action(method), { maxLength: 40 }), (actions) => {
          const start = begin(method, 3)
          let state = after(start, ...actions)
          for (let i = 0; i < 60; i++) state = after(state, undo)
          expect(state.stops).toEqual(start.stops)
        }),
      )
    },
  )
})
