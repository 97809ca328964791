import type { Sql } from './db.ts'

/**
 * Take on some work for all processes on the database.
 *
 * @param ms for so long nobody else gets it
 * @returns false where another one has it
 */
export async function acquireLease(db: Sql, name: string, ms: number): Promise<boolean> {
  // One that ends long after ours would was taken by a clock that was ahead; one that began a moment before or after was not.
  const { rows } = await db.query(
    `insert into job as j (name, until) values ($1, now() + $2 * interval '1 millisecond')
     on conflict (name) do update set until = excluded.until
       where j.until < now() or j.until > excluded.until + interval '1 minute' returning name`,
    [name, ms],
  )
  return rows.length > 0
}

/** Give it back before its time, as when it failed. */
export async function releaseLease(db: Sql, name: string): Promise<void> {
  await db.query('delete from job where name = $1', [name])
}
