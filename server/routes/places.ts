import { fileWords } from '@/text/fileWords.ts'
import { isUUID } from 'class-validator'
import { Router } from 'express'
import { readBoundary } from '@/core/formats/readBoundary.ts'
import type { Paddock } from '@/core/records/round.ts'
import type { Db } from '../db/db.ts'
import {
  addHolding,
  addPaddock,
  dropEvent,
  getPaddock,
  listEvents,
  listHoldings,
  listPaddocks,
  putEvent,
  putHolding,
  putPaddock,
} from '../db/places.ts'
import { badRequest, notFound } from '../http/httpError.ts'
import { knownPlant } from '../http/knownTaxon.ts'
import { idOf } from '../http/idOf.ts'
import { parseBody } from '../http/parseBody.ts'
import { EventInput, PaddockInput } from './placeInput.ts'
import { HoldingInput } from './roundInput.ts'
import type { Book } from '../flora/book.ts'

async function paddockAt(db: Db, id: string): Promise<Paddock> {
  const paddock = isUUID(id) ? await getPaddock(db, id) : undefined
  if (!paddock) throw notFound('paddock')
  return paddock
}

function polygonAt(geoJson: object, field: string) {
  const read = readBoundary(geoJson)
  if ('problem' in read) throw badRequest(fileWords(read.problem), field)
  return read.boundary
}

export function paddockOf(input: PaddockInput, book: Book): Paddock {
  return {
    ...input,
    boundary: input.boundary && polygonAt(input.boundary, 'boundary'),
    sown: (input.sown ?? []).map((id, i) => knownPlant(id, book.flora, `sown[${i}]`)),
    strata: (input.strata ?? []).map((p, i) => ({ ...p, polygon: polygonAt(p.polygon, `strata[${i}].polygon`) })),
    note: input.note ?? '',
  }
}

/** Holdings, their paddocks and what was done in them. */
export function placeRoutes(db: Db, book: Book): Router {
  return Router()
    .get('/places', async (_req, res) => {
      const [holdings, paddocks] = await Promise.all([listHoldings(db), listPaddocks(db)])
      res.json({ holdings, paddocks })
    })
    .post('/holdings', async (req, res) => {
      const input = parseBody(HoldingInput, req.body)
      await addHolding(db, input)
      res.status(201).json({ id: input.id })
    })
    .put('/holdings/:id', async (req, res) => {
      const input = parseBody(HoldingInput, req.body)
      const { id } = req.params
      if (!isUUID(id) || !(await putHolding(db, { ...input, id }))) throw notFound('holding')
      res.json({ id })
    })
    .post('/paddocks', async (req, res) => {
      const input = parseBody(PaddockInput, req.body)
      await addPaddock(db, paddockOf(input, book))
      res.status(201).json({ id: input.id })
    })
    .get('/paddocks/:id', async (req, res) => {
      const paddock = await paddockAt(db, req.params.id)
      res.json({ paddock, events: await listEvents(db, paddock.id) })
    })
    .put('/paddocks/:id', async (req, res) => {
      const input = parseBody(PaddockInput, req.body)
      const { id } = await paddockAt(db, req.params.id)
      await putPaddock(db, { ...paddockOf(input, book), id })
      res.json({ id })
    })
    .put('/paddocks/:id/events/:event', async (req, res) => {
      const input = parseBody(EventInput, req.body)
      const { id } = await paddockAt(db, req.params.id)
      if (!isUUID(req.params.event)) throw badRequest('An event needs a UUID.', 'event')
      input.detail.sown?.forEach((s, i) => knownPlant(s.plant, book.flora, `detail.sown[${i}].plant`))
      await putEvent(db, { ...input, id: req.params.event, paddockId: id })
      res.json({ id: req.params.event })
    })
    .delete('/paddocks/:id/events/:event', async (req, res) => {
      const { id } = await paddockAt(db, req.params.id)
      await dropEvent(db, id, idOf(req.params.event, 'event'))
      res.json({ id: req.params.event })
    })
}
