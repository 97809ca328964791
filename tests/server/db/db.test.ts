import { spawn, spawnSync } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, rmSync, utimesSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { openDb, type Db } from '@/server/db/db.ts'
import { FolderInUse, GONE_MS, lockFolder } from '@/server/db/folderLock.ts'
import { migrate } from '@/server/db/migrate.ts'

const folder = mkdtempSync(join(tmpdir(), 'fold-sprig-lock-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))

describe('one process on a data folder', () => {
  it('a second taker is told which process holds it', () => {
    const unlock = lockFolder(folder)
    expect(() => lockFolder(folder)).toThrow(FolderInUse)
    expect(() => lockFolder(folder)).toThrow(new RegExp(`process ${process.pid}`))
    unlock()
  })

  it('given back, it can be taken again', () => {
    lockFolder(folder)()
    const unlock = lockFolder(folder)
    unlock()
    expect(existsSync(join(folder, 'in-use.json'))).toBe(false)
  })

  it('a folder nothing can be written into is said to be so, with what to look for', () => {
    const file = join(folder, 'a-file')
    writeFileSync(file, '')
    expect(() => lockFolder(join(file, 'data'))).toThrow(/Nothing can be written into the data folder .*read-only/)
  })

  it('a lock left by a process that is gone is taken over', async () => {
    const gone = spawn(process.execPath, ['-e', ''])
    await new Promise((r) => gone.once('exit', r))
    writeFileSync(join(folder, 'in-use.json'), JSON.stringify({ pid: gone.pid, start: '1' }))
    const unlock = lockFolder(folder)
    expect(JSON.parse(readFileSync(join(folder, 'in-use.json'), 'utf8'))).toMatchObject({ pid: process.pid })
    unlock()
  })

  it('a lock whose number was taken by another program is taken over', () => {
    writeFileSync(join(folder, 'in-use.json'), JSON.stringify({ pid: process.pid, start: '12345' }))
    lockFolder(folder)()
  })

  it('a holder in another container, whose process cannot be seen, keeps the folder as long as it gives a sign', () => {
    const file = join(folder, 'in-use.json')
    writeFileSync(file, JSON.stringify({ pid: 1, start: '1', where: 'another host, another space of processes' }))
    expect(() => lockFolder(folder)).toThrow(FolderInUse)
    const longAgo = (Date.now() - GONE_MS - 1000) / 1000
    utimesSync(file, longAgo, longAgo)
    lockFolder(folder)()
  })

  /** What makes a container: process ids and a host name of its own. Only root may make one, and not everywhere. */
  const own = ['--pid', '--fork', '--mount-proc', '--uts', '--kill-child']
  const canContain = spawnSync('unshare', [...own, 'true']).status === 0
  it.skipIf(!canContain)('a process in a container of its own keeps the folder, and is named with it', async () => {
    const lock = JSON.stringify(join(process.cwd(), 'server/db/folderLock.ts'))
    const hold = `import(${lock}).then((m) => { m.lockFolder(process.env.FOLDER); console.log('held'); setInterval(() => {}, 1000) })`
    const inside = 'hostname box-one && exec "$NODE" --import tsx -e "$HOLD"'
    const container = spawn('unshare', [...own, 'sh', '-c', inside], {
      stdio: ['ignore', 'pipe', 'inherit'],
      env: { ...process.env, NODE: process.execPath, HOLD: hold, FOLDER: folder },
    })
    await new Promise((r) => container.stdout.once('data', r))
    expect(() => lockFolder(folder)).toThrow(
      /process \d+ of box-one\. Close that one first.* free 30 s after its last sign/,
    )
    container.kill('SIGKILL')
    await new Promise((r) => container.once('exit', r))
    // It was killed and could not give it back: nothing tells that from a pause.
    expect(() => lockFolder(folder)).toThrow(FolderInUse)
    const longAgo = (Date.now() - GONE_MS - 1000) / 1000
    utimesSync(join(folder, 'in-use.json'), longAgo, longAgo)
    lockFolder(folder)()
  })

  it('a lock file that cannot be read does not lock for ever', () => {
    writeFileSync(join(folder, 'in-use.json'), '{ half')
    lockFolder(folder)()
  })
})

describe('the database', () => {
  let db: Db
  beforeAll(async () => {
    db = await openDb({ dataDir: 'memory://' })
    await migrate(db)
  })
  afterAll(() => db.close())

  it('migrations run once', async () => {
    const before = await db.query<{ name: string }>('select name from migration order by name')
    await migrate(db)
    const after = await db.query<{ name: string }>('select name from migration order by name')
    expect(after.rows).toEqual(before.rows)
    expect(after.rows[0]!.name).toBe('001-start.sql')
  })

  it('hands back dates as text and counts as numbers, as a server would', async () => {
    const { rows } = await db.query<{ d: string; n: number; t: string }>(
      `select date '2027-04-02' as d, count(*) as n, timestamptz '2027-04-02 10:00+02' as t from (values (1)) as v`,
    )
    expect(rows[0]).toEqual({ d: '2027-04-02', n: 1, t: '2027-04-02T08:00:00.000Z' })
  })

  it('a transaction that fails leaves nothing behind', async () => {
    const id = '00000000-0000-4000-8000-000000000001'
    const failing = db.transaction(async (tx) => {
      await tx.query('insert into holding (id, name, client) values ($1, $2, $3)', [id, 'Half', ''])
      throw new Error('stopped half-way')
    })
    await expect(failing).rejects.toThrow('stopped half-way')
    expect((await db.query('select 1 from holding where id = $1', [id])).rows).toEqual([])
  })

  it('told to close it ends what has begun, and what has not is told so: a long queue does not hold it open', async () => {
    const own = await openDb({ dataDir: join(folder, 'closing') })
    const first = own.query<{ n: number }>('select 1 as n, pg_sleep(0.2)::text')
    const later = Array.from({ length: 50 }, (_, i) => own.query(`select pg_sleep(0.2)::text, ${i}`))
    const ended = Promise.allSettled(later)
    await new Promise((r) => setTimeout(r, 50))
    await own.close()
    expect((await first).rows[0]!.n).toBe(1)
    const told = (await ended).filter((e) => e.status === 'rejected' && /stopped/.test(String(e.reason)))
    expect(told.length).toBeGreaterThan(40)
  })
})
