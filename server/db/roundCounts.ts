import type { Round } from '@/core/records/round.ts'
import type { YearCount } from '@/core/survey/paddockHistory.ts'
import type { Sql } from './db.ts'
import { getRounds } from './rounds.ts'

/** The paddock that was counted most often, if any was. */
export async function mostCounted(db: Sql): Promise<string | undefined> {
  const { rows } = await db.query<{ id: string }>(
    `select paddock_id as id from round where id in (select round_id from stop where done_at is not null)
     group by paddock_id order by count(*) desc, paddock_id limit 1`,
  )
  return rows[0]?.id
}

/** Changes with everything that a round in short rests on: its stops, what its letters were named, and the parts. */
const STAMP = `md5(concat_ws('|', r.method, r.title, r.planned_on, r.settings, p.strata, p.boundary, s.versions, s.done,
  (select string_agg(letter || '=' || coalesce(named_as, ''), ',' order by letter) from unknown where round_id = r.id)))`

/**
 * Rounds of a paddock in short, the latest first. What was worked out before is read; what changed since is worked out
 * again and kept.
 *
 * @param inShort works a round out; undefined where nothing adds up to a sward
 */
export async function countsOfPaddock(
  db: Sql,
  paddockId: string,
  inShort: (round: Round) => YearCount | undefined,
): Promise<YearCount[]> {
  const { rows } = await db.query<{ id: string; stamp: string; value: YearCount | null; fresh: boolean }>(
    `select r.id, ${STAMP} as stamp, c.value, c.stamp is not null and c.stamp = ${STAMP} as fresh
     from round r join paddock p on p.id = r.paddock_id
       join (select round_id, sum(version) as versions, count(done_at) as done from stop
             where round_id in (select id from round where paddock_id = $1) group by round_id) s on s.round_id = r.id
       left join round_count c on c.round_id = r.id
     where r.paddock_id = $1 and s.done > 0 order by r.planned_on desc, r.title, r.id`,
    [paddockId],
  )
  const stale = rows.filter((r) => !r.fresh)
  if (stale.length === 0) return rows.flatMap((r) => r.value ?? [])
  const rounds = await getRounds(db, stale.map((r) => r.id)) // prettier-ignore
  const anew = new Map(rounds.map((r) => [r.id, inShort(r) ?? null]))
  await db.query(
    `insert into round_count (round_id, stamp, value)
     select id, stamp, value from jsonb_to_recordset($1::jsonb) as x (id uuid, stamp text, value jsonb)
     on conflict (round_id) do update set stamp = excluded.stamp, value = excluded.value`,
    [JSON.stringify(stale.map(({ id, stamp }) => ({ id, stamp, value: anew.get(id)! })))],
  )
  return rows.flatMap((r) => (r.fresh ? r.value : anew.get(r.id)) ?? [])
}
