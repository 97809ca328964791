import { randomBytes } from 'node:crypto'
import type { Sql } from '../db/db.ts'
import { digest } from './digest.ts'

/** A link by which a client reads one round's pages, until it expires. */
export interface ClientLink {
  id: string
  roundId: string
  madeBy: string
  madeAt: string
  expiresAt: string
  openedAt: string | null
}

/** A link opens as long as the account that made it. */
const OPEN = `expires_at > now()
  and not exists (select 1 from account a where a.name = made_by and a.closed_at is not null)`
const COLUMNS = 'id, round_id as "roundId", made_by as "madeBy", made_at as "madeAt", expires_at as "expiresAt", opened_at as "openedAt"' // prettier-ignore

/**
 * Make a link. Its token is told once and not kept.
 *
 * @param days until it expires
 */
export async function addLink(
  db: Sql,
  { id, roundId, madeBy, days }: { id: string; roundId: string; madeBy: string; days: number },
): Promise<{ link: ClientLink; token: string }> {
  const token = randomBytes(32).toString('base64url')
  const { rows } = await db.query<ClientLink>(
    `insert into client_link (id, round_id, digest, made_by, expires_at)
     values ($1, $2, $3, $4, now() + $5 * interval '1 day') returning ${COLUMNS}`,
    [id, roundId, digest(token), madeBy, days],
  )
  return { link: rows[0]!, token }
}

/** Links of a round that still open, the newest first. */
export async function listLinks(db: Sql, roundId: string): Promise<ClientLink[]> {
  const { rows } = await db.query<ClientLink>(
    `select ${COLUMNS} from client_link where round_id = $1 and ${OPEN} order by made_at desc, id`,
    [roundId],
  )
  return rows
}

export async function deleteLink(db: Sql, id: string): Promise<void> {
  await db.query('delete from client_link where id = $1', [id])
}

/** The link a token opens, if it still does. */
export async function linkFor(db: Sql, token: string): Promise<{ id: string; roundId: string } | undefined> {
  const { rows } = await db.query<{ id: string; roundId: string }>(
    `select id, round_id as "roundId" from client_link where digest = $1 and ${OPEN}`,
    [digest(token)],
  )
  return rows[0]
}

export async function noteOpened(db: Sql, id: string): Promise<void> {
  await db.query('update client_link set opened_at = now() where id = $1', [id])
}
