import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { openStop, type Paddock, type Round, type RoundSummary } from '@/core/records/round.ts'
import { emptyPaddock, hitsOf, roundOf } from '@/tests/support/rounds.ts'
import { readPlaces } from '@/web/data/readPlaces.ts'
import { keyOf } from '@/contract/commandKeys.ts'
import type { Command, PlannedRound, SentStop } from '@/contract/commands.ts'
import { readRound, readRounds } from '@/web/data/readRound.ts'
import { applyToCache } from '@/web/stores/fieldCache.ts'
import { useOutbox } from '@/web/stores/outboxStore.ts'

const holding = { id: 'h', name: 'Withy Bank', client: 'Ansa Merrowfield' }
const paddock: Paddock = { ...emptyPaddock, name: 'Long Croft' }
const known = roundOf('step-points', [openStop('s1', 1, [0, 0]), openStop('s2', 2, [0, 1])])
const { id, paddockId, title, method, purpose, plannedOn, pointsPerStop, settings, source } = known
const summary: RoundSummary = {
  id,
  paddockId,
  title,
  method,
  purpose,
  plannedOn,
  pointsPerStop,
  settings,
  source,
  paddock: 'Long Croft',
  holding: holding.name,
  client: holding.client,
  stops: 2,
  stopsDone: 0,
}

const plan: PlannedRound = {
  id: 'new',
  paddockId: 'p',
  title: 'Laid in the field',
  purpose: '',
  plannedOn: '2027-04-02',
  pointsPerStop: 20,
  method: 'cover-classes',
  settings: { scale: 'braun-blanquet' },
  laid: [1, 2, 3].map((seq) => ({ id: `n${seq}`, seq, position: [0, seq], stratum: seq === 3 ? 'hollow' : '' })),
  route: { line: [[0, 0]], lengthM: 90 }, // prettier-ignore
}

let answers: Record<string, unknown>
const waiting = (...commands: Command[]) =>
  useOutbox.setState({ pending: commands.map((command) => ({ key: keyOf(command), command })) })
const saveStop = (roundId: string, seq: number, stop: Partial<SentStop>): Command => ({
  do: 'save-stop',
  roundId,
  seq,
  stop: { id: `s${seq}`, hits: [], doneAt: null, stratum: '', measures: {}, skipped: null, ...stop },
})
const naming = (letter: string, plant: string): Command => ({
  do: 'write-naming',
  naming: {
    id: `n-${plant}`,
    roundId: 'r',
    letter,
    plant,
    probability: 0.97,
    context: {},
    observations: [],
    namedAt: '2027-04-02T10:00:00Z',
    place: '',
    specimens: 1,
    evidence: [],
  },
})

beforeEach(() => {
  answers = {
    '/api/rounds': [summary],
    '/api/rounds/r': known,
    '/api/places': { holdings: [holding], paddocks: [paddock] },
  }
  useOutbox.setState({ pending: [], refused: [], conflicts: [], versions: {} })
  vi.stubGlobal('fetch', async (url: string) => {
    if (!(url in answers)) throw new TypeError('no network')
    return new Response(JSON.stringify(answers[url]), { status: 200 })
  })
})
afterEach(() => vi.unstubAllGlobals())

describe('a round as this device knows it', () => {
  it('is the server’s where nothing waits', async () => {
    expect(await readRound('r')).toEqual(JSON.parse(JSON.stringify(known)))
  })

  it('holds what still waits to be sent, stop by stop', async () => {
    waiting(saveStop('r', 2, { hits: hitsOf({ timothy: 3 }), measures: { heightCm: 9 } }))
    const round = await readRound('r')
    expect(round.stops[0]!.hits).toEqual([])
    expect(round.stops[1]).toMatchObject({ seq: 2, measures: { heightCm: 9 } })
    expect(round.stops[1]!.hits).toHaveLength(3)
  })

  it('holds a stop that was added here, and a letter that was named here', async () => {
    waiting(saveStop('r', 3, { position: [1, 1] }), {
      do: 'name-letter',
      roundId: 'r',
      letter: 'A',
      namedAs: 'velvetgrass',
    })
    const round = await readRound('r')
    expect(round.stops.map((s) => s.seq)).toEqual([1, 2, 3])
    expect(round.stops[2]).toMatchObject({ id: 's3', position: [1, 1], skipped: null })
    expect(round.unknowns).toEqual([{ letter: 'A', namedAs: 'velvetgrass' }])
  })

  it('an unknown that is named at the bench has its name, as the bench writes it down', async () => {
    waiting(naming('A', 'velvetgrass'))
    expect((await readRound('r')).unknowns).toEqual([{ letter: 'A', namedAs: 'velvetgrass' }])
  })

  it('what waits for another round does not come into it', async () => {
    waiting(saveStop('r2', 1, { hits: hitsOf({ bare: 2 }) }))
    expect((await readRound('r')).stops[0]!.hits).toEqual([])
  })

  it('a round planned here and not sent yet opens whole', async () => {
    waiting({ do: 'plan-round', round: plan })
    const round = await readRound('new')
    expect(round).toMatchObject({ title: 'Laid in the field', holding: 'Withy Bank', client: 'Ansa Merrowfield' })
    expect(round.stops.map((s) => s.stratum)).toEqual(['', '', 'hollow'])
    expect(round.settings.scale).toBe('braun-blanquet')
  })

  it('one that was never opened here says so in words', async () => {
    await expect(readRound('elsewhere')).rejects.toThrow('was not opened on this device before')
  })
})

describe('the lists', () => {
  it('rounds hold those planned here, once, also after the server has them', async () => {
    waiting({ do: 'plan-round', round: plan })
    expect((await readRounds()).map((r) => r.title)).toEqual(['Laid in the field', 'Count'])
    expect((await readRounds())[0]).toMatchObject({ stops: 3, stopsDone: 0, paddock: 'Long Croft' })
    answers['/api/rounds'] = [{ ...summary, id: 'new' }]
    expect(await readRounds()).toHaveLength(1)
  })

  it('places hold what was drawn or changed here', async () => {
    waiting(
      { do: 'add-holding', holding: { id: 'h2', name: 'Mill Strip', client: '' } },
      { do: 'add-paddock', paddock: { ...paddock, id: 'p2', holdingId: 'h2', name: 'Drawn' } },
      { do: 'save-paddock', paddock: { ...paddock, name: 'Long Croft, south' } },
      { do: 'delete-event', paddockId: 'p', eventId: 'e1' },
    )
    const { holdings, paddocks } = await readPlaces()
    expect(holdings.map((h) => h.name)).toEqual(['Withy Bank', 'Mill Strip'])
    expect(paddocks.map((p) => p.name)).toEqual(['Long Croft, south', 'Drawn'])
  })
})

/** The browser's store of answers, as far as it is used. */
class KeptAnswers {
  readonly kept = new Map<string, string>()
  match = async (url: string) => (this.kept.has(url) ? new Response(this.kept.get(url)) : undefined)
  put = async (url: string, response: Response) => void this.kept.set(url, await response.text())
  round = () => JSON.parse(this.kept.get('/api/rounds/r')!) as Round
}

describe('what the server has taken is in the kept copy', () => {
  let store: KeptAnswers
  beforeEach(() => {
    store = new KeptAnswers()
    store.kept.set('/api/rounds/r', JSON.stringify(known))
    vi.stubGlobal('caches', { open: async () => store })
  })

  it('a stop with its version, before it leaves the outbox', async () => {
    await applyToCache(saveStop('r', 2, { hits: hitsOf({ timothy: 2 }) }), 5)
    expect(store.round().stops[1]).toMatchObject({ seq: 2, version: 5 })
    expect(store.round().stops[1]!.hits).toHaveLength(2)
    expect(store.round().stops[0]).toEqual(JSON.parse(JSON.stringify(known.stops[0])))
  })

  it('an added stop, and a letter that got its name', async () => {
    await applyToCache(saveStop('r', 3, {}), 1)
    await applyToCache({ do: 'name-letter', roundId: 'r', letter: 'B', namedAs: 'timothy' }, undefined)
    await applyToCache(naming('B', 'red-fescue'), undefined)
    expect(store.round().stops).toHaveLength(3)
    expect(store.round().unknowns).toEqual([{ letter: 'B', namedAs: 'red-fescue' }])
  })

  it('nothing is kept of a round that was never opened, and a store that fails does not hold up the sending', async () => {
    await applyToCache(saveStop('other', 1, {}), 1)
    expect([...store.kept.keys()]).toEqual(['/api/rounds/r'])
    vi.stubGlobal('caches', { open: () => Promise.reject(new Error('storage full')) })
    await expect(applyToCache(saveStop('r', 1, {}), 1)).resolves.toBeUndefined()
  })

  it('a whole count: letters sent one by one leave the copy as the server has it', async () => {
    vi.stubGlobal('fetch', async (_: string, init: { body: string }) => {
      const { base } = JSON.parse(init.body) as { base: number }
      return new Response(JSON.stringify({ version: base + 1 }), { status: 200 })
    })
    for (const n of [1, 2, 3]) {
      useOutbox.getState().post(saveStop('r', 1, { hits: hitsOf({ timothy: n }) }))
      await vi.waitFor(() => expect(useOutbox.getState().pending).toEqual([]))
    }
    expect(store.round().stops[0]!.hits).toHaveLength(3)
    expect(store.round().stops[0]!.version).toBe(3)
  })
})
