import type { Photo } from '@/core/records/specimen.ts'
import type { Sql } from './db.ts'

// Bytes go to and from the database as base64: as bytes the embedded one takes twenty times as long.

/** Keep a picture; sending it twice leaves it once. */
export async function addPhoto(db: Sql, id: string, subject: string, mime: string, bytes: Uint8Array): Promise<void> {
  await db.query(
    `insert into photo (id, subject, mime, bytes) values ($1, $2, $3, decode($4, 'base64')) on conflict (id) do nothing`,
    [id, subject, mime, Buffer.from(bytes).toString('base64')],
  )
}

/** Pictures of a subject, the oldest first. */
export async function listPhotos(db: Sql, subject: string): Promise<Photo[]> {
  return (await db.query<Photo>('select id, mime from photo where subject = $1 order by added_at, id', [subject])).rows
}

export async function readPhoto(db: Sql, id: string): Promise<{ mime: string; bytes: Buffer } | undefined> {
  const { rows } = await db.query<{ mime: string; text: string }>(
    `select mime, encode(bytes, 'base64') as text from photo where id = $1`,
    [id],
  )
  const row = rows[0]
  return row && { mime: row.mime, bytes: Buffer.from(row.text, 'base64') }
}

export async function removePhoto(db: Sql, id: string): Promise<void> {
  await db.query('delete from photo where id = $1', [id])
}
