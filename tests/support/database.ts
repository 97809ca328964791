import { randomBytes } from 'node:crypto'
import pg from 'pg'
import { openDb, type Db } from '@/server/db/db.ts'

/** Address of a PostgreSQL server without a database's name, where the tests are to run on one. */
const server = process.env.TEST_POSTGRES

/** Those in memory that a file is through with: opening one takes longer than most files. */
const free: Db[] = []

async function inMemory(): Promise<Db> {
  const base = free.pop() ?? (await openDb({ dataDir: 'memory://' }))
  await base.script('drop schema public cascade; create schema public')
  // Another object each time: what the server remembers of a database it remembers of the object.
  return { ...base, close: () => Promise.resolve(void free.push(base)) }
}

/** An empty database of a test's own: in memory, or on the server that the run was given. */
export async function testDatabase(): Promise<Db> {
  if (!server) return inMemory()
  const name = `test_${randomBytes(8).toString('hex')}`
  const admin = new pg.Client({ connectionString: `${server}/postgres` })
  await admin.connect()
  await admin.query(`create database ${name}`)
  await admin.end()
  return openDb({ databaseUrl: `${server}/${name}`, dataDir: '' })
}
