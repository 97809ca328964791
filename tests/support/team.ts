import type { Express } from 'express'
import request from 'supertest'
import { afterAll, beforeAll } from 'vitest'
import { addAccount } from '@/server/access/accounts.ts'
import { sharedSecret } from '@/server/access/sharedSecret.ts'
import { makeApp } from '@/server/app.ts'
import type { Db } from '@/server/db/db.ts'
import { migrate } from '@/server/db/migrate.ts'
import { loadDemo } from '@/server/demo/loadDemo.ts'
import { Book } from '@/server/flora/book.ts'
import { flora } from './book.ts'
import { testDatabase } from './database.ts'

/** Passwords of the two who have an account from the start. */
export const ODILE = { name: 'Odile Marrow', password: 'wet gate and no gloves' }
export const TAM = { name: 'Tam Rushford', password: 'counted thirty by noon' }

/** Several servers on one database, with accounts: an advisor and a trainee, and the demo valley. */
export function teamForFile(servers = 1) {
  const parts: { apps: Express[]; db?: Db; logged: unknown[] } = { apps: [], logged: [] }
  beforeAll(async () => {
    const db = (parts.db = await testDatabase())
    await migrate(db)
    await loadDemo(db, '2027-05-01')
    await addAccount(db, { ...ODILE, role: 'advisor' })
    await addAccount(db, { ...TAM, role: 'trainee' })
    for (let i = 0; i < servers; i++) {
      const accounts = { secret: await sharedSecret(db, 'cookies'), proxies: 1 }
      parts.apps.push(makeApp({ db, book: new Book(flora), accounts, log: (error) => parts.logged.push(error) }))
    }
  })
  afterAll(() => parts.db?.close())
  const app = (i = 0) => parts.apps[i]!
  return {
    app,
    get db() {
      return parts.db!
    },
    logged: parts.logged,
    /** Somebody at a browser that keeps cookies; `from` is where it stands, so that tries are counted apart. */
    async signedIn(who: { name: string; password: string }, from = '192.0.2.1') {
      const browser = request.agent(app())
      await browser
        .post('/api/sign-in')
        .set('x-forwarded-for', from)
        .send({ name: who.name, password: who.password })
        .expect(200)
      return browser
    },
  }
}
