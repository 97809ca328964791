import express from 'express'
import { rateLimit } from 'express-rate-limit'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { RateLimitStore } from '@/server/access/rateLimitStore.ts'
import type { Db } from '@/server/db/db.ts'
import { migrate } from '@/server/db/migrate.ts'
import { testDatabase } from '@/tests/support/database.ts'

let db: Db
beforeAll(async () => {
  db = await testDatabase()
  await migrate(db)
})
afterAll(() => db.close())

const store = (prefix: string, windowMs = 60_000) => {
  const made = new RateLimitStore(db, prefix)
  made.init({ windowMs } as Parameters<RateLimitStore['init']>[0])
  return made
}
const hits = async (s: RateLimitStore, key: string) => (await s.increment(key)).totalHits

describe('how often somebody asked, counted in the database', () => {
  it('several servers count together, each key and each rule for itself', async () => {
    const [one, two, other] = [store('a:'), store('a:'), store('b:')]
    expect([await hits(one, 'x'), await hits(two, 'x'), await hits(one, 'x')]).toEqual([1, 2, 3])
    expect([await hits(one, 'y'), await hits(other, 'x')]).toEqual([1, 1])
  })

  it('many at once are counted one by one', async () => {
    const s = store('c:')
    const seen = await Promise.all(Array.from({ length: 40 }, () => hits(s, 'x')))
    expect(seen.sort((a, b) => a - b)).toEqual(Array.from({ length: 40 }, (_, i) => i + 1))
  })

  it('starts anew when the time is over, and not before', async () => {
    const s = store('d:', 60_000)
    const { resetTime } = await s.increment('x')
    expect(Math.abs(resetTime!.getTime() - Date.now() - 60_000)).toBeLessThan(5000)
    expect((await s.increment('x')).resetTime).toEqual(resetTime)
    await db.query(`update asked set until = now() - interval '1 second' where who = 'd:x'`)
    const again = await s.increment('x')
    expect(again.totalHits).toBe(1)
    expect(again.resetTime!.getTime()).toBeGreaterThan(Date.now() + 50_000)
  })

  it('a window from a clock that was ahead does not lock anybody out for as long', async () => {
    const s = store('h:', 60_000)
    await s.increment('x')
    await db.query(`update asked set times = 900, until = now() + interval '50 days' where who = 'h:x'`)
    const again = await s.increment('x')
    expect(again.totalHits).toBe(1)
    expect(again.resetTime!.getTime()).toBeLessThan(Date.now() + 65_000)
  })

  it('one that began first and is written last still counts: the window of the other ends a little later', async () => {
    const s = store('i:', 60_000)
    await s.increment('x')
    await db.query(`update asked set until = now() + interval '61 seconds' where who = 'i:x'`)
    expect((await s.increment('x')).totalHits).toBe(2)
  })

  it('one that is taken back counts no more, and never below none', async () => {
    const s = store('e:')
    await s.increment('x')
    for (let i = 0; i < 3; i++) await s.decrement('x')
    expect(await hits(s, 'x')).toBe(1)
    await s.resetKey('x')
    expect(await hits(s, 'x')).toBe(1)
  })

  it('names that look like a statement are only names', async () => {
    const s = store('f:')
    for (const key of ["'; drop table asked; --", '%', 'ключ', 'x'.repeat(2000)]) expect(await hits(s, key)).toBe(1)
  })

  it('two servers behind one limit let through as many as it says, together', async () => {
    const servers = [1, 2].map(() =>
      express()
        .use(rateLimit({ store: store('g:'), windowMs: 60_000, limit: 5, keyGenerator: () => 'all' }))
        .get('/', (_req, res) => void res.send('in')),
    )
    const answers: number[] = []
    for (let i = 0; i < 8; i++) answers.push((await request(servers[i % 2]!).get('/')).status)
    expect(answers).toEqual([200, 200, 200, 200, 200, 429, 429, 429])
  })
})
