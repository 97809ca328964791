import express from 'express'
import http, { type IncomingHttpHeaders, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { brotliDecompressSync, gunzipSync } from 'node:zlib'
import { precompressedJson } from '@/server/http/precompressedJson.ts'

describe('something large that seldom changes', () => {
  let now: object
  let server: Server
  /** As it goes over the wire: most clients would unpack it. */
  const get = (encodings: string, headers: Record<string, string> = {}) =>
    new Promise<{ status: number; headers: IncomingHttpHeaders; body: Buffer }>((done, fail) => {
      const { port } = server.address() as AddressInfo
      http
        .get({ port, headers: { 'accept-encoding': encodings, ...headers } }, (res) => {
          const parts: Buffer[] = []
          res.on('data', (p: Buffer) => parts.push(p))
          res.on('end', () => done({ status: res.statusCode!, headers: res.headers, body: Buffer.concat(parts) }))
        })
        .on('error', fail)
    })
  beforeEach(async () => {
    now = { plants: Array.from({ length: 200 }, (_, i) => ({ id: `plant-${i}`, note: 'Blätter gefaltet' })) }
    const send = precompressedJson(() => now)
    server = express().get('/', send).listen(0, '127.0.0.1')
    await new Promise((r) => server.once('listening', r))
  })
  afterEach(() => void server.close())

  it('is sent as it is to who unpacks nothing', async () => {
    const { body, headers } = await get('identity')
    expect(headers['content-encoding']).toBeUndefined()
    expect(headers['content-type']).toMatch(/application\/json; charset=utf-8/)
    expect(JSON.parse(body.toString())).toEqual(now)
  })

  it('is packed for who unpacks: at once by gzip, by Brotli and smaller as soon as that is made', async () => {
    const first = await get('gzip, br')
    expect(first.headers['content-encoding']).toBe('gzip')
    const gzipped = first.body
    expect(JSON.parse(gunzipSync(gzipped).toString())).toEqual(now)
    await vi.waitFor(async () => {
      const { body, headers } = await get('gzip, br')
      expect(headers['content-encoding']).toBe('br')
      expect(JSON.parse(brotliDecompressSync(body).toString())).toEqual(now)
      expect(body.length).toBeLessThan(gzipped.length)
    })
    expect((await get('gzip')).headers['content-encoding']).toBe('gzip')
    // A store between must not hand one to who asked for the other.
    expect(first.headers['vary']).toMatch(/accept-encoding/i)
  })

  it('is not sent again to who has it, and is when it has changed', async () => {
    const { headers } = await get('gzip')
    const again = await get('gzip', { 'if-none-match': headers['etag']! })
    expect([again.status, again.body.length]).toEqual([304, 0])
    now = { plants: [] }
    const changed = await get('gzip', { 'if-none-match': headers['etag']! })
    expect(JSON.parse(gunzipSync(changed.body).toString())).toEqual({ plants: [] })
    expect(changed.headers['etag']).not.toBe(headers['etag'])
  })
})
