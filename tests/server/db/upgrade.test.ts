import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { openDb, type Db } from '@/server/db/db.ts'
import { migrate } from '@/server/db/migrate.ts'
import { listNamings } from '@/server/db/namings.ts'
import { listUnknowns } from '@/server/db/unknowns.ts'
import { projectRoot } from '@/server/projectRoot.ts'

/** A folder as an earlier version left it: its migrations run, a name written down. */
async function earlier(db: Db): Promise<void> {
  await db.script('create table migration (name text primary key, run_at timestamptz not null default now())')
  for (const name of ['001-start.sql', '002-own-plants.sql']) {
    await db.script(readFileSync(join(projectRoot, 'server/migrations', name), 'utf8'))
    await db.query('insert into migration (name) values ($1)', [name])
  }
  await db.query(
    `insert into naming (id, plant, probability, context, observations, named_at)
     values ('0d9f2c8b-1a11-4a52-8d3a-5b0c6f0e9a8b', 'dandelion', 0.97, '{"month": 4}', '[{"character": "sap", "states": ["milky"]}]', '2026-04-02T10:00:00Z')`,
  )
}

describe('a data folder of an earlier version', () => {
  let db: Db
  beforeAll(async () => {
    db = await openDb({ dataDir: 'memory://' })
    await earlier(db)
    await migrate(db)
  })
  afterAll(() => db.close())

  it('keeps the names written down, with what they did not say yet left empty', async () => {
    const [naming] = await listNamings(db)
    expect(naming).toMatchObject({
      plant: 'dandelion',
      probability: 0.97,
      context: { month: 4 },
      place: '',
      specimens: 1,
      evidence: [],
    })
  })

  it('can hold unknowns from then on', async () => expect(await listUnknowns(db)).toEqual([]))

  it('is not changed by being opened again', async () => {
    await migrate(db)
    expect(await listNamings(db)).toHaveLength(1)
  })
})
