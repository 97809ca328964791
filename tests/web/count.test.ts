import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { unknownTaxon } from '@/core/records/taxon.ts'
import { amountsAt } from '@/core/methods/tally.ts'
import { letterMark, taxonName } from '@/text/taxonNames.ts'
import { openStop, type Round, type Stop } from '@/core/records/round.ts'
import { flora } from '@/tests/support/book.ts'
import { assignKeys, expectedPlants, letters } from '@/web/features/rounds/countKeys.ts'
import { countReducer, startCount } from '@/web/features/rounds/countReducer.ts'
import { stopAt, type CountAction, type CountState } from '@/web/features/rounds/countState.ts'

const stops = (n: number): Stop[] => Array.from({ length: n }, (_, i) => openStop(`s${i + 1}`, i + 1, null))

const begin = (n = 3, pointsPerStop = 4) => startCount({ pointsPerStop, stops: stops(n) })
const after = (state: CountState, ...actions: CountAction[]) => actions.reduce(countReducer, state)
const hit = (taxon: string): CountAction => ({ kind: 'hit', taxon })
const next: CountAction = { kind: 'next', at: '2027-04-02T09:00:00.000Z' }
const undo: CountAction = { kind: 'undo' }
const taxaOf = (state: CountState, seq = state.current) => stopAt(state, seq)!.hits.map((h) => h.taxon)

describe('counting by keys', () => {
  it('each key is a point, in the order it fell', () => {
    expect(taxaOf(after(begin(), hit('timothy'), hit('bare'), hit('timothy')))).toEqual(['timothy', 'bare', 'timothy'])
  })

  it('space counts the same plant again, and nothing before the first', () => {
    expect(taxaOf(after(begin(), { kind: 'same' }))).toEqual([])
    expect(taxaOf(after(begin(), hit('bare'), { kind: 'same' }))).toEqual(['bare', 'bare'])
  })

  it('a full stop takes no more points', () => {
    const full = after(begin(), ...Array.from({ length: 9 }, () => hit('timothy')))
    expect(taxaOf(full)).toHaveLength(4)
  })

  it('enter closes a full stop and goes on', () => {
    const state = after(begin(), hit('a'), hit('b'), hit('c'), hit('d'), next)
    expect(state.current).toBe(2)
    expect(stopAt(state, 1)!.doneAt).toBe('2027-04-02T09:00:00.000Z')
  })

  it('a short stop is closed only when asked twice', () => {
    const once = after(begin(), hit('a'), next)
    expect(once).toMatchObject({ current: 1, shortWarned: true })
    expect(after(once, hit('b')).shortWarned).toBe(false)
    expect(after(once, next)).toMatchObject({ current: 2, shortWarned: false })
  })

  it('a stop left without a point stays open', () => {
    const state = after(begin(), next, next)
    expect(state.current).toBe(2)
    expect(stopAt(state, 1)!.doneAt).toBeNull()
  })

  it('undo goes back point by point, then into the stop before', () => {
    let state = after(begin(), hit('a'), hit('b'), hit('c'), hit('d'), next, hit('e'))
    state = after(state, undo)
    expect(taxaOf(state)).toEqual([])
    state = after(state, undo)
    expect(state.current).toBe(1)
    state = after(state, undo)
    expect(taxaOf(state)).toEqual(['a', 'b', 'c'])
    expect(stopAt(state, 1)!.doneAt).toBeNull()
  })

  it('undo at the very beginning changes nothing', () => {
    const start = begin()
    expect(after(start, undo)).toEqual(start)
  })

  it('the last stop is the end of the walk', () => {
    const state = after(begin(1), hit('a'), hit('b'), hit('c'), hit('d'), next)
    expect(state.current).toBe(1)
    expect(stopAt(state)!.doneAt).not.toBeNull()
  })

  it('begins at the first stop that is still open', () => {
    const list = stops(3)
    list[0] = { ...list[0]!, doneAt: '2027-04-02T09:00:00.000Z' }
    expect(startCount({ pointsPerStop: 4, stops: list }).current).toBe(2)
  })

  it('whatever is pressed, no stop holds more points than planned and as many undos lead back to nothing', () => {
    const action = fc.oneof(fc.constantFrom(hit('a'), hit('b'), next, undo), fc.constant<CountAction>({ kind: 'same' }))
    fc.assert(
      fc.property(fc.array(action, { maxLength: 60 }), (actions) => {
        let state = after(begin(5), ...actions)
        if (!state.stops.every((s) => s.hits.length <= 4)) return false
        state = after(state, { kind: 'go', seq: 5 }, ...Array.from({ length: 40 }, () => undo))
        return state.stops.every((s) => s.hits.length === 0)
      }),
    )
  })
})

const round = (over: Partial<Round> = {}): Round => ({
  id: 'r',
  paddockId: 'p',
  holding: '',
  client: '',
  title: '',
  method: 'step-points',
  purpose: '',
  plannedOn: '2027-04-02',
  pointsPerStop: 4,
  source: '',
  settings: {},
  paddock: {
    id: 'p',
    holdingId: 'h',
    name: '',
    boundary: null,
    region: 'cool-humid',
    outlook: 'grazing',
    sown: ['timothy', 'red-clover'],
    strata: [],
    note: '',
  },
  route: null,
  stops: stops(2),
  unknowns: [],
  ...over,
})

describe('keys of a round', () => {
  it('what was sown comes first, then what was met, then what is common here', () => {
    const met = stops(1)
    met[0]!.hits = ['velvetgrass', 'velvetgrass', 'bare'].map((taxon) => ({ taxon, amount: 1 }))
    const list = expectedPlants(round({ stops: met }), flora.plants, [])
    expect(list.slice(0, 3)).toEqual(['timothy', 'red-clover', 'velvetgrass'])
    expect(list.length).toBeGreaterThanOrEqual(10)
    expect(list.some((id) => flora.plants.find((p) => p.id === id)!.form === 'forb')).toBe(true)
  })

  it('every key is used once, and none that means something else', () => {
    const keys = assignKeys(expectedPlants(round(), flora.plants, []), 'A').map((k) => k.key)
    expect(new Set(keys).size).toBe(keys.length)
    for (const reserved of ['z', 'x', 'n', ' ', '/']) expect(keys).not.toContain(reserved)
    expect(keys).toEqual(expect.arrayContaining(['b', 'v', 'u']))
  })

  it('the next unknown takes the next free letter', () => {
    expect(letters(round())).toEqual({ used: [], free: 'A' })
    const counted = stops(1)
    counted[0]!.hits = [{ taxon: 'unknown:A', amount: 1 }]
    expect(letters(round({ stops: counted, unknowns: [{ letter: 'B', namedAs: null }] }))).toEqual({
      used: ['A', 'B'],
      free: 'C',
    })
  })

  it('two devices that are away give out the same letter under their own marks: two plants, named apart', () => {
    const [ours, theirs] = ['4kf', '9c0'].map((mark) => unknownTaxon(letters(round(), mark).free!)) as [string, string]
    expect([ours, theirs]).toEqual(['unknown:A.4kf', 'unknown:A.9c0'])
    const stop = { seq: 1, hits: [ours, theirs, theirs].map((taxon) => ({ taxon, amount: 1 })) }
    expect([...amountsAt(stop, { 'A.4kf': 'timothy' })]).toEqual([
      ['timothy', 1],
      [theirs, 2],
    ])
    // A letter that was read from the server is not given out again.
    const counted = stops(1)
    counted[0]!.hits = [{ taxon: theirs, amount: 1 }]
    expect(letters(round({ stops: counted }), '4kf')).toEqual({ used: ['A.9c0'], free: 'B.4kf' })
  })

  it('the mark is read only where another device gave the letter out', () => {
    const flora = new Map<string, never>()
    letterMark('4kf')
    expect(['unknown:A', 'unknown:A.4kf', 'unknown:A.9c0'].map((t) => taxonName(t, flora))).toEqual(['Unknown A', 'Unknown A', 'Unknown A (9c0)']) // prettier-ignore
    letterMark('')
  })
})
