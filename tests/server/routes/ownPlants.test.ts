import { describe, expect, it } from 'vitest'
import { listOwnPlants } from '@/server/db/ownPlants.ts'
import { Book } from '@/server/flora/book.ts'
import { apiForFile } from '@/tests/support/api.ts'
import { flora } from '@/tests/support/book.ts'
import { ownPlantText } from '@/tests/support/ownPlant.ts'

const api = apiForFile()

const { yaml } = ownPlantText()
const look = {
  observations: [
    { character: 'life.form', states: ['grass'] },
    { character: 'smell', states: ['mousy-rank'] },
    { character: 'base.form', states: ['bead-string'] },
    { character: 'ligule.type', states: ['hairs'] },
  ],
}

describe('a plant of the reader’s own', () => {
  it('joins the book: it is listed, named, counted, and its text is kept as written', async () => {
    const before = (await api.post('/api/identify', look).expect(200)).body as { notInBook: number }
    await api.post('/api/plants', { yaml }).expect(201)
    expect((await api.get('/api/plants/made-grass').expect(200)).body).toMatchObject({ commonName: 'Made grass' })
    const after = (await api.post('/api/identify', look).expect(200)).body as {
      candidates: { plant: string }[]
      notInBook: number
    }
    expect(after.candidates[0]!.plant).toBe('made-grass')
    expect(after.candidates).toHaveLength(flora.plants.length + 1)
    expect(after.notInBook).toBeLessThan(before.notInBook)
    expect(await listOwnPlants(api.db)).toEqual([{ id: 'made-grass', yaml }])
  })

  it('a later version takes the place of the earlier one', async () => {
    await api.post('/api/plants', { yaml: yaml.replace('Made grass', 'Made grass, mended') }).expect(201)
    expect((await api.get('/api/plants/made-grass')).body).toMatchObject({ commonName: 'Made grass, mended' })
    expect(await listOwnPlants(api.db)).toHaveLength(1)
  })

  it('is there again after a new start from the same database', async () => {
    const book = new Book(flora)
    for (const own of await listOwnPlants(api.db)) book.add(own.yaml)
    expect(book.flora.plants.map((p) => p.id)).toContain('made-grass')
  })

  it.each([
    [
      'a mistyped state',
      yaml.replace('bead-string', 'beads'),
      /line 15: base\.form has no state "beads"; allowed: .*bead-string/,
    ],
    ['a plant that ships', yaml.replace('id: made-grass', 'id: timothy'), /already has a plant "timothy"/],
    [
      'a look-alike nobody knows',
      yaml.replace('sources:', "lookalikes:\n  - {plant: moss, check: smell, why: 'No.'}\nsources:"),
      /look-alike "moss" is not in the book/,
    ],
    ['no plant at all', 'just words', /keys and values/],
    ['broken YAML', yaml.replace('[4, 5]', '[4, 5'), /line \d+/],
  ])('%s is refused with the line and what is allowed, and nothing changes', async (_what, text, said) => {
    const held = (await api.get('/api/plants')).body as unknown[]
    const { body } = await api.post('/api/plants', { yaml: text }).expect(400)
    expect(body.error).toMatchObject({ code: 'invalid', field: 'yaml' })
    expect(body.error.message).toMatch(said)
    expect((await api.get('/api/plants')).body).toHaveLength(held.length)
  })

  it('a text that is none, or far too long, is refused', async () => {
    await api.post('/api/plants', { yaml: 7 }).expect(400)
    await api.post('/api/plants', { yaml: 'x'.repeat(60_000) }).expect(400)
    expect(api.logged).toEqual([])
  })
})
