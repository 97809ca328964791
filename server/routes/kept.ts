import { isUUID } from 'class-validator'
import { Router } from 'express'
import type { Db } from '../db/db.ts'
import { dropKept, keptKinds, listKept, putKept, type KeptKind } from '../db/kept.ts'
import { getPaddock } from '../db/places.ts'
import { getRound } from '../db/rounds.ts'
import { badRequest, notFound } from '../http/httpError.ts'
import { parseBody } from '../http/parseBody.ts'
import { HerdInput, LabInput } from './keptInput.ts'

const kindOf = (kind: string): KeptKind => {
  const known = keptKinds.find((k) => k === kind)
  if (!known) throw notFound('address')
  return known
}

/** The stock of a paddock and the laboratory result of a round. */
export function keptRoutes(db: Db): Router {
  return Router()
    .get('/kept', async (_req, res) => void res.json(await listKept(db)))
    .put('/kept/:kind/:subject', async (req, res) => {
      const kind = kindOf(req.params.kind)
      const { subject } = req.params
      const value = kind === 'herd' ? parseBody(HerdInput, req.body) : parseBody(LabInput, req.body)
      const there = isUUID(subject) && (await (kind === 'herd' ? getPaddock(db, subject) : getRound(db, subject)))
      if (!there) throw badRequest(kind === 'herd' ? 'There is no such paddock.' : 'There is no such round.', 'subject')
      await putKept(db, { subject, kind, value: { ...value } })
      res.json({ subject })
    })
    .delete('/kept/:kind/:subject', async (req, res) => {
      const kind = kindOf(req.params.kind)
      if (isUUID(req.params.subject)) await dropKept(db, req.params.subject, kind)
      res.json({ subject: req.params.subject })
    })
}
