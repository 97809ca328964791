import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import type { Stop } from '@/core/records/round.ts'
import type { Db } from '@/server/db/db.ts'
import { releaseLease, acquireLease } from '@/server/db/lease.ts'
import { migrate, migrationNames } from '@/server/db/migrate.ts'
import { putOwnPlant } from '@/server/db/ownPlants.ts'
import { getRound, listRounds } from '@/server/db/rounds.ts'
import { putStop, type PutStop } from '@/server/db/stops.ts'
import { loadDemo } from '@/server/demo/loadDemo.ts'
import { Book } from '@/server/flora/book.ts'
import { followOwnPlants } from '@/server/flora/followOwnPlants.ts'
import { flora } from '@/tests/support/book.ts'
import { testDatabase } from '@/tests/support/database.ts'
import { ownPlantText } from '@/tests/support/ownPlant.ts'

let db: Db
beforeAll(async () => {
  db = await testDatabase()
})
afterAll(() => db.close())

describe('several servers on one database', () => {
  it('started at once, each step of the schema is run once', async () => {
    await Promise.all([migrate(db), migrate(db), migrate(db)])
    const { rows } = await db.query<{ name: string }>('select name from migration order by name')
    expect(rows.map((r) => r.name)).toEqual(migrationNames())
  })

  it('of many that want some work one gets it, until it gives it back or its time is over', async () => {
    const wanted = () => Promise.all(Array.from({ length: 8 }, () => acquireLease(db, 'copy', 60_000)))
    expect((await wanted()).filter(Boolean)).toHaveLength(1)
    expect((await wanted()).filter(Boolean)).toHaveLength(0)
    expect(await acquireLease(db, 'another', 60_000)).toBe(true)
    await releaseLease(db, 'copy')
    expect((await wanted()).filter(Boolean)).toHaveLength(1)
    await db.query(`update job set until = now() - interval '1 second' where name = 'copy'`)
    expect((await wanted()).filter(Boolean)).toHaveLength(1)
  })

  it('a plant added through one is in the book of the other; one that does not fit is said once and left out', async () => {
    const there = new Book(flora)
    const said: unknown[] = []
    await putOwnPlant(db, 'nonsense', 'id: nonsense')
    const stop = followOwnPlants(db, there, new Map(), (e) => said.push(e), 20)
    const { id, yaml } = ownPlantText()
    await putOwnPlant(db, id, yaml)
    await vi.waitFor(() => expect(there.flora.plants.some((p) => p.id === id)).toBe(true), { timeout: 30_000 })
    await new Promise((r) => setTimeout(r, 100))
    stop()
    expect(said.map(String)).toEqual([expect.stringContaining('Own plant nonsense is left out')])
  })
})

describe('one stop written by many at once', () => {
  const hits = (taxon: string, n: number) => Array.from({ length: n }, () => ({ taxon, amount: 1 }))
  let roundId: string
  const stopNow = async (seq: number) => (await getRound(db, roundId))!.stops.find((s) => s.seq === seq)!
  beforeAll(async () => {
    await loadDemo(db, '2027-05-01')
    roundId = (await listRounds(db)).find((r) => r.title === 'Before turnout')!.id
  })

  it('one device is taken, each other one is told what stands there, and its hits are those of one device', async () => {
    const planned = await stopNow(1)
    const count = (i: number): Stop => ({ ...planned, hits: hits(i % 2 ? 'timothy' : 'bare', 5 + i), doneAt: '2027-05-01T08:00:00.000Z' }) // prettier-ignore
    // Each has seen a version that was never there, so that only the very first may be taken.
    const first = await putStop(db, roundId, count(0), { by: randomUUID(), base: 0 })
    expect(first).toEqual({ version: 1, seq: 1 })
    const answers = await Promise.all(Array.from({ length: 10 }, (_, i) => putStop(db, roundId, count(i + 1), { by: randomUUID(), base: 1 }))) // prettier-ignore
    const taken = answers.flatMap((a, i) => ('version' in a ? [i + 1] : []))
    expect(taken).toHaveLength(1)
    const stands = await stopNow(1)
    expect(stands.version).toBe(2)
    expect(stands.hits).toEqual(count(taken[0]!).hits)
    for (const a of answers.filter((x): x is Extract<PutStop, { conflict: Stop }> => 'conflict' in x))
      expect(a.conflict.hits).toEqual(stands.hits)
  })

  it('the device that wrote last goes on writing; fewer hits than before leave none behind', async () => {
    const planned = await stopNow(2)
    const by = randomUUID()
    for (const n of [20, 7, 0, 3]) {
      await putStop(db, roundId, { ...planned, hits: hits('timothy', n) }, { by, base: 0 })
      expect((await stopNow(2)).hits).toHaveLength(n)
    }
    expect((await stopNow(2)).version).toBe(4)
  })

  it('the same count sent by another device is no conflict', async () => {
    const planned = await stopNow(3)
    const count = { ...planned, hits: hits('bare', 4) }
    await putStop(db, roundId, count, { by: randomUUID(), base: 0 })
    expect(await putStop(db, roundId, count, { by: randomUUID(), base: 0 })).toEqual({ version: 1, seq: 3 })
    expect(await putStop(db, roundId, { ...count, hits: hits('bare', 5) }, { by: randomUUID(), base: -1 })).toMatchObject({ conflict: { version: 1 } }) // prettier-ignore
  })

  it('a reader sees each version with its own hits while another writes', async () => {
    const planned = await stopNow(4)
    const by = randomUUID()
    const write = async () => {
      // The version that a write gets is also how many hits it has.
      for (let n = 1; n <= 15; n++)
        await putStop(db, roundId, { ...planned, hits: hits('timothy', n) }, { by, base: 0 })
    }
    const seen: [number, number][] = []
    const read = async () => {
      while (seen.at(-1)?.[0] !== 15) {
        const s = await stopNow(4)
        seen.push([s.version, s.hits.length])
      }
    }
    await Promise.all([write(), read()])
    for (const [version, n] of seen) expect(n).toBe(version)
  })
})

describe('many questions at once', () => {
  beforeAll(() => db.script('create table counted (n int primary key, half boolean not null default false)'))

  it('values of each type come back as they went in, the second time as the first', async () => {
    const id = randomUUID()
    const sent = [
      [id, randomUUID()],
      ['rye "grass"', 'klee, {weiß}', '', 'null', 'بَرّي'],
      [1, 2.5, -0.001],
      { a: [1, null, { b: 'c' }], 'ü"\\': true },
      new Uint8Array([0, 255, 10, 39, 92]),
      '2027-02-28',
      true,
      null,
      'Alopecurus pratensis L.\n\t',
    ]
    const text = `select $1::uuid[] as ids, $2::text[] as texts, $3::float8[] as numbers, $4::jsonb as json, $5::bytea as bytes,
      $6::date as day, $7::boolean as yes, $8::text as nothing, $9::text as words`
    for (let i = 0; i < 7; i++) {
      const { rows } = await db.query<Record<string, unknown>>(text, sent)
      const { bytes, ...others } = rows[0]!
      expect(Object.values(others)).toEqual(sent.filter((v) => !(v instanceof Uint8Array)))
      expect([...(bytes as Uint8Array)]).toEqual([0, 255, 10, 39, 92])
    }
  })

  it('what is wrong is answered to who asked it, by its code, and all others get theirs', async () => {
    // Codes of PostgreSQL's manual, appendix A.
    const wrong = [
      ['select 1 / $1::int as n', [0], '22012'],
      ['selct 1', [], '42601'],
      ['select n from nowhere', [], '42P01'],
      ['insert into counted (n) values ($1), ($1)', [-1], '23505'],
      ['select $1::uuid', ['no'], '22P02'],
    ] as const
    const answers = await Promise.allSettled(
      Array.from({ length: 60 }, (_, i) => {
        const [text, params] = wrong[i % 10] ?? (['select $1::int as n', [i]] as const)
        return db.query<{ n: number }>(text, [...params])
      }),
    )
    answers.forEach((a, i) => {
      const code = wrong[i % 10]?.[2]
      if (code) expect(a).toMatchObject({ status: 'rejected', reason: { code } })
      else expect(a).toMatchObject({ status: 'fulfilled', value: { rows: [{ n: i }] } })
    })
  })

  it('nobody sees half of a transaction, and everybody their own acknowledged write', async () => {
    const count = async () => (await db.query<{ n: number }>('select count(*) as n from counted where half')).rows[0]!.n
    const seen: number[] = []
    const pairs = async (n: number) => {
      await db.transaction(async (tx) => {
        await tx.query('insert into counted (n, half) values ($1, true)', [2 * n])
        await new Promise((r) => setTimeout(r, 2))
        await tx.query('insert into counted (n, half) values ($1, true)', [2 * n + 1])
      })
      const { rows } = await db.query('select n from counted where n = $1', [2 * n + 1])
      expect(rows).toHaveLength(1)
    }
    await Promise.all(Array.from({ length: 20 }, async (_, n) => {
      seen.push(await count())
      await pairs(n)
      const after = await count()
      expect(after).toBeGreaterThanOrEqual(2)
      seen.push(after)
    })) // prettier-ignore
    expect(seen.filter((n) => n % 2 !== 0)).toEqual([])
    expect(await count()).toBe(40)
  })

  // The embedded database has no connections to cut.
  if (process.env.TEST_POSTGRES)
    it('connections that the server cuts are opened anew', async () => {
      await Promise.all(Array.from({ length: 10 }, () => db.query('select pg_sleep(0.01)')))
      const cut = 'select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database()'
      await db.query(cut).catch(() => undefined)
      await vi.waitFor(async () => expect((await db.query('select 1 as n')).rows).toEqual([{ n: 1 }]), {
        timeout: 30_000,
      })
      await expect(db.transaction((tx) => tx.query('select pg_terminate_backend(pg_backend_pid())'))).rejects.toThrow()
      expect((await db.query('select 2 as n')).rows).toEqual([{ n: 2 }])
    })
})
