import { PGlite, types } from '@electric-sql/pglite'
import pg from 'pg'
import { emptyFolderFor } from './emptyFolder.ts'

/** What a query runs on: the database, or a transaction of it. */
export interface Sql {
  query<Row>(text: string, params?: unknown[]): Promise<{ rows: Row[] }>
}

export interface Db extends Sql {
  /** Several statements without values, as a migration holds them. */
  script(text: string): Promise<void>
  /** All or nothing. Only the handle passed in may be used inside. */
  transaction<T>(work: (sql: Sql & Pick<Db, 'script'>) => Promise<T>): Promise<T>
  close(): Promise<void>
}

const asIs = (text: string) => text
const iso = (text: string) => new Date(text).toISOString()
const integer = (text: string) => Number(text)

async function openPglite(dataDir: string): Promise<Db> {
  const loadDataDir = await emptyFolderFor(dataDir)
  const lite = await PGlite.create({
    dataDir,
    ...(loadDataDir ? { loadDataDir } : {}),
    parsers: { [types.INT8]: integer, [types.DATE]: asIs, [types.TIMESTAMP]: asIs, [types.TIMESTAMPTZ]: iso },
  })
  return {
    query: <Row>(text: string, params?: unknown[]) => lite.query<Row>(text, params),
    script: async (text) => void (await lite.exec(text)),
    transaction: (work) =>
      lite.transaction((tx) =>
        work({
          query: <Row>(text: string, params?: unknown[]) => tx.query<Row>(text, params),
          script: async (text) => void (await tx.exec(text)),
        }),
      ) as Promise<never>,
    close: () => lite.close(),
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

function openPostgres(url: string): Db {
  const pool = new pg.Pool({ connectionString: url, types: pgTypes as pg.CustomTypesConfig })
  const rows = (result: pg.QueryResult) => ({ rows: result.rows as never[] })
  return {
    query: async (text, params) => rows(await pool.query(text, params)),
    script: async (text) => void (await pool.query(text)),
    transaction: async (work) => {
      const client = await pool.connect()
      try {
        await client.query('begin')
        const result = await work({
          query: async (text, params) => rows(await client.query(text, params)),
          script: async (text) => void (await client.query(text)),
        })
        await client.query('commit')
        return result
      } catch (error) {
        await client.query('rollback')
        throw error
      } finally {
        client.release()
      }
    },
    close: () => pool.end(),
  }
}

/** A PostgreSQL server when an address is given, else PGlite in a folder (`memory://` for tests). */
export function openDb(where: { databaseUrl?: string | undefined; dataDir: string }): Promise<Db> {
  return where.databaseUrl ? Promise.resolve(openPostgres(where.databaseUrl)) : openPglite(where.dataDir)
}
