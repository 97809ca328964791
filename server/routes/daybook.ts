import { isUUID } from 'class-validator'
import { Router } from 'express'
import type { PaddockEvent } from '@/core/records/paddockEvent.ts'
import { isComposition } from '@/core/methods/index.ts'
import { yearCount, type YearCount } from '@/core/survey/paddockHistory.ts'
import type { Db } from '../db/db.ts'
import { listAllEvents } from '../db/places.ts'
import { countsOfPaddock, mostCounted } from '../db/roundCounts.ts'
import { recentlyFound } from '../db/rounds.ts'
import type { Book } from '../flora/book.ts'
import { notFound } from '../http/httpError.ts'

/** The counts of a paddock that add up to a sward, in short. */
function countsOf(db: Db, book: Book, paddockId: string): Promise<YearCount[]> {
  const plants = new Map(book.flora.plants.map((p) => [p.id, p]))
  return countsOfPaddock(db, paddockId, (r) => (isComposition(r.method) ? yearCount(r, plants) : undefined))
}

/** What was found and done, year on year. */
export function daybookRoutes(db: Db, book: Book): Router {
  return Router()
    .get('/events', async (_req, res) => void res.json((await listAllEvents(db)) satisfies PaddockEvent[]))
    .get('/paddocks/:id/counts', async (req, res) => {
      const { id } = req.params
      if (!isUUID(id)) throw notFound('paddock')
      res.json(await countsOf(db, book, id))
    })
    .get('/recently-found', async (_req, res) => void res.json(await recentlyFound(db)))
    .get('/most-counted', async (_req, res) => {
      const paddockId = await mostCounted(db)
      res.json({ paddockId: paddockId ?? null, counts: paddockId ? await countsOf(db, book, paddockId) : [] })
    })
}
