import { told } from '@/contract/told.ts'
import { createHash } from 'node:crypto'
import { createInterface } from 'node:readline'
import { Readable } from 'node:stream'
import yauzl, { type Entry, type ZipFile } from 'yauzl'
import { migrationNames } from '../db/migrate.ts'
import { BACKUP_KIND, type Manifest } from './writeBackup.ts'

/** A copy cannot be used; the message says why, in words for who holds it. */
export class BadBackup extends Error {}

const isObject = (x: unknown): x is Record<string, unknown> => typeof x === 'object' && x !== null && !Array.isArray(x)
const isListed = (t: unknown): boolean =>
  isObject(t) && typeof t.name === 'string' && Number.isInteger(t.rows) && typeof t.sha256 === 'string'
const isPhoto = (p: unknown): boolean => isObject(p) && typeof p.id === 'string' && typeof p.sha256 === 'string'

function readManifest(text: string): Manifest {
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    throw new BadBackup(told('The list of what is in this copy cannot be read: the file is damaged.'))
  }
  if (
    !isObject(value) ||
    value.kind !== BACKUP_KIND ||
    !(Array.isArray(value.tables) && value.tables.every(isListed)) ||
    !(Array.isArray(value.migrations) && value.migrations.every((m) => typeof m === 'string')) ||
    !(value.photos === undefined || (Array.isArray(value.photos) && value.photos.every(isPhoto)))
  )
    throw new BadBackup(told('This zip is not a copy made by Fold Sprig.'))
  if (value.version !== 1 && value.version !== 2)
    throw new BadBackup(`This copy is of version ${String(value.version)}; this server reads versions 1 and 2.`)
  return value as unknown as Manifest
}

/** Unpacked, no copy of one office's work comes near this; a file made to hold the server up does. */
const MOST_UNPACKED = 2 ** 33
/** The list alone is a page or two. */
const MOST_LISTED = 2 ** 26
/** A picture is at most 5 MB when it comes. */
const MOST_PHOTO = 2 ** 24

const OPEN = { lazyEntries: true, autoClose: false } as const
const openZip = (source: string | Buffer): Promise<ZipFile> =>
  new Promise((resolve, reject) => {
    const opened = (error: Error | null, zip: ZipFile) => (error ? reject(error) : resolve(zip))
    if (typeof source === 'string') yauzl.open(source, OPEN, opened)
    else yauzl.fromBuffer(source, OPEN, opened)
  })

const entriesOf = (zip: ZipFile): Promise<Map<string, Entry>> =>
  new Promise((resolve, reject) => {
    const found = new Map<string, Entry>()
    zip.on('entry', (entry: Entry) => {
      found.set(entry.fileName, entry)
      zip.readEntry()
    })
    zip.once('end', () => resolve(found))
    zip.once('error', reject)
    zip.readEntry()
  })

/** An empty file is not asked for: nothing would ever come. */
const streamOf = (zip: ZipFile, entry: Entry): Promise<Readable> =>
  new Promise((resolve, reject) => {
    if (entry.compressedSize === 0) return resolve(Readable.from([]))
    zip.openReadStream(entry, (error, stream) => (error ? reject(error) : resolve(stream)))
  })

/** A copy that was opened and checked: its tables line by line, its pictures one by one, nothing of it whole in the memory. */
export class Backup {
  private constructor(
    private readonly zip: ZipFile,
    private readonly entries: Map<string, Entry>,
    readonly manifest: Manifest,
  ) {}

  static async open(source: string | Buffer, most: number): Promise<Backup> {
    const zip = await openZip(source).catch(() => undefined)
    const entries = zip && (await entriesOf(zip).catch(() => undefined))
    if (!zip || !entries) throw new BadBackup(told('This file is not a zip, or only a part of one.'))
    try {
      const listed = entries.get('manifest.json')
      if (!listed) throw new BadBackup(told('This zip is not a copy made by Fold Sprig.'))
      const pieces: Buffer[] = []
      for await (const piece of limited(await streamOf(zip, listed), Math.min(most, MOST_LISTED))) pieces.push(piece)
      return new Backup(zip, entries, readManifest(Buffer.concat(pieces).toString('utf8')))
    } catch (error) {
      // A file that is no copy must not stay open.
      zip.close()
      throw error
    }
  }

  /** The bytes of a file in it, piece by piece. */
  async *pieces(name: string, most = MOST_UNPACKED): AsyncGenerator<Buffer> {
    const entry = this.entries.get(name)
    if (!entry) throw new Error(`${name} is missing`)
    yield* limited(await streamOf(this.zip, entry), most)
  }

  async *lines(table: string): AsyncGenerator<string> {
    const stream = await streamOf(this.zip, this.entries.get(`tables/${table}.ndjson`)!)
    for await (const line of createInterface({ input: stream, crlfDelay: Infinity })) if (line) yield line
  }

  async photo(id: string): Promise<Buffer> {
    const pieces: Buffer[] = []
    for await (const piece of this.pieces(`photos/${id}`, MOST_PHOTO)) pieces.push(piece)
    return Buffer.concat(pieces)
  }

  close(): void {
    this.zip.close()
  }
}

async function* limited(stream: Readable, most: number): AsyncGenerator<Buffer> {
  let bytes = 0
  for await (const piece of stream as AsyncIterable<Buffer>) {
    bytes += piece.length
    if (bytes > most) throw new BadBackup(told('This copy unpacks to more than can be read here.'))
    yield piece
  }
}

/** Sum and lines of a file in a copy; undefined where it cannot be unpacked. */
async function sumOf(backup: Backup, name: string, most: number) {
  const hash = createHash('sha256')
  let [bytes, lines] = [0, 0]
  try {
    for await (const piece of backup.pieces(name, most)) {
      hash.update(piece)
      bytes += piece.length
      for (let at = piece.indexOf(10); at >= 0; at = piece.indexOf(10, at + 1)) lines++
    }
  } catch (error) {
    if (error instanceof BadBackup) throw error
    return undefined
  }
  return { sum: hash.digest('hex'), bytes, lines }
}

/**
 * A copy, opened and checked against its own manifest, piece by piece; nothing is written. Whoever opens it closes it.
 *
 * @param source its file, or its bytes
 * @param most bytes it may unpack to
 * @throws BadBackup not a copy, damaged, or made by a newer server
 */
export async function readBackup(source: string | Buffer, most = MOST_UNPACKED): Promise<Backup> {
  const backup = await Backup.open(source, most)
  try {
    const { manifest } = backup
    const known = new Set(migrationNames())
    const newer = manifest.migrations.filter((m) => !known.has(m))
    if (newer.length > 0) throw new BadBackup(`This copy was made by a newer server (${newer.join(', ')}). Update first.`) // prettier-ignore
    let left = most
    for (const { name, rows, sha256 } of manifest.tables) {
      const there = await sumOf(backup, `tables/${name}.ndjson`, left)
      if (!there) throw new BadBackup(`The table ${name} is missing from this copy, or damaged.`)
      if (there.sum !== sha256 || there.lines !== rows)
        throw new BadBackup(`The table ${name} of this copy is damaged: its checksum does not fit.`)
      left -= there.bytes
    }
    for (const { id, sha256 } of manifest.photos ?? []) {
      const there = await sumOf(backup, `photos/${id}`, Math.min(left, MOST_PHOTO))
      if (there?.sum !== sha256) throw new BadBackup(told('A picture of this copy is missing or damaged.'))
      left -= there.bytes
    }
    return backup
  } catch (error) {
    backup.close()
    throw error
  }
}
