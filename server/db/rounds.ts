import type { Round, RoundSummary, Stop, Unknown } from '@/core/records/round.ts'
import type { Hit } from '@/core/survey/tally.ts'
import type { Db, Sql } from './db.ts'
import { getPaddock } from './places.ts'

const ROUND_COLUMNS = `r.id, r.paddock_id as "paddockId", h.name as holding, h.client, r.title, r.method, r.purpose,
  r.planned_on::text as "plannedOn", r.points_per_stop as "pointsPerStop", r.source`

/** All rounds, the next planned first. */
export async function listRounds(db: Sql): Promise<RoundSummary[]> {
  const { rows } = await db.query<RoundSummary>(
    `select ${ROUND_COLUMNS}, p.name as paddock,
       (select count(*)::int from stop s where s.round_id = r.id) as stops,
       (select count(*)::int from stop s where s.round_id = r.id and s.done_at is not null) as "stopsDone"
     from round r join paddock p on p.id = r.paddock_id join holding h on h.id = p.holding_id
     order by r.planned_on desc, r.title, r.id`,
  )
  return rows
}

type StopRow = { id: string; seq: number; lon: number | null; lat: number | null; doneAt: string | null }

async function stopsOf(db: Sql, roundId: string): Promise<Stop[]> {
  const { rows } = await db.query<StopRow>(
    `select id, seq, lon, lat, done_at as "doneAt" from stop where round_id = $1 order by seq`,
    [roundId],
  )
  const hits = await db.query<Hit & { stopId: string }>(
    `select h.stop_id as "stopId", h.taxon, h.amount from hit h join stop s on s.id = h.stop_id
     where s.round_id = $1 order by s.seq, h.ord`,
    [roundId],
  )
  const byStop = new Map<string, Hit[]>()
  for (const { stopId, taxon, amount } of hits.rows)
    byStop.set(stopId, [...(byStop.get(stopId) ?? []), { taxon, amount }])
  return rows.map((s) => ({
    id: s.id,
    seq: s.seq,
    position: s.lon === null || s.lat === null ? null : [s.lon, s.lat],
    hits: byStop.get(s.id) ?? [],
    doneAt: s.doneAt,
  }))
}

/** A round with its paddock, stops, hits and unknowns. */
export async function getRound(db: Sql, id: string): Promise<Round | undefined> {
  const { rows } = await db.query<Omit<Round, 'paddock' | 'stops' | 'unknowns'>>(
    `select ${ROUND_COLUMNS}, r.route
     from round r join paddock p on p.id = r.paddock_id join holding h on h.id = p.holding_id where r.id = $1`,
    [id],
  )
  const row = rows[0]
  if (!row) return undefined
  const paddock = await getPaddock(db, row.paddockId)
  const unknowns = await db.query<Unknown>(
    `select letter, named_as as "namedAs" from unknown where round_id = $1 order by letter`,
    [id],
  )
  return { ...row, paddock: paddock!, stops: await stopsOf(db, id), unknowns: unknowns.rows }
}

export type NewRound = Pick<
  Round,
  'id' | 'paddockId' | 'title' | 'method' | 'purpose' | 'plannedOn' | 'pointsPerStop' | 'route' | 'source' | 'stops'
>

/** Add a round with its planned stops; a second call with the same id changes nothing. */
export async function addRound(db: Db, round: NewRound): Promise<void> {
  await db.transaction(async (tx) => {
    const { rows } = await tx.query(
      `insert into round (id, paddock_id, title, method, purpose, planned_on, points_per_stop, route, source)
       values ($1, $2, $3, $4, $5, $6, $7, $8::jsonb, $9) on conflict (id) do nothing returning id`,
      [
        round.id,
        round.paddockId,
        round.title,
        round.method,
        round.purpose,
        round.plannedOn,
        round.pointsPerStop,
        round.route ? JSON.stringify(round.route) : null,
        round.source,
      ],
    )
    if (rows.length === 0) return
    for (const stop of round.stops) {
      await insertStop(tx, round.id, stop)
      await replaceHits(tx, stop.id, stop.hits)
    }
  })
}

async function insertStop(sql: Sql, roundId: string, stop: Stop): Promise<string> {
  const { rows } = await sql.query<{ id: string }>(
    `insert into stop (id, round_id, seq, lon, lat, done_at) values ($1, $2, $3, $4, $5, $6)
     on conflict (round_id, seq) do update set done_at = excluded.done_at,
       lon = coalesce(excluded.lon, stop.lon), lat = coalesce(excluded.lat, stop.lat)
     returning id`,
    [stop.id, roundId, stop.seq, stop.position?.[0] ?? null, stop.position?.[1] ?? null, stop.doneAt],
  )
  return rows[0]!.id
}

async function replaceHits(sql: Sql, stopId: string, hits: Hit[]): Promise<void> {
  await sql.query('delete from hit where stop_id = $1', [stopId])
  if (hits.length === 0) return
  await sql.query(
    `insert into hit (stop_id, ord, taxon, amount)
     select $1, o, t, a from unnest($2::int[], $3::text[], $4::float8[]) as x (o, t, a)`,
    [stopId, hits.map((_, i) => i + 1), hits.map((h) => h.taxon), hits.map((h) => h.amount)],
  )
}

/** Write a stop whole: sending it twice leaves it once, and it is never half there. */
export async function putStop(db: Db, roundId: string, stop: Stop): Promise<void> {
  await db.transaction(async (tx) => {
    const id = await insertStop(tx, roundId, stop)
    await replaceHits(tx, id, stop.hits)
  })
}

/** Keep a letter, or give it its name (null takes the name away again). */
export async function putUnknown(db: Sql, roundId: string, letter: string, namedAs: string | null): Promise<void> {
  await db.query(
    `insert into unknown (round_id, letter, named_as) values ($1, $2, $3)
     on conflict (round_id, letter) do update set named_as = excluded.named_as`,
    [roundId, letter, namedAs],
  )
}
