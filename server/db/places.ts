import type { PaddockEvent } from '@/core/records/paddockEvent.ts'
import type { Holding, Paddock } from '@/core/records/round.ts'
import type { Sql } from './db.ts'

export const PADDOCK_COLUMNS = 'id, holding_id as "holdingId", name, boundary, region, outlook, sown, strata, note'

export async function listHoldings(db: Sql): Promise<Holding[]> {
  return (await db.query<Holding>('select id, name, client from holding order by name, id')).rows
}

export async function getHolding(db: Sql, id: string): Promise<Holding | undefined> {
  return (await db.query<Holding>('select id, name, client from holding where id = $1', [id])).rows[0]
}

export async function listPaddocks(db: Sql): Promise<Paddock[]> {
  return (await db.query<Paddock>(`select ${PADDOCK_COLUMNS} from paddock order by name, id`)).rows
}

export async function getPaddock(db: Sql, id: string): Promise<Paddock | undefined> {
  return (await db.query<Paddock>(`select ${PADDOCK_COLUMNS} from paddock where id = $1`, [id])).rows[0]
}

export async function putHolding(db: Sql, h: Holding): Promise<void> {
  await db.query('update holding set name = $2, client = $3 where id = $1', [h.id, h.name, h.client])
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
    `insert into paddock (id, holding_id, name, boundary, region, outlook, sown, strata, note)
     values ($1, $2, $3, $4::jsonb, $5, $6, $7::jsonb, $8::jsonb, $9) on conflict (id) do nothing`,
    [
      p.id,
      p.holdingId,
      p.name,
      p.boundary ? JSON.stringify(p.boundary) : null,
      p.region,
      p.outlook,
      JSON.stringify(p.sown),
      JSON.stringify(p.strata),
      p.note,
    ],
  )
}

/** Write a paddock anew; what was counted in it stays as it is. */
export async function putPaddock(db: Sql, p: Paddock): Promise<void> {
  await db.query(
    `update paddock set name = $2, boundary = $3::jsonb, region = $4, outlook = $5, sown = $6::jsonb,
       strata = $7::jsonb, note = $8 where id = $1`,
    [
      p.id,
      p.name,
      p.boundary ? JSON.stringify(p.boundary) : null,
      p.region,
      p.outlook,
      JSON.stringify(p.sown),
      JSON.stringify(p.strata),
      p.note,
    ],
  )
}

/** What was done in a paddock, the latest first. */
export async function listEvents(db: Sql, paddockId: string): Promise<PaddockEvent[]> {
  const { rows } = await db.query<PaddockEvent>(
    `select id, paddock_id as "paddockId", kind, on_date::text as "onDate", note, detail
     from paddock_event where paddock_id = $1 order by on_date desc, id`,
    [paddockId],
  )
  return rows
}

export async function getEvent(db: Sql, id: string): Promise<PaddockEvent | undefined> {
  const { rows } = await db.query<PaddockEvent>(
    `select id, paddock_id as "paddockId", kind, on_date::text as "onDate", note, detail
     from paddock_event where id = $1`,
    [id],
  )
  return rows[0]
}

/** What was done anywhere, the latest first. */
export async function listAllEvents(db: Sql): Promise<PaddockEvent[]> {
  const { rows } = await db.query<PaddockEvent>(
    `select id, paddock_id as "paddockId", kind, on_date::text as "onDate", note, detail
     from paddock_event order by on_date desc, id limit 5000`,
  )
  return rows
}

/** Keep an event; a second time with the same id changes it. */
export async function putEvent(db: Sql, e: PaddockEvent): Promise<void> {
  await db.query(
    `insert into paddock_event (id, paddock_id, kind, on_date, note, detail) values ($1, $2, $3, $4, $5, $6::jsonb)
     on conflict (id) do update set kind = excluded.kind, on_date = excluded.on_date, note = excluded.note,
       detail = excluded.detail`,
    [e.id, e.paddockId, e.kind, e.onDate, e.note, JSON.stringify(e.detail)],
  )
}

export async function deleteEvent(db: Sql, id: string): Promise<void> {
  await db.query('delete from paddock_event where id = $1', [id])
}
