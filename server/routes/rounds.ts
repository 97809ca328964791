import { Router } from 'express'
import type { Polygon } from 'geojson'
import { randomUUID } from 'node:crypto'
import { openStop, type Stop } from '@/core/records/round.ts'
import { LETTER } from '@/core/records/taxon.ts'
import { wRoute, type Position } from '@/core/geo/route.ts'
import { told } from '@/contract/told.ts'
import type { Db } from '../db/db.ts'
import { getPaddock } from '../db/places.ts'
import { addRound, getRound, hasRound, listRounds, putUnknown } from '../db/rounds.ts'
import { putStop, type CountedStop } from '../db/stops.ts'
import { badRequest, ConflictError, notFound } from '../http/httpError.ts'
import { knownTaxon } from '../http/knownTaxon.ts'
import { isUUID } from 'class-validator'
import { parseBody } from '../http/parseBody.ts'
import { RoundInput, StopInput, UnknownInput, type PlannedStopInput } from '@/contract/input/round.ts'
import type { Book } from '../flora/book.ts'

async function roundAt(db: Db, id: string) {
  const round = isUUID(id) ? await getRound(db, id) : undefined
  if (!round) throw notFound('round')
  return round
}

/** Plan a round: the route is drawn into the paddock before anyone walks, here or already where it was planned. */
async function planRound(db: Db, input: RoundInput): Promise<void> {
  const paddock = await getPaddock(db, input.paddockId)
  if (!paddock) throw badRequest(told('There is no such paddock.'), 'paddockId')
  const { laid, route, stops: count, ...round } = input
  const planned = laid
    ? { route: route ? { line: route.line as Position[], lengthM: route.lengthM } : null, stops: laid.map(laidStop) }
    : routeInto(paddock.boundary, count ?? 30)
  await addRound(db, {
    ...round,
    method: input.method ?? 'step-points',
    settings: { ...input.settings },
    source: '',
    ...planned,
  })
}

const laidStop = (s: PlannedStopInput): Stop =>
  openStop(s.id, s.seq, (s.position as Position | undefined) ?? null, s.stratum ?? '')

function routeInto(boundary: Polygon | null, count: number) {
  if (!boundary)
    throw badRequest(told('This paddock has no boundary yet, so no route can be laid into it.'), 'paddockId')
  try {
    const { stops, line, lengthM } = wRoute(boundary, count, Math.random())
    return { route: { line, lengthM }, stops: stops.map((p, i) => openStop(randomUUID(), i + 1, p)) }
  } catch (error) {
    if (error instanceof RangeError) throw badRequest(`No route: ${error.message}.`, 'paddockId')
    throw error
  }
}

export function stopFrom(input: StopInput, seq: number, book: Book): CountedStop {
  return {
    id: input.id,
    seq,
    position: (input.position as Position | undefined) ?? null,
    hits: input.hits.map((h, i) => ({ ...h, taxon: knownTaxon(h.taxon, book.flora, `hits[${i}].taxon`) })),
    doneAt: input.doneAt ?? null,
    stratum: input.stratum ?? null,
    measures: { ...input.measures },
    skipped: input.skipped ?? null,
    version: 0,
  }
}

const writerIn = ({ by, base = 0, command, after, added }: StopInput) =>
  by ? { by, base, command, after, added } : undefined

/** Stops that may be added beyond those planned. */
const MOST_STOPS = 1000

export function roundRoutes(db: Db, book: Book): Router {
  return Router()
    .get('/rounds', async (req, res) => {
      const { latest } = req.query
      if (latest !== undefined && !/^[1-9]\d{0,3}$/.test(String(latest as string)))
        throw badRequest(told('So many of the latest rounds are asked for by a whole number.'), 'latest')
      res.json(await listRounds(db, latest === undefined ? undefined : Number(latest)))
    })
    .get('/rounds/:id', async (req, res) => void res.json(await roundAt(db, req.params.id)))
    .post('/rounds', async (req, res) => {
      const input = parseBody(RoundInput, req.body)
      await planRound(db, input)
      res.status(201).json({ id: input.id })
    })
    .put('/rounds/:id/stops/:seq', async (req, res) => {
      const input = parseBody(StopInput, req.body)
      const { id } = req.params
      const seq = Number(req.params.seq)
      if (!isUUID(id)) throw notFound('round')
      const stop = stopFrom(input, seq, book)
      const written =
        Number.isInteger(seq) && seq <= MOST_STOPS ? await putStop(db, id, stop, writerIn(input)) : { noSuchStop: true }
      if ('noSuchStop' in written) throw notFound((await hasRound(db, id)) ? 'stop' : 'round')
      if ('conflict' in written)
        throw new ConflictError(told('This stop was counted on another device too.'), written.conflict)
      res.json({ seq: written.seq, hits: stop.hits.length, version: written.version })
    })
    .put('/rounds/:id/unknowns/:letter', async (req, res) => {
      const input = parseBody(UnknownInput, req.body)
      if (!LETTER.test(req.params.letter)) throw badRequest(told('A letter from A to Z is needed.'), 'letter')
      const { id } = req.params
      if (!isUUID(id) || !(await hasRound(db, id))) throw notFound('round')
      const namedAs = input.namedAs ? knownTaxon(input.namedAs, book.flora, 'namedAs') : null
      await putUnknown(db, id, req.params.letter, namedAs)
      res.json({ letter: req.params.letter, namedAs })
    })
}
