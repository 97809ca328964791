import { randomBytes } from 'node:crypto'
import type { Sql } from '../db/db.ts'

/** A key made once for each database: every process on it signs alike. */
export async function sharedSecret(db: Sql, name: string): Promise<string> {
  await db.query('insert into secret (name, value) values ($1, $2) on conflict (name) do nothing', [
    name,
    randomBytes(32).toString('base64url'),
  ])
  return (await db.query<{ value: string }>('select value from secret where name = $1', [name])).rows[0]!.value
}
