import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { projectRoot } from '../projectRoot.ts'
import type { Db } from './db.ts'

const folder = join(projectRoot, 'server/migrations')

/** All migrations of this server, in their order. */
export const migrationNames = (): string[] =>
  readdirSync(folder)
    .filter((f) => f.endsWith('.sql'))
    .sort()

/**
 * Bring the schema up to date, each file of `migrations/` once, in order, each in one transaction.
 *
 * @param last the last one to run; left out: all
 */
export async function migrate(db: Db, last?: string): Promise<void> {
  await db.script(
    'create table if not exists migration (name text primary key, run_at timestamptz not null default now())',
  )
  const { rows } = await db.query<{ name: string }>('select name from migration')
  const done = new Set(rows.map((r) => r.name))
  for (const name of migrationNames()) {
    if (done.has(name)) continue
    if (last !== undefined && name > last) break
    await db.transaction(async (tx) => {
      await tx.script(readFileSync(join(folder, name), 'utf8'))
      await tx.query('insert into migration (name) values ($1)', [name])
    })
  }
}
