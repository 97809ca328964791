import { describe, expect, it } from 'vitest'
import { eventsAfter, planAfter, roundAfter } from '@/contract/applied.ts'
import { commandOf, requestOf } from '@/contract/commandRequests.ts'
import { inPlaceOf, keyOf } from '@/contract/commandKeys.ts'
import { openStop } from '@/core/records/round.ts'
import { oneOfEach as all } from '@/tests/support/commands.ts'
import { emptyPaddock, roundOf } from '@/tests/support/rounds.ts'
import { commandWords } from '@/text/commandWords.ts'

const commands = Object.values(all)
const { event } = all['save-event']
const { item } = all['save-plan-item']
const { naming } = all['write-naming']
const { holding } = all['save-holding']

describe('a command and its request', () => {
  it.each(commands.map((c) => [c.do, c] as const))('%s is read back from what is sent', (_name, command) => {
    expect(commandOf(JSON.parse(JSON.stringify(requestOf(command))) as never)).toEqual(command)
    expect(commandWords(command).length).toBeGreaterThan(5)
  })

  it('what no command is known for stays a request, as it was kept', () => {
    const request = { method: 'PUT' as const, url: '/api/of-an-earlier-version/7', body: { a: 1 } }
    expect(commandOf(request)).toEqual({ do: 'request', ...request })
    expect(requestOf(commandOf(request))).toEqual(request)
  })
})

describe('a later command', () => {
  it('takes the place of one for the same record, and of no other', () => {
    expect(keyOf(all['add-paddock'])).toBe(keyOf(all['save-paddock']))
    expect(keyOf(all['save-event'])).toBe(keyOf(all['delete-event']))
    expect(keyOf(all['write-naming'])).not.toBe(keyOf({ do: 'write-naming', naming: { ...naming, id: 'n2' } }))
  })

  it('leaves what the server does not have yet to be added, as it was changed since', () => {
    const changed = { ...emptyPaddock, name: 'Drawn twice' }
    const now = inPlaceOf(all['add-paddock'], { do: 'save-paddock', paddock: changed })
    expect(now).toEqual({ do: 'add-paddock', paddock: changed })
    expect(requestOf(now).method).toBe('POST')
  })
})

describe('what was read, after a command', () => {
  const round = { ...roundOf('step-points', [openStop('s1', 1, null)]), id: 'r' }

  it('a round has the stop, the added one too, and the name of a letter; another round does not', () => {
    const after = [all['save-stop'], all['write-naming']].reduce((r, c) => roundAfter(r, c), round)
    expect(after.stops.map((s) => s.seq)).toEqual([1, 3])
    expect(after.unknowns).toEqual([{ letter: 'A', namedAs: 'timothy' }])
    expect(roundAfter({ ...round, id: 'other' }, all['save-stop'])).toEqual({ ...round, id: 'other' })
    expect(roundAfter(round, all['save-stop'], 7).stops[1]!.version).toBe(7)
  })

  it('a history has what waits, the latest first, and not what was taken out', () => {
    const earlier = { ...event, id: 'e0', onDate: '2026-01-01' }
    expect(eventsAfter([earlier], 'p', all['save-event']).map((e) => e.id)).toEqual(['e', 'e0'])
    expect(eventsAfter([earlier], 'q', all['save-event'])).toEqual([earlier])
    expect(eventsAfter([event, earlier], 'p', all['delete-event'])).toEqual([earlier])
  })

  it('a plan has the line with where it is', () => {
    const places = { holdings: [holding], paddocks: [{ ...emptyPaddock, id: 'p', holdingId: 'h', name: 'Long Croft' }] }
    expect(planAfter([], all['save-plan-item'], places)).toEqual([{ ...item, paddock: 'Long Croft', holding: 'Withy Bank' }]) // prettier-ignore
    expect(planAfter([{ ...item, paddock: '', holding: '' }], all['delete-plan-item'], places)).toEqual([])
  })
})
