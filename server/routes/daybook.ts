import { isUUID } from 'class-validator'
import { Router } from 'express'
import type { PaddockEvent } from '@/core/records/paddockEvent.ts'
import { isComposition } from '@/core/survey/methods.ts'
import { yearCount } from '@/core/survey/paddockHistory.ts'
import type { Db } from '../db/db.ts'
import { listAllEvents } from '../db/places.ts'
import { getRound, listRounds } from '../db/rounds.ts'
import type { Book } from '../flora/book.ts'
import { notFound } from '../http/httpError.ts'

/** What was found and done, year on year. */
export function daybookRoutes(db: Db, book: Book): Router {
  return Router()
    .get('/events', async (_req, res) => void res.json((await listAllEvents(db)) satisfies PaddockEvent[]))
    .get('/paddocks/:id/counts', async (req, res) => {
      const { id } = req.params
      if (!isUUID(id)) throw notFound('paddock')
      const plants = new Map(book.flora.plants.map((p) => [p.id, p]))
      const list = (await listRounds(db)).filter(
        (r) => r.paddockId === id && r.stopsDone > 0 && isComposition(r.method),
      )
      const rounds = await Promise.all(list.map((r) => getRound(db, r.id)))
      res.json(rounds.flatMap((r) => (r ? (yearCount(r, plants) ?? []) : [])))
    })
}
