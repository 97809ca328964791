import type { Sql } from './db.ts'

/** Texts of the plants added by readers, the oldest first. */
export async function listOwnPlants(db: Sql): Promise<{ id: string; yaml: string }[]> {
  return (await db.query<{ id: string; yaml: string }>('select id, yaml from own_plant order by added_at, id')).rows
}

/** Keep a plant, or put a later version of it in place of the earlier one. */
export async function putOwnPlant(db: Sql, id: string, yaml: string): Promise<void> {
  await db.query(
    `insert into own_plant (id, yaml) values ($1, $2) on conflict (id) do update set yaml = excluded.yaml`,
    [id, yaml],
  )
}
