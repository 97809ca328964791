import { describe, expect, it } from 'vitest'
import { isPermitted } from '@/server/access/permissions.ts'
import { nearest } from '@/server/flora/problem.ts'
import { listRounds } from '@/server/db/rounds.ts'
import { loadDemo } from '@/server/demo/loadDemo.ts'
import { apiForFile } from '@/tests/support/api.ts'
import { flora } from '@/tests/support/book.ts'

const api = apiForFile()
/** Milliseconds that some work holds the thread; each limit is a hundred times what it takes, so that a slow machine passes. */
const holds = (work: () => unknown): number => {
  const from = performance.now()
  work()
  return performance.now() - from
}

describe('what anybody may send does not hold the thread', () => {
  it('a path of slashes: the time grows with its length, not with its square', () => {
    const slashes = '/'.repeat(100_000)
    expect(holds(() => isPermitted('nobody', { method: 'GET', path: `/x${slashes}x` }))).toBeLessThan(100)
    expect(isPermitted('nobody', { method: 'GET', path: '/health///' })).toBe(true)
  })

  it('a name of a megabyte is not held against every plant to its end', () => {
    const ids = flora.plants.map((p) => p.id)
    expect(holds(() => nearest('x'.repeat(1_000_000), ids))).toBeLessThan(100)
    expect(nearest('timoty', ids)[0]).toBe('timothy')
  })

  it('an address longer than any of ours is refused before it is looked at', async () => {
    await api.get(`/api/${'x'.repeat(600)}`).expect(414)
  })

  it('what is echoed is cut', async () => {
    await loadDemo(api.db, '2027-05-01')
    const [round] = await listRounds(api.db)
    const { body } = await api.put(`/api/rounds/${round!.id}/unknowns/A`, { namedAs: 'y'.repeat(50_000) }).expect(400)
    expect((body as { error: { message: string } }).error.message.length).toBeLessThan(600)
  })
})

describe('a body of nearly a megabyte', () => {
  // Each took 1.3 to 3.6 s of the only thread before the objects and names of a body were counted.
  it.each([
    ['forty thousand names', Object.fromEntries(Array.from({ length: 40_000 }, (_, i) => [`name${i}`, i]))],
    ['forty thousand small objects', { hits: Array.from({ length: 40_000 }, (_, i) => ({ a: i, b: 1 })) }],
    ['lists in lists', { boundary: Array.from({ length: 200 }, () => Array.from({ length: 200 }, () => [1, 2])) }],
  ])('of %s is refused before its rules are gone through', async (_what, body) => {
    const [round] = await listRounds(api.db)
    expect(JSON.stringify(body).length).toBeGreaterThan(200_000)
    const { status, body: answer } = await api.put(`/api/kept/lab/${round!.id}`, body)
    expect(status).toBe(400)
    expect((answer as { error: { message: string } }).error.message).toMatch(/more than anything/)
  })
})

describe('what the database cannot store', () => {
  const put = async (patch: object) => {
    const [round] = await listRounds(api.db)
    return api.put(`/api/kept/lab/${round!.id}`, { sample: 's', cpPct: 12, adfPct: 30, ndfPct: 50, ...patch })
  }
  const nested = (depth: number): unknown => (depth === 0 ? 1 : [nested(depth - 1)])

  // PostgreSQL 18 manual, 8.14: \u0000 and halves of surrogate pairs are no text of jsonb.
  it.each([
    ['NUL, as instruments fill fields with it', { sample: 'L-77\u0000\u0000' }],
    ['half of a character', { sample: 'L-\ud800' }],
    ['a name that every object has', JSON.parse('{"__proto__": {"a": 1}}') as object],
    ['more depth than anything has', { extra: nested(2000) }],
  ])('%s is answered 400 with what it is', async (_what, patch) => {
    const { status, body } = await put(patch)
    expect(status).toBe(400)
    expect((body as { error: { message: string } }).error.message).toMatch(/stored|nested/)
  })

  it('a plant whose YAML is aliases of aliases is refused as a text', async () => {
    const bomb = ['a: &a [x,x,x,x,x,x,x,x,x]', ...'bcdefgh'.split('').map((c, i) => `${c}: &${c} [${`*${'abcdefg'[i]},`.repeat(9)}]`)].join('\n') // prettier-ignore
    await api.post('/api/plants', { yaml: `id: bomb\n${bomb}` }).expect(400)
  })

  it('nothing of this was an error inside', () => expect(api.logged).toEqual([]))
})
