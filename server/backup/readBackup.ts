import JSZip from 'jszip'
import type { Db } from '../db/db.ts'
import { migrate, migrationNames } from '../db/migrate.ts'
import { BACKUP_KIND, sha256, type Manifest } from './writeBackup.ts'
import { tablesInOrder } from './tables.ts'

/** A copy cannot be used; the message says why, in words for who holds it. */
export class BadBackup extends Error {}

export interface Backup {
  manifest: Manifest
  /** Lines of each table. */
  lines: Map<string, string[]>
}

const isObject = (x: unknown): x is Record<string, unknown> => typeof x === 'object' && x !== null && !Array.isArray(x)

function readManifest(text: string): Manifest {
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    throw new BadBackup('The list of what is in this copy cannot be read: the file is damaged.')
  }
  if (
    !isObject(value) ||
    value.kind !== BACKUP_KIND ||
    !Array.isArray(value.tables) ||
    !Array.isArray(value.migrations)
  )
    throw new BadBackup('This zip is not a copy made by Fold Sprig.')
  if (value.version !== 1)
    throw new BadBackup(`This copy is of version ${String(value.version)}; this server reads version 1.`)
  return value as unknown as Manifest
}

/** What cannot be unpacked is damaged; what is too large is said to be so. */
const asDamaged = (error: unknown): undefined => {
  if (error instanceof BadBackup) throw error
}

/** Unpacked, no copy of one office's work comes near this; a file made to fill the memory does. */
const MOST_UNPACKED = 2 ** 30

/** The text of an entry, unpacked piece by piece, so that what is too large is left before it fills the memory. */
function textOf(entry: JSZip.JSZipObject, most: number): Promise<string> {
  return new Promise((resolve, reject) => {
    const pieces: Buffer[] = []
    let bytes = 0
    const stream = entry.nodeStream('nodebuffer')
    stream.on('data', (piece: Buffer) => {
      bytes += piece.length
      if (bytes <= most) return void pieces.push(piece)
      stream.pause()
      reject(new BadBackup('This copy unpacks to more than can be read here.'))
    })
    stream.on('end', () => resolve(Buffer.concat(pieces).toString('utf8')))
    stream.on('error', reject)
  })
}

/**
 * A copy, read and checked against its own manifest; nothing is written.
 *
 * @param most bytes it may unpack to
 * @throws BadBackup not a copy, damaged, or made by a newer server
 */
export async function readBackup(file: Uint8Array, most = MOST_UNPACKED): Promise<Backup> {
  const zip = await JSZip.loadAsync(file).catch(() => undefined)
  if (!zip) throw new BadBackup('This file is not a zip, or only a part of one.')
  const listed = zip.file('manifest.json')
  if (!listed) throw new BadBackup('This zip is not a copy made by Fold Sprig.')
  const manifest = readManifest(await textOf(listed, most))
  const known = new Set(migrationNames())
  const newer = manifest.migrations.filter((m) => !known.has(m))
  if (newer.length > 0) throw new BadBackup(`This copy was made by a newer server (${newer.join(', ')}). Update first.`)
  const lines = new Map<string, string[]>()
  let unpacked = 0
  for (const { name, rows, sha256: sum } of manifest.tables) {
    const entry = zip.file(`tables/${name}.ndjson`)
    const text = entry && (await textOf(entry, most - unpacked).catch(asDamaged))
    if (!entry || typeof text !== 'string')
      throw new BadBackup(`The table ${name} is missing from this copy, or damaged.`)
    const list = text.split('\n').filter(Boolean)
    if (sha256(text) !== sum || list.length !== rows)
      throw new BadBackup(`The table ${name} of this copy is damaged: its checksum does not fit.`)
    unpacked += Buffer.byteLength(text)
    lines.set(name, list)
  }
  return { manifest, lines }
}

const ROWS_AT_ONCE = 200

/**
 * Put a copy into an empty database: the schema is brought to where it was when the copy was made, filled in one
 * transaction, checked against the copy, and then brought up to date.
 *
 * @returns rows by table
 * @throws BadBackup the database holds something, or came out differently
 */
export async function restoreBackup(db: Db, { manifest, lines }: Backup): Promise<Record<string, number>> {
  await migrate(db, manifest.migrations.at(-1))
  const { rows: held } = await db.query<{ n: number }>('select count(*) as n from holding')
  if (held[0]!.n > 0)
    throw new BadBackup('There is something in this database already. A copy is only put into an empty one.')
  const counts: Record<string, number> = {}
  await db.transaction(async (tx) => {
    await tx.script("set local timezone = 'UTC'")
    const order = await tablesInOrder(tx)
    const unknown = [...lines.keys()].filter((t) => !order.includes(t))
    if (unknown.length > 0) throw new BadBackup(`This copy has tables that are not known here: ${unknown.join(', ')}.`)
    for (const name of order) {
      const list = lines.get(name) ?? []
      for (let i = 0; i < list.length; i += ROWS_AT_ONCE)
        await tx.query(
          `insert into "${name}" select * from jsonb_populate_recordset(null::public."${name}", $1::jsonb)`,
          [`[${list.slice(i, i + ROWS_AT_ONCE).join(',')}]`],
        )
      const { rows } = await tx.query<{ line: string }>(`select row_to_json(t)::text as line from "${name}" t`)
      const there = new Set(rows.map((r) => r.line))
      if (rows.length !== list.length || list.some((l) => !there.has(l)))
        throw new BadBackup(`The table ${name} came out differently from the copy. Nothing was put in.`)
      counts[name] = rows.length
    }
  })
  await migrate(db)
  return counts
}
