import { told } from '@/contract/told.ts'
import type { Request, RequestHandler } from 'express'
import type { Sql } from '../db/db.ts'
import { HttpError } from '../http/httpError.ts'
import { linkFor } from './links.ts'
import { isPermitted, type Role } from './permissions.ts'

/** Who asks, as far as it is known. */
export interface Principal {
  /** The name of the account, or a word for who has none. */
  who: string
  role: Role
  accountId?: string
  link?: { id: string; roundId: string }
}

const NOBODY: Principal = { who: 'nobody', role: 'nobody' }

async function asker(db: Sql, req: Request): Promise<Principal> {
  const token = /^Bearer ([\w-]{43})$/.exec(req.get('authorization') ?? '')?.[1]
  if (token) {
    const link = await linkFor(db, token)
    return link ? { who: 'client link', role: 'link', link } : NOBODY
  }
  const { account } = req.session
  return account ? { who: account.name, role: account.role, accountId: account.id } : NOBODY
}

/** Finds out who asks, for all that comes after. */
export const authenticate =
  (db: Sql): RequestHandler =>
  (req, res, next) =>
    void asker(db, req).then((found) => {
      res.locals.asker = found
      next()
    }, next)

/** Lets through what the asker may ask. */
export const guard: RequestHandler = (req, res, next) => {
  const { role } = res.locals.asker as Principal
  if (isPermitted(role, req)) return next()
  if (role === 'nobody') return next(new HttpError(401, 'sign-in', told('Sign in first: nobody is signed in here, or the link has expired.'))) // prettier-ignore
  next(
    new HttpError(
      403,
      'not-yours',
      role === 'link'
        ? told('This link opens the pages of one round only.')
        : told('A trainee names, counts and practises; places, plans and copies are changed by an advisor.'),
    ),
  )
}
