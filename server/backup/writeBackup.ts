import { told } from '@/contract/told.ts'
import { createHash, type Hash } from 'node:crypto'
import { rmSync } from 'node:fs'
import { open, type FileHandle } from 'node:fs/promises'
import { join } from 'node:path'
import { Readable, Transform, type Writable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { ZipFile } from 'yazl'
import type { Db, Sql } from '../db/db.ts'
import { readPhoto } from '../db/photos.ts'
import { columnsWithoutBytes, linesOf, tablesInOrder } from './tables.ts'
import { scratchFolder } from './scratch.ts'

export const BACKUP_KIND = 'fold-sprig-backup'

/** What a copy says of itself. */
export interface Manifest {
  kind: typeof BACKUP_KIND
  /** 1: pictures stand as text in the lines of their table; 2: each is a file of its own. */
  version: 1 | 2
  /** ISO time. */
  madeAt: string
  /** Migrations that the schema had seen. */
  migrations: string[]
  tables: { name: string; rows: number; sha256: string }[]
  photos?: { id: string; sha256: string }[]
}

/** Lines of a table, on their way to a file beside: no table has to fit into the memory. */
class Spool {
  rows = 0
  private readonly hash: Hash = createHash('sha256')
  private constructor(
    readonly path: string,
    private readonly file: FileHandle,
  ) {}

  static async open(path: string): Promise<Spool> {
    return new Spool(path, await open(path, 'w'))
  }

  async add(lines: readonly string[]): Promise<void> {
    if (lines.length === 0) return
    const text = `${lines.join('\n')}\n`
    this.rows += lines.length
    this.hash.update(text)
    await this.file.writeFile(text)
  }

  /** @returns the sum of all lines */
  async end(): Promise<string> {
    await this.file.close()
    return this.hash.digest('hex')
  }
}

/** Times are written in one zone, so that a copy reads the same on a server of another. */
const inOneZone = <T>(db: Db, work: (tx: Sql) => Promise<T>): Promise<T> =>
  db.transaction(async (tx) => {
    await tx.script("set transaction isolation level repeatable read; set local timezone = 'UTC'")
    return work(tx)
  })

const STOPS_AT_ONCE = 100
interface StopPage {
  id: string
  roundId: string
  line: string
  /** Lines of its hits; null where it has none. */
  hits: string | null
}

/**
 * Stops with their hits, piece by piece, each whole: a million hits in one go would hold up whoever counts meanwhile. A
 * stop may be some seconds newer than the rest; its round is of the moment of the copy.
 */
async function spoolStops(db: Db, rounds: Set<string>, stops: Spool, hits: Spool): Promise<void> {
  for (let after = '00000000-0000-0000-0000-000000000000'; ;) {
    const page = await inOneZone(db, async (tx) => {
      const { rows } = await tx.query<StopPage>(
        `select s.id, s.round_id as "roundId", row_to_json(s)::text as line,
           (select string_agg(row_to_json(h)::text, chr(10) order by h.ord) from hit h where h.stop_id = s.id) as hits
         from stop s where s.id > $1 order by s.id limit ${STOPS_AT_ONCE}`,
        [after],
      )
      return rows
    })
    const ours = page.filter((s) => rounds.has(s.roundId))
    await stops.add(ours.map((s) => s.line))
    await hits.add(ours.flatMap((s) => s.hits?.split('\n') ?? []))
    if (page.length < STOPS_AT_ONCE) return
    after = page.at(-1)!.id
  }
}

/** Pictures do not change: each is read when its turn has come. One that was taken away meanwhile ends the copy; the next one is without it. */
async function photoBytes(db: Db, id: string): Promise<Buffer> {
  const photo = await readPhoto(db, id)
  if (!photo) throw new Error(told('A picture was taken away while the copy was made.'))
  return photo.bytes
}

/**
 * Everything that was written, as one zip of open formats: for each table a file of JSON lines, the pictures as they are,
 * and a manifest with the number of rows and a checksum of each. Read in pieces and written as it comes, so that it
 * neither fills the memory nor holds up those who work.
 *
 * @param out where the zip goes; it is ended when the copy is whole
 */
export async function writeBackup(db: Db, now: Date, out: Writable): Promise<Manifest> {
  const folder = scratchFolder()
  const spools = new Map<string, Spool>()
  const spool = async (name: string) => {
    const made = await Spool.open(join(folder, `${name}.ndjson`))
    spools.set(name, made)
    return made
  }
  try {
    const { order, migrations, rounds, photos } = await inOneZone(db, async (tx) => {
      const names = await tablesInOrder(tx)
      for (const name of names.filter((n) => n !== 'stop' && n !== 'hit')) {
        const columns = name === 'photo' ? await columnsWithoutBytes(tx) : '*'
        const into = await spool(name)
        for await (const lines of linesOf(tx, name, columns)) await into.add(lines)
      }
      const ids = async (table: string) =>
        (await tx.query<{ id: string }>(`select id from ${table} order by id`)).rows.map((r) => r.id)
      return {
        order: names,
        migrations: (await tx.query<{ name: string }>('select name from migration order by name')).rows,
        rounds: new Set(await ids('round')),
        photos: names.includes('photo') ? await ids('photo') : [],
      }
    })
    await spoolStops(db, rounds, await spool('stop'), await spool('hit'))
    const manifest: Manifest = { kind: BACKUP_KIND, version: 2, madeAt: now.toISOString(), migrations: migrations.map((m) => m.name), tables: [], photos: [] } // prettier-ignore
    const zip = new ZipFile()
    for (const name of order) {
      const { rows, path } = spools.get(name)!
      manifest.tables.push({ name, rows, sha256: await spools.get(name)!.end() })
      zip.addFile(path, `tables/${name}.ndjson`, { mtime: now })
    }
    for (const id of photos)
      zip.addReadStreamLazy(`photos/${id}`, { mtime: now, compress: false }, (done) => {
        void photoBytes(db, id).then((bytes) => {
          manifest.photos!.push({ id, sha256: createHash('sha256').update(bytes).digest('hex') })
          done(null, Readable.from([bytes]))
        }, done as (error: unknown) => void) // prettier-ignore
      })
    // Written last, when the sums of all before it are known.
    zip.addReadStreamLazy('manifest.json', { mtime: now }, (done) => done(null, Readable.from([JSON.stringify(manifest, null, 1)]))) // prettier-ignore
    zip.end()
    const failed = new Promise<never>((_, reject) => zip.once('error', reject))
    await Promise.race([pipeline(zip.outputStream, out), failed])
    return manifest
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}

/** The whole of a copy in the memory: for tests and tools. */
export async function backupFile(db: Db, now: Date): Promise<{ file: Buffer; manifest: Manifest }> {
  const pieces: Buffer[] = []
  const collect = new Transform({
    transform(piece: Buffer, _encoding, done) {
      pieces.push(piece)
      done()
    },
  })
  const manifest = await writeBackup(db, now, collect)
  return { file: Buffer.concat(pieces), manifest }
}
