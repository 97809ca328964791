import { told } from '@/contract/told.ts'
import { Router } from 'express'
import { createWriteStream, rmSync, statSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { BadBackup, readBackup } from '../backup/readBackup.ts'
import { listCopies, type CopyState } from '../backup/dailyCopies.ts'
import { scratchFolder } from '../backup/scratch.ts'
import { writeBackup } from '../backup/writeBackup.ts'
import type { Db } from '../db/db.ts'
import { badRequest, HttpError } from '../http/httpError.ts'

const MOST_BYTES = 4 * 1024 ** 3

/** Lets so many bytes through, and then gives up: the disk is not for whoever sends without end. */
const atMost = (most: number): Transform => {
  let bytes = 0
  return new Transform({
    transform(piece: Buffer, _encoding, done) {
      bytes += piece.length
      done(bytes > most ? new HttpError(413, 'too-large', told('The body is too large.')) : null, piece)
    },
  })
}

/** Copies of everything: one to take away, those kept beside the data, and whether a file is a whole one. */
export function copyRoutes(db: Db, folder: string | undefined, state?: CopyState): Router {
  return Router()
    .get('/copies', (_req, res) => void res.json(folder ? listCopies(folder) : []))
    .get('/copies/state', (_req, res) => void res.json({ problem: state?.problem ?? null }))
    .get('/backup', async (_req, res) => {
      const now = new Date()
      const path = join(scratchFolder(), 'copy.zip')
      const clear = () => rmSync(dirname(path), { recursive: true, force: true })
      try {
        // Whole before the first byte goes out: half a copy must not look like one.
        await writeBackup(db, now, createWriteStream(path))
      } catch (error) {
        clear()
        throw error
      }
      res.download(path, `fold-sprig-${now.toISOString().slice(0, 10)}.zip`, clear)
    })
    .post('/backup/check', async (req, res) => {
      const path = join(scratchFolder(), 'copy.zip')
      try {
        await pipeline(req, atMost(MOST_BYTES), createWriteStream(path))
        if (statSync(path).size === 0) throw badRequest(told('Send the file of a copy.'))
        const backup = await readBackup(path)
        backup.close()
        const { madeAt, tables } = backup.manifest
        res.json({ madeAt, tables: tables.map(({ name, rows }) => ({ name, rows })) })
      } catch (error) {
        if (error instanceof BadBackup) throw badRequest(error.message)
        throw error
      } finally {
        rmSync(dirname(path), { recursive: true, force: true })
      }
    })
}
