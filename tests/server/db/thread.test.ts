import { mkdtempSync, renameSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { DatabaseStopped } from '@/server/db/connection.ts'
import { openDb, type Db, type Sql } from '@/server/db/db.ts'

const folder = mkdtempSync(join(tmpdir(), 'fold-sprig-thread-'))
const dataDir = join(folder, 'pg')
let db: Db
beforeAll(async () => {
  db = await openDb({ dataDir })
  await db.script('create table thing (id int primary key, name text not null)')
})
afterAll(async () => {
  await db.close()
  rmSync(folder, { recursive: true, force: true })
})

describe('a database in a thread of its own', () => {
  it('flushes its log before a commit is answered (PostgreSQL 18 manual, section 29.1)', async () => {
    const { rows } = await db.query<{ name: string; setting: string }>(
      `select name, setting from pg_settings where name in ('fsync', 'wal_sync_method', 'synchronous_commit', 'full_page_writes')`,
    )
    expect(Object.fromEntries(rows.map((r) => [r.name, r.setting]))).toEqual({
      fsync: 'on',
      wal_sync_method: 'fsync',
      synchronous_commit: 'on',
      full_page_writes: 'on',
    })
  })

  it('hands errors over with their codes, and goes on after them', async () => {
    await db.query('insert into thing values (1, $1)', ['one'])
    await expect(db.query('insert into thing values (1, $1)', ['again'])).rejects.toMatchObject({ code: '23505' })
    await expect(db.query('select nonsense')).rejects.toMatchObject({ code: '42703' })
    expect((await db.query('select id, name from thing')).rows).toEqual([{ id: 1, name: 'one' }])
  })

  it('a transaction that fails leaves nothing, and others wait their turn', async () => {
    const failing = db.transaction(async (tx) => {
      await tx.query('insert into thing values (2, $1)', ['two'])
      throw new Error('stopped')
    })
    const after = db.query<{ n: number }>('select count(*) as n from thing')
    await expect(failing).rejects.toThrow('stopped')
    expect((await after).rows[0]!.n).toBe(1)
  })

  it('a slow query does not hold up this thread', async () => {
    let ticks = 0
    const timer = setInterval(() => ticks++, 5)
    await db.query('select count(*) from generate_series(1, 1500000)')
    clearInterval(timer)
    // In the page server's own thread not one would come through.
    expect(ticks).toBeGreaterThan(5)
  })

  it('what was written is there when the folder is opened again', async () => {
    await db.close()
    db = await openDb({ dataDir })
    expect((await db.query('select name from thing where id = 1')).rows).toEqual([{ name: 'one' }])
  })

  describe('whose log cannot be written, as on a full disk', () => {
    const log = join(dataDir, 'pg_wal')
    const away = join(dataDir, 'away')
    /** The next line of the log needs a file, and there is no folder for it. */
    const breakLog = async (sql: Sql) => {
      await sql.query('select pg_switch_wal()')
      renameSync(log, away)
      await sql.query('select pg_switch_wal()')
    }
    const numbers = async () =>
      (await db.query<{ id: number }>('select id from thing order by id')).rows.map((r) => r.id)

    it('takes nothing, says so each time, and goes on by itself when it can, with all it had taken', async () => {
      await db.query(`insert into thing values (10, 'before')`)
      await breakLog(db)
      await expect(db.query(`insert into thing values (11, 'lost')`)).rejects.toMatchObject({ severity: 'PANIC' })
      for (const id of [12, 13])
        await expect(db.query('insert into thing values ($1, $2)', [id, 'lost'])).rejects.toThrow(DatabaseStopped)
      renameSync(away, log)
      await db.query(`insert into thing values (14, 'after')`)
      expect(await numbers()).toEqual([1, 10, 14])
    })

    it('many who ask at once while it cannot be opened are each told so, none waits for ever', async () => {
      await breakLog(db)
      await db.query(`insert into thing values (15, 'lost')`).catch(() => undefined)
      const all = Array.from({ length: 12 }, (_, i) => db.query('select $1::int as n', [i]))
      for (const answer of await Promise.allSettled(all))
        expect(answer).toMatchObject({ status: 'rejected', reason: expect.any(DatabaseStopped) })
      renameSync(away, log)
      const again = await Promise.all(Array.from({ length: 12 }, (_, i) => db.query<{ n: number }>('select $1::int as n', [i]))) // prettier-ignore
      expect(again.map((a) => a.rows[0]!.n)).toEqual(Array.from({ length: 12 }, (_, i) => i))
    })

    it('a transaction that was under way does not go on, half of it, in the next thread', async () => {
      const half = db.transaction(async (tx) => {
        await tx.query(`insert into thing values (20, 'first half')`)
        await breakLog(tx)
        await tx.query(`insert into thing values (21, 'lost')`)
        await expect(tx.query('select pg_switch_wal()')).rejects.toMatchObject({ severity: 'PANIC' })
        renameSync(away, log)
        await tx.query(`insert into thing values (23, 'second half')`)
      })
      await expect(half).rejects.toThrow(DatabaseStopped)
      expect(await numbers()).toEqual([1, 10, 14])
      await db.query(`insert into thing values (22, 'another')`)
      expect(await numbers()).toEqual([1, 10, 14, 22])
    })
  })
})
