import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { apiForFile } from '@/tests/support/api.ts'
import { flora } from '@/tests/support/book.ts'

const api = apiForFile()

interface Answer {
  candidates: { plant: string; probability: number; evidence: { character: string; bits: number }[] }[]
  notInBook: number
  harmfulOpen: { plant: string; probability: number }[]
  next: { character: string; bits: number; effort: string }[]
  verdict: { kind: string; text: string }
}
const identify = async (body: object) => (await api.post('/api/identify', body).expect(200)).body as Answer

describe('POST /api/identify', () => {
  it('answers in the fixed shape', async () => {
    const got = await identify({
      context: { month: 4, stage: 'vegetative', sown: ['tall-fescue'] },
      observations: [
        { character: 'vernation', states: ['rolled'], sureness: 'sure' },
        { character: 'blade.width', value: 8, unit: 'mm' },
      ],
    })
    expect(got.candidates[0]).toMatchObject({ plant: 'tall-fescue' })
    expect(got.candidates[0]!.evidence.map((e) => e.character)).toEqual(['vernation', 'blade.width'])
    for (const e of got.candidates[0]!.evidence) expect(typeof e.bits).toBe('number')
    expect(got.next[0]).toEqual({
      character: expect.any(String),
      bits: expect.any(Number),
      effort: expect.stringMatching(/glance|hand|lens|dig/),
    })
    expect(['named', 'narrowed', 'open']).toContain(got.verdict.kind)
    expect(got.verdict.text.length).toBeGreaterThan(0)
    expect(got.harmfulOpen).toBeInstanceOf(Array)
  })

  it('candidates are sorted and sum to 1 with notInBook', async () => {
    const { candidates, notInBook } = await identify({
      observations: [{ character: 'leaf.plan', states: ['three-palmate'] }],
    })
    const p = candidates.map((c) => c.probability)
    expect(p).toEqual([...p].sort((a, b) => b - a))
    expect(p.reduce((a, b) => a + b, notInBook)).toBeCloseTo(1, 9)
    expect(candidates).toHaveLength(flora.plants.length)
  })

  it('every context field may be missing, and so may the context and the observations', async () => {
    for (const body of [
      {},
      { context: {} },
      { observations: [] },
      { context: { month: 7 } },
      { context: { stage: 'mown' } },
      { context: { sown: [] } },
    ])
      expect((await identify(body)).candidates.length).toBe(flora.plants.length)
  })

  it('harmfulOpen lists plants of the role toxic only', async () => {
    const toxic = new Set(flora.plants.filter((p) => p.role === 'toxic').map((p) => p.id))
    const { harmfulOpen } = await identify({ observations: [{ character: 'life.form', states: ['forb'] }] })
    expect(harmfulOpen.length).toBeGreaterThan(0)
    for (const h of harmfulOpen) expect(toxic.has(h.plant)).toBe(true)
  })

  it('"can\'t tell" is taken and says nothing', async () => {
    const before = await identify({})
    const after = await identify({ observations: [{ character: 'vernation', states: ['cant-tell'] }] })
    expect(after.candidates[0]!.probability).toBeCloseTo(before.candidates[0]!.probability, 12)
    expect(after.next.map((n) => n.character)).not.toContain('vernation')
  })

  it('the last word on a character counts', async () => {
    const one = await identify({ observations: [{ character: 'vernation', states: ['folded'] }] })
    const two = await identify({
      observations: [
        { character: 'vernation', states: ['rolled'] },
        { character: 'vernation', states: ['folded'] },
      ],
    })
    expect(two.candidates).toEqual(one.candidates)
  })
})

describe('several plants, kit and place', () => {
  it('counts and values of several plants are taken', async () => {
    const got = await identify({
      context: { found: ['tall-fescue'], neighbours: ['timothy'], ground: ['wet'], lacking: ['spade'] },
      observations: [
        { character: 'base.colour', counts: { 'purple-red': 2, 'green-or-white': 3 } },
        { character: 'blade.width', values: [7, 8, 9] },
      ],
    })
    expect(got.candidates[0]!.evidence).toHaveLength(2)
    expect(got.next.every((n) => n.effort !== 'dig')).toBe(true)
  })

  it.each([
    ['half a plant', { character: 'vernation', counts: { rolled: 0.5 } }, 'observations[0].counts'],
    ['no plant', { character: 'vernation', counts: { rolled: 0 } }, 'observations[0].counts'],
    ['a state that is none', { character: 'vernation', counts: { roled: 2 } }, 'observations[0].counts.roled'],
    ['counts of a size', { character: 'blade.width', counts: { wide: 2 } }, 'observations[0].counts'],
    ['sizes out of range', { character: 'blade.width', values: [5, 5000] }, 'observations[0].values'],
    ['sizes of a state', { character: 'vernation', values: [5] }, 'observations[0].values'],
  ])('%s is refused with its field', async (_what, observation, field) => {
    const { body } = await api.post('/api/identify', { observations: [observation] }).expect(400)
    expect(body.error.field).toBe(field)
  })

  it('the character table is handed out as DELTA text, the groups as JSON', async () => {
    const delta = await api.get('/api/files/characters.delta').expect(200)
    expect(delta.text).toMatch(/^\*SHOW Fold Sprig/)
    const { body } = await api.get('/api/groups').expect(200)
    expect((body as { id: string }[]).map((g) => g.id)).toContain('sweetclovers')
  })
})

describe('bad input is answered with 400, the field, and the nearest valid ids', () => {
  it.each([
    [
      'an unknown character',
      { observations: [{ character: 'vernatoin', states: ['rolled'] }] },
      'observations[0].character',
      /vernation/,
    ],
    [
      'an unknown state',
      { observations: [{ character: 'vernation', states: ['roled'] }] },
      'observations[0].states[0]',
      /rolled/,
    ],
    [
      'the second of two',
      {
        observations: [
          { character: 'vernation', states: ['rolled'] },
          { character: 'x', states: ['y'] },
        ],
      },
      'observations[1].character',
      /Nearest/,
    ],
    ['a sown plant that is not in the book', { context: { sown: ['tall-fescu'] } }, 'context.sown[0]', /tall-fescue/],
    ['a month that is none', { context: { month: 13 } }, 'context.month', /12/],
    ['a month in words', { context: { month: 'April' } }, 'context.month', /./],
    ['a stage that is none', { context: { stage: 'teenage' } }, 'context.stage', /seedling, vegetative/],
    [
      'a sureness that is none',
      { observations: [{ character: 'vernation', states: ['rolled'], sureness: 'very' }] },
      'observations[0].sureness',
      /sure, likely, guess/,
    ],
    ['inches', { observations: [{ character: 'blade.width', value: 1, unit: 'inch' }] }, 'observations[0].unit', /mm/],
    [
      'a size below nothing',
      { observations: [{ character: 'blade.width', value: -3 }] },
      'observations[0].value',
      /between 0 and 120/,
    ],
    [
      'a size for a state',
      { observations: [{ character: 'vernation', value: 3 }] },
      'observations[0].value',
      /rolled, folded/,
    ],
    [
      'a state for a size',
      { observations: [{ character: 'blade.width', states: ['wide'] }] },
      'observations[0].states',
      /value in mm/,
    ],
    ['neither', { observations: [{ character: 'vernation' }] }, 'observations[0]', /either states or a value/],
    [
      'both',
      { observations: [{ character: 'vernation', states: ['rolled'], value: 2 }] },
      'observations[0]',
      /either states or a value/,
    ],
    ['no states', { observations: [{ character: 'vernation', states: [] }] }, 'observations[0].states', /at least 1/],
    ['a field nobody knows', { observations: [], mood: 'good' }, 'mood', /should not exist/],
    ['observations that are no list', { observations: 'rolled' }, 'observations', /./],
  ])('%s', async (_what, body, field, said) => {
    const { body: got } = await api.post('/api/identify', body).expect(400)
    const { error } = got as { error: { code: string; message: string; field: string } }
    expect(error.code).toBe('invalid')
    expect(error.field).toBe(field)
    expect(error.message).toMatch(said)
  })

  it.each([['[]'], ['null'], ['5'], ['"rolled"'], ['{"observations":'], ['']])('a body of %s', async (text) => {
    const got = await api.raw().post('/api/identify').set('content-type', 'application/json').send(text)
    // An empty body is no observation at all, which is allowed to be answered; everything else is refused.
    if (text === '') expect([200, 400]).toContain(got.status)
    else expect(got.status).toBe(400)
  })

  it('a body too large is refused', async () => {
    const got = await api.post('/api/identify', { observations: [], mood: 'x'.repeat(2_000_000) })
    expect(got.status).toBe(413)
  })

  it('whatever JSON is sent, the answer is 200 or 400, and nothing is logged as broken', async () => {
    await fc.assert(
      fc.asyncProperty(fc.jsonValue({ maxDepth: 4 }), async (value) => {
        const wrapped = [value, { observations: value }, { context: value }, { observations: [value] }][
          JSON.stringify(value).length % 4
        ]!
        const got = await api
          .raw()
          .post('/api/identify')
          .set('content-type', 'application/json')
          .send(JSON.stringify(wrapped))
        expect([200, 400]).toContain(got.status)
      }),
      { numRuns: 150 },
    )
    expect(api.logged).toEqual([])
  })
})

describe('the book over HTTP', () => {
  it('GET /api/plants gives every plant, GET /api/plants/:id one of them', async () => {
    const { body } = await api.get('/api/plants').expect(200)
    expect((body as { id: string }[]).map((p) => p.id)).toEqual(flora.plants.map((p) => p.id))
    const one = await api.get('/api/plants/poison-hemlock').expect(200)
    expect(one.body).toMatchObject({ id: 'poison-hemlock', role: 'toxic', scientificName: 'Conium maculatum' })
  })

  it('GET /api/characters gives the vocabulary', async () => {
    const { body } = await api.get('/api/characters').expect(200)
    const vernation = (body as { id: string; states: string[] }[]).find((c) => c.id === 'vernation')!
    expect(vernation.states).toEqual(['rolled', 'folded'])
  })

  it('an unknown plant or address is a 404 in the same shape', async () => {
    expect((await api.get('/api/plants/moss').expect(404)).body).toMatchObject({ error: { code: 'not-found' } })
    expect((await api.get('/api/nothing').expect(404)).body).toMatchObject({ error: { code: 'not-found' } })
  })

  it('sends a strict content policy and does not say what it runs on', async () => {
    const { headers } = await api.get('/api/health').expect(200)
    expect(headers['content-security-policy']).toMatch(/default-src 'none'/)
    expect(headers['content-security-policy']).not.toMatch(/unsafe/)
    expect(headers['x-powered-by']).toBeUndefined()
  })
})
