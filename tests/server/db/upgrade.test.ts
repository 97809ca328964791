import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { openDb, type Db } from '@/server/db/db.ts'
import { migrate } from '@/server/db/migrate.ts'
import { listNamings } from '@/server/db/namings.ts'
import { listEvents } from '@/server/db/places.ts'
import { getRound } from '@/server/db/rounds.ts'
import { putStop } from '@/server/db/stops.ts'
import { listUnknowns } from '@/server/db/unknowns.ts'
import { projectRoot } from '@/server/projectRoot.ts'

const [HOLDING, PADDOCK, ROUND, STOP] = [1, 2, 3, 4].map((n) => `00000000-0000-4000-8000-00000000000${n}`)

/** A folder as an earlier version left it: its migrations run, a name written down. */
async function earlier(db: Db): Promise<void> {
  await db.script('create table migration (name text primary key, run_at timestamptz not null default now())')
  for (const name of ['001-start.sql', '002-own-plants.sql']) {
    await db.script(readFileSync(join(projectRoot, 'server/migrations', name), 'utf8'))
    await db.query('insert into migration (name) values ($1)', [name])
  }
  await db.query(`insert into holding (id, name, client) values ($1, 'Withy Bank', '')`, [HOLDING])
  await db.query(
    `insert into paddock (id, holding_id, name, region, outlook, sown)
     values ($1, $2, 'Long Croft', 'cool-humid', 'grazing', '["timothy"]')`,
    [PADDOCK, HOLDING],
  )
  await db.query(
    `insert into round (id, paddock_id, title, method, purpose, planned_on, points_per_stop)
     values ($1, $2, 'Old count', 'step-points', '', '2026-04-01', 3)`,
    [ROUND, PADDOCK],
  )
  await db.query(
    `insert into stop (id, round_id, seq, lon, lat, done_at) values ($1, $2, 1, -29.4, 45.6, '2026-04-01T09:00:00Z')`,
    [STOP, ROUND],
  )
  await db.query(`insert into hit (stop_id, ord, taxon, amount) values ($1, 1, 'timothy', 1), ($1, 2, 'bare', 1)`, [
    STOP,
  ])
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

  it('keeps rounds and every hit; what they did not say yet is empty', async () => {
    const round = (await getRound(db, ROUND!))!
    expect(round).toMatchObject({ title: 'Old count', method: 'step-points', settings: {} })
    expect(round.paddock).toMatchObject({ sown: ['timothy'], strata: [], note: '' })
    expect(round.stops).toHaveLength(1)
    expect(round.stops[0]).toMatchObject({
      position: [-29.4, 45.6],
      stratum: '',
      measures: {},
      skipped: null,
      version: 0,
    })
    expect(round.stops[0]!.hits).toEqual([
      { taxon: 'timothy', amount: 1 },
      { taxon: 'bare', amount: 1 },
    ])
    expect(await listEvents(db, PADDOCK!)).toEqual([])
  })

  it('takes stops of the newer kind', async () => {
    const [stop] = (await getRound(db, ROUND!))!.stops
    const hits = [{ taxon: 'timothy', amount: 1, part: 4 }]
    expect(await putStop(db, ROUND!, { ...stop!, hits, measures: { heightCm: 8 } })).toMatchObject({ version: 1 })
    expect((await getRound(db, ROUND!))!.stops[0]).toMatchObject({ hits, measures: { heightCm: 8 }, version: 1 })
  })

  it('can hold unknowns from then on', async () => expect(await listUnknowns(db)).toEqual([]))

  it('is not changed by being opened again', async () => {
    await migrate(db)
    expect(await listNamings(db)).toHaveLength(1)
  })
})
