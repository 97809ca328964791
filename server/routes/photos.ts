import { told } from '@/contract/told.ts'
import express, { Router } from 'express'
import { isUUID } from 'class-validator'
import type { Db } from '../db/db.ts'
import { addPhoto, listPhotos, readPhoto, removePhoto } from '../db/photos.ts'
import { badRequest, HttpError, notFound } from '../http/httpError.ts'

const MOST_BYTES = 5 * 1024 * 1024

/** What a picture is by its first bytes, whatever it says it is. */
function pictureKind(b: Buffer): string | undefined {
  if (b.length > 3 && b[0] === 0xff && b[1] === 0xd8 && b[2] === 0xff) return 'image/jpeg'
  if (b.length > 8 && b.subarray(0, 8).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])))
    return 'image/png'
  if (b.length > 12 && b.toString('latin1', 0, 4) === 'RIFF' && b.toString('latin1', 8, 12) === 'WEBP')
    return 'image/webp'
  return undefined
}

const uuid = (id: string): string => {
  if (!isUUID(id)) throw notFound('picture')
  return id
}

/** Pictures of a plant on the bench: checked by content and size, kept beside the description. */
export function photoRoutes(db: Db): Router {
  const subjectOf = (q: unknown): string => {
    if (typeof q !== 'string' || q.length === 0 || q.length > 120)
      throw badRequest(told('Say which plant the picture is of.'), 'subject')
    return q
  }
  return Router()
    .get('/photos', async (req, res) => void res.json(await listPhotos(db, subjectOf(req.query.subject))))
    .get('/photos/:id', async (req, res) => {
      const photo = await readPhoto(db, uuid(req.params.id))
      if (!photo) throw notFound('picture')
      res.set('cache-control', 'private, max-age=31536000, immutable').type(photo.mime).send(photo.bytes)
    })
    .put('/photos/:id', express.raw({ type: () => true, limit: MOST_BYTES }), async (req, res) => {
      const id = uuid(req.params.id)
      const subject = subjectOf(req.query.subject)
      const bytes = Buffer.isBuffer(req.body) ? req.body : Buffer.alloc(0)
      const mime = pictureKind(bytes)
      if (!mime) throw new HttpError(415, 'not-a-picture', told('Only JPEG, PNG or WebP pictures can be kept.'))
      await addPhoto(db, id, subject, mime, bytes)
      res.status(201).json({ id, mime })
    })
    .delete('/photos/:id', async (req, res) => {
      await removePhoto(db, uuid(req.params.id))
      res.json({ id: req.params.id })
    })
}
