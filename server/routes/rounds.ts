import { Router } from 'express'
import { randomUUID } from 'node:crypto'
import { wRoute } from '@/core/survey/route.ts'
import type { Db } from '../db/db.ts'
import { getPaddock } from '../db/places.ts'
import { addRound, getRound, listRounds, putStop, putUnknown } from '../db/rounds.ts'
import { badRequest, notFound } from '../http/httpError.ts'
import { knownTaxon } from '../http/knownTaxon.ts'
import { isUUID } from 'class-validator'
import { parseBody } from '../http/parseBody.ts'
import { RoundInput, StopInput, UnknownInput } from './roundInput.ts'
import type { Book } from '../flora/book.ts'

async function roundAt(db: Db, id: string) {
  const round = isUUID(id) ? await getRound(db, id) : undefined
  if (!round) throw notFound('round')
  return round
}

/** Plan a round: the route is drawn into the paddock before anyone walks. */
async function planRound(db: Db, input: RoundInput): Promise<void> {
  const paddock = await getPaddock(db, input.paddockId)
  if (!paddock) throw badRequest('There is no such paddock.', 'paddockId')
  if (!paddock.boundary)
    throw badRequest('This paddock has no boundary yet, so no route can be laid into it.', 'paddockId')
  const route = routeInto(paddock.boundary, input.stops)
  await addRound(db, {
    ...input,
    method: 'step-points',
    source: '',
    route: { line: route.line, lengthM: route.lengthM },
    stops: route.stops.map((position, i) => ({
      id: randomUUID(),
      seq: i + 1,
      position,
      hits: [],
      doneAt: null,
    })),
  })
}

function routeInto(boundary: Parameters<typeof wRoute>[0], stops: number) {
  try {
    return wRoute(boundary, stops)
  } catch (error) {
    if (error instanceof RangeError) throw badRequest(`No route: ${error.message}.`, 'paddockId')
    throw error
  }
}

export function roundRoutes(db: Db, book: Book): Router {
  return Router()
    .get('/rounds', async (_req, res) => void res.json(await listRounds(db)))
    .get('/rounds/:id', async (req, res) => void res.json(await roundAt(db, req.params.id)))
    .post('/rounds', async (req, res) => {
      const input = parseBody(RoundInput, req.body)
      await planRound(db, input)
      res.status(201).json({ id: input.id })
    })
    .put('/rounds/:id/stops/:seq', async (req, res) => {
      const input = parseBody(StopInput, req.body)
      const round = await roundAt(db, req.params.id)
      const seq = Number(req.params.seq)
      const planned = round.stops.find((s) => s.seq === seq)
      if (!planned) throw notFound('stop')
      const hits = input.hits.map((h, i) => ({
        taxon: knownTaxon(h.taxon, book.flora, `hits[${i}].taxon`),
        amount: h.amount,
      }))
      await putStop(db, round.id, {
        id: planned.id,
        seq,
        position: planned.position,
        hits,
        doneAt: input.doneAt ?? null,
      })
      res.json({ seq, hits: hits.length })
    })
    .put('/rounds/:id/unknowns/:letter', async (req, res) => {
      const input = parseBody(UnknownInput, req.body)
      if (!/^[A-Z]$/.test(req.params.letter)) throw badRequest('A letter from A to Z is needed.', 'letter')
      const round = await roundAt(db, req.params.id)
      const namedAs = input.namedAs ? knownTaxon(input.namedAs, book.flora, 'namedAs') : null
      await putUnknown(db, round.id, req.params.letter, namedAs)
      res.json({ letter: req.params.letter, namedAs })
    })
}
