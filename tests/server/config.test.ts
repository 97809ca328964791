import { Writable } from 'node:stream'
import { pino } from 'pino'
import request from 'supertest'
import express from 'express'
import { describe, expect, it } from 'vitest'
import { onlyHere, readConfig } from '@/server/config.ts'
import { errorHandler } from '@/server/http/errorHandler.ts'
import { logOf } from '@/server/logger.ts'

describe('settings of a server', () => {
  it('are the usual ones where nothing is said, and the embedded database lies in the folder of the data', () => {
    expect(readConfig({})).toMatchObject({ port: 4170, host: '127.0.0.1', accounts: false, copies: 14, demo: true })
    expect(readConfig({ DATA_DIR: '/srv/sprig' })).toMatchObject({ pgDir: '/srv/sprig/pg', copiesDir: '/srv/sprig/copies' }) // prettier-ignore
    expect(readConfig({}).databaseUrl).toBeUndefined()
  })

  it('that cannot be are each said in a line; the door is not left open by a slip', () => {
    expect(() => readConfig({ PORT: '70000', COPIES: '1.5', PROXIES: '-1', ACCOUNTS: 'yes' })).toThrow(
      'PORT must be a number from 1 to 65535, not 70000\n' +
        'COPIES must be a whole number, not 1.5\n' +
        'ACCOUNTS must be on or off, not yes\n' +
        'PROXIES must be the number of proxies in front, not -1',
    )
    expect(['127.0.0.1', '::1', 'localhost', '0.0.0.0', '192.0.2.7'].map(onlyHere)).toEqual([true, true, true, false, false]) // prettier-ignore
  })
})

describe('the log', () => {
  it('has a line for what went wrong inside, under the id that the answer tells, and nothing that anybody wrote', async () => {
    const lines: string[] = []
    const sink = new Writable({ write: (chunk: Buffer, _, done) => (lines.push(chunk.toString()), done()) })
    const app = express()
      .use(express.json())
      .put('/links/:token', () => {
        // As the driver of the database throws it: with the values it was asked with.
        throw Object.assign(new Error('relation "x" does not exist'), { code: '42P01', params: ['Ada of Withy Bank'] })
      })
      .use(errorHandler(logOf(pino({ base: null }, sink))))
    const { body, status } = await request(app).put('/links/s3cret').send({ name: 'Ada of Withy Bank' })
    expect(status).toBe(500)
    const line = JSON.parse(lines.join('')) as { request: string; route: string; method: string; err: { code: string } }
    expect(line).toMatchObject({ request: (body as { error: { request: string } }).error.request, method: 'PUT', route: '/links/:token' }) // prettier-ignore
    expect(line.err.code).toBe('42P01')
    expect(lines.join('')).not.toMatch(/Ada|s3cret/)
  })
})
