import { createHash } from 'node:crypto'
import { availableParallelism } from 'node:os'
import pg from 'pg'
import { coalesceReads } from './coalesceReads.ts'
import { connectHere, connectInThread, DatabaseStopped, type Connection } from './connection.ts'
import { asIs, integer, iso } from './pglite.ts'

/** What a query runs on: the database, or a transaction of it. */
export interface Sql {
  query<Row>(text: string, params?: unknown[]): Promise<{ rows: Row[] }>
}

export interface Db extends Sql {
  /** Several statements without values, as a migration holds them. */
  script(text: string): Promise<void>
  /** All or nothing. Only the handle passed in may be used inside: another would wait for it without end. */
  transaction<T>(work: (sql: Sql & Pick<Db, 'script'>) => Promise<T>): Promise<T>
  close(): Promise<void>
}

/**
 * After so many writes dead rows are cleared, statistics read anew and the log cut at a checkpoint: there is no server
 * beside it that would, and a long log makes the next opening slow. It is done in a quiet moment, since all others wait for
 * it; where none comes, all the same.
 */
const WRITES_PER_VACUUM = 500
const FIRST_VACUUM = 50
const MOST_WRITES = 10 * WRITES_PER_VACUUM
const QUIET_MS = 500
const WRITES = /^\s*(insert|update|delete|with)\b/i

/** So many questions are handed over at a time, so that the next one lies ready when one is answered. */
const AHEAD = 3

/** Works are begun in the order in which they came: up to `AHEAD` of those that may overlap, or one that must be alone. */
function queue() {
  const waiting: { alone: boolean; start: () => Promise<void>; giveUp: (error: unknown) => void }[] = []
  let running = 0
  let alone = false
  const next = () => {
    for (;;) {
      const first = waiting[0]
      if (!first || alone || (first.alone ? running > 0 : running >= AHEAD)) return
      waiting.shift()
      running++
      alone = first.alone
      void first.start().finally(() => {
        running--
        alone = false
        next()
      })
    }
  }
  const inTurn = <T>(work: () => Promise<T>, { overlaps = false } = {}): Promise<T> =>
    new Promise<T>((resolve, reject) => {
      waiting.push({ alone: !overlaps, start: () => work().then(resolve, reject), giveUp: reject })
      next()
    })
  /** What has not begun is not begun any more: none of it was answered as done. */
  const giveUp = (error: unknown) => {
    for (const work of waiting.splice(0)) work.giveUp(error)
  }
  return { inTurn, giveUp }
}

/** Everything in turn on one connection; a transaction keeps it until it ends. */
function oneByOne(connection: Connection): Db {
  const { inTurn, giveUp } = queue()
  const sql: Sql & Pick<Db, 'script'> = {
    query: async <Row>(text: string, params?: unknown[]) => ({ rows: (await connection.query(text, params)) as Row[] }),
    script: (text) => connection.exec(text),
  }
  const once = coalesceReads<{ rows: object[] }>()
  let due = FIRST_VACUUM
  let quiet: NodeJS.Timeout | undefined
  const upkeep = () => {
    due = WRITES_PER_VACUUM
    for (const work of ['vacuum (analyze)', 'checkpoint'])
      void inTurn(() => connection.exec(work)).catch(() => undefined)
  }
  const wrote = () => {
    if (--due > 0) return
    clearTimeout(quiet)
    if (due <= WRITES_PER_VACUUM - MOST_WRITES) upkeep()
    else quiet = setTimeout(upkeep, QUIET_MS).unref()
  }
  return {
    query: async <Row>(text: string, params?: unknown[]) => {
      const result = await once(text, params, (begin) =>
        inTurn(
          () => {
            begin()
            return sql.query<object>(text, params)
          },
          { overlaps: true },
        ),
      )
      if (WRITES.test(text)) wrote()
      return result as { rows: Row[] }
    },
    script: (text) => inTurn(() => sql.script(text)),
    transaction: (work) =>
      inTurn(async () => {
        await connection.exec('begin')
        try {
          const result = await work(sql)
          await connection.exec('commit')
          wrote()
          return result
        } catch (error) {
          // Where the database itself is gone there is nothing to roll back, and the first error is the one to tell.
          await connection.exec('rollback').catch(() => undefined)
          throw error
        }
      }),
    close: () => {
      clearTimeout(quiet)
      giveUp(new DatabaseStopped())
      return inTurn(() => connection.close())
    },
  }
}

/** Both databases hand back the same types: whole numbers as numbers, dates and times as text. */
const pgTypes = {
  getTypeParser: (oid: number, format?: 'text' | 'binary') => {
    if (oid === 20) return integer
    if (oid === 1082 || oid === 1114) return asIs
    if (oid === 1184) return iso
    return pg.types.getTypeParser(oid, format as 'text')
  },
}

/** Each text is planned once for each connection: they are few, and asked again and again. */
const names = new Map<string, string>()
function named(text: string, values?: unknown[]): pg.QueryConfig {
  const name = names.get(text) ?? createHash('sha1').update(text).digest('hex')
  names.set(text, name)
  return { name, text, ...(values ? { values } : {}) }
}

/** Reads of the same thing are asked once, so a few connections do; more of them hold each other up where processors are few. */
const MOST_CONNECTIONS = Math.max(4, availableParallelism())

function openPostgres(url: string): Db {
  const pool = new pg.Pool({ connectionString: url, max: MOST_CONNECTIONS, types: pgTypes as pg.CustomTypesConfig })
  // A connection that the server cuts says so where nobody asks, which would end the process; who asked gets the error.
  const ignore = () => undefined
  pool.on('error', ignore)
  pool.on('connect', (client) => client.on('error', ignore))
  const rows = (result: pg.QueryResult) => ({ rows: result.rows as never[] })
  const once = coalesceReads<{ rows: never[] }>()
  const inTurn = async (text: string, params: unknown[] | undefined, begin: () => void) => {
    const client = await pool.connect()
    begin()
    try {
      return rows(await client.query(named(text, params)))
    } finally {
      client.release()
    }
  }
  return {
    query: (text, params) => once(text, params, (begin) => inTurn(text, params, begin)),
    script: async (text) => void (await pool.query(text)),
    transaction: async (work) => {
      const client = await pool.connect()
      try {
        await client.query('begin')
        const result = await work({
          query: async (text, params) => rows(await client.query(named(text, params))),
          script: async (text) => void (await client.query(text)),
        })
        await client.query('commit')
        return result
      } catch (error) {
        await client.query('rollback').catch(() => undefined)
        throw error
      } finally {
        client.release()
      }
    },
    close: () => pool.end(),
  }
}

/** A PostgreSQL server when an address is given, else PGlite in a folder (`memory://` for tests). */
export async function openDb(where: { databaseUrl?: string | undefined; dataDir: string }): Promise<Db> {
  if (where.databaseUrl) return openPostgres(where.databaseUrl)
  const connect = where.dataDir.startsWith('memory://') ? connectHere : connectInThread
  return oneByOne(await connect(where.dataDir))
}
