import { told } from '@/contract/told.ts'
import type { RequestHandler } from 'express'
import { HttpError } from '../http/httpError.ts'

const READS = new Set(['GET', 'HEAD', 'OPTIONS'])

/**
 * Another site open in the same browser must not write here: browsers say where a request comes from, and one from
 * elsewhere is refused. What is no browser says nothing and has no cookie of somebody else to send.
 */
export const sameOrigin: RequestHandler = (req, _res, next) => {
  if (READS.has(req.method)) return next()
  const site = req.get('sec-fetch-site')
  const origin = req.get('origin')
  const elsewhere = (site !== undefined && site !== 'same-origin') || (origin !== undefined && !isHere(origin, req.host)) // prettier-ignore
  next(
    elsewhere
      ? new HttpError(403, 'elsewhere', told('This was sent by another site, so it was not taken.'))
      : undefined,
  )
}

function isHere(origin: string, host: string | undefined): boolean {
  try {
    return new URL(origin).host === host
  } catch {
    return false
  }
}

/** Names under which a machine calls itself. */
const LOOPBACK = /^(localhost|127\.0\.0\.1|\[::1\])(:\d+)?$/

/** Without accounts only this machine may ask, and only by its own name: a name of elsewhere can be made to point here. */
export const requireLoopbackHost: RequestHandler = (req, _res, next) => {
  const host = req.get('host')
  next(
    host === undefined || LOOPBACK.test(host)
      ? undefined
      : new HttpError(403, 'elsewhere', told('Without accounts the server answers only as 127.0.0.1 or localhost.')),
  )
}
