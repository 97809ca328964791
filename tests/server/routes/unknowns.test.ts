import { describe, expect, it } from 'vitest'
import { apiForFile } from '@/tests/support/api.ts'
import type { UndeterminedSpecimen } from '@/core/records/specimen.ts'

const api = apiForFile()
const list = async () => (await api.get('/api/unknowns').expect(200)).body as UndeterminedSpecimen[]
const unknown = (over: object = {}) => ({
  id: crypto.randomUUID(),
  place: 'Mill Bank',
  note: '',
  context: { month: 4 },
  observations: [{ character: 'sap', states: ['milky'] }],
  madeAt: '2026-04-02T10:00:00Z',
  ...over,
})

describe('unknowns', () => {
  it('each new one gets the next free letter; sent again it keeps its own', async () => {
    const [a, b] = [unknown(), unknown({ place: 'River Meadow' })]
    expect((await api.put(`/api/unknowns/${a.id}`, a).expect(200)).body).toMatchObject({
      letter: 'A',
      place: 'Mill Bank',
    })
    expect((await api.put(`/api/unknowns/${b.id}`, b).expect(200)).body).toMatchObject({ letter: 'B' })
    expect((await api.put(`/api/unknowns/${a.id}`, { ...a, note: 'hairy' }).expect(200)).body).toMatchObject({
      letter: 'A',
      note: 'hairy',
    })
    expect((await list()).map((u) => u.letter).sort()).toEqual(['A', 'B'])
  })

  it('a name given later stays with it, and so does a colleague’s opinion', async () => {
    const u = unknown()
    const opinion = {
      by: 'R. Hale',
      plant: 'dandelion',
      probability: 0.9,
      note: 'see it in flower',
      at: '2026-04-03T08:00:00Z',
    }
    await api.put(`/api/unknowns/${u.id}`, { ...u, opinion, namedAs: 'dandelion' }).expect(200)
    expect((await list()).find((x) => x.id === u.id)).toMatchObject({ namedAs: 'dandelion', opinion })
  })

  it.each([
    ['an id that is not the address’s', { id: 'b4d0a3f0-58a6-4b0c-9c19-2f6a3c1d2e4f' }, 'id'],
    ['a state there is not', { observations: [{ character: 'sap', states: ['blue'] }] }, 'observations'],
    ['a plant there is not', { namedAs: 'moss' }, 'namedAs'],
    ['a place that is a number', { place: 4 }, 'place'],
  ])('refuses %s and says which field', async (_, over, field) => {
    const u = unknown()
    const { body } = await api.put(`/api/unknowns/${u.id}`, { ...u, ...over }).expect(400)
    expect(body.error.field).toContain(field)
    expect((await list()).some((x) => x.id === u.id)).toBe(false)
  })

  it('a naming keeps where, how many plants and what spoke for it', async () => {
    const naming = {
      id: crypto.randomUUID(),
      plant: 'dandelion',
      probability: 0.97,
      context: {},
      observations: [{ character: 'sap', counts: { milky: 3 } }],
      namedAt: '2026-04-02T10:00:00Z',
      place: 'Mill Bank',
      specimens: 3,
      evidence: [{ character: 'sap', bits: 4.2 }],
    }
    await api.post('/api/namings', naming).expect(201)
    const { body } = await api.get('/api/namings').expect(200)
    expect(body.find((n: { id: string }) => n.id === naming.id)).toMatchObject({
      place: 'Mill Bank',
      specimens: 3,
      evidence: [{ character: 'sap', bits: 4.2 }],
    })
  })
})

// First bytes of the formats: PNG (ISO/IEC 15948), JPEG (ITU-T T.81), WebP (RIFF); from memory.
const png = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR4nGNgYGBgAAAABQABpfZFQAAAAABJRU5ErkJggg==',
  'base64',
)

describe('pictures', () => {
  const put = (id: string, bytes: Buffer, subject = 'plant-1', type = 'image/png') =>
    api.raw().put(`/api/photos/${id}?subject=${subject}`).set('content-type', type).send(bytes)

  it('a picture is kept, listed with its plant, and comes back byte for byte', async () => {
    const id = crypto.randomUUID()
    await put(id, png).expect(201)
    await put(id, png).expect(201)
    expect((await api.get('/api/photos?subject=plant-1').expect(200)).body).toEqual([{ id, mime: 'image/png' }])
    expect((await api.get('/api/photos?subject=plant-2').expect(200)).body).toEqual([])
    const got = await api.get(`/api/photos/${id}`).expect(200).expect('content-type', 'image/png')
    expect(Buffer.compare(got.body as Buffer, png)).toBe(0)
    await api.raw().delete(`/api/photos/${id}`).expect(200)
    await api.get(`/api/photos/${id}`).expect(404)
  })

  it('what is not a picture is refused by its content, whatever it says it is', async () => {
    const page = Buffer.from('<html><script>alert(1)</script></html>')
    const { body } = await put(crypto.randomUUID(), page).expect(415)
    expect(body.error.message).toBe('Only JPEG, PNG or WebP pictures can be kept.')
    await put(crypto.randomUUID(), Buffer.alloc(0)).expect(415)
  })

  it('one that is too large is refused, and nothing is logged as a fault', async () => {
    const { body } = await put(crypto.randomUUID(), Buffer.concat([png, Buffer.alloc(5 * 1024 * 1024)])).expect(413)
    expect(body.error.code).toBe('too-large')
    expect(api.logged).toEqual([])
  })

  it('a picture of nothing, or with an id that is none, is refused', async () => {
    await api.raw().put(`/api/photos/${crypto.randomUUID()}`).set('content-type', 'image/png').send(png).expect(400)
    await put('not-an-id', png).expect(404)
  })
})
