import { Router } from 'express'
import type { Db } from '../db/db.ts'
import { importDune } from '../demo/importDune.ts'
import { notFound } from '../http/httpError.ts'
import type { Book } from '../flora/book.ts'

/** Open data tables that ship with the app. */
export function importRoutes(db: Db, book: Book): Router {
  return Router().post('/imports/:name', async (req, res) => {
    if (req.params.name !== 'dune') throw notFound('open table')
    res.status(201).json(await importDune(db, book.flora))
  })
}
