import type { Stop } from '@/core/records/round.ts'
import { LRUCache } from 'lru-cache'
import type { Db, Sql } from './db.ts'
import { decideStop, sameSeen, type Standing, type Writer } from './decideStop.ts'
import { keepHits, stopsOf } from './rounds.ts'

/** What was counted at a stop; without a position or stratum of its own it keeps those that were planned. */
export type CountedStop = Omit<Stop, 'stratum'> & { stratum: string | null }

/** The number is another one where somebody else had added a stop of the same. */
export type PutStop = { version: number; seq: number } | { conflict: Stop } | { noSuchStop: true }

interface Found extends Standing {
  seq: number
}

/** The stop that is meant: by its number, or, where it was added and may have got another one, by its id; and the last number. */
async function find(sql: Sql, roundId: string, { id, seq }: Pick<Stop, 'id' | 'seq'>, byId: boolean) {
  const { rows } = await sql.query<Partial<Found> & { last: number }>(
    `select s.id, s.seq, s.version, s.written_by as by, s.command,
       (select coalesce(max(seq), 0)::int from stop where round_id = r.id) as last
     from round r left join stop s on s.round_id = r.id and (s.seq = $3 or (s.id = $2 and $4))
     where r.id = $1 order by (s.id = $2) desc nulls last limit 1`,
    [roundId, id, seq, byId],
  )
  if (!rows[0]) return undefined
  const { last, ...found } = rows[0]
  return { last, found: found.id ? (found as Found) : undefined }
}

/**
 * Write a stop with its hits in one statement; hits beyond the last go.
 *
 * @param over version that it takes the place of; undefined where none stands there
 * @returns its id and version; undefined where another one was written since it was looked up
 */
async function write(
  sql: Sql,
  roundId: string,
  stop: CountedStop,
  writer: Writer | undefined,
  over: number | undefined,
): Promise<{ id: string; version: number } | undefined> {
  const { id, seq, position, doneAt, stratum, measures, skipped, hits } = stop
  const { rows } = await sql.query<{ id: string; version: number }>(
    `with s as (
       insert into stop as st
         (id, round_id, seq, lon, lat, done_at, stratum, measures, skipped, version, written_by, command)
       values ($1, $2, $3, $4, $5, $6, coalesce($7::text, ''), $8::jsonb, $9, 1, $10, $11)
       on conflict (round_id, seq) do update set done_at = excluded.done_at, lon = coalesce(excluded.lon, st.lon),
         lat = coalesce(excluded.lat, st.lat), stratum = coalesce($7, st.stratum), measures = excluded.measures,
         skipped = excluded.skipped, version = st.version + 1, written_by = excluded.written_by,
         command = excluded.command
       where st.version = $17::int
       returning id, version),
     gone as (delete from hit using s where stop_id = s.id and ord > $12),
     put as (
       insert into hit (stop_id, ord, taxon, amount, part)
       select s.id, o, t, a, p from s, unnest($13::int[], $14::text[], $15::float8[], $16::int[]) as h (o, t, a, p)
       on conflict (stop_id, ord) do update set taxon = excluded.taxon, amount = excluded.amount, part = excluded.part)
     select id, version from s`,
    [
      ...[id, roundId, seq, position?.[0] ?? null, position?.[1] ?? null, doneAt, stratum],
      ...[JSON.stringify(measures), skipped, writer?.by ?? '', writer?.command ?? null],
      ...[hits.length, hits.map((_, i) => i + 1), hits.map((h) => h.taxon), hits.map((h) => h.amount)],
      ...[hits.map((h) => h.part ?? null), over ?? null],
    ],
  )
  const written = rows[0]
  if (written && isDb(sql)) {
    keepHits(sql, written, hits)
    const { by = '', command = null } = writer ?? {}
    lastSeenOf(sql).set(nameOf(roundId, seq), { ...written, seq, by, command })
  }
  return written
}

/** A transaction may still be undone, so nothing of it is remembered. */
const isDb = (sql: Sql): sql is Db => 'transaction' in sql

/** Stops whose last writer is remembered: a screen writes the same stop again with each key. */
const MOST_REMEMBERED = 20_000
const lastSeen = new WeakMap<Db, LRUCache<string, Found>>()
const nameOf = (roundId: string, seq: number) => `${roundId} ${seq}`
function lastSeenOf(db: Db): LRUCache<string, Found> {
  const seen = lastSeen.get(db) ?? new LRUCache({ max: MOST_REMEMBERED })
  lastSeen.set(db, seen)
  return seen
}

/**
 * Write over what this process saw last, without looking it up: where another process wrote since, the version is another
 * one, and nothing is written.
 */
async function writeOverLastSeen(sql: Sql, roundId: string, stop: CountedStop, writer: Writer | undefined) {
  const last = isDb(sql) ? lastSeenOf(sql).get(nameOf(roundId, stop.seq)) : undefined
  if (!last || decideStop(last, stop, writer) !== 'write') return undefined
  return write(sql, roundId, stop, writer, last.version)
}

/** Whether anything was noted at a stop: what nobody has been at may be written from anywhere. */
export const isTouched = (s: Pick<Stop, 'doneAt' | 'skipped' | 'hits' | 'measures'>): boolean =>
  s.doneAt !== null || s.skipped !== null || s.hits.length > 0 || Object.keys(s.measures).length > 0

/** So often it is decided anew where others write the same stop at the same moment. */
const MOST_TRIES = 50

const atWork = new WeakMap<Sql, Map<string, Promise<unknown>>>()

/** Those who write the same stop do it in turn here: each would find that another one wrote, look again, and hold up the rest. */
async function inTurn<T>(sql: Sql, name: string, work: () => Promise<T>): Promise<T> {
  const busy = atWork.get(sql) ?? new Map<string, Promise<unknown>>()
  atWork.set(sql, busy)
  const mine = (busy.get(name) ?? Promise.resolve()).then(work, work)
  busy.set(name, mine)
  try {
    return await mine
  } finally {
    if (busy.get(name) === mine) busy.delete(name)
  }
}

/**
 * Write a stop whole: sending it twice leaves it once, and it is never half there. What another page or device has written
 * meanwhile is not overwritten: it comes back as a conflict. A stop that was not planned may only follow the last one.
 * It is looked up, decided, and written only over what was looked up: a lock would hold up all who read meanwhile.
 *
 * @param anywhere a round that was handed on as a file may have gaps
 */
export const putStop = (
  sql: Sql,
  roundId: string,
  stop: CountedStop,
  writer?: Writer,
  { anywhere = false } = {},
): Promise<PutStop> =>
  inTurn(sql, nameOf(roundId, stop.seq), () => decideAndWrite(sql, roundId, stop, writer, anywhere))

async function decideAndWrite(
  sql: Sql,
  roundId: string,
  stop: CountedStop,
  writer: Writer | undefined,
  anywhere: boolean,
): Promise<PutStop> {
  const again = await writeOverLastSeen(sql, roundId, stop, writer)
  if (again) return { version: again.version, seq: stop.seq }
  for (let tries = 0; tries < MOST_TRIES; tries++) {
    const there = await find(sql, roundId, stop, writer?.added === true)
    if (!there) return { noSuchStop: true }
    const { found, last } = there
    if (!found && !anywhere && stop.seq !== last + 1) return { noSuchStop: true }
    const decision = found ? decideStop(found, stop, writer) : 'write'
    if (found && decision === 'repeated') return { version: found.version, seq: found.seq }
    if (found && decision === 'elsewhere') {
      const standing = (await stopsOf(sql, [roundId])).get(roundId)!.find((s) => s.id === found.id)!
      if (sameSeen(standing, stop)) return { version: found.version, seq: found.seq }
      if (isTouched(standing)) return { conflict: standing }
    }
    const seq = decision === 'renumber' ? last + 1 : (found?.seq ?? stop.seq)
    const over = decision === 'renumber' ? undefined : found?.version
    const written = await write(sql, roundId, { ...stop, seq }, writer, over)
    if (written) return { version: written.version, seq }
  }
  throw new Error(`stop ${stop.seq} was written by others each of ${MOST_TRIES} times`)
}
