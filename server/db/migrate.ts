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

/** Any number of its own. */
const MIGRATION_LOCK = 4170

/**
 * Bring the schema up to date, each file of `migrations/` once, in order, each in one transaction.
 *
 * @param last the last one to run; left out: all
 */
export async function migrate(db: Db, last?: string): Promise<void> {
  for (const name of migrationNames()) {
    if (last !== undefined && name > last) break
    await db.transaction(async (tx) => {
      // Several servers may start on one database at once: one of them changes it, the others wait and find it changed.
      await tx.query('select pg_advisory_xact_lock($1)', [MIGRATION_LOCK])
      await tx.script(
        'create table if not exists migration (name text primary key, run_at timestamptz not null default now())',
      )
      if ((await tx.query('select 1 from migration where name = $1', [name])).rows.length > 0) return
      await tx.script(readFileSync(join(folder, name), 'utf8'))
      await tx.query('insert into migration (name) values ($1)', [name])
    })
  }
}
