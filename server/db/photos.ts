import type { Photo } from '@/core/records/specimen.ts'
import type { Sql } from './db.ts'

/** Keep a picture; sending it twice leaves it once. */
export async function addPhoto(db: Sql, id: string, subject: string, mime: string, bytes: Uint8Array): Promise<void> {
  await db.query('insert into photo (id, subject, mime, bytes) values ($1, $2, $3, $4) on conflict (id) do nothing', [
    id,
    subject,
    mime,
    bytes,
  ])
}

/** Pictures of a subject, the oldest first. */
export async function listPhotos(db: Sql, subject: string): Promise<Photo[]> {
  return (await db.query<Photo>('select id, mime from photo where subject = $1 order by added_at, id', [subject])).rows
}

export async function readPhoto(db: Sql, id: string): Promise<{ mime: string; bytes: Uint8Array } | undefined> {
  return (await db.query<{ mime: string; bytes: Uint8Array }>('select mime, bytes from photo where id = $1', [id]))
    .rows[0]
}

export async function removePhoto(db: Sql, id: string): Promise<void> {
  await db.query('delete from photo where id = $1', [id])
}
