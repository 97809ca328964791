import { told } from '@/contract/told.ts'
import type { Request, RequestHandler } from 'express'
import { ipKeyGenerator, rateLimit, type Options } from 'express-rate-limit'
import type { Sql } from '../db/db.ts'
import { HttpError } from '../http/httpError.ts'
import type { Principal } from './authenticate.ts'
import { RateLimitStore } from './rateLimitStore.ts'
import { nameKey } from './passwords.ts'

const MINUTE_MS = 60_000

/** Far above what a person and an outbox of a week send, far below what a script would. */
export const ASKED_PER_MINUTE = 1200
export const TRIES_PER_NAME = 10
export const TRIES_PER_ADDRESS = 100
const TRIES_MS = 15 * MINUTE_MS

const address = (req: Request) => ipKeyGenerator(req.ip ?? 'unknown')

const limit = (db: Sql, prefix: string, options: Partial<Options>, says: string): RequestHandler =>
  rateLimit({
    store: new RateLimitStore(db, prefix),
    standardHeaders: 'draft-7',
    legacyHeaders: false,
    handler: (_req, _res, next) => next(new HttpError(429, 'too-often', says)),
    ...options,
  })

/** How often one account, link or address may ask at all. */
export const limitAll = (db: Sql): RequestHandler =>
  limit(
    db,
    'all:',
    {
      windowMs: MINUTE_MS,
      limit: ASKED_PER_MINUTE,
      // Trying a password has limits of its own, so that a flood from an address does not keep its people out.
      skip: (req) => req.path === '/sign-in',
      keyGenerator: (req, res) => {
        const { accountId, link } = res.locals.asker as Principal
        return accountId ?? link?.id ?? address(req)
      },
    },
    told('That was asked too often; what you typed is kept.'),
  )

const TRY_LATER = told('Too many tries to sign in. Wait, or ask an advisor for a new password.')

/** How often somebody may try a password: for one name from one address, and for all names from it. */
export const limitSignIn = (db: Sql): RequestHandler[] => [
  limit(
    db,
    'name:',
    {
      windowMs: TRIES_MS,
      limit: TRIES_PER_NAME,
      skipSuccessfulRequests: true,
      keyGenerator: (req, res) => {
        const { name } = (req.body ?? {}) as { name?: unknown }
        const { accountId } = res.locals.asker as Principal
        const who = typeof name === 'string' ? nameKey(name.slice(0, 100)) : (accountId ?? '')
        return `${address(req)} ${who}`
      },
    },
    TRY_LATER,
  ),
  limit(
    db,
    'address:',
    { windowMs: TRIES_MS, limit: TRIES_PER_ADDRESS, skipSuccessfulRequests: true, keyGenerator: (req) => address(req) }, // prettier-ignore
    TRY_LATER,
  ),
]
