import { told } from '@/contract/told.ts'
import { createHash, randomBytes } from 'node:crypto'
import type { Db, Sql } from '../db/db.ts'
import { migrate } from '../db/migrate.ts'
import type { Backup } from './readBackup.ts'
import { BadBackup } from './readBackup.ts'
import { columnsWithoutBytes, linesOf, tablesInOrder } from './tables.ts'

const ROWS_AT_ONCE = 200

/** A sum of lines in whatever order; its key is made anew each time, so that no file can be made to fit it. */
class LineSum {
  private static readonly key = randomBytes(16)
  count = 0
  private sum = 0n
  add(line: string): void {
    this.count++
    const digest = createHash('sha256').update(LineSum.key).update(line).digest()
    this.sum = BigInt.asUintN(128, this.sum + digest.readBigUInt64BE(0) * 2n ** 64n + digest.readBigUInt64BE(8))
  }
  isAs(other: LineSum): boolean {
    return this.count === other.count && this.sum === other.sum
  }
}

async function fillTable(tx: Sql, backup: Backup, name: string): Promise<LineSum> {
  const sum = new LineSum()
  let batch: string[] = []
  const put = async () => {
    if (batch.length === 0) return
    await tx.query(`insert into "${name}" select * from jsonb_populate_recordset(null::public."${name}", $1::jsonb)`, [
      `[${batch.join(',')}]`,
    ])
    batch = []
  }
  for await (const line of backup.lines(name)) {
    sum.add(line)
    batch.push(line)
    if (batch.length >= ROWS_AT_ONCE) await put()
  }
  await put()
  return sum
}

/** Pictures that stand in files of their own: each row with its picture, and the picture checked as it came out. */
async function fillPhotos(tx: Sql, backup: Backup): Promise<LineSum> {
  const sum = new LineSum()
  const sums = new Map(backup.manifest.photos!.map((p) => [p.id, p.sha256]))
  for await (const line of backup.lines('photo')) {
    sum.add(line)
    const { id } = JSON.parse(line) as { id: string }
    const { rows } = await tx.query<{ sum: string }>(
      `insert into photo select * from jsonb_populate_record(null::public.photo,
         $1::jsonb || jsonb_build_object('bytes', '\\x' || encode($2::bytea, 'hex')))
       returning encode(sha256(bytes), 'hex') as sum`,
      [line, await backup.photo(id)],
    )
    if (rows[0]!.sum !== sums.get(id)) throw new BadBackup(told('A picture came out differently from the copy. Nothing was put in.')) // prettier-ignore
  }
  return sum
}

/**
 * Put a copy into an empty database: the schema is brought to where it was when the copy was made, filled in one
 * transaction, checked against the copy, and then brought up to date.
 *
 * @returns rows by table
 * @throws BadBackup the database holds something, or came out differently
 */
export async function restoreBackup(db: Db, backup: Backup): Promise<Record<string, number>> {
  const { manifest } = backup
  await migrate(db, manifest.migrations.at(-1))
  const { rows: held } = await db.query<{ n: number }>('select count(*) as n from holding')
  if (held[0]!.n > 0)
    throw new BadBackup(told('There is something in this database already. A copy is only put into an empty one.'))
  const counts: Record<string, number> = {}
  await db.transaction(async (tx) => {
    await tx.script("set local timezone = 'UTC'")
    const order = await tablesInOrder(tx)
    const listed = manifest.tables.map((t) => t.name)
    const missing = order.filter((t) => !listed.includes(t))
    if (missing.length > 0) throw new BadBackup(`This copy lacks tables: ${missing.join(', ')}. Nothing was put in.`)
    const unknown = listed.filter((t) => !order.includes(t))
    if (unknown.length > 0) throw new BadBackup(`This copy has tables that are not known here: ${unknown.join(', ')}.`)
    for (const name of order) {
      const apart = name === 'photo' && manifest.photos !== undefined
      const put = apart ? await fillPhotos(tx, backup) : await fillTable(tx, backup, name)
      const there = new LineSum()
      for await (const lines of linesOf(tx, name, apart ? await columnsWithoutBytes(tx) : '*')) lines.forEach((l) => there.add(l)) // prettier-ignore
      if (!there.isAs(put))
        throw new BadBackup(`The table ${name} came out differently from the copy. Nothing was put in.`)
      counts[name] = there.count
    }
  })
  await migrate(db)
  return counts
}
