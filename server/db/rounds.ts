import type { Round, RoundSummary, Stop } from '@/core/records/round.ts'
import type { Hit } from '@/core/survey/tally.ts'
import { isDeepStrictEqual } from 'node:util'
import type { Db, Sql } from './db.ts'
import { PADDOCK_COLUMNS } from './places.ts'

const ROUND_COLUMNS = `r.id, r.paddock_id as "paddockId", h.name as holding, h.client, r.title, r.method, r.purpose,
  r.planned_on::text as "plannedOn", r.points_per_stop as "pointsPerStop", r.source, r.settings`

/** All rounds, the next planned first. They come as one value: a thousand rows of many columns would take longer. */
export async function listRounds(db: Sql): Promise<RoundSummary[]> {
  const { rows } = await db.query<{ rounds: RoundSummary[] }>(
    `select coalesce(json_agg(x), '[]') as rounds from (
       select ${ROUND_COLUMNS}, p.name as paddock, coalesce(s.stops, 0) as stops, coalesce(s.done, 0) as "stopsDone"
       from round r join paddock p on p.id = r.paddock_id join holding h on h.id = p.holding_id
         left join (select round_id, count(*)::int as stops, count(done_at)::int as done from stop group by round_id) s
           on s.round_id = r.id
       order by r.planned_on desc, r.title, r.id) x`,
  )
  return rows[0]!.rounds
}

type StopRow = Omit<Stop, 'position' | 'hits'> & {
  roundId: string
  lon: number | null
  lat: number | null
  hits: [taxon: string, amount: number, part: number | null][]
}

/** Stops of rounds with their hits, by round. Hits come gathered by stop: thousands of rows would take longer. */
async function stopsOf(db: Sql, roundIds: string[]): Promise<Map<string, Stop[]>> {
  const { rows } = await db.query<StopRow>(
    `select round_id as "roundId", id, seq, lon, lat, done_at as "doneAt", stratum, measures, skipped, version,
       (select coalesce(json_agg(json_build_array(taxon, amount, part) order by ord), '[]') from hit
        where stop_id = stop.id) as hits
     from stop where round_id = any($1::uuid[]) order by round_id, seq`,
    [roundIds],
  )
  const byRound = new Map<string, Stop[]>(roundIds.map((id) => [id, []]))
  for (const { roundId, lon, lat, hits, ...s } of rows)
    byRound.get(roundId)!.push({
      ...s,
      position: lon === null || lat === null ? null : [lon, lat],
      hits: hits.map(([taxon, amount, part]) => ({ taxon, amount, ...(part === null ? {} : { part }) })),
    })
  return byRound
}

const FROM_ROUND = `select ${ROUND_COLUMNS}, r.route,
    (select row_to_json(x) from (select ${PADDOCK_COLUMNS} from paddock where id = r.paddock_id) x) as paddock,
    (select coalesce(json_agg(json_build_object('letter', letter, 'namedAs', named_as) order by letter), '[]')
     from unknown where round_id = r.id) as unknowns
  from round r join paddock p on p.id = r.paddock_id join holding h on h.id = p.holding_id`

/** A round with its paddock, stops, hits and unknowns. */
export async function getRound(db: Sql, id: string): Promise<Round | undefined> {
  return (await getRounds(db, [id]))[0]
}

/** Taxa met in rounds of the last two years, the one met at most stops first. */
export async function recentlyFound(db: Sql): Promise<string[]> {
  const { rows } = await db.query<{ taxon: string }>(
    `select h.taxon from hit h join stop s on s.id = h.stop_id join round r on r.id = s.round_id
     where r.planned_on > current_date - 730 group by h.taxon order by count(distinct s.id) desc, h.taxon limit 80`,
  )
  return rows.map((r) => r.taxon)
}

export interface PlannedStop extends Pick<Stop, 'id' | 'position' | 'stratum'> {
  seq: number
}

/** What is needed of a round to write one of its stops: far less than the round. Undefined where there is none. */
export async function stopPlace(
  db: Sql,
  roundId: string,
  seq: number,
): Promise<{ stops: number; planned: PlannedStop | undefined } | undefined> {
  const { rows } =
    await db.query<{ stops: number; id: string | null; lon: number | null; lat: number | null; stratum: string }>( // prettier-ignore
      `select (select count(*)::int from stop where round_id = r.id) as stops, s.id, s.lon, s.lat, s.stratum
     from round r left join stop s on s.round_id = r.id and s.seq = $2 where r.id = $1`,
      [roundId, seq],
    )
  const row = rows[0]
  if (!row) return undefined
  const { id, lon, lat, stratum } = row
  const position: Stop['position'] = lon === null || lat === null ? null : [lon, lat]
  return { stops: row.stops, planned: id === null ? undefined : { id, seq, position, stratum } }
}

/** Rounds by their ids, whole. */
export async function getRounds(db: Sql, ids: string[]): Promise<Round[]> {
  const { rows } = await db.query<Omit<Round, 'stops'>>(`${FROM_ROUND} where r.id = any($1::uuid[])`, [ids])
  if (rows.length === 0) return []
  const stops = await stopsOf(db, ids)
  return rows.map((row) => ({ ...row, stops: stops.get(row.id)! }))
}

export type NewRound = Pick<
  Round,
  | 'id'
  | 'paddockId'
  | 'title'
  | 'method'
  | 'purpose'
  | 'plannedOn'
  | 'pointsPerStop'
  | 'settings'
  | 'route'
  | 'source'
  | 'stops'
>

/** Add a round with its planned stops; a second call with the same id changes nothing. */
export async function addRound(db: Db, round: NewRound): Promise<void> {
  await db.transaction(async (tx) => {
    const { rows } = await tx.query(
      `insert into round (id, paddock_id, title, method, purpose, planned_on, points_per_stop, route, source, settings)
       values ($1, $2, $3, $4, $5, $6, $7, $8::jsonb, $9, $10::jsonb) on conflict (id) do nothing returning id`,
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
        JSON.stringify(round.settings),
      ],
    )
    if (rows.length === 0) return
    await insertStops(tx, round.id, round.stops)
  })
}

/** All stops of a new round and their hits, in two statements. */
async function insertStops(sql: Sql, roundId: string, stops: Stop[]): Promise<void> {
  await sql.query(
    `insert into stop (id, round_id, seq, lon, lat, done_at, stratum, measures, skipped, version, written_by)
     select id, $1, seq, lon, lat, done_at, stratum, measures, skipped, version, ''
     from jsonb_to_recordset($2::jsonb) as s (id uuid, seq int, lon float8, lat float8, done_at timestamptz,
       stratum text, measures jsonb, skipped text, version int)`,
    [
      roundId,
      JSON.stringify(
        stops.map(({ id, seq, position, doneAt, stratum, measures, skipped, version }) => ({
          ...{ id, seq, stratum, measures, skipped, version },
          lon: position?.[0] ?? null,
          lat: position?.[1] ?? null,
          done_at: doneAt,
        })),
      ),
    ],
  )
  const hits = stops.flatMap((s) => s.hits.map((h, i) => ({ stop: s.id, ord: i + 1, ...h, part: h.part ?? null })))
  await sql.query(
    `insert into hit (stop_id, ord, taxon, amount, part)
     select stop, ord, taxon, amount, part
     from jsonb_to_recordset($1::jsonb) as h (stop uuid, ord int, taxon text, amount float8, part int)`,
    [JSON.stringify(hits)],
  )
}

async function insertStop(sql: Sql, roundId: string, stop: Stop, by = ''): Promise<string> {
  const { rows } = await sql.query<{ id: string }>(
    `insert into stop (id, round_id, seq, lon, lat, done_at, stratum, measures, skipped, version, written_by)
     values ($1, $2, $3, $4, $5, $6, $7, $8::jsonb, $9, $10, $11)
     on conflict (round_id, seq) do update set done_at = excluded.done_at,
       lon = coalesce(excluded.lon, stop.lon), lat = coalesce(excluded.lat, stop.lat), stratum = excluded.stratum,
       measures = excluded.measures, skipped = excluded.skipped, version = excluded.version,
       written_by = excluded.written_by
     returning id`,
    [
      stop.id,
      roundId,
      stop.seq,
      stop.position?.[0] ?? null,
      stop.position?.[1] ?? null,
      stop.doneAt,
      stop.stratum,
      JSON.stringify(stop.measures),
      stop.skipped,
      stop.version,
      by,
    ],
  )
  return rows[0]!.id
}

async function replaceHits(sql: Sql, stopId: string, hits: Hit[]): Promise<void> {
  await sql.query('delete from hit where stop_id = $1', [stopId])
  if (hits.length === 0) return
  await sql.query(
    `insert into hit (stop_id, ord, taxon, amount, part)
     select $1, o, t, a, p from unnest($2::int[], $3::text[], $4::float8[], $5::int[]) as x (o, t, a, p)`,
    [
      stopId,
      hits.map((_, i) => i + 1),
      hits.map((h) => h.taxon),
      hits.map((h) => h.amount),
      hits.map((h) => h.part ?? null),
    ],
  )
}

/** Who writes (empty: a file that was opened), and which version of the stop they had (below 0: none of this server's). */
export interface Writer {
  by: string
  base: number
}

export type PutStop = { version: number } | { conflict: Stop }

/**
 * Write a stop whole: sending it twice leaves it once, and it is never half there. What another device has written
 * meanwhile is not overwritten: it comes back as a conflict. A stop nobody has touched since planning never conflicts.
 */
export async function putStop(db: Db, roundId: string, stop: Stop, writer?: Writer): Promise<PutStop> {
  return db.transaction(async (tx) => {
    const { rows } = await tx.query<{ version: number; by: string }>(
      'select version, written_by as by from stop where round_id = $1 and seq = $2 for update',
      [roundId, stop.seq],
    )
    const now = rows[0]
    const own = writer !== undefined && writer.by !== '' && now?.by === writer.by
    if (writer && now && !own && (now.version > 0 || writer.base < 0) && now.version !== writer.base) {
      const current = (await stopsOf(tx, [roundId])).get(roundId)!.find((s) => s.seq === stop.seq)!
      if (!isDeepStrictEqual(seenIn(current), seenIn(stop))) return { conflict: current }
      return { version: now.version }
    }
    const version = (now?.version ?? 0) + 1
    const id = await insertStop(tx, roundId, { ...stop, version }, writer?.by)
    await replaceHits(tx, id, stop.hits)
    return { version }
  })
}

/** What was seen at a stop, as plain data: fields that are not set do not count. */
const seenIn = ({ hits, measures, skipped }: Stop): unknown => JSON.parse(JSON.stringify({ hits, measures, skipped }))

/** Keep a letter, or give it its name (null takes the name away again). */
export async function putUnknown(db: Sql, roundId: string, letter: string, namedAs: string | null): Promise<void> {
  await db.query(
    `insert into unknown (round_id, letter, named_as) values ($1, $2, $3)
     on conflict (round_id, letter) do update set named_as = excluded.named_as`,
    [roundId, letter, namedAs],
  )
}
