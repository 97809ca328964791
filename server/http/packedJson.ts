import type { RequestHandler } from 'express'
import { createHash } from 'node:crypto'
import { gzipSync } from 'node:zlib'

/**
 * Sends something large that seldom changes: written out and packed once for each version of it, and not at all to a
 * browser that has it already.
 *
 * @param read what is sent; the same object means that nothing changed
 */
export function packedJson(read: () => object): RequestHandler {
  let last: { of: object; plain: Buffer; packed: Buffer; etag: string } | undefined
  return (req, res) => {
    const of = read()
    if (last?.of !== of) {
      const plain = Buffer.from(JSON.stringify(of))
      const etag = `"${createHash('sha1').update(plain).digest('base64url')}"`
      last = { of, plain, packed: gzipSync(plain), etag }
    }
    res.set({ etag: last.etag, 'cache-control': 'private, no-cache', vary: 'accept-encoding' }).type('json')
    if (req.fresh) return void res.status(304).end()
    if (req.acceptsEncodings('gzip')) res.set('content-encoding', 'gzip').end(last.packed)
    else res.end(last.plain)
  }
}
