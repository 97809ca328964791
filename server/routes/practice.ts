import { isUUID } from 'class-validator'
import { Router } from 'express'
import type { Db } from '../db/db.ts'
import {
  addAnswers,
  deleteVerification,
  getVerification,
  listAnswers,
  listNamingChecks,
  putVerification,
} from '../db/practice.ts'
import { writeRecord } from '../db/standing.ts'
import type { Book } from '../flora/book.ts'
import { notFound } from '../http/httpError.ts'
import { knownPlant } from '../http/knownTaxon.ts'
import { idOf } from '../http/idOf.ts'
import { parseBody } from '../http/parseBody.ts'
import { seenIn, standing } from '../http/seenIn.ts'
import { AnswersInput, NamingCheckInput } from '@/contract/input/practice.ts'

/** Not one of the plants of the book. */
const OTHER = 'other'

const checks = { get: getVerification, put: putVerification, drop: deleteVerification }

/** Answers of practice, and names checked again in flower. */
export function practiceRoutes(db: Db, book: Book): Router {
  const namingThere = async (id: string) =>
    isUUID(id) && (await db.query('select 1 from naming where id = $1', [id])).rows.length > 0
  return Router()
    .get('/practice-answers', async (_req, res) => void res.json(await listAnswers(db)))
    .post('/practice-answers', async (req, res) => {
      const { answers } = parseBody(AnswersInput, req.body)
      await addAnswers(db, answers)
      res.status(201).json({ kept: answers.length })
    })
    .get('/naming-checks', async (_req, res) => void res.json(await listNamingChecks(db)))
    .put('/naming-checks/:naming', async (req, res) => {
      const { body, seen } = seenIn(req.body)
      const input = parseBody(NamingCheckInput, body)
      if (!(await namingThere(req.params.naming))) throw notFound('name')
      const was = input.was === OTHER ? OTHER : knownPlant(input.was, book.flora, 'was')
      const check = { ...input, was, namingId: req.params.naming }
      standing(await writeRecord(db, checks, check.namingId, check, seen))
      res.json({ namingId: req.params.naming })
    })
    .delete('/naming-checks/:naming', async (req, res) => {
      const id = idOf(req.params.naming, 'naming')
      standing(await writeRecord(db, checks, id, null, seenIn(req.body).seen))
      res.json({ namingId: req.params.naming })
    })
}
