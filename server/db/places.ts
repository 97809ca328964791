import type { Holding, Paddock } from '@/core/records/round.ts'
import type { Sql } from './db.ts'

const PADDOCK_COLUMNS = 'id, holding_id as "holdingId", name, boundary, region, outlook, sown'

export async function listHoldings(db: Sql): Promise<Holding[]> {
  return (await db.query<Holding>('select id, name, client from holding order by name, id')).rows
}

export async function listPaddocks(db: Sql): Promise<Paddock[]> {
  return (await db.query<Paddock>(`select ${PADDOCK_COLUMNS} from paddock order by name, id`)).rows
}

export async function getPaddock(db: Sql, id: string): Promise<Paddock | undefined> {
  return (await db.query<Paddock>(`select ${PADDOCK_COLUMNS} from paddock where id = $1`, [id])).rows[0]
}

export async function addHolding(db: Sql, h: Holding): Promise<void> {
  await db.query('insert into holding (id, name, client) values ($1, $2, $3) on conflict (id) do nothing', [
    h.id,
    h.name,
    h.client,
  ])
}

export async function addPaddock(db: Sql, p: Paddock): Promise<void> {
  await db.query(
    `insert into paddock (id, holding_id, name, boundary, region, outlook, sown)
     values ($1, $2, $3, $4::jsonb, $5, $6, $7::jsonb) on conflict (id) do nothing`,
    [
      p.id,
      p.holdingId,
      p.name,
      p.boundary ? JSON.stringify(p.boundary) : null,
      p.region,
      p.outlook,
      JSON.stringify(p.sown),
    ],
  )
}
