import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Stop } from '@/core/records/round.ts'
import type { Db, Sql } from '@/server/db/db.ts'
import { decideStop, sameSeen, type Standing, type Writer } from '@/server/db/decideStop.ts'
import { migrate } from '@/server/db/migrate.ts'
import { getRound, listRounds, stopsOf } from '@/server/db/rounds.ts'
import { putStop } from '@/server/db/stops.ts'
import { loadDemo } from '@/server/demo/loadDemo.ts'
import { testDatabase } from '@/tests/support/database.ts'

const standing: Standing = { id: 's', version: 3, by: 'd', command: 'c3' }
const decide = (writer?: Partial<Writer>, now: Partial<Standing> = {}, id = 's') =>
  decideStop({ ...standing, ...now }, { id }, writer && { by: 'd', base: 3, command: 'c4', ...writer })

describe('whether a stop takes the place of another', () => {
  it('it does where its writer saw what stands, whoever wrote that', () => {
    expect(decide({ base: 3 })).toBe('write')
    expect(decide({ base: 3, by: 'another' })).toBe('write')
    expect(decide({ base: 0 }, { version: 0, command: null })).toBe('write')
    expect(decide()).toBe('write')
  })

  it('a page of the same device that has not seen it does not write over it', () => {
    expect(decide({ base: 2 })).toBe('elsewhere')
    expect(decide({ base: 0 })).toBe('elsewhere')
  })

  it('sent again after its answer was lost it is the same; what was typed since goes on from it', () => {
    expect(decide({ base: 2, command: 'c3' })).toBe('repeated')
    expect(decide({ base: 2, command: 'c5', after: ['c3', 'c4'] })).toBe('write')
    expect(decide({ base: 2, command: 'c5', after: ['c1'] })).toBe('elsewhere')
  })

  it('a version of the app that names no commands goes on with its own', () => {
    expect(decide({ base: 0, command: undefined })).toBe('write')
    expect(decide({ base: 0, command: undefined, by: 'another' })).toBe('elsewhere')
    expect(decide({ base: 0, command: undefined, by: '' }, { by: '' })).toBe('elsewhere')
  })

  it('from a file nothing is written over that was touched', () => {
    expect(decide({ base: -1, by: '' }, { version: 0, command: null })).toBe('elsewhere')
  })

  it('two that were added with one number are two', () => {
    expect(decide({ added: true }, {}, 'other')).toBe('renumber')
    expect(decide({ added: true, base: 3 })).toBe('write')
  })

  it('the same count is the same, however it came', () => {
    const seen = { hits: [{ taxon: 'bare', amount: 1 }], measures: { heightCm: 3 }, skipped: null }
    expect(sameSeen(seen, { ...seen, measures: JSON.parse(JSON.stringify(seen.measures)) as object })).toBe(true)
    expect(sameSeen(seen, { ...seen, skipped: 'under water' })).toBe(false)
  })
})

describe('stops of one round, written by several', () => {
  let db: Db
  let roundId: string
  beforeAll(async () => {
    db = await testDatabase()
    await migrate(db)
    await loadDemo(db, '2027-05-01')
    roundId = (await listRounds(db)).find((r) => r.title === 'Before turnout')!.id
  })
  afterAll(() => db.close())
  const stops = async () => (await getRound(db, roundId))!.stops
  const hits = (n: number) => Array.from({ length: n }, () => ({ taxon: 'timothy', amount: 1 }))

  it('a stale page of one device is told of what stands, and what stands stays', async () => {
    const [planned] = await stops()
    const by = randomUUID()
    const write = (n: number, base: number): Promise<unknown> =>
      putStop(db, roundId, { ...planned!, hits: hits(n) }, { by, base, command: randomUUID() })
    expect(await write(5, 0)).toEqual({ version: 1, seq: 1 })
    expect(await write(1, 0)).toMatchObject({ conflict: { version: 1 } })
    expect((await stops())[0]!.hits).toHaveLength(5)
    expect(await write(6, 1)).toEqual({ version: 2, seq: 1 })
  })

  it('of two who added the next stop each has its own, sent twice too', async () => {
    const last = (await stops()).length
    const added = (): Stop => ({ ...blank, id: randomUUID(), seq: last + 1, hits: hits(2) })
    const writer = (): Writer => ({ by: randomUUID(), base: 0, command: randomUUID(), added: true })
    const [one, two] = [added(), added()]
    const [byOne, byTwo] = [writer(), writer()]
    expect(await putStop(db, roundId, one, byOne)).toMatchObject({ seq: last + 1 })
    expect(await putStop(db, roundId, two, byTwo)).toMatchObject({ seq: last + 2 })
    expect(await putStop(db, roundId, two, byTwo)).toMatchObject({ seq: last + 2 })
    expect((await stops()).slice(last).map((s) => s.id)).toEqual([one.id, two.id])
  })

  it('many at once add theirs: none is lost, none has the number of another', async () => {
    const before = (await stops()).length
    await Promise.all(
      Array.from({ length: 12 }, () =>
        putStop(
          db,
          roundId,
          { ...blank, id: randomUUID(), seq: before + 1, hits: hits(1) },
          { by: randomUUID(), base: 0, command: randomUUID(), added: true },
        ),
      ),
    )
    const after = await stops()
    expect(after.length - before).toBe(12)
    expect(new Set(after.map((s) => s.seq)).size).toBe(after.length)
  })

  it('what was written in a transaction that was undone is not shown, nor taken for what stands', async () => {
    const there = (await stops())[1]!
    const by = randomUUID()
    const write = (sql: Sql, n: number) =>
      putStop(sql, roundId, { ...there, hits: hits(n) }, { by, base: there.version, command: randomUUID() })
    const undone = db.transaction(async (tx) => {
      await write(tx, 9)
      throw new Error('undone')
    })
    await expect(undone).rejects.toThrow('undone')
    expect(await write(db, 4)).toEqual({ version: there.version + 1, seq: 2 })
    expect((await stops())[1]!.hits).toHaveLength(4)
  })

  it('what another process wrote since is not written over by what this one remembers', async () => {
    const there = (await stops())[2]!
    const by = randomUUID()
    const write = (n: number, base: number) =>
      putStop(db, roundId, { ...there, hits: hits(n) }, { by, base, command: randomUUID() })
    expect(await write(3, there.version)).toEqual({ version: there.version + 1, seq: 3 })
    await db.query(`update stop set version = version + 1, written_by = 'another', command = null where id = $1`, [
      there.id,
    ])
    await db.query(`delete from hit where stop_id = $1 and ord > 1`, [there.id])
    expect(await write(7, there.version + 1)).toMatchObject({ conflict: { version: there.version + 2 } })
    expect((await stops())[2]!.hits).toHaveLength(1)
  })

  it('a round read from memory is the one that stands in the database, field by field', async () => {
    const there = (await stops())[3]!
    const mixed = [{ taxon: 'timothy', amount: 0.1 }, { taxon: 'bare', amount: 2, part: 3 }] // prettier-ignore
    await putStop(db, roundId, { ...there, hits: mixed }, { by: randomUUID(), base: there.version })
    const [warm, cold] = [await stops(), (await stopsOf(db, [roundId])).get(roundId)!]
    expect(warm).toStrictEqual(cold)
    expect(Object.keys(warm[3]!).sort()).toEqual(Object.keys(blank).concat('id', 'seq').sort())
    expect(warm[3]!.hits).toStrictEqual(mixed)
  })

  it('the same list is asked once for all who wait', async () => {
    const [first, ...others] = await Promise.all(Array.from({ length: 6 }, () => listRounds(db, 100)))
    for (const other of others) expect(other).toBe(first)
  })
})

const blank: Omit<Stop, 'id' | 'seq'> = {
  ...{ position: null, hits: [], doneAt: null, stratum: '', measures: {}, skipped: null, version: 0 },
}
