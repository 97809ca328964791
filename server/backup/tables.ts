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

const ROWS_AT_ONCE = 1000

/** Rows of a table as lines of JSON, piece by piece, as they lie. Inside a transaction none is met twice or missed. */
export async function* linesOf(sql: Sql, table: string, columns = '*'): AsyncGenerator<string[]> {
  for (let after = '(0,0)'; ;) {
    const { rows } = await sql.query<{ place: string; line: string }>(
      `select page.tid::text as place, row_to_json(t)::text as line
       from (select x.ctid as tid from "${table}" x where x.ctid > $1::tid order by x.ctid limit ${ROWS_AT_ONCE}) page,
         lateral (select ${columns} from "${table}" x where x.ctid = page.tid) t
       order by page.tid`,
      [after],
    )
    yield rows.map((r) => r.line)
    if (rows.length < ROWS_AT_ONCE) return
    after = rows.at(-1)!.place
  }
}

/** Columns of the pictures without the pictures themselves. */
export async function columnsWithoutBytes(sql: Sql): Promise<string> {
  const { rows } = await sql.query<{ name: string }>(
    `select column_name as name from information_schema.columns
     where table_schema = 'public' and table_name = 'photo' and column_name <> 'bytes' order by ordinal_position`,
  )
  return rows.map((r) => `"${r.name}"`).join(', ')
}
