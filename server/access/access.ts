import type { Express, RequestHandler } from 'express'
import type { Sql } from '../db/db.ts'
import { audited } from './audit.ts'
import { authenticate, guard, type Principal } from './authenticate.ts'
import { limitAll } from './limits.ts'
import { requireLoopbackHost, sameOrigin } from './sameOrigin.ts'
import { sessions } from './sessions.ts'

/** How the server is open to others. */
export interface Accounts {
  /** Signs the cookies; the same for all processes on one database. */
  secret: string
  /** How many proxies stand in front, whose word on the asker's address and on HTTPS is believed. */
  proxies: number
}

const ALONE: Principal = { who: 'this machine', role: 'advisor' }

/** On this machine alone there are no accounts: whoever sits at it may do all. */
const alone: RequestHandler = (_req, res, next) => {
  res.locals.asker = ALONE
  next()
}

/** What a browser keeps is for whoever is signed in; once it was asked for over HTTPS it is asked for so again. */
const privately: RequestHandler = (req, res, next) => {
  res.set('cache-control', 'private, no-cache')
  if (req.secure) res.set('strict-transport-security', 'max-age=31536000')
  next()
}

/** What stands before every route of the API. */
export function access(
  app: Express,
  db: Sql,
  accounts: Accounts | undefined,
  log: (error: unknown) => void,
): RequestHandler[] {
  // prettier-ignore
  if (!accounts) return [requireLoopbackHost, sameOrigin, alone]
  app.set('trust proxy', accounts.proxies)
  return [privately, sameOrigin, sessions(db, accounts.secret), authenticate(db), limitAll(db), audited(db, log), guard]
}
