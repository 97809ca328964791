import { methods, type Method } from '@/core/records/method.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { openStop, type Stop } from '@/core/records/round.ts'
import { countingMethods } from '@/core/methods/index.ts'
import { countReducer, startCount } from '@/web/features/rounds/countReducer.ts'
import { pointsAt, stopAt, type CountAction, type CountState } from '@/web/features/rounds/countState.ts'

const POINTS = 5
const STOPS = 3
const AT = '2027-05-01T09:00:00.000Z'
const begin = (method: Method): CountState =>
  startCount({
    method,
    pointsPerStop: POINTS,
    stops: Array.from({ length: STOPS }, (_, i) => openStop(`s${i + 1}`, i + 1, [0, i])),
  })

const taxon = fc.constantFrom('timothy', 'white-clover', 'bare', 'unknown:A')
/** All that a hand can do at a stop, whatever the school: a wrong key of another school must do no harm. */
const action: fc.Arbitrary<CountAction> = fc.oneof(
  fc.record({ kind: fc.constant('hit' as const), taxon, times: fc.integer({ min: 1, max: 40 }) }),
  fc.constant<CountAction>({ kind: 'same' }),
  fc.record({ kind: fc.constant('choose' as const), taxon: fc.option(taxon) }),
  fc.record({
    kind: fc.constant('value' as const),
    taxon,
    amount: fc.option(fc.double({ min: 0, max: 99, noNaN: true })),
  }),
  fc.record({ kind: fc.constant('cell' as const), taxon, part: fc.integer({ min: -1, max: 27 }) }),
  fc.constant<CountAction>({ kind: 'measure', patch: { heightCm: 9 } }),
  fc.constant<CountAction>({ kind: 'next', at: AT }),
  fc.constantFrom<CountAction>({ kind: 'step', by: 1 }, { kind: 'step', by: -1 }),
  fc.constantFrom<CountAction>({ kind: 'skip', reason: 'under water' }, { kind: 'skip', reason: null }),
  fc.constant<CountAction>({ kind: 'undo' }),
)
const actions = fc.array(action, { maxLength: 60 })
const run = (method: Method, done: CountAction[]) => done.reduce(countReducer, begin(method))
const written = (s: Stop) => ({ hits: s.hits, measures: s.measures, doneAt: s.doneAt, skipped: s.skipped })

describe.each(methods.map((m) => [m]))('%s, whatever is pressed', (method) => {
  const { entry } = countingMethods[method]

  it('as many undos as there were changes lead back to empty stops', () => {
    fc.assert(
      fc.property(actions, (done) => {
        let state = run(method, done)
        for (let i = state.past.length; i > 0; i--) state = countReducer(state, { kind: 'undo' })
        expect(state.stops.map(written)).toEqual(begin(method).stops.map(written))
      }),
      { numRuns: 60 },
    )
  })

  it('an undo takes back the last change and nothing else', () => {
    fc.assert(
      fc.property(actions, action, (done, last) => {
        const before = run(method, done)
        const after = countReducer(before, last)
        if (after.past.length !== before.past.length + 1) return
        const back = countReducer(after, { kind: 'undo' })
        expect(back.stops.map(written)).toEqual(before.stops.map(written))
      }),
      { numRuns: 80 },
    )
  })

  it('no stop comes or goes, is both counted and skipped, or holds what its school cannot', () => {
    fc.assert(
      fc.property(actions, (done) => {
        const state = run(method, done)
        expect(state.stops.map((s) => s.seq)).toEqual([1, 2, 3])
        expect(stopAt(state)).toBeDefined()
        for (const stop of state.stops) {
          expect(stop.doneAt !== null && stop.skipped !== null).toBe(false)
          if (method === 'layer-points') {
            expect(pointsAt(state, stop)).toBeLessThanOrEqual(POINTS + 1)
          }
          const cells = stop.hits
            .filter((h) => h.part !== undefined && entry === 'cells')
            .map((h) => `${h.taxon} ${h.part}`)
          expect(new Set(cells).size).toBe(cells.length)
          for (const h of stop.hits.filter((x) => x.part !== undefined)) expect(h.part).toBeGreaterThanOrEqual(1)
        }
      }),
      { numRuns: 80 },
    )
  })

  it('going to another stop writes nothing', () => {
    fc.assert(
      fc.property(actions, fc.constantFrom(1 as const, -1 as const), (done, by) => {
        const state = run(method, done)
        expect(countReducer(state, { kind: 'step', by }).stops).toBe(state.stops)
      }),
      { numRuns: 30 },
    )
  })

  it('what another device counted takes the place of that stop alone', () => {
    fc.assert(
      fc.property(actions, fc.integer({ min: 1, max: STOPS }), (done, seq) => {
        const state = run(method, done)
        const stop = { ...openStop(`s${seq}`, seq, null), hits: [{ taxon: 'dandelion', amount: 1 }], version: 7 }
        const after = countReducer(state, { kind: 'theirs', stop })
        expect(stopAt(after, seq)).toBe(stop)
        expect(after.stops.filter((s) => s.seq !== seq)).toEqual(state.stops.filter((s) => s.seq !== seq))
      }),
      { numRuns: 30 },
    )
  })

  it('a stop that is added comes last under a number of its own, and is where one stands', () => {
    fc.assert(
      fc.property(actions, (done) => {
        const after = countReducer(run(method, done), { kind: 'add', id: 'new', position: [1, 1], stratum: 'hollow' })
        expect(after.stops.map((s) => s.seq)).toEqual([1, 2, 3, 4])
        expect(stopAt(after)).toMatchObject({ id: 'new', seq: 4, stratum: 'hollow', hits: [] })
      }),
      { numRuns: 20 },
    )
  })
})

describe('pins through all layers', () => {
  const hits = (state: CountState) => stopAt(state)!.hits.map((h) => `${h.part} ${h.taxon}`)
  const hit = (name: string): CountAction => ({ kind: 'hit', taxon: name })

  it('a plant counts once on a pin, and the space bar lets down the next', () => {
    const done = [hit('timothy'), hit('timothy'), hit('white-clover'), { kind: 'same' } as const, hit('timothy')]
    expect(hits(run('layer-points', done))).toEqual(['1 timothy', '1 white-clover', '2 timothy'])
  })

  it('no pin is let down before the one in hand has touched something, and none beyond the last', () => {
    expect(run('layer-points', [{ kind: 'same' }, { kind: 'same' }]).pin).toBe(1)
    const all = Array.from({ length: POINTS + 3 }, () => [hit('bare'), { kind: 'same' } as const]).flat()
    const state = run('layer-points', all)
    expect(state.pin).toBe(POINTS)
    expect(pointsAt(state, stopAt(state)!)).toBe(POINTS)
  })
})

describe('a search walk', () => {
  it('counts the plants of a leg up, many at a time, and takes none for a finding', () => {
    const found = run('search-walk', [
      { kind: 'hit', taxon: 'tansy-ragwort' },
      { kind: 'hit', taxon: 'tansy-ragwort', times: 12 },
    ])
    expect(stopAt(found)!.hits).toEqual([{ taxon: 'tansy-ragwort', amount: 13 }])
    const none = run('search-walk', [
      { kind: 'measure', patch: { legM: 60 } },
      { kind: 'next', at: AT },
    ])
    expect(stopAt(none, 1)).toMatchObject({ doneAt: AT, hits: [] })
    expect(none.current).toBe(2)
  })
})
