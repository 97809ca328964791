import type { Sql } from '../db/db.ts'

/**
 * Worked out from the other tables, kept by the migrations themselves, or a way in: a copy that goes astray must let nobody
 * in, so accounts and links are made anew beside it.
 */
const NOT_COPIED = ['round_count', 'migration', 'account', 'session', 'client_link', 'asked', 'secret', 'job']

/** Tables that hold what people wrote, each after those that its rows belong to. */
export async function tablesInOrder(db: Sql): Promise<string[]> {
  const { rows: tables } = await db.query<{ name: string }>(
    `select tablename as name from pg_tables where schemaname = 'public' order by tablename`,
  )
  const { rows: links } = await db.query<{ child: string; parent: string }>(
    `select conrelid::regclass::text as child, confrelid::regclass::text as parent from pg_constraint
     where contype = 'f' and connamespace = 'public'::regnamespace`,
  )
  const left = new Set(tables.map((t) => t.name).filter((t) => !NOT_COPIED.includes(t)))
  const order: string[] = []
  while (left.size > 0) {
    const next = [...left].find((t) => links.every((l) => l.child !== t || l.parent === t || !left.has(l.parent)))
    if (!next) throw new Error(`the tables ${[...left].join(', ')} belong to one another in a ring`)
    order.push(next)
    left.delete(next)
  }
  return order
}
