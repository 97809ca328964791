import { beforeAll, describe, expect, it } from 'vitest'
import { apiForFile } from '@/tests/support/api.ts'

const api = apiForFile()
const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`
const answer = { id: uuid(1), kind: 'name', about: 'timothy', answered: 'meadow-foxtail', right: false, sure: 0.9, seconds: 7.5, at: '2027-04-01T09:00:00.000Z' } // prettier-ignore
const answers = async () => (await api.get('/api/practice-answers')).body as unknown[]

describe('answers of practice', () => {
  it('are kept once, however often they are sent, and come back in their order', async () => {
    const later = { ...answer, id: uuid(2), kind: 'cover', about: 'cover', answered: 'clover', right: true, at: '2027-04-02T09:00:00.000Z', measured: { truth: 0.31, said: 0.3 } } // prettier-ignore
    expect((await api.post('/api/practice-answers', { answers: [later, answer] })).status).toBe(201)
    expect((await api.post('/api/practice-answers', { answers: [answer] })).status).toBe(201)
    expect(await answers()).toEqual([answer, later])
  })

  it.each([
    ['none', { answers: [] }, 'answers'],
    ['a kind nobody asks', { answers: [{ ...answer, kind: 'quiz' }] }, 'answers[0].kind'],
    ['more than certain', { answers: [{ ...answer, sure: 1.1 }] }, 'answers[0].sure'],
    ['a time without a zone', { answers: [{ ...answer, at: '2027-04-01T09:00:00' }] }, 'answers[0].at'],
    ['a list in the list', { answers: [[answer]] }, 'answers'],
    ['no id', { answers: [{ ...answer, id: 'x' }] }, 'answers[0].id'],
  ])('%s is refused with the field', async (_what, body, field) => {
    const { status, body: said } = await api.post('/api/practice-answers', body)
    expect(status).toBe(400)
    expect((said as { error: { field: string } }).error.field).toBe(field)
    expect(await answers()).toHaveLength(2)
  })
})

describe('names checked again in flower', () => {
  const naming = { id: uuid(5), plant: 'wild-carrot', probability: 0.93, context: {}, observations: [], namedAt: '2027-04-03T10:00:00.000Z' } // prettier-ignore
  const check = { checkedOn: '2027-06-20', was: 'poison-hemlock', note: 'Blotched stem, white umbels' }
  const checks = async () => (await api.get('/api/naming-checks')).body as unknown[]
  beforeAll(async () => void (await api.post('/api/namings', naming)))

  it('what it was is kept with the name, put right, and taken away', async () => {
    expect((await api.put(`/api/naming-checks/${uuid(5)}`, check)).status).toBe(200)
    expect(await checks()).toEqual([{ namingId: uuid(5), ...check }])
    await api.put(`/api/naming-checks/${uuid(5)}`, { ...check, was: 'other' })
    expect(await checks()).toEqual([{ namingId: uuid(5), ...check, was: 'other' }])
    await api.raw().delete(`/api/naming-checks/${uuid(5)}`)
    expect(await checks()).toEqual([])
  })

  it('a name that nobody wrote down, a plant that is not in the book and a day that is none are refused', async () => {
    expect((await api.put(`/api/naming-checks/${uuid(6)}`, check)).status).toBe(404)
    expect((await api.put(`/api/naming-checks/${uuid(5)}`, { ...check, was: 'triffid' })).status).toBe(400)
    expect((await api.put(`/api/naming-checks/${uuid(5)}`, { ...check, checkedOn: '2027-13-01' })).status).toBe(400)
    expect(api.logged).toEqual([])
  })
})
