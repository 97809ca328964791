import { fileWords } from '@/text/fileWords.ts'
import { isUUID } from 'class-validator'
import { Router } from 'express'
import { readBoundary } from '@/core/formats/readBoundary.ts'
import type { Paddock } from '@/core/records/round.ts'
import { told } from '@/contract/told.ts'
import type { Db } from '../db/db.ts'
import {
  addHolding,
  addPaddock,
  deleteEvent,
  getEvent,
  getHolding,
  getPaddock,
  listEvents,
  listHoldings,
  listPaddocks,
  putEvent,
  putHolding,
  putPaddock,
} from '../db/places.ts'
import { writeRecord } from '../db/standing.ts'
import { badRequest, notFound } from '../http/httpError.ts'
import { knownPlant } from '../http/knownTaxon.ts'
import { idOf } from '../http/idOf.ts'
import { parseBody } from '../http/parseBody.ts'
import { seenIn, standing } from '../http/seenIn.ts'
import { EventInput, PaddockInput } from '@/contract/input/place.ts'
import { HoldingInput } from '@/contract/input/round.ts'
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

const paddocks = { get: getPaddock, put: putPaddock, lists: ['sown', 'strata'] as const }
const holdings = { get: getHolding, put: putHolding }
const events = { get: getEvent, put: putEvent, drop: deleteEvent }

/** Holdings, their paddocks and what was done in them. */
export function placeRoutes(db: Db, book: Book): Router {
  return Router()
    .get('/places', async (_req, res) => {
      const [held, fields] = await Promise.all([listHoldings(db), listPaddocks(db)])
      res.json({ holdings: held, paddocks: fields })
    })
    .post('/holdings', async (req, res) => {
      const input = parseBody(HoldingInput, req.body)
      await addHolding(db, input)
      res.status(201).json({ id: input.id })
    })
    .put('/holdings/:id', async (req, res) => {
      const { body, seen } = seenIn(req.body)
      const input = parseBody(HoldingInput, body)
      const { id } = req.params
      if (!isUUID(id) || !(await getHolding(db, id))) throw notFound('holding')
      standing(await writeRecord(db, holdings, id, { ...input, id }, seen))
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
      const { body, seen } = seenIn(req.body)
      const input = parseBody(PaddockInput, body)
      const { id } = await paddockAt(db, req.params.id)
      standing(await writeRecord(db, paddocks, id, { ...paddockOf(input, book), id }, seen))
      res.json({ id })
    })
    .put('/paddocks/:id/events/:event', async (req, res) => {
      const { body, seen } = seenIn(req.body)
      const input = parseBody(EventInput, body)
      const { id } = await paddockAt(db, req.params.id)
      if (!isUUID(req.params.event)) throw badRequest(told('An event needs a UUID.'), 'event')
      input.detail.sown?.forEach((s, i) => knownPlant(s.plant, book.flora, `detail.sown[${i}].plant`))
      const event = { ...input, id: req.params.event, paddockId: id }
      standing(await writeRecord(db, events, event.id, event, seen))
      res.json({ id: req.params.event })
    })
    .delete('/paddocks/:id/events/:event', async (req, res) => {
      const { id } = await paddockAt(db, req.params.id)
      const event = idOf(req.params.event, 'event')
      if ((await getEvent(db, event))?.paddockId === id)
        standing(await writeRecord(db, events, event, null, seenIn(req.body).seen))
      res.json({ id: event })
    })
}
