import session from 'express-session'
import type { RequestHandler } from 'express'
import type { Sql } from '../db/db.ts'
import type { Account } from './accounts.ts'
import { digest } from './digest.ts'

declare module 'express-session' {
  interface SessionData {
    accountId: string
    /** Who it is now: read with the session each time, so that a closed account is out at once. */
    account: Pick<Account, 'id' | 'name' | 'role'>
  }
}

/** Weeks without a signal must not sign anybody out. */
export const SESSION_DAYS = 60
const SESSION_MS = SESSION_DAYS * 86_400_000
/** A session is written anew at most so often. */
const TOUCH_MS = 3_600_000

type Row = { value: session.SessionData; id: string; name: string; role: Account['role'] }

/** Sessions in the database, so that every process on it knows them. */
class SqlStore extends session.Store {
  constructor(private readonly db: Sql) {
    super()
  }

  private async read(sid: string): Promise<session.SessionData | null> {
    const { rows } = await this.db.query<Row>(
      `select s.value, a.id, a.name, a.role from session s join account a on a.id = s.account_id
       where s.digest = $1 and s.expires_at > now() and a.closed_at is null`,
      [digest(sid)],
    )
    const row = rows[0]
    return row ? { ...row.value, account: { id: row.id, name: row.name, role: row.role } } : null
  }

  private async write(sid: string, value: session.SessionData): Promise<void> {
    // Who it is now is read with the session each time, not kept in it.
    const kept = { cookie: value.cookie, accountId: value.accountId }
    await this.db.query(
      `insert into session (digest, account_id, value, expires_at) values ($1, $2, $3::jsonb, $4)
       on conflict (digest) do update set value = excluded.value, expires_at = excluded.expires_at`,
      [digest(sid), value.accountId ?? null, JSON.stringify(kept), new Date(Date.now() + SESSION_MS)],
    )
  }

  private async prolong(sid: string): Promise<void> {
    const now = Date.now()
    await this.db.query('update session set expires_at = $2 where digest = $1 and expires_at < $3', [
      digest(sid),
      new Date(now + SESSION_MS),
      new Date(now + SESSION_MS - TOUCH_MS),
    ])
  }

  private async remove(sid: string): Promise<void> {
    await this.db.query('delete from session where digest = $1 or expires_at < now()', [digest(sid)])
  }

  get = (sid: string, done: (error: unknown, value?: session.SessionData | null) => void) =>
    void this.read(sid).then((value) => done(null, value), done)
  set = (sid: string, value: session.SessionData, done?: (error?: unknown) => void) =>
    void this.write(sid, value).then(() => done?.(), done)
  override touch = (sid: string, _value: session.SessionData, done?: (error?: unknown) => void) =>
    void this.prolong(sid).then(() => done?.(), done)
  destroy = (sid: string, done?: (error?: unknown) => void) => void this.remove(sid).then(() => done?.(), done)
}

/** Who is signed in, by a cookie that no script can read and no other site can send. */
export function sessions(db: Sql, secret: string): RequestHandler {
  return session({
    name: 'fold-sprig',
    secret,
    store: new SqlStore(db),
    resave: false,
    saveUninitialized: false,
    rolling: true,
    cookie: { httpOnly: true, sameSite: 'strict', secure: 'auto', path: '/', maxAge: SESSION_MS },
  })
}
