import type { Stop } from '@/core/records/round.ts'
import type { Sql } from './db.ts'
import { decideStop, sameSeen, type Standing, type Writer } from './decideStop.ts'
import { stopsOf } from './rounds.ts'

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
 * @returns its version; undefined where another one was written since it was looked up
 */
async function write(
  sql: Sql,
  roundId: string,
  stop: CountedStop,
  writer: Writer | undefined,
  over: number | undefined,
): Promise<number | undefined> {
  const { id, seq, position, doneAt, stratum, measures, skipped, hits } = stop
  const { rows } = await sql.query<{ version: number }>(
    `with s as (
       insert into stop as st
         (id, round_id, seq, lon, lat, done_at, stratum, measures, skipped, version, written_by, command)
       values ($1, $2, $3, $4, $5, $6, coalesce($7::text, ''), $8::jsonb, $9, 1, $10, $11)
       on conflict (round_id, seq) do update set done_at = excluded.done_at, lon = coalesce(excluded.lon, st.lon),
         lat = coalesce(excluded.lat, st.lat), stratum = coalesce($7, st.stratum), measures = excluded.measures,
         skipped = excluded.skipped, version = st.version + 1, written_by = excluded.written_by,
         command = excluded.command
       where st.version = $14::int
       returning id, version),
     gone as (delete from hit using s where stop_id = s.id and ord > $12),
     put as (
       insert into hit (stop_id, ord, taxon, amount, part)
       select s.id, ord, taxon, amount, part
       from s, jsonb_to_recordset($13::jsonb) as h (ord int, taxon text, amount float8, part int)
       on conflict (stop_id, ord) do update set taxon = excluded.taxon, amount = excluded.amount, part = excluded.part)
     select version from s`,
    [
      ...[id, roundId, seq, position?.[0] ?? null, position?.[1] ?? null, doneAt, stratum],
      ...[JSON.stringify(measures), skipped, writer?.by ?? '', writer?.command ?? null],
      ...[hits.length, JSON.stringify(hits.map((h, i) => ({ ord: i + 1, ...h, part: h.part ?? null }))), over ?? null],
    ],
  )
  return rows[0]?.version
}

/** Whether anything was noted at a stop: what nobody has been at may be written from anywhere. */
export const isTouched = (s: Pick<Stop, 'doneAt' | 'skipped' | 'hits' | 'measures'>): boolean =>
  s.doneAt !== null || s.skipped !== null || s.hits.length > 0 || Object.keys(s.measures).length > 0

/** So often it is decided anew where others write the same stop at the same moment. */
const MOST_TRIES = 50

/**
 * Write a stop whole: sending it twice leaves it once, and it is never half there. What another page or device has written
 * meanwhile is not overwritten: it comes back as a conflict. A stop that was not planned may only follow the last one.
 * It is looked up, decided, and written only over what was looked up: a lock would hold up all who read meanwhile.
 *
 * @param anywhere a round that was handed on as a file may have gaps
 */
export async function putStop(
  sql: Sql,
  roundId: string,
  stop: CountedStop,
  writer?: Writer,
  { anywhere = false } = {},
): Promise<PutStop> {
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
    const version = await write(sql, roundId, { ...stop, seq }, writer, over)
    if (version !== undefined) return { version, seq }
  }
  throw new Error(`stop ${stop.seq} was written by others each of ${MOST_TRIES} times`)
}
