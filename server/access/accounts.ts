import type { AccountRole } from '@/contract/accounts.ts'
import { told } from '@/contract/told.ts'
import { randomUUID } from 'node:crypto'
import type { Db, Sql } from '../db/db.ts'
import { badRequest, HttpError } from '../http/httpError.ts'
import { checkPassword, digestPassword, isPassword, nameKey } from './passwords.ts'

export interface Account {
  id: string
  name: string
  role: AccountRole
  madeAt: string
  closedAt: string | null
}

const COLUMNS = 'id, name, role, made_at as "madeAt", closed_at as "closedAt"'

/** All accounts, those still open first. */
export async function listAccounts(db: Sql): Promise<Account[]> {
  return (await db.query<Account>(`select ${COLUMNS} from account order by closed_at is not null, name, id`)).rows
}

/** How many advisors could still come in. */
export async function openAdvisors(db: Sql): Promise<number> {
  const { rows } = await db.query<{ n: number }>(
    `select count(*)::int as n from account where role = 'advisor' and closed_at is null`,
  )
  return rows[0]!.n
}

/**
 * @throws HttpError 400 for a name or password that will not do, 409 where the name is taken
 */
export async function addAccount(
  db: Sql,
  { name, role, password }: { name: string; role: AccountRole; password: string },
): Promise<Account> {
  const called = name.trim()
  if (called === '' || called.length > 100) throw badRequest(told('A name of 1 to 100 characters is needed.'), 'name')
  checkPassword(password, called)
  const { rows } = await db.query<Account>(
    `insert into account (id, name, name_key, role, password) values ($1, $2, $3, $4, $5)
     on conflict (name_key) do nothing returning ${COLUMNS}`,
    [randomUUID(), called, nameKey(called), role, await digestPassword(password)],
  )
  if (!rows[0]) throw new HttpError(409, 'conflict', `There is an account named ${called} already.`, 'name')
  return rows[0]
}

/** The open account with this name and password, or nothing; it takes as long either way. */
export async function accountFor(db: Sql, name: string, password: string): Promise<Account | undefined> {
  const { rows } = await db.query<Account & { password: string }>(
    `select ${COLUMNS}, password from account where name_key = $1 and closed_at is null`,
    [nameKey(name)],
  )
  const found = rows[0]
  if (!(await isPassword(found?.password, password)) || !found) return undefined
  const { id, role, madeAt, closedAt } = found
  return { id, name: found.name, role, madeAt, closedAt }
}

/** Give an account a new password; whoever is signed in with the old one is signed out. */
export async function setPassword(db: Sql, account: Pick<Account, 'id' | 'name'>, password: string): Promise<void> {
  checkPassword(password, account.name)
  await db.query('update account set password = $2 where id = $1', [account.id, await digestPassword(password)])
  await signOutEverywhere(db, account.id)
}

export async function signOutEverywhere(db: Sql, accountId: string): Promise<void> {
  await db.query('delete from session where account_id = $1', [accountId])
}

/**
 * Change what an account may do, or close it: then its sessions end. Somebody must be left who can let others in; two who
 * change each other at the same moment wait for one another.
 *
 * @param lastToo whoever runs the server may close the last one: they can make another
 * @returns what it is now; undefined where there is none
 * @throws HttpError 400 for the last advisor
 */
export async function changeAccount(
  db: Db,
  id: string,
  to: { role: AccountRole; closed: boolean },
  { lastToo = false } = {},
): Promise<Account | undefined> {
  return db.transaction(async (tx) => {
    const { rows: advisors } = await tx.query<{ id: string }>(
      `select id from account where role = 'advisor' and closed_at is null order by id for update`,
    )
    const stays = to.role === 'advisor' && !to.closed
    if (!lastToo && !stays && advisors.every((a) => a.id === id) && advisors.length > 0)
      throw badRequest(
        told('This is the last advisor: nobody could let others in any more.'),
        to.closed ? 'closed' : 'role',
      )
    const { rows } = await tx.query<Account>(
      `update account set role = $2, closed_at = case when $3 then coalesce(closed_at, now()) end
       where id = $1 returning ${COLUMNS}`,
      [id, to.role, to.closed],
    )
    if (to.closed) await signOutEverywhere(tx, id)
    return rows[0]
  })
}
