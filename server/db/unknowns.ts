import { letterAt, type UndeterminedSpecimen } from '@/core/records/specimen.ts'
import type { Sql } from './db.ts'

const columns = `id, letter, place, note, context, observations, opinion, named_as as "namedAs",
  to_char(made_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as "madeAt"`

/** Plants kept under a letter, the newest first: all that wait for a name, and the newest of those that have one. */
export async function listUnknowns(db: Sql): Promise<UndeterminedSpecimen[]> {
  return (
    await db.query<UndeterminedSpecimen>(`select ${columns} from unknown_plant where named_as is null
    union all (select ${columns} from unknown_plant where named_as is not null order by made_at desc, id limit 500)
    order by "madeAt" desc, id`)
  ).rows
}

export async function getUndetermined(db: Sql, id: string): Promise<UndeterminedSpecimen | undefined> {
  return (await db.query<UndeterminedSpecimen>(`select ${columns} from unknown_plant where id = $1`, [id])).rows[0]
}

/** Keep a description; a new one gets the next free letter, one that is there keeps its own. */
export async function putUndetermined(db: Sql, u: Omit<UndeterminedSpecimen, 'letter'>): Promise<UndeterminedSpecimen> {
  const { rows } = await db.query<{ letter: string }>('select letter from unknown_plant where id = $1', [u.id])
  let letter = rows[0]?.letter
  if (!letter) {
    const taken = new Set(
      (await db.query<{ letter: string }>('select letter from unknown_plant')).rows.map((r) => r.letter),
    )
    let i = 0
    while (taken.has(letterAt(i))) i++
    letter = letterAt(i)
  }
  await db.query(
    `insert into unknown_plant (id, letter, place, note, context, observations, made_at, opinion, named_as)
     values ($1, $2, $3, $4, $5::jsonb, $6::jsonb, $7, $8::jsonb, $9)
     on conflict (id) do update set place = excluded.place, note = excluded.note, context = excluded.context,
       observations = excluded.observations, opinion = excluded.opinion, named_as = excluded.named_as`,
    [
      u.id,
      letter,
      u.place,
      u.note,
      JSON.stringify(u.context),
      JSON.stringify(u.observations),
      u.madeAt,
      u.opinion ? JSON.stringify(u.opinion) : null,
      u.namedAs,
    ],
  )
  return { ...u, letter }
}
