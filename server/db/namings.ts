import type { Determination } from '@/core/records/round.ts'
import type { Sql } from './db.ts'

/** Write a name down; sending it twice leaves it once. */
export async function addNaming(db: Sql, n: Determination): Promise<void> {
  await db.query(
    `insert into naming (id, round_id, letter, plant, probability, context, observations, named_at, place, specimens, evidence)
     values ($1, $2, $3, $4, $5, $6::jsonb, $7::jsonb, $8, $9, $10, $11::jsonb) on conflict (id) do nothing`,
    [
      n.id,
      n.roundId,
      n.letter,
      n.plant,
      n.probability,
      JSON.stringify(n.context),
      JSON.stringify(n.observations),
      n.namedAt,
      n.place,
      n.specimens,
      JSON.stringify(n.evidence),
    ],
  )
}

/** Names written down, the newest first: all of one round, or the newest of all. */
export async function listNamings(db: Sql, roundId?: string): Promise<Determination[]> {
  const { rows } = await db.query<Determination>(
    `select id, round_id as "roundId", letter, plant, probability, context, observations, named_at as "namedAt",
       place, specimens, evidence
     from naming where $1::uuid is null or round_id = $1 order by named_at desc, id
     limit case when $1::uuid is null then 500 end`,
    [roundId ?? null],
  )
  return rows
}
