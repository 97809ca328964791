import { randomUUID } from 'node:crypto'
import { beforeAll, describe, expect, it } from 'vitest'
import { readRoundFile, roundFile } from '@/core/formats/roundFile.ts'
import type { PaddockEvent } from '@/core/records/paddockEvent.ts'
import type { Paddock, Round, RoundSummary } from '@/core/records/round.ts'
import { loadDemo } from '@/server/demo/loadDemo.ts'
import { apiForFile } from '@/tests/support/api.ts'

const api = apiForFile()
const here = apiForFile()
beforeAll(() => loadDemo(api.db, '2027-04-02'))

const round = async (id: string, at = api) => (await at.get(`/api/rounds/${id}`).expect(200)).body as Round
const titled = async (title: string) => {
  const list = (await api.get('/api/rounds').expect(200)).body as RoundSummary[]
  return round(list.find((r) => r.title === title)!.id)
}
const message = (res: { body: unknown }) => (res.body as { error: { message: string; field?: string } }).error

describe('a round laid on the device', () => {
  const id = randomUUID()
  const plan = async (patch: object = {}) => {
    const { paddockId } = await titled('Before turnout')
    return {
      id,
      paddockId,
      title: 'Frames',
      purpose: '',
      plannedOn: '2027-04-03',
      pointsPerStop: 1,
      method: 'dry-weight-rank',
      settings: { few: 'scaled', frameM2: 0.25, routeKind: 'grid' },
      route: { line: [[-29.4, 45.6]], lengthM: 320 }, // prettier-ignore
      laid: [1, 2].map((seq) => ({
        id: randomUUID(),
        seq,
        position: [-29.4, 45.6],
        stratum: seq === 2 ? 'hollow' : '',
      })),
      ...patch,
    }
  }

  it('is kept as it was laid, and a second time changes nothing', async () => {
    const body = await plan()
    await api.post('/api/rounds', body).expect(201)
    await api.post('/api/rounds', { ...body, title: 'Twice' }).expect(201)
    const kept = await round(id)
    expect(kept).toMatchObject({ title: 'Frames', method: 'dry-weight-rank', settings: { few: 'scaled' } })
    expect(kept.stops.map((s) => [s.id, s.stratum])).toEqual(body.laid.map((s) => [s.id, s.stratum]))
  })

  it.each([
    ['method', { method: 'guessing' }],
    ['settings.frameM2', { settings: { frameM2: -1 } }],
    ['settings.few', { settings: { few: 'all' } }],
    ['laid[0].id', { laid: [{ id: 'x', seq: 1 }] }],
  ])('a wrong %s is refused by its name', async (field, patch) => {
    const res = await api.post('/api/rounds', await plan({ id: randomUUID(), ...patch })).expect(400)
    expect(message(res).field).toBe(field)
  })

  it('a stop keeps its measures, cells and skips; added stops follow the last', async () => {
    const stop = {
      id: randomUUID(),
      hits: [{ taxon: 'timothy', amount: 1, part: 7 }],
      measures: { heightCm: 12, grazed: 'hard', dung: 2 },
      doneAt: '2027-04-03T09:00:00.000Z',
    }
    await api.put(`/api/rounds/${id}/stops/1`, stop).expect(200)
    await api.put(`/api/rounds/${id}/stops/2`, { ...stop, hits: [], skipped: 'under water' }).expect(200)
    await api.put(`/api/rounds/${id}/stops/3`, { ...stop, position: [-29.39, 45.61] }).expect(200)
    const kept = await round(id)
    expect(kept.stops[0]).toMatchObject({ hits: stop.hits, measures: stop.measures, version: 1 })
    expect(kept.stops[1]).toMatchObject({ skipped: 'under water', stratum: 'hollow' })
    expect(kept.stops[2]).toMatchObject({ seq: 3, id: stop.id, position: [-29.39, 45.61] })
    await api.put(`/api/rounds/${id}/stops/9`, stop).expect(404)
    const res = await api.put(`/api/rounds/${id}/stops/1`, { ...stop, measures: { heightCm: -4 } }).expect(400)
    expect(message(res).field).toBe('measures.heightCm')
  })
})

describe('two devices at one stop', () => {
  const [one, two] = [randomUUID(), randomUUID()]
  const body = (by: string, base: number, taxon: string) => ({
    id: randomUUID(),
    hits: [{ taxon, amount: 1 }],
    doneAt: null,
    by,
    base,
  })
  const at = async (seq: number) => `/api/rounds/${(await titled('Before turnout')).id}/stops/${seq}`

  it('the second does not overwrite the first: both are shown', async () => {
    const url = await at(1)
    await api.put(url, body(one, 0, 'timothy')).expect(200)
    const res = await api.put(url, body(two, 0, 'bare')).expect(409)
    expect((res.body as { error: { theirs: unknown } }).error.theirs).toMatchObject({
      seq: 1,
      version: 1,
      hits: [{ taxon: 'timothy', amount: 1 }],
    })
    // Who has seen the first version may write over it.
    await api.put(url, body(two, 1, 'bare')).expect(200)
    await api.put(url, body(one, 1, 'timothy')).expect(409)
  })

  it('the same device writes on although an answer was lost', async () => {
    const url = await at(2)
    await api.put(url, body(one, 0, 'timothy')).expect(200)
    const again = await api.put(url, body(one, 0, 'bare')).expect(200)
    expect(again.body).toMatchObject({ version: 2 })
  })

  it('two that saw the same do not conflict', async () => {
    const url = await at(3)
    await api.put(url, body(one, 0, 'timothy')).expect(200)
    const same = await api.put(url, body(two, 0, 'timothy')).expect(200)
    expect(same.body).toMatchObject({ version: 1 })
  })
})

describe('a paddock', () => {
  const paddock = async () => (await titled('Before turnout')).paddock
  const part = (kind = 'gateway') => ({
    name: 'Gate',
    kind,
    keptOut: true,
    polygon: { type: 'Polygon', coordinates: [[[0, 0], [1, 0], [1, 1]]] }, // prettier-ignore
  })

  it('keeps its parts and notes', async () => {
    const p = await paddock()
    await api.put(`/api/paddocks/${p.id}`, { ...p, note: 'Wet by the alder', strata: [part()] }).expect(200)
    const kept = ((await api.get(`/api/paddocks/${p.id}`).expect(200)).body as { paddock: Paddock }).paddock
    expect(kept.note).toBe('Wet by the alder')
    expect(kept.strata[0]).toMatchObject({ name: 'Gate', keptOut: true })
    expect(kept.strata[0]!.polygon.coordinates[0]).toHaveLength(4)
    const res = await api.put(`/api/paddocks/${p.id}`, { ...p, strata: [part('moat')] }).expect(400)
    expect(message(res).field).toBe('strata[0].kind')
    await api.put(`/api/paddocks/${randomUUID()}`, p).expect(404)
  })

  it('its holding takes another name and client; one that is not there, or has no name, is refused', async () => {
    const { holdingId } = await paddock()
    const named = { id: holdingId, name: 'Upper Holding', client: 'A new client' }
    await api.put(`/api/holdings/${holdingId}`, named).expect(200)
    const { holdings } = (await api.get('/api/places').expect(200)).body as { holdings: { id: string }[] }
    expect(holdings.find((h) => h.id === holdingId)).toEqual(named)
    await api.put(`/api/holdings/${randomUUID()}`, named).expect(404)
    await api.put('/api/holdings/x', named).expect(404)
    expect(message(await api.put(`/api/holdings/${holdingId}`, { ...named, name: '' }).expect(400)).field).toBe('name')
  })

  it('keeps its history, the latest first; an event is changed and taken out', async () => {
    const { id } = (await titled('Hay worth')).paddock
    const events = async () =>
      ((await api.get(`/api/paddocks/${id}`).expect(200)).body as { events: PaddockEvent[] }).events
    const [sown, cut] = [randomUUID(), randomUUID()]
    const detail = { sown: [{ plant: 'timothy', kgPerHa: 12, pls: 0.85 }] }
    await api
      .put(`/api/paddocks/${id}/events/${sown}`, { kind: 'sown', onDate: '2025-09-01', note: '', detail })
      .expect(200)
    const mown = { kind: 'cut', onDate: '2026-06-20', note: 'hay', detail: { amount: '8 cm' } }
    await api.put(`/api/paddocks/${id}/events/${cut}`, mown).expect(200)
    await api.put(`/api/paddocks/${id}/events/${cut}`, { ...mown, note: 'haylage' }).expect(200)
    expect((await events()).map((e) => [e.kind, e.note])).toEqual([
      ['cut', 'haylage'],
      ['sown', ''],
    ])
    expect((await events())[1]!.detail).toEqual(detail)
    await api.raw().delete(`/api/paddocks/${id}/events/${cut}`).expect(200)
    expect(await events()).toHaveLength(1)
    const wrong = {
      kind: 'sown',
      onDate: '2025-09-01',
      note: '',
      detail: { sown: [{ ...detail.sown[0], plant: 'timoty' }] },
    }
    const res = await api.put(`/api/paddocks/${id}/events/${randomUUID()}`, wrong).expect(400)
    expect(message(res).message).toContain('timothy')
  })
})

describe('a round as one file', () => {
  it('is read back as it was written, and what is none says so', async () => {
    const file = roundFile(await titled('Hay worth'))
    expect(readRoundFile(JSON.stringify(file))).toEqual({ file: JSON.parse(JSON.stringify(file)) as unknown })
    for (const text of ['', '[]', 'null', '{"kind":"else"}', '{"kind":"fold-sprig-round","version":7}'])
      expect(readRoundFile(text)).toHaveProperty('problem')
  })

  it('opens where it is unknown, the same to the last hit', async () => {
    const hay = await titled('Hay worth')
    const taken = await here.post('/api/round-files', roundFile(hay)).expect(201)
    expect(taken.body).toMatchObject({ isNew: true, stopsTaken: 24, conflicts: [] })
    const there = await round(hay.id, here)
    expect(there.stops.map((s) => s.hits)).toEqual(hay.stops.map((s) => s.hits))
    expect(there.paddock).toEqual(hay.paddock)
  })

  it('where it is known, stops are merged: new ones come in, unlike ones are shown, nothing is overwritten', async () => {
    const hay = await titled('Hay worth')
    const changed = {
      ...hay,
      stops: hay.stops.map((s) => (s.seq === 3 ? { ...s, hits: [{ taxon: 'bare', amount: 1 }] } : s)),
    }
    const taken = await here.post('/api/round-files', roundFile(changed)).expect(201)
    const { conflicts, stopsTaken } = taken.body as { conflicts: { seq: number }[]; stopsTaken: number }
    expect(conflicts.map((c) => c.seq)).toEqual([3])
    expect(stopsTaken).toBe(23)
    expect((await round(hay.id, here)).stops[2]!.hits).toEqual(hay.stops[2]!.hits)
  })

  it('a file with a wrong field is refused by its name, and nothing is half taken', async () => {
    const walk = await titled('Harm walk and count')
    const broken = { ...walk, stops: [{ ...walk.stops[0]!, hits: [{ taxon: 'no-such-plant', amount: 1 }] }] }
    const res = await here.post('/api/round-files', roundFile(broken as Round)).expect(400)
    expect(message(res).message).toContain('no-such-plant')
    await here.get(`/api/rounds/${walk.id}`).expect(404)
    expect(here.logged).toEqual([])
  })
})
