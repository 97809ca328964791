import { describe, expect, it } from 'vitest'
import type { YearCount } from '@/core/survey/paddockHistory.ts'
import { fixedId } from '@/server/demo/fixedId.ts'
import { loadDemo } from '@/server/demo/loadDemo.ts'
import { apiForFile } from '@/tests/support/api.ts'

const api = apiForFile()
const counts = async (id: string) => (await api.get(`/api/paddocks/${id}/counts`)).body as YearCount[]

describe('counts of a paddock, year on year', () => {
  it('are the same when read again, and follow a stop that is put right', async () => {
    await loadDemo(api.db, '2027-05-01')
    const most = (await api.get('/api/most-counted')).body as { paddockId: string; counts: YearCount[] }
    expect(most.counts.length).toBeGreaterThan(2)
    const first = await counts(most.paddockId)
    expect(first).toEqual(most.counts)

    const { roundId } = first[0]!
    const round = (await api.get(`/api/rounds/${roundId}`)).body as {
      stops: { id: string; seq: number; version: number }[]
    }
    const stop = round.stops[0]!
    const put = await api.put(`/api/rounds/${roundId}/stops/${stop.seq}`, {
      id: stop.id,
      hits: [{ taxon: 'cornflower-that-is-not', amount: 1 }],
      doneAt: '2027-05-01T10:00:00.000Z',
    })
    // A plant that is not in the book is refused, and the counts stay.
    expect(put.status).toBe(400)
    expect(await counts(most.paddockId)).toEqual(first)

    const good = await api.put(`/api/rounds/${roundId}/stops/${stop.seq}`, {
      id: stop.id,
      hits: Array.from({ length: 10 }, () => ({ taxon: 'chicory', amount: 1 })),
      doneAt: '2027-05-01T10:00:00.000Z',
      base: stop.version,
    })
    expect(good.status).toBe(200)
    const again = await counts(most.paddockId)
    // All ten points of one stop are chicory now, which was nowhere before.
    expect(first[0]!.shares.chicory).toBeUndefined()
    expect(again[0]!.shares.chicory!.estimate).toBeGreaterThan(0)
    expect(again[0]!.byStop.chicory![stop.seq]).toBe(1)
    expect(again.slice(1)).toEqual(first.slice(1))
    expect(api.logged).toEqual([])
  })

  it('what was met lately comes with the plant of most stops first, and old rounds do not count', async () => {
    const found = (await api.get('/api/recently-found')).body as string[]
    const { rows } = await api.db.query<{ taxon: string; stops: number }>(
      `select taxon, count(distinct stop_id)::int as stops from hit join stop on stop.id = stop_id
         join round on round.id = round_id where planned_on > current_date - interval '730 days' group by taxon`,
    )
    const most = Math.max(...rows.map((r) => r.stops))
    expect(rows.find((r) => r.taxon === found[0])!.stops).toBe(most)
    expect(new Set(found)).toEqual(new Set(rows.map((r) => r.taxon)))
    await api.db.query(`update round set planned_on = '2001-05-01'`)
    expect((await api.get('/api/recently-found')).body).toEqual([])
  })

  it('a paddock that is not there has none, an address that is none is said', async () => {
    expect(await counts(fixedId('no such paddock'))).toEqual([])
    expect((await api.get('/api/paddocks/x/counts')).status).toBe(404)
  })
})
