import { told } from '@/contract/told.ts'
import type { RequestHandler } from 'express'
import { randomUUID } from 'node:crypto'
import type { Sql } from '../db/db.ts'
import type { Principal } from './authenticate.ts'

export interface AuditLine {
  id: string
  /** To the microsecond, so that the next page begins where this one ends. */
  at: string
  who: string
  role: string
  method: string
  path: string
  status: number
}

const READS = new Set(['GET', 'HEAD', 'OPTIONS'])
/** Looked up, not changed: nothing to keep a line of. */
const NO_CHANGE = new Set(['/identify', '/describe', '/backup/check'])

/** The latest lines first, two hundred at a time. */
export async function listAudit(db: Sql, before?: string): Promise<AuditLine[]> {
  const { rows } = await db.query<AuditLine>(
    `select id, to_char(at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') as at, who, role, method, path, status
     from audit where $1::timestamptz is null or at < $1 order by at desc, id limit 200`,
    [before ?? null],
  )
  return rows
}

const LINE = 'insert into audit (id, who, role, method, path, status) values ($1, $2, $3, $4, $5, $6)'
/** What anybody may send without a name, refused, must not fill the disk: one line an hour stands for all of its kind. */
const ONCE_AN_HOUR = `insert into audit (id, who, role, method, path, status) select $1::uuid, $2, $3, $4, $5, $6::int
  where not exists (select 1 from audit where role = $3 and status = $6 and at > now() - interval '1 hour' and path <> '/sign-in')`

/** A change without its line is not answered as done: whoever sent it sends it again, which changes nothing more and writes the line. */
const noLine = {
  error: { code: 'no-line', message: told('What was done could not be written down. It is sent again.') },
}

/** Every change that was answered has its line: the line is written before the answer goes out. */
export function audited(db: Sql, log: (error: unknown) => void): RequestHandler {
  return (req, res, next) => {
    if (READS.has(req.method) || NO_CHANGE.has(req.path)) return next()
    const { method, path } = req
    const answer = res.json.bind(res)
    res.json = (body: unknown) => {
      const { who, role } = res.locals.asker as Principal
      const line = [randomUUID(), who, role, method, path.slice(0, 200), res.statusCode]
      const anybody = role === 'nobody' && res.statusCode >= 400 && path !== '/sign-in'
      db.query(anybody ? ONCE_AN_HOUR : LINE, line).then(
        () => answer(body),
        (error: unknown) => {
          log(error)
          if (res.statusCode < 400) res.status(503)
          answer(res.statusCode === 503 ? noLine : body)
        },
      )
      return res
    }
    next()
  }
}
