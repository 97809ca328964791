import { isUUID } from 'class-validator'
import express, { type Express, type Request, type Response } from 'express'
import expressStaticGzip from 'express-static-gzip'
import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

/** Scripts of each place by its path, as the build wrote them down. */
type Scripts = Record<string, string[]>

/** What a page reads before it can show anything, by its path; `:id` is put in where it is an id. */
const ME = '/api/me'
const BOOK = [ME, '/api/book']
/** Names of plants in the first place may come later. */
const ROUNDS = [ME, '/api/rounds', '/api/places', '/api/plan-items']
const ROUND = [...BOOK, '/api/rounds/:id']
const DAYBOOK = [
  'most-counted',
  'rounds',
  'plan-items',
  'namings',
  'naming-checks',
  'events',
  'places',
  'practice-answers',
]
const recordsOf: Record<string, string[]> = {
  '/': ROUNDS,
  '/rounds': ROUNDS,
  '/team': [ME],
  '/first-round': [ME],
  '/plan': [...BOOK, '/api/rounds', '/api/places'],
  '/rounds/:id': ROUND,
  '/rounds/:id/weigh-up': [...ROUND, '/api/kept'],
  '/rounds/:id/hand-over': [...ROUND, '/api/kept', '/api/plan-items', '/api/namings'],
  '/plants/:id': BOOK,
  '/practice': [
    ...BOOK,
    '/api/practice-answers',
    '/api/places',
    '/api/recently-found',
    '/api/namings',
    '/api/naming-checks',
  ],
  '/daybook': [...BOOK, ...DAYBOOK.map((r) => `/api/${r}`)],
  // Who comes with a link, or is not in yet, asks for the book in another way or not at all.
  '/sign-in': [],
  '/shared': [],
}

/** What `web/askAhead.ts` asks for once the frame of the app is there. */
const head = (html: string, scripts: string[], records: string[]): string =>
  html.replace(
    '</head>',
    `<meta name="scripts-ahead" content="${scripts.join(' ')}"><meta name="records-ahead" content="${records.join(' ')}"></head>`,
  )

/**
 * The built pages. Each names the scripts of its own place and the records that it reads first, so that a first visit
 * does not ask for one after the other.
 */
export function pages(app: Express, dist: string): void {
  const file = join(dist, 'index.html')
  if (!existsSync(file)) return
  const html = readFileSync(file, 'utf8')
  app.use(
    '/assets',
    expressStaticGzip(join(dist, 'assets'), {
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      index: false,
      serveStatic: { fallthrough: false, immutable: true, maxAge: '1y' },
    }),
  )
  app.use(express.static(dist, { index: false }))
  const send = (scripts: string[], records: string[]) => (req: Request, res: Response) => {
    const { id } = req.params
    const asked = records.flatMap((r) =>
      !r.includes('/:id') ? r : isUUID(id) ? r.replace('/:id', `/${String(id)}`) : [],
    )
    const page = head(html, scripts, asked).replaceAll('__CSP_NONCE__', res.locals.nonce as string)
    res.set('cache-control', 'no-cache').type('html').send(page)
  }
  const known = join(dist, 'scripts-by-place.json')
  const scripts = existsSync(known) ? (JSON.parse(readFileSync(known, 'utf8')) as Scripts) : {}
  for (const [path, files] of Object.entries(scripts)) app.get(path, send(files, recordsOf[path] ?? BOOK))
  app.get('/{*path}', send([], BOOK))
}
