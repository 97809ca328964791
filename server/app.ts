import compression from 'compression'
import express, { type Express, type RequestHandler, type Response } from 'express'
import { Router } from 'express'
import helmet from 'helmet'
import { randomBytes } from 'node:crypto'
import { access, type Accounts } from './access/access.ts'
import type { CopyState } from './backup/dailyCopies.ts'
import type { Db } from './db/db.ts'
import type { Book } from './flora/book.ts'
import { errorHandler } from './http/errorHandler.ts'
import { HttpError, notFound } from './http/httpError.ts'
import type { Log } from './logger.ts'
import { openingOf } from './http/opening.ts'
import { serveApp } from './http/pages.ts'
import { accessRoutes } from './routes/access.ts'
import { bookRoutes } from './routes/book.ts'
import { copyRoutes } from './routes/copies.ts'
import { daybookRoutes } from './routes/daybook.ts'
import { describeRoutes } from './routes/describe.ts'
import { fileRoutes } from './routes/files.ts'
import { importRoutes } from './routes/imports.ts'
import { keptRoutes } from './routes/kept.ts'
import { namingRoutes } from './routes/namings.ts'
import { photoRoutes } from './routes/photos.ts'
import { placeRoutes } from './routes/places.ts'
import { planRoutes } from './routes/plan.ts'
import { practiceRoutes } from './routes/practice.ts'
import { roundFileRoutes } from './routes/roundFiles.ts'
import { roundRoutes } from './routes/rounds.ts'
import { signedPageRoutes } from './routes/signedPages.ts'
import { unknownRoutes } from './routes/unknowns.ts'

/** Answers of the API are data: nothing in them may run, load, be framed or be read by another site; the rest of helmet's headers speak of pages. */
const headersOfData = helmet({
  strictTransportSecurity: false,
  crossOriginOpenerPolicy: false,
  originAgentCluster: false,
  referrerPolicy: false,
  xDnsPrefetchControl: false,
  xDownloadOptions: false,
  xPermittedCrossDomainPolicies: false,
  xXssProtection: false,
  contentSecurityPolicy: { useDefaults: false, directives: { defaultSrc: ["'none'"], frameAncestors: ["'none'"] } },
})

/** Only our own scripts, styles and fonts; style elements made at run time carry the page's nonce. */
const headersOfPages = helmet({
  strictTransportSecurity: false,
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'none'"],
      scriptSrc: ["'self'"],
      styleSrc: ["'self'"],
      styleSrcElem: ["'self'", (_req, res) => `'nonce-${(res as Response).locals.nonce as string}'`],
      imgSrc: ["'self'", 'data:', 'blob:'],
      fontSrc: ["'self'"],
      connectSrc: ["'self'"],
      workerSrc: ["'self'"],
      manifestSrc: ["'self'"],
      baseUri: ["'none'"],
      formAction: ["'self'"],
      frameAncestors: ["'none'"],
      objectSrc: ["'none'"],
    },
  },
})

/** No address of ours comes near this; matching rules against a long one takes the time of everybody. */
const LONGEST_PATH = 500
const shortPaths: RequestHandler = (req, _res, next) =>
  next(req.path.length > LONGEST_PATH ? new HttpError(414, 'too-long', 'This address is too long.') : undefined)

export interface AppParts {
  db: Db
  book: Book
  /** Folder of the built pages; left out in tests of the API. */
  dist?: string
  /** Folder of the daily copies; left out where none are kept. */
  copies?: string
  copyState?: CopyState
  /** Where others than this machine may come in; left out: only this machine, and it may do all. */
  accounts?: Accounts | undefined
  log: Log
}

export function makeApp({ db, book, dist, copies, copyState, accounts, log }: AppParts): Express {
  const app = express()
  app.disable('x-powered-by')
  app.use('/api', headersOfData, shortPaths)
  app.use(compression())
  const api = Router()
    .use(...access(app, db, accounts, log))
    .use(photoRoutes(db))
    .use(copyRoutes(db, copies, copyState))
    .use('/round-files', express.json({ limit: '4mb' }))
    .use(express.json({ limit: '1mb' }))
    .get('/health', (_req, res) => {
      const copy = copyState?.problem === undefined ? {} : { copy: 'failed' as const }
      res.json({ ok: true, plants: book.flora.plants.length, ...copy })
    })
    // Each router is tried in its turn: what is asked most often stands first.
    .use(roundRoutes(db, book))
    .use(placeRoutes(db, book))
    .use(bookRoutes(db, book))
    .use(describeRoutes(book))
    .use(practiceRoutes(db, book))
    .use(accessRoutes(db, accounts !== undefined))
    .use(planRoutes(db, book))
    .use(keptRoutes(db, book))
    .use(daybookRoutes(db, book))
    .use(roundFileRoutes(db, book))
    .use(signedPageRoutes(db))
    .use(namingRoutes(db, book))
    .use(unknownRoutes(db, book))
    .use(fileRoutes(db, book))
    .use(importRoutes(db, book))
    .use(() => {
      throw notFound('address')
    })
  app.use('/api', api)
  app.use((req, res, next) => {
    res.locals.nonce = randomBytes(16).toString('base64')
    headersOfPages(req, res, next)
  })
  if (dist) serveApp(app, dist, (id) => openingOf(book.flora.plants.find((p) => p.id === id)))
  app.use(errorHandler(log))
  return app
}
