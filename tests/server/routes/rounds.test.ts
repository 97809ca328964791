import { randomUUID } from 'node:crypto'
import Papa from 'papaparse'
import { beforeAll, describe, expect, it } from 'vitest'
import type { Round, RoundSummary } from '@/core/records/round.ts'
import { loadDemo } from '@/server/demo/loadDemo.ts'
import { apiForFile } from '@/tests/support/api.ts'
import { flora } from '@/tests/support/book.ts'
import { vectorFile } from '@/tests/support/vectors.ts'

const api = apiForFile()
beforeAll(() => loadDemo(api.db, '2027-04-02'))

const rounds = async () => (await api.get('/api/rounds').expect(200)).body as RoundSummary[]
const round = async (id: string) => (await api.get(`/api/rounds/${id}`).expect(200)).body as Round
const titled = async (title: string) => round((await rounds()).find((r) => r.title === title)!.id)

describe('the demo valley', () => {
  it('holds the six places, some counted and some to walk', async () => {
    const list = await rounds()
    // Six places; one of them was counted in three earlier years as well, two once before they are walked again.
    expect(new Set(list.map((r) => r.paddock)).size).toBe(6)
    expect(list).toHaveLength(11)
    expect(list.filter((r) => r.stopsDone === r.stops)).toHaveLength(9)
    expect(list.find((r) => r.title === 'Before turnout')).toMatchObject({
      paddock: 'Long Croft',
      stops: 30,
      stopsDone: 0,
      plannedOn: '2027-04-02',
    })
  })

  it('is loaded into an empty database only', async () => {
    expect(await loadDemo(api.db, '2027-04-02')).toBe(false)
    expect(await rounds()).toHaveLength(11)
  })

  it('counts every stop in full, with plants of the book', async () => {
    const livery = await titled('Harm walk and count')
    const known = new Set([...flora.plants.map((p) => p.id), 'bare', 'litter', 'unknown:A'])
    for (const stop of livery.stops) {
      expect(stop.hits).toHaveLength(livery.pointsPerStop)
      for (const hit of stop.hits) expect(known).toContain(hit.taxon)
    }
  })
})

describe('planning', () => {
  const square = {
    type: 'Polygon',
    coordinates: [
      [
        [-29.4, 45.6],
        [-29.398, 45.6],
        [-29.398, 45.6015],
        [-29.4, 45.6015],
        [-29.4, 45.6],
      ],
    ],
  }

  it('a paddock comes from GeoJSON, a round gets its W laid into it', async () => {
    const [holdingId, paddockId, id] = [randomUUID(), randomUUID(), randomUUID()]
    await api.post('/api/holdings', { id: holdingId, name: 'Test Holding', client: '' }).expect(201)
    const feature = { type: 'Feature', properties: {}, geometry: square }
    await api
      .post('/api/paddocks', {
        id: paddockId,
        holdingId,
        name: 'Square',
        boundary: feature,
        region: 'transition',
        outlook: 'hay',
      })
      .expect(201)
    const body = {
      id,
      paddockId,
      title: 'Count',
      purpose: 'To see',
      plannedOn: '2027-05-01',
      pointsPerStop: 10,
      stops: 12,
    }
    await api.post('/api/rounds', body).expect(201)
    const made = await round(id)
    expect(made.stops).toHaveLength(12)
    expect(made.route!.line).toHaveLength(5)
    expect(made.route!.lengthM).toBeGreaterThan(100)
    expect(made.paddock).toMatchObject({ name: 'Square', region: 'transition' })
    // Sent twice, it is there once.
    await api.post('/api/rounds', body).expect(201)
    expect((await round(id)).stops.map((s) => s.id)).toEqual(made.stops.map((s) => s.id))
  })

  it.each([
    ['a boundary that is a point', { boundary: { type: 'Point', coordinates: [0, 0] } }, 'boundary', /Polygon/],
    ['a region that is none', { region: 'moon' }, 'region', /cool-humid/],
    ['a sown plant nobody knows', { sown: ['moss'] }, 'sown[0]', /Nearest/],
    ['no name', { name: '' }, 'name', /empty/],
    ['an id that is no UUID', { id: '7' }, 'id', /UUID/],
  ])('a paddock with %s is refused', async (_what, change, field, said) => {
    const holdingId = (await api.get('/api/places')).body.holdings[0].id as string
    const body = {
      id: randomUUID(),
      holdingId,
      name: 'X',
      boundary: square,
      region: 'transition',
      outlook: 'hay',
      ...change,
    }
    const { error } = (await api.post('/api/paddocks', body).expect(400)).body as {
      error: { field: string; message: string }
    }
    expect(error.field).toBe(field)
    expect(error.message).toMatch(said)
  })

  it('a paddock of a holding that is not there is refused, not stored', async () => {
    const body = {
      id: randomUUID(),
      holdingId: randomUUID(),
      name: 'X',
      boundary: square,
      region: 'transition',
      outlook: 'hay',
    }
    await api.post('/api/paddocks', body).expect(400)
  })

  it('a round in a paddock that is not there is refused', async () => {
    const body = {
      id: randomUUID(),
      paddockId: randomUUID(),
      title: 'X',
      purpose: '',
      plannedOn: '2027-05-01',
      pointsPerStop: 10,
      stops: 5,
    }
    expect((await api.post('/api/rounds', body).expect(400)).body.error.field).toBe('paddockId')
  })

  it.each([
    ['2027-13-01', 'plannedOn'],
    ['tomorrow', 'plannedOn'],
  ])('a day like %s is refused', async (plannedOn, field) => {
    const paddockId = (await titled('Before turnout')).paddockId
    const body = { id: randomUUID(), paddockId, title: 'X', purpose: '', plannedOn, pointsPerStop: 10, stops: 5 }
    expect((await api.post('/api/rounds', body).expect(400)).body.error.field).toBe(field)
  })
})

describe('counting', () => {
  const hits = (...taxa: string[]) => taxa.map((taxon) => ({ taxon, amount: 1 }))

  it('a stop is written whole, in order, and twice leaves it once', async () => {
    const planned = await titled('Before turnout')
    const body = {
      id: planned.stops[0]!.id,
      hits: hits('timothy', 'bare', 'unknown:A'),
      doneAt: '2027-04-02T09:12:00.000Z',
    }
    for (let i = 0; i < 2; i++) await api.put(`/api/rounds/${planned.id}/stops/1`, body).expect(200)
    const [stop] = (await round(planned.id)).stops
    expect(stop!.hits.map((h) => h.taxon)).toEqual(['timothy', 'bare', 'unknown:A'])
    expect(stop!.doneAt).toBe('2027-04-02T09:12:00.000Z')
    expect(stop!.position).toEqual(planned.stops[0]!.position)
  })

  it('a later version takes the place of the earlier one', async () => {
    const planned = await titled('Before turnout')
    const url = `/api/rounds/${planned.id}/stops/2`
    await api.put(url, { id: planned.stops[1]!.id, hits: hits('timothy', 'timothy') }).expect(200)
    await api.put(url, { id: planned.stops[1]!.id, hits: hits('white-clover') }).expect(200)
    expect((await round(planned.id)).stops[1]!.hits).toEqual(hits('white-clover'))
  })

  it('a stop with one bad hit leaves what was there before', async () => {
    const planned = await titled('Before turnout')
    const url = `/api/rounds/${planned.id}/stops/3`
    await api.put(url, { id: planned.stops[2]!.id, hits: hits('timothy') }).expect(200)
    const { error } = (await api.put(url, { id: planned.stops[2]!.id, hits: hits('timothy', 'timoty') }).expect(400))
      .body
    expect(error).toMatchObject({ field: 'hits[1].taxon' })
    expect(error.message).toMatch(/timothy/)
    expect((await round(planned.id)).stops[2]!.hits).toEqual(hits('timothy'))
  })

  it.each([
    ['/stops/99', 404],
    ['/stops/x', 404],
  ])('a stop that was not planned (%s) is a %i', async (path, status) => {
    const planned = await titled('Before turnout')
    await api.put(`/api/rounds/${planned.id}${path}`, { id: randomUUID(), hits: [] }).expect(status)
  })

  it.each([['not-a-uuid'], [randomUUID()]])('a round %s that is not there is a 404', async (id) => {
    await api.get(`/api/rounds/${id}`).expect(404)
    await api.put(`/api/rounds/${id}/stops/1`, { id: randomUUID(), hits: [] }).expect(404)
    await api.get(`/api/rounds/${id}/files/hits.csv`).expect(404)
  })

  it('words that would be SQL or script are kept as words', async () => {
    const planned = await titled('Before turnout')
    const odd = `latin:Robert'); drop table hit;-- <script>`
    await api.put(`/api/rounds/${planned.id}/stops/4`, { id: planned.stops[3]!.id, hits: hits(odd) }).expect(200)
    expect((await round(planned.id)).stops[3]!.hits[0]!.taxon).toBe(odd)
  })
})

describe('naming an unknown later', () => {
  const naming = (roundId: string | null, letter: string | null) => ({
    id: randomUUID(),
    roundId,
    letter,
    plant: 'velvetgrass',
    probability: 0.97,
    context: { month: 4 },
    observations: [{ character: 'sheath.hairs', states: ['dense-soft'], sureness: 'sure' }],
    namedAt: '2027-04-02T10:00:00.000Z',
  })

  it('gives the letter its name, and its counts follow everywhere', async () => {
    const livery = await titled('Harm walk and count')
    const body = naming(livery.id, 'A')
    await api.post('/api/namings', body).expect(201)
    await api.post('/api/namings', body).expect(201)
    expect((await round(livery.id)).unknowns).toEqual([{ letter: 'A', namedAs: 'velvetgrass' }])
    const list = (await api.get('/api/namings').expect(200)).body as { id: string; observations: unknown[] }[]
    expect(list.filter((n) => n.id === body.id)).toHaveLength(1)
    expect(list[0]!.observations).toEqual(body.observations)
    const csv = (await api.get(`/api/rounds/${livery.id}/files/hits.csv`).expect(200)).text
    const rows = Papa.parse<Record<string, string>>(csv.trim(), { header: true }).data
    const was = rows.filter((r) => r.recorded_as === 'Unknown A')
    expect(was.length).toBeGreaterThan(0)
    for (const r of was) expect(r.taxon).toBe('velvetgrass')
  })

  it('the name can be taken away again', async () => {
    const livery = await titled('Harm walk and count')
    await api.put(`/api/rounds/${livery.id}/unknowns/A`, { namedAs: null }).expect(200)
    expect((await round(livery.id)).unknowns).toEqual([{ letter: 'A', namedAs: null }])
  })

  it('a letter with the mark of a device is another plant than the bare letter', async () => {
    const livery = await titled('Harm walk and count')
    await api.post('/api/namings', naming(livery.id, 'A.4kf')).expect(201)
    expect((await round(livery.id)).unknowns).toEqual([
      { letter: 'A', namedAs: null },
      { letter: 'A.4kf', namedAs: 'velvetgrass' },
    ])
    const stop = livery.stops.at(-1)!
    await api
      .put(`/api/rounds/${livery.id}/stops/${stop.seq}`, { id: stop.id, hits: [{ taxon: 'unknown:A.4kf', amount: 1 }] })
      .expect(200)
    const rows = (await api.get(`/api/rounds/${livery.id}/files/hits.csv`).expect(200)).text
    expect(rows).toMatch(/velvetgrass.*Unknown A \(4kf\)|Unknown A \(4kf\).*velvetgrass/)
  })

  it('a loose plant may be written down without a round', async () => {
    await api.post('/api/namings', naming(null, null)).expect(201)
  })

  it('a letter that is none, and a plant that is none, are refused', async () => {
    const livery = await titled('Harm walk and count')
    await api.put(`/api/rounds/${livery.id}/unknowns/AB`, { namedAs: null }).expect(400)
    await api.put(`/api/rounds/${livery.id}/unknowns/A.Q-1`, { namedAs: null }).expect(400)
    await api.put(`/api/rounds/${livery.id}/unknowns/A`, { namedAs: 'moss' }).expect(400)
    await api.post('/api/namings', { ...naming(null, null), plant: 'moss' }).expect(400)
    await api.post('/api/namings', { ...naming(null, null), probability: 1.2 }).expect(400)
    await api.post('/api/namings', { ...naming(randomUUID(), 'A') }).expect(400)
  })
})

describe('files of a round', () => {
  it('composition.csv holds the shares with their intervals', async () => {
    const meadow = await titled('Hay worth')
    const got = await api.get(`/api/rounds/${meadow.id}/files/composition.csv`).expect(200)
    expect(got.headers['content-type']).toMatch(/text\/csv/)
    expect(got.headers['content-disposition']).toMatch(/composition\.csv/)
    const rows = Papa.parse<Record<string, string>>(got.text.trim(), { header: true }).data
    expect(rows.reduce((s, r) => s + Number(r.share_percent), 0)).toBeCloseTo(100, 0)
    for (const r of rows) expect(Number(r.low_95_percent)).toBeLessThanOrEqual(Number(r.share_percent))
  })

  it('stops.geojson holds the boundary and every stop', async () => {
    const meadow = await titled('Hay worth')
    const got = await api.get(`/api/rounds/${meadow.id}/files/stops.geojson`).expect(200)
    const features = (JSON.parse(got.text) as { features: { geometry: { type: string } }[] }).features
    expect(features.filter((f) => f.geometry.type === 'Point')).toHaveLength(24)
  })

  it('a cell that looks like a formula is made harmless for a spreadsheet', async () => {
    const planned = await titled('Before turnout')
    const hits = [{ taxon: 'latin:=HYPERLINK("x")', amount: 1 }]
    await api.put(`/api/rounds/${planned.id}/stops/5`, { id: planned.stops[4]!.id, hits }).expect(200)
    const csv = (await api.get(`/api/rounds/${planned.id}/files/hits.csv`).expect(200)).text
    expect(csv).not.toMatch(/(^|,)"?=/m)
  })

  it('an unknown file is a 404, and nothing counted is said in words', async () => {
    const strip = await titled('First spring after sowing')
    await api.get(`/api/rounds/${strip.id}/files/secrets.txt`).expect(404)
    const { error } = (await api.get(`/api/rounds/${strip.id}/files/composition.csv`).expect(400)).body as {
      error: { message: string }
    }
    expect(error.message).toMatch(/Nothing is counted/)
  })
})

describe('the open dune-meadow table', () => {
  it('is loaded once, links what the book knows, and notes source and licence', async () => {
    const first = (await api.post('/api/imports/dune', {}).expect(201)).body as {
      roundId: string
      species: number
      linked: number
    }
    const again = (await api.post('/api/imports/dune', {}).expect(201)).body as { roundId: string }
    expect(again.roundId).toBe(first.roundId)
    expect(first.species).toBe(30)
    const made = await round(first.roundId)
    expect(made.stops).toHaveLength(20)
    expect(made.source).toMatch(/Jongman, ter Braak & van Tongeren 1987.*GPL-2/)
    const taxa = new Set(made.stops.flatMap((s) => s.hits.map((h) => h.taxon)))
    expect(taxa.size).toBe(30)
    for (const id of [
      'western-yarrow',
      'perennial-ryegrass',
      'white-clover',
      'kentucky-bluegrass',
      'buckhorn-plantain',
    ])
      expect(taxa).toContain(id)
    expect([...taxa].filter((t) => !t.startsWith('latin:'))).toHaveLength(first.linked)
  })

  it('keeps every cover value of the table', async () => {
    const table = vectorFile('composition-dune').datasets!.dune!
    const id = ((await api.post('/api/imports/dune', {})).body as { roundId: string }).roundId
    const made = await round(id)
    table.cover.forEach((row, i) => {
      const sum = made.stops[i]!.hits.reduce((s, h) => s + h.amount, 0)
      expect(sum).toBe(row.reduce((a, b) => a + b, 0))
      expect(made.stops[i]!.hits).toHaveLength(row.filter((v) => v > 0).length)
    })
  })

  it('no other table is there', async () => void (await api.post('/api/imports/heath', {}).expect(404)))

  it('none of all this was an error inside', () => expect(api.logged).toEqual([]))
})
