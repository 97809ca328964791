import type { Express } from 'express'
import request from 'supertest'
import { afterAll, beforeAll } from 'vitest'
import { makeApp } from '@/server/app.ts'
import type { Db } from '@/server/db/db.ts'
import { migrate } from '@/server/db/migrate.ts'
import { Book } from '@/server/flora/book.ts'
import { flora } from './book.ts'
import { testDatabase } from './database.ts'

/** The whole API on an empty database, opened once for a test file. */
export function apiForFile() {
  const parts: { app?: Express; db?: Db; logged: unknown[] } = { logged: [] }
  beforeAll(async () => {
    parts.db = await testDatabase()
    await migrate(parts.db)
    parts.app = makeApp({ db: parts.db, book: new Book(flora), log: (error) => parts.logged.push(error) })
  })
  afterAll(() => parts.db?.close())
  return {
    get app() {
      return parts.app!
    },
    get db() {
      return parts.db!
    },
    /** What the server would have written to its log: empty unless something inside went wrong. */
    logged: parts.logged,
    get: (url: string) => request(parts.app!).get(url),
    post: (url: string, body: object) => request(parts.app!).post(url).send(body),
    put: (url: string, body: object) => request(parts.app!).put(url).send(body),
    raw: () => request(parts.app!),
  }
}
