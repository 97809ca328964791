import type { KeptKind } from '@/contract/commands.ts'
import type { Sql } from './db.ts'

export interface Kept {
  subject: string
  kind: KeptKind
  value: object
}

/** Everything said of paddocks and rounds besides their counts. */
export async function listKept(db: Sql): Promise<Kept[]> {
  const { rows } = await db.query<Kept>('select subject, kind, value from kept order by written_at')
  return rows
}

export async function getKept(db: Sql, subject: string, kind: KeptKind): Promise<object | undefined> {
  const { rows } = await db.query<Kept>('select value from kept where subject = $1 and kind = $2', [subject, kind])
  return rows[0]?.value
}

export async function putKept(db: Sql, { subject, kind, value }: Kept): Promise<void> {
  await db.query(
    `insert into kept (subject, kind, value) values ($1, $2, $3)
     on conflict (subject, kind) do update set value = excluded.value, written_at = now()`,
    [subject, kind, JSON.stringify(value)],
  )
}

export async function deleteKept(db: Sql, subject: string, kind: KeptKind): Promise<void> {
  await db.query('delete from kept where subject = $1 and kind = $2', [subject, kind])
}
