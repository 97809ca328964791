import express from 'express'
import request from 'supertest'
import { describe, expect, it } from 'vitest'
import { DatabaseStopped } from '@/server/db/connection.ts'
import { errorHandler } from '@/server/http/errorHandler.ts'
import { badRequest, ConflictError, notFound } from '@/server/http/httpError.ts'

/** What is answered, and what stands in the log, when a route fails in some way. */
async function failing(error: unknown) {
  const logged: unknown[] = []
  const app = express()
    .get('/', () => {
      throw error
    })
    .use(errorHandler((e) => logged.push(e)))
  const { status, body } = await request(app).get('/')
  return { status, error: (body as { error: Record<string, unknown> }).error, logged }
}
const ofDatabase = (code: string) =>
  Object.assign(new Error('insert into holding failed at /srv/secret'), { code, params: ['Ansa Merrowfield'], query: 'insert' }) // prettier-ignore

describe('what is answered when something fails', () => {
  it('what the asker did is said with its field, and is no line in the log', async () => {
    expect(await failing(badRequest('A name is needed.', 'name'))).toEqual({
      status: 400,
      error: { code: 'invalid', message: 'A name is needed.', field: 'name' },
      logged: [],
    })
    expect(await failing(notFound('round'))).toMatchObject({
      status: 404,
      error: { message: 'There is no such round.' },
    })
    const conflict = await failing(new ConflictError('Counted twice.', { seq: 3 }))
    expect(conflict).toMatchObject({ status: 409, error: { code: 'conflict', theirs: { seq: 3 } }, logged: [] })
  })

  it.each([
    ['23503', 400, /belongs to something that is not there/],
    ['23514', 400, /out of its range/],
    ['23505', 409, /already has this id/],
    ['22P02', 400, /not in the form expected/],
    ['22008', 400, /date is out of range/],
    ['22021', 400, /cannot be stored/],
    ['22P05', 400, /cannot be stored/],
    ['53100', 507, /disk of the server is full/],
  ])('state %s of the database (PostgreSQL 18 manual, appendix A) is %i, in words', async (code, status, says) => {
    const { status: got, error, logged } = await failing(ofDatabase(code))
    expect(got).toBe(status)
    expect(error.message).toMatch(says)
    expect(JSON.stringify(error)).not.toMatch(/secret|insert|Ansa/)
    // A full disk is for whoever runs the server too.
    expect(logged).toHaveLength(status >= 500 ? 1 : 0)
  })

  it('a database that stopped is said to come back', async () => {
    const { status, error, logged } = await failing(new DatabaseStopped())
    expect([status, error.code]).toEqual([503, 'database-stopped'])
    expect(logged).toHaveLength(1)
  })

  it('what nobody foresaw tells nothing of the insides, and is in the log', async () => {
    const odd = new Error('at /srv/app/server/x.ts line 3')
    const { status, error, logged } = await failing(odd)
    const { request, ...said } = error as typeof error & { request: string }
    expect([status, said]).toEqual([500, { code: 'internal', message: 'Something went wrong here, so this could not be read.' }]) // prettier-ignore
    // By this whoever runs the server finds its line.
    expect(request).toMatch(/^[0-9a-f-]{36}$/)
    expect(logged).toEqual([odd])
  })

  it('the log has what went wrong, and not what people wrote', async () => {
    const { logged } = await failing(ofDatabase('XX000'))
    const [line] = logged as (Error & { code: string; params?: unknown; query: string })[]
    expect([line!.code, line!.query, line!.params]).toEqual(['XX000', 'insert', undefined])
    expect(line!.message).toContain('insert into holding failed')
    expect(JSON.stringify(line, Object.getOwnPropertyNames(line))).not.toContain('Ansa')
  })
})
