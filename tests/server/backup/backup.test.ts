import { createHash } from 'node:crypto'
import { appendFileSync, mkdtempSync, readdirSync, rmSync, utimesSync, writeFileSync } from 'node:fs'
import { syncBuiltinESMExports } from 'node:module'
import { tmpdir } from 'node:os'
import { Writable } from 'node:stream'
import { join } from 'node:path'
import JSZip from 'jszip'
import { afterAll, describe, expect, it, vi } from 'vitest'
import { keepCopies, listCopies, makeCopy, type CopyState } from '@/server/backup/dailyCopies.ts'
import { BadBackup, readBackup } from '@/server/backup/readBackup.ts'
import { restoreBackup } from '@/server/backup/restoreBackup.ts'
import { backupFile, type Manifest } from '@/server/backup/writeBackup.ts'
import type { Db } from '@/server/db/db.ts'
import { migrate, migrationNames } from '@/server/db/migrate.ts'
import { listPaddocks } from '@/server/db/places.ts'
import { getRound, listRounds } from '@/server/db/rounds.ts'
import { loadDemo } from '@/server/demo/loadDemo.ts'
import { apiForFile } from '@/tests/support/api.ts'
import { testDatabase } from '@/tests/support/database.ts'

const api = apiForFile()
const folder = mkdtempSync(join(tmpdir(), 'fold-sprig-copies-'))
/** Two databases beside the one that is copied, emptied again for each test: opening one takes longer. */
const [first, second] = [testDatabase(), testDatabase()]
const emptied = async (opening: Promise<Db> | undefined): Promise<Db> => {
  const db = await opening!
  await db.script('drop schema public cascade; create schema public')
  return db
}
afterAll(async () => {
  for (const db of [first, second]) await (await db!).close()
  rmSync(folder, { recursive: true, force: true })
})
const at = new Date('2027-05-01T06:30:00.000Z')
const png = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 255, 128, 7])

describe('a copy of everything', () => {
  it('restored into an empty database gives back each round, place and picture as it was', async () => {
    await loadDemo(api.db, '2027-05-01')
    await api.raw().put('/api/photos/00000000-0000-4000-8000-000000000077?subject=bench').set('content-type', 'image/png').send(png) // prettier-ignore
    const { body } = await api
      .raw()
      .get('/api/backup')
      .buffer()
      .parse((res, done) => {
        const parts: Buffer[] = []
        res.on('data', (d: Buffer) => parts.push(d))
        res.on('end', () => done(null, Buffer.concat(parts)))
      })
    const other = await emptied(first)
    const counts = await restoreBackup(other, await readBackup(body as Buffer))
    expect(counts.stop).toBeGreaterThan(100)
    expect(await listPaddocks(other)).toEqual(await listPaddocks(api.db))
    const rounds = await listRounds(api.db)
    expect(await listRounds(other)).toEqual(rounds)
    for (const r of rounds) expect(await getRound(other, r.id)).toEqual(await getRound(api.db, r.id))
    const photo = await other.query<{ bytes: Uint8Array }>('select bytes from photo')
    expect(Buffer.from(photo.rows[0]!.bytes)).toEqual(png)
    // A second copy, of the restored one, holds the same rows.
    const again = (await backupFile(other, at)).manifest
    expect(again.tables).toEqual((await backupFile(api.db, at)).manifest.tables)
  })

  it('is only put into an empty database, and nothing is half put in', async () => {
    const { file } = await backupFile(api.db, at)
    await expect(restoreBackup(api.db, await readBackup(file))).rejects.toThrow('only put into an empty one')
  })

  it.each([
    ['cut short', async (f: Buffer) => Promise.resolve(f.subarray(0, f.length / 2)), /not a zip, or only a part/],
    ['of something else', async () => new JSZip().file('a.txt', 'a').generateAsync({ type: 'nodebuffer' }), /not a copy made by/], // prettier-ignore
    ['with a line changed', change('tables/holding.ndjson', (t) => t.replace(/"name":"/, '"name":"X')), /holding of this copy is damaged/], // prettier-ignore
    ['with a table missing', change('tables/stop.ndjson'), /stop is missing/],
    ['of a newer server', change('manifest.json', (t) => t.replace('001-start.sql', '999-later.sql')), /newer server \(999/], // prettier-ignore
    ['with a list of other things', change('manifest.json', (t) => t.replace(/"tables": \[/, '"tables": [7,')), /not a copy made by/], // prettier-ignore
    ['with a list that is no list', change('manifest.json', (t) => t.slice(0, 40)), /the file is damaged/],
  ])('a copy %s is refused with the reason', async (_what, spoil, said) => {
    const { file } = await backupFile(api.db, at)
    const spoilt = await spoil(file)
    await expect(readBackup(spoilt)).rejects.toThrow(said)
    await expect(readBackup(spoilt)).rejects.toBeInstanceOf(BadBackup)
    const answer = await api.raw().post('/api/backup/check').set('content-type', 'application/zip').send(spoilt)
    expect(answer.status).toBe(400)
    expect((answer.body as { error: { message: string } }).error.message).toMatch(said)
  })

  it('one that unpacks to more than can be read is left before it fills the memory', async () => {
    const zip = new JSZip().file('manifest.json', ' '.repeat(5_000_000))
    const small = await zip.generateAsync({ type: 'nodebuffer', compression: 'DEFLATE' })
    expect(small.length).toBeLessThan(10_000)
    await expect(readBackup(small, 1_000_000)).rejects.toThrow('unpacks to more than can be read here')
  })

  it('one of the first version, in which pictures stand as text in their table, is still put in', async () => {
    const { file } = await backupFile(api.db, at)
    const zip = await JSZip.loadAsync(file)
    const { rows } = await api.db.query<{ line: string }>('select row_to_json(t)::text as line from photo t')
    const text = rows.map((r) => `${r.line}\n`).join('')
    const manifest = JSON.parse(await zip.file('manifest.json')!.async('string')) as Manifest
    const tables = manifest.tables.map((t) => (t.name === 'photo' ? { ...t, sha256: createHash('sha256').update(text).digest('hex') } : t)) // prettier-ignore
    const rest = { ...manifest }
    delete rest.photos
    zip.file('tables/photo.ndjson', text).file('manifest.json', JSON.stringify({ ...rest, version: 1, tables }))
    for (const name of Object.keys(zip.files).filter((n) => n.startsWith('photos/'))) zip.remove(name)
    const other = await emptied(first)
    await restoreBackup(other, await readBackup(await zip.generateAsync({ type: 'nodebuffer' })))
    const photo = await other.query<{ bytes: Uint8Array }>('select bytes from photo')
    expect(Buffer.from(photo.rows[0]!.bytes)).toEqual(png)
  })

  it('with a picture changed or taken out it is refused', async () => {
    const { file } = await backupFile(api.db, at)
    const entry = 'photos/00000000-0000-4000-8000-000000000077'
    await expect(readBackup(await change(entry, (t) => `${t}x`)(file))).rejects.toThrow(
      'A picture of this copy is missing or damaged',
    )
    await expect(readBackup(await change(entry)(file))).rejects.toThrow('A picture of this copy is missing or damaged')
  })

  it('lets nobody in: no account, session, link or key is in it', async () => {
    const { manifest } = await backupFile(api.db, at)
    const names = manifest.tables.map((t) => t.name)
    for (const way of ['account', 'session', 'client_link', 'secret', 'asked']) expect(names).not.toContain(way)
    expect(names).toContain('audit')
  })

  it('a whole one is said to be whole, with its rows', async () => {
    const { file, manifest } = await backupFile(api.db, at)
    const answer = await api.raw().post('/api/backup/check').set('content-type', 'application/zip').send(file)
    expect(answer.body).toEqual({ madeAt: at.toISOString(), tables: manifest.tables.map(({ name, rows }) => ({ name, rows })) }) // prettier-ignore
    expect(api.logged).toEqual([])
  })
})

describe('a copy that lacks a table of its schema', () => {
  it('is not put in', async () => {
    const { file } = await backupFile(api.db, at)
    const list = (t: string) => {
      const manifest = JSON.parse(t) as { tables: { name: string }[] }
      return JSON.stringify({ ...manifest, tables: manifest.tables.filter((x) => x.name !== 'hit') })
    }
    const spoilt = await change('manifest.json', list)(file)
    await expect(restoreBackup(await emptied(first), await readBackup(spoilt))).rejects.toThrow('lacks tables: hit')
  })
})

/** The file with one entry changed, or taken out. */
function change(entry: string, how?: (text: string) => string) {
  return async (file: Buffer): Promise<Buffer> => {
    const zip = await JSZip.loadAsync(file)
    if (how) zip.file(entry, how(await zip.file(entry)!.async('string')))
    else zip.remove(entry)
    return zip.generateAsync({ type: 'nodebuffer' })
  }
}

describe('a copy made under an earlier schema', () => {
  it.each(migrationNames().slice(0, -1))('up to %s: comes out under today’s', async (last) => {
    // prettier-ignore
    const old = await emptied(first)
    await migrate(old, last)
    const id = '00000000-0000-4000-8000-00000000000'
    await old.query('insert into holding (id, name, client) values ($1, $2, $3)', [`${id}1`, 'Old holding', 'Client'])
    await old.query(`insert into paddock (id, holding_id, name, boundary, region, outlook, sown) values ($1, $2, 'Old field', null, 'cool-humid', 'grazing', '["timothy"]'::jsonb)`, [`${id}2`, `${id}1`]) // prettier-ignore
    await old.query(`insert into round (id, paddock_id, title, method, purpose, planned_on, points_per_stop, source) values ($1, $2, 'Old round', 'step-points', '', '2026-05-01', 10, '')`, [`${id}3`, `${id}2`]) // prettier-ignore
    await old.query(`insert into stop (id, round_id, seq, done_at) values ($1, $2, 1, '2026-05-01T10:00:00Z')`, [`${id}4`, `${id}3`]) // prettier-ignore
    await old.query(`insert into hit (stop_id, ord, taxon, amount) values ($1, 1, 'timothy', 7.5)`, [`${id}4`])
    const { file } = await backupFile(old, at)
    const today = await emptied(second)
    await restoreBackup(today, await readBackup(file))
    const round = await getRound(today, `${id}3`)
    expect(round!.stops[0]!.hits).toEqual([{ taxon: 'timothy', amount: 7.5 }])
    expect(round!.paddock.sown).toEqual(['timothy'])
    // The same data, brought up to date where it lies.
    await migrate(old)
    expect(await getRound(old, `${id}3`)).toEqual(round)
  })
})

describe('daily copies', () => {
  it('are whole files, the oldest go, and the last is never taken away', async () => {
    for (const day of [1, 2, 3, 4]) await makeCopy(api.db, folder, 2, new Date(`2027-05-0${day}T06:30:00.000Z`))
    expect(listCopies(folder).map((c) => c.madeAt)).toEqual(['2027-05-04T06:30:00.000Z', '2027-05-03T06:30:00.000Z'])
    expect(readdirSync(folder).filter((f) => f.endsWith('.part'))).toEqual([])
    writeFileSync(join(folder, 'notes.txt'), 'not a copy')
    await makeCopy(api.db, folder, 0, new Date('2027-05-05T06:30:00.000Z'))
    expect(listCopies(folder)).toHaveLength(1)
    expect(readdirSync(folder)).toContain('notes.txt')
  })

  it('one is read back whole before any other goes; one cut short by the disk is none, and the old ones stay', async () => {
    const here = mkdtempSync(join(folder, 'full-'))
    await makeCopy(api.db, here, 2, new Date('2027-05-01T06:30:00.000Z'))
    const fs = (await import('node:fs')).default
    const real = fs.createWriteStream
    let room = 4000
    // A disk that takes no more after some kilobytes, and does not say so.
    const nearlyFull = (path: string) =>
      new Writable({
        write(piece: Buffer, _encoding, done) {
          appendFileSync(path, piece.subarray(0, Math.max(0, room)))
          room -= piece.length
          done()
        },
      })
    vi.spyOn(fs, 'createWriteStream').mockImplementation(((path: string, how?: object) =>
      path.endsWith('.part') ? nearlyFull(path) : real(path, how)) as typeof real)
    syncBuiltinESMExports()
    await expect(makeCopy(api.db, here, 1, new Date('2027-05-02T06:30:00.000Z'))).rejects.toThrow(/only a part of one/)
    vi.restoreAllMocks()
    syncBuiltinESMExports()
    expect(readdirSync(here)).toEqual(['copy-2027-05-01T063000Z.zip'])
  })

  it('with names of a time to come beside it, the one just made stays', async () => {
    const here = mkdtempSync(join(folder, 'ahead-'))
    for (const year of [2031, 2032]) {
      writeFileSync(join(here, `copy-${year}-01-01T000000Z.zip`), 'x')
      utimesSync(join(here, `copy-${year}-01-01T000000Z.zip`), 1e9, 1e9)
    }
    await makeCopy(api.db, here, 2, new Date('2027-05-01T06:30:00.000Z'))
    expect(readdirSync(here)).toContain('copy-2027-05-01T063000Z.zip')
    expect(readdirSync(here)).toHaveLength(2)
  })

  it('what a killed process left half written goes; a failed copy is known', async () => {
    const here = mkdtempSync(join(folder, 'parts-'))
    writeFileSync(join(here, 'copy-2027-05-01T063000Z.zip.part'), 'half')
    const state: CopyState = { problem: undefined }
    const ended = keepCopies(api.db, here, 5, () => undefined, state)
    expect(readdirSync(here)).not.toContain('copy-2027-05-01T063000Z.zip.part')
    await ended()
    expect(listCopies(here)).toHaveLength(1)
    const file = join(folder, 'no-folder')
    writeFileSync(file, '')
    await keepCopies(api.db, join(file, 'copies'), 5, () => undefined, state)()
    expect(state.problem).toBeDefined()
  })

  it('are made when the last is older than a day, or of a time to come; else not', async () => {
    const made = async (last: string) => {
      const here = mkdtempSync(join(folder, 'day-'))
      writeFileSync(join(here, `copy-${last}.zip`), 'x')
      await keepCopies(api.db, here, 5, () => undefined)()
      return listCopies(here).length - 1
    }
    const name = (hours: number) => `${new Date(Date.now() - hours * 3_600_000).toISOString().slice(0, 19).replace(/:/g, '')}Z` // prettier-ignore
    expect(await made(name(30))).toBe(1)
    expect(await made(name(-48))).toBe(1)
    expect(await made(name(2))).toBe(0)
  })

  it('a folder that cannot be written is said, and the server goes on', async () => {
    const said: unknown[] = []
    const file = join(folder, 'a-file')
    writeFileSync(file, '')
    await keepCopies(api.db, join(file, 'copies'), 5, (e) => said.push(e))()
    expect((said[0] as Error).message).toMatch(/^The daily copy could not be written/)
  })
})
