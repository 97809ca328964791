import type { Hit } from '@/core/records/hit.ts'
import type { Round, RoundSummary, Stop } from '@/core/records/round.ts'
import { LRUCache } from 'lru-cache'
import type { Db, Sql } from './db.ts'
import { PADDOCK_COLUMNS } from './places.ts'

const ROUND_COLUMNS = `r.id, r.paddock_id as "paddockId", h.name as holding, h.client, r.title, r.method, r.purpose,
  r.planned_on::text as "plannedOn", r.points_per_stop as "pointsPerStop", r.source, r.settings`

/** The latest planned, and with them all that still have an open stop. */
const LATEST = `(select id from round order by planned_on desc, title, id limit $1::int)
  union select round_id from stop where done_at is null
  union select id from round where not exists (select 1 from stop where round_id = round.id)`

/**
 * Rounds, the next planned first. They come as one value: a thousand rows of many columns would take longer.
 *
 * @param latest so many of the latest planned, and all that are still to be walked; left out: every round
 */
export async function listRounds(db: Sql, latest?: number): Promise<RoundSummary[]> {
  const some = latest === undefined ? '' : `where id in (${LATEST})`
  const { rows } = await db.query<{ rounds: RoundSummary[] }>(
    `select coalesce(json_agg(x), '[]') as rounds from (
       with listed as materialized (select id from round ${some})
       select ${ROUND_COLUMNS}, p.name as paddock, coalesce(s.stops, 0) as stops, coalesce(s.done, 0) as "stopsDone"
       from listed join round r on r.id = listed.id join paddock p on p.id = r.paddock_id
         join holding h on h.id = p.holding_id
         left join (select round_id, count(*)::int as stops, count(done_at)::int as done from stop
           where round_id in (select id from listed) group by round_id) s on s.round_id = r.id
       order by r.planned_on desc, r.title, r.id) x`,
    latest === undefined ? [] : [latest],
  )
  return rows[0]!.rounds
}

type StopRow = Omit<Stop, 'position' | 'hits'> & { roundId: string; lon: number | null; lat: number | null }
type HitsOfStop = [taxon: string, amount: number, part: number | null][]

/** Hits that are kept in memory, of all rounds together. */
const MOST_KEPT = 300_000
/**
 * Hits by stop and version, for each database: a stop that is written gets another version, so what is kept stays true,
 * whichever process writes.
 */
const keptHits = new WeakMap<Sql, LRUCache<string, Hit[]>>()

function keptOf(db: Sql): LRUCache<string, Hit[]> {
  const kept = keptHits.get(db) ?? new LRUCache({ maxSize: MOST_KEPT, sizeCalculation: (hits) => hits.length + 1 })
  keptHits.set(db, kept)
  return kept
}

const nameOf = (s: { id: string; version: number }) => `${s.id} ${s.version}`

/** Hits of a stop as it was just written, so that the next reader need not ask for them. */
export const keepHits = (db: Db, stop: { id: string; version: number }, hits: Hit[]): void =>
  void keptOf(db).set(nameOf(stop), hits)

const STOP_COLUMNS = 'id, seq, lon, lat, done_at as "doneAt", stratum, measures, skipped, version'

const stopFrom = ({ lon, lat, ...s }: Omit<StopRow, 'roundId'>, hits: Hit[]): Stop => ({
  ...s,
  position: lon === null || lat === null ? null : [lon, lat],
  hits,
})

/** Stops with their hits, which come gathered by stop: thousands of rows would take longer. */
async function readStops(db: Sql, stopIds: string[]): Promise<Map<string, Stop>> {
  if (stopIds.length === 0) return new Map()
  const { rows } = await db.query<Omit<StopRow, 'roundId'> & { found: HitsOfStop }>(
    `select ${STOP_COLUMNS}, (select coalesce(json_agg(json_build_array(taxon, amount, part) order by ord), '[]') from hit
       where stop_id = stop.id) as found
     from stop where id = any($1::uuid[])`,
    [stopIds],
  )
  const hit = ([taxon, amount, part]: HitsOfStop[number]) => ({ taxon, amount, ...(part === null ? {} : { part }) })
  return new Map(rows.map(({ found, ...s }) => [s.id, stopFrom(s, found.map(hit))]))
}

/** Stops of rounds with their hits, by round; one that is written meanwhile comes as it was or as it is, never half. */
export async function stopsOf(
  db: Sql,
  roundIds: string[],
  kept?: LRUCache<string, Hit[]>,
): Promise<Map<string, Stop[]>> {
  const { rows } = await db.query<StopRow>(
    `select round_id as "roundId", ${STOP_COLUMNS} from stop where round_id = any($1::uuid[]) order by round_id, seq`,
    [roundIds],
  )
  const known = new Map(rows.map((s) => [s.id, kept?.get(nameOf(s))]))
  const read = await readStops(db, rows.filter((s) => !known.get(s.id)).map((s) => s.id)) // prettier-ignore
  for (const stop of read.values()) kept?.set(nameOf(stop), stop.hits)
  const byRound = new Map<string, Stop[]>(roundIds.map((id) => [id, []]))
  for (const { roundId, ...row } of rows) {
    const hits = known.get(row.id)
    const stop = hits ? stopFrom(row, hits) : read.get(row.id)
    if (stop) byRound.get(roundId)!.push(stop)
  }
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

export async function hasRound(db: Sql, id: string): Promise<boolean> {
  return (await db.query('select 1 from round where id = $1', [id])).rows.length > 0
}

/** Rounds by their ids, whole. */
export async function getRounds(db: Sql, ids: string[]): Promise<Round[]> {
  const [{ rows }, stops] = await Promise.all([
    db.query<Omit<Round, 'stops'>>(`${FROM_ROUND} where r.id = any($1::uuid[])`, [ids]),
    stopsOf(db, ids, keptOf(db)),
  ])
  // A round planned between the two questions has its stops by now.
  const late = rows.filter((r) => stops.get(r.id)!.length === 0).map((r) => r.id)
  if (late.length > 0) for (const [id, found] of await stopsOf(db, late, keptOf(db))) stops.set(id, found)
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
export const addRound = (db: Db, round: NewRound): Promise<void> => db.transaction((tx) => insertRound(tx, round))

/** The same inside a transaction. */
export async function insertRound(tx: Sql, round: NewRound): Promise<void> {
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

/** Keep a letter, or give it its name (null takes the name away again). */
export async function putUnknown(db: Sql, roundId: string, letter: string, namedAs: string | null): Promise<void> {
  await db.query(
    `insert into unknown (round_id, letter, named_as) values ($1, $2, $3)
     on conflict (round_id, letter) do update set named_as = excluded.named_as`,
    [roundId, letter, namedAs],
  )
}
