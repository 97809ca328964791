import { Router } from 'express'
import { readBoundary } from '@/core/formats/readBoundary.ts'
import type { Db } from '../db/db.ts'
import { addHolding, addPaddock, listHoldings, listPaddocks } from '../db/places.ts'
import { badRequest } from '../http/httpError.ts'
import { knownPlant } from '../http/knownTaxon.ts'
import { parseBody } from '../http/parseBody.ts'
import { HoldingInput, PaddockInput } from './roundInput.ts'
import type { Book } from '../flora/book.ts'

/** Holdings and their paddocks. */
export function placeRoutes(db: Db, book: Book): Router {
  return Router()
    .get('/places', async (_req, res) => {
      res.json({ holdings: await listHoldings(db), paddocks: await listPaddocks(db) })
    })
    .post('/holdings', async (req, res) => {
      const input = parseBody(HoldingInput, req.body)
      await addHolding(db, input)
      res.status(201).json({ id: input.id })
    })
    .post('/paddocks', async (req, res) => {
      const input = parseBody(PaddockInput, req.body)
      const read = readBoundary(input.boundary)
      if ('problem' in read) throw badRequest(read.problem, 'boundary')
      const sown = (input.sown ?? []).map((id, i) => knownPlant(id, book.flora, `sown[${i}]`))
      await addPaddock(db, { ...input, boundary: read.boundary, sown })
      res.status(201).json({ id: input.id })
    })
}
