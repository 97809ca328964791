import express, { Router } from 'express'
import { BadBackup, readBackup } from '../backup/readBackup.ts'
import { listCopies } from '../backup/dailyCopies.ts'
import { writeBackup } from '../backup/writeBackup.ts'
import type { Db } from '../db/db.ts'
import { badRequest } from '../http/httpError.ts'

const MOST = '200mb'

/** Copies of everything: one to take away, those kept beside the data, and whether a file is a whole one. */
export function copyRoutes(db: Db, folder: string | undefined): Router {
  return Router()
    .get('/copies', (_req, res) => void res.json(folder ? listCopies(folder) : []))
    .get('/backup', async (_req, res) => {
      const now = new Date()
      const { file } = await writeBackup(db, now)
      const day = now.toISOString().slice(0, 10)
      res.attachment(`fold-sprig-${day}.zip`).type('application/zip').send(file)
    })
    .post('/backup/check', express.raw({ type: () => true, limit: MOST }), async (req, res) => {
      if (!Buffer.isBuffer(req.body) || req.body.length === 0) throw badRequest('Send the file of a copy.')
      try {
        const { manifest } = await readBackup(req.body)
        res.json({ madeAt: manifest.madeAt, tables: manifest.tables.map(({ name, rows }) => ({ name, rows })) })
      } catch (error) {
        if (error instanceof BadBackup) throw badRequest(error.message)
        throw error
      }
    })
}
