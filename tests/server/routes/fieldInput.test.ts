import fc from 'fast-check'
import { randomUUID } from 'node:crypto'
import { beforeAll, describe, expect, it } from 'vitest'
import { roundFile } from '@/core/formats/roundFile.ts'
import type { Round, RoundSummary } from '@/core/records/round.ts'
import { loadDemo } from '@/server/demo/loadDemo.ts'
import { apiForFile } from '@/tests/support/api.ts'

const api = apiForFile()
beforeAll(() => loadDemo(api.db, '2027-04-02'))

const list = async () => (await api.get('/api/rounds').expect(200)).body as RoundSummary[]
const round = async (title: string) => {
  const { id } = (await list()).find((r) => r.title === title)!
  return (await api.get(`/api/rounds/${id}`).expect(200)).body as Round
}

/** A value of the wrong kind somewhere in what is otherwise right. */
const spoiled = (good: Record<string, unknown>) =>
  fc
    .tuple(fc.constantFrom(...Object.keys(good)), fc.jsonValue({ maxDepth: 3 }))
    .map(([key, value]) => ({ ...good, [key]: value }))

describe('whatever is sent from the field, the answer is no breakdown, and nothing is half written', () => {
  it('a stop', async () => {
    const { id, stops } = await round('Before turnout')
    const good = {
      id: randomUUID(),
      hits: [{ taxon: 'timothy', amount: 1, part: 2 }],
      doneAt: '2027-04-02T10:00:00.000Z',
      position: [-29.4, 45.6],
      stratum: 'hollow',
      measures: { heightCm: 4, grazed: 'not' },
      skipped: null,
      by: randomUUID(),
      base: 0,
    }
    await fc.assert(
      fc.asyncProperty(spoiled(good), async (body) => {
        const got = await api.put(`/api/rounds/${id}/stops/5`, body)
        expect([200, 400, 409]).toContain(got.status)
      }),
      { numRuns: 150 },
    )
    expect(api.logged).toEqual([])
    // The last right one stands whole over whatever was taken before, and no other stop has changed.
    const last = { ...good, by: undefined, base: undefined, hits: [{ taxon: 'bare', amount: 1 }] }
    await api.put(`/api/rounds/${id}/stops/5`, last).expect(200)
    expect((await round('Before turnout')).stops[4]).toMatchObject({
      seq: 5,
      hits: last.hits,
      measures: good.measures,
      stratum: 'hollow',
      skipped: null,
    })
    expect((await round('Before turnout')).stops.filter((s) => s.seq !== 5)).toEqual(stops.filter((s) => s.seq !== 5))
  })

  it('a plan', async () => {
    const { paddockId } = await round('Before turnout')
    const good = () => ({
      id: randomUUID(),
      paddockId,
      title: 'Plan',
      purpose: '',
      plannedOn: '2027-04-03',
      pointsPerStop: 10,
      method: 'clips',
      settings: { frameM2: 0.25 },
      laid: [{ id: randomUUID(), seq: 1, position: [0, 0], stratum: '' }],
      route: { line: [[0, 0]], lengthM: 3 }, // prettier-ignore
    })
    await fc.assert(
      fc.asyncProperty(
        fc.constant(0).chain(() => spoiled(good())),
        async (body) => {
          const got = await api.post('/api/rounds', body)
          expect([201, 400]).toContain(got.status)
          if (got.status === 201) await api.get(`/api/rounds/${body.id as string}`).expect(200)
        },
      ),
      { numRuns: 120 },
    )
    expect(api.logged).toEqual([])
  })

  it('a paddock and its events', async () => {
    const { paddock } = await round('Before turnout')
    const event = { kind: 'grazed', onDate: '2026-05-01', note: '', detail: { amount: '8 horses' } }
    await fc.assert(
      fc.asyncProperty(spoiled({ ...paddock }), spoiled(event), async (place, happened) => {
        expect([200, 400]).toContain((await api.put(`/api/paddocks/${paddock.id}`, place)).status)
        const got = await api.put(`/api/paddocks/${paddock.id}/events/${randomUUID()}`, happened)
        expect([200, 400]).toContain(got.status)
      }),
      { numRuns: 100 },
    )
    expect(api.logged).toEqual([])
    expect((await round('Before turnout')).paddock.id).toBe(paddock.id)
  })

  it('a round file', async () => {
    const file = roundFile(await round('Hay worth'))
    const stops = file.round.stops.slice(0, 2)
    const small = { ...file, round: { ...file.round, stops } }
    await fc.assert(
      fc.asyncProperty(spoiled({ ...small.round }), spoiled({ ...small }), async (inner, outer) => {
        for (const body of [{ ...small, round: inner }, outer])
          expect([201, 400]).toContain((await api.post('/api/round-files', body)).status)
      }),
      { numRuns: 60, examples: [[{ ...small.round, stops: [[]] as never }, { ...small }]] },
    )
    expect(api.logged).toEqual([])
    expect((await round('Hay worth')).stops).toHaveLength(24)
  })
})

describe('addresses that are none', () => {
  it.each([
    ['put', '/api/paddocks/not-an-id'],
    ['put', `/api/paddocks/${randomUUID()}/events/${randomUUID()}`],
    ['get', '/api/paddocks/not-an-id'],
    ['put', `/api/rounds/${randomUUID()}/stops/1`],
  ] as const)('%s %s is a plain 404 or 400', async (method, url) => {
    const got = method === 'get' ? await api.get(url) : await api.put(url, {})
    expect([400, 404]).toContain(got.status)
    expect((got.body as { error: { message: string } }).error.message.length).toBeGreaterThan(5)
  })

  it.each(['0', '-1', '1.5', 'abc', '1e3', '99999999999'])('stop %s is no stop', async (seq) => {
    const { id } = await round('Before turnout')
    const got = await api.put(`/api/rounds/${id}/stops/${seq}`, { id: randomUUID(), hits: [] })
    expect(got.status).toBe(404)
  })
})
