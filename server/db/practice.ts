import type { PracticeAnswer } from '@/core/practice/answer.ts'
import type { Verification } from '@/core/records/verification.ts'
import type { Sql } from './db.ts'

/** Keep answers; one that is known already stays as it was. */
export async function addAnswers(db: Sql, answers: PracticeAnswer[]): Promise<void> {
  await db.query(
    `insert into practice_answer (id, kind, about, answered, "right", sure, seconds, at, measured)
     select id, kind, about, answered, "right", sure, seconds, at, measured
     from jsonb_to_recordset($1::jsonb) as a (id uuid, kind text, about text, answered text, "right" boolean,
       sure float8, seconds float8, at timestamptz, measured jsonb)
     on conflict (id) do nothing`,
    [JSON.stringify(answers)],
  )
}

/** Most answers that are read: years of practice. */
const MOST = 20_000

/** Answers in the order in which they were given. */
export async function listAnswers(db: Sql): Promise<PracticeAnswer[]> {
  const { rows } = await db.query<Omit<PracticeAnswer, 'measured'> & { measured: PracticeAnswer['measured'] | null }>(
    `select * from (
       select id, kind, about, answered, "right", sure, seconds,
         to_char(at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as at, measured
       from practice_answer order by practice_answer.at desc limit $1
     ) latest order by at, id`,
    [MOST],
  )
  return rows.map(({ measured, ...a }) => (measured ? { ...a, measured } : a))
}

const CHECK = 'naming_id as "namingId", checked_on::text as "checkedOn", was, note'

export async function getVerification(db: Sql, namingId: string): Promise<Verification | undefined> {
  return (await db.query<Verification>(`select ${CHECK} from naming_check where naming_id = $1`, [namingId])).rows[0]
}

export async function putVerification(db: Sql, c: Verification): Promise<void> {
  await db.query(
    `insert into naming_check (naming_id, checked_on, was, note) values ($1, $2, $3, $4)
     on conflict (naming_id) do update set checked_on = excluded.checked_on, was = excluded.was, note = excluded.note`,
    [c.namingId, c.checkedOn, c.was, c.note],
  )
}

export async function deleteVerification(db: Sql, namingId: string): Promise<void> {
  await db.query('delete from naming_check where naming_id = $1', [namingId])
}

export async function listNamingChecks(db: Sql): Promise<Verification[]> {
  return (await db.query<Verification>(`select ${CHECK} from naming_check order by checked_on`)).rows
}
