import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { projectRoot } from '../projectRoot.ts'
import type { Db } from './db.ts'

const folder = join(projectRoot, 'server/migrations')

/** Bring the schema up to date, each file of `migrations/` once, in order, each in one transaction. */
export async function migrate(db: Db): Promise<void> {
  await db.script(
    'create table if not exists migration (name text primary key, run_at timestamptz not null default now())',
  )
  const { rows } = await db.query<{ name: string }>('select name from migration')
  const done = new Set(rows.map((r) => r.name))
  for (const name of readdirSync(folder)
    .filter((f) => f.endsWith('.sql'))
    .sort()) {
    if (done.has(name)) continue
    await db.transaction(async (tx) => {
      await tx.script(readFileSync(join(folder, name), 'utf8'))
      await tx.query('insert into migration (name) values ($1)', [name])
    })
  }
}
