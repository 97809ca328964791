import { createHash } from 'node:crypto'
import JSZip from 'jszip'
import type { Db } from '../db/db.ts'
import { tablesInOrder } from './tables.ts'

export const BACKUP_KIND = 'fold-sprig-backup'

/** What a copy says of itself. */
export interface Manifest {
  kind: typeof BACKUP_KIND
  version: 1
  /** ISO time. */
  madeAt: string
  /** Migrations that the schema had seen. */
  migrations: string[]
  tables: { name: string; rows: number; sha256: string }[]
}

export const sha256 = (text: string): string => createHash('sha256').update(text).digest('hex')

/**
 * Everything that was written, as one zip of open formats: for each table a file of JSON lines, and a manifest with the
 * number of rows and a checksum of each. All tables are read in one transaction, so the copy is of one moment.
 */
export async function writeBackup(db: Db, now: Date): Promise<{ file: Buffer; manifest: Manifest }> {
  const zip = new JSZip()
  const manifest = await db.transaction(async (tx): Promise<Manifest> => {
    // Times are written in one zone, so that a copy reads the same on a server of another.
    await tx.script("set transaction isolation level repeatable read; set local timezone = 'UTC'")
    const migrations = await tx.query<{ name: string }>('select name from migration order by name')
    const tables: Manifest['tables'] = []
    for (const name of await tablesInOrder(tx)) {
      const { rows } = await tx.query<{ line: string }>(`select row_to_json(t)::text as line from "${name}" t`)
      const text = rows.map((r) => `${r.line}\n`).join('')
      zip.file(`tables/${name}.ndjson`, text)
      tables.push({ name, rows: rows.length, sha256: sha256(text) })
    }
    return { kind: BACKUP_KIND, version: 1, madeAt: now.toISOString(), migrations: migrations.rows.map((m) => m.name), tables } // prettier-ignore
  })
  zip.file('manifest.json', JSON.stringify(manifest, null, 1))
  const file = await zip.generateAsync({ type: 'nodebuffer', compression: 'DEFLATE', compressionOptions: { level: 6 } })
  return { file, manifest }
}
